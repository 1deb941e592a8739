package tallledger.web.faults;

import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import tallledger.core.blame.Blame;
import tallledger.core.blame.Check;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.StageKind;
import tallledger.core.plan.SurveyPlan;
import tallledger.core.survey.SpindleSurvey;

/**
 * A suspect as its pages list it.
 *
 * @param part    stage and position
 * @param key     the same for forms
 * @param percent probability, whole per cent
 * @param group   what no run so far tells apart from it, itself left out
 * @param parts   a run that would part them
 * @param checks  what to look at, cheapest first
 */
public record SuspectView(String part, String key, int percent, String group, String parts, List<Check> checks) {

    /** Suspects under this are not worth listing. */
    private static final double WORTH_LISTING = 0.03;

    public static List<SuspectView> of(SpindleSurvey survey, SurveyPlan plan, List<Check> table) {
        Set<Symptom> symptoms = survey.latest().values().stream().flatMap(run -> run.record().symptoms().stream())
                .collect(Collectors.toCollection(TreeSet::new));
        return plan.blame().map(blame -> blame.suspects().stream().filter(s -> s.probability() >= WORTH_LISTING)
                .map(s -> of(survey, s, symptoms, table)).toList()).orElse(List.of());
    }

    private static SuspectView of(SpindleSurvey survey, Blame.Suspect suspect, Set<Symptom> symptoms, List<Check> table) {
        StageKind kind = survey.machine().train().stages().get(suspect.element().stage()).kind();
        List<Check> checks = symptoms.stream().flatMap(s -> Check.cheapestFirst(table, s, kind).stream()).distinct()
                .sorted(Comparator.comparing(Check::likely)).toList();
        String group = suspect.group().stream().filter(e -> !e.equals(suspect.element())).map(e -> e.stageName() + " " + e.label())
                .collect(Collectors.joining(", "));
        return new SuspectView(suspect.element().stageName() + " " + suspect.element().label(),
                suspect.element().stageName() + "|" + suspect.element().label(), (int) Math.round(suspect.probability() * 100), group,
                suspect.parts().map(survey.machine().train()::name).orElse(""), checks);
    }
}
