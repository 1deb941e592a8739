package tallledger.web.runsheet;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import tallledger.core.coverage.RunPlan;
import tallledger.core.coverage.School;
import tallledger.core.reason.Reason;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.SurveyPlan;

/**
 * The plan as the run sheet's margin tells it.
 *
 * @param school      chosen school
 * @param minutesLeft of those stated
 * @param summary     how many runs, how long, how good
 * @param coming      the next few runs and what each proves
 * @param beyond      what no run is left for
 * @param leftOpen    what the minutes leave open
 */
public record PlanView(School school, Optional<BigDecimal> minutesLeft, List<Reason> summary, List<Coming> coming, String beyond, String leftOpen) {

    private static final int SHOWN = 4;
    private static final double MINUTE = 60;

    /** One run to come. */
    public record Coming(String key, String name, String proves) {
    }

    static PlanView of(SpindleSurvey survey, SurveyPlan plan) {
        RunPlan runs = plan.plan();
        List<Reason> summary = new java.util.ArrayList<>();
        summary.add(Reason.of("plan.runs", runs.runs().size(), runs.seconds() / MINUTE));
        if (plan.school() == School.EVERY_GEAR && !runs.runs().isEmpty()) {
            summary.add(Reason.of(runs.provenFewest() ? "plan.fewest" : "plan.perhaps-fewest", runs.lowerBound()));
            runs.warm().ifPresent(warm -> summary.add(Reason.of("plan.warm", runs.runs().size() - warm)));
        }
        if (runs.timeRatio() > 1.0005) {
            summary.add(Reason.of("plan.gap", (runs.timeRatio() - 1) * 100));
        }
        return new PlanView(plan.school(), plan.minutesLeft(), summary, runs.runs().stream().limit(SHOWN).map(run -> coming(survey, run)).toList(),
                names(runs.beyondProof()), names(runs.leftOpen()));
    }

    private static Coming coming(SpindleSurvey survey, RunPlan.PlannedRun run) {
        return new Coming(run.route().key(), survey.machine().train().name(run.route()), names(run.proves()));
    }

    private static String names(List<tallledger.core.coverage.Elements.Element> elements) {
        return elements.stream().map(e -> e.stageName() + " " + e.label()).collect(Collectors.joining(", "));
    }
}
