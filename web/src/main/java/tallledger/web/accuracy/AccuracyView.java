package tallledger.web.accuracy;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tallledger.core.coverage.Outcome;
import tallledger.core.family.Phase;
import tallledger.core.family.Step;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.reason.InUnit;
import tallledger.core.rules.Rules;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;
import tallledger.core.unit.Unit;
import tallledger.web.words.Marks;
import tallledger.web.words.Words;

/**
 * The acceptance chart of a survey, a row a line.
 *
 * @param rows     in the order of work
 * @param measured how many of them were measured
 * @param within   how many of those are within the grade the machine is judged as
 */
public record AccuracyView(List<AccuracyRow> rows, int measured, int within) {

    /**
     * One characteristic.
     *
     * @param way   how it is measured, as it is drawn
     * @param limit in three grades, in words
     * @param per   length the limit is stated for, in words; empty where it is stated as it is
     * @param own   what the machine's own chart says, in words; empty where it says nothing
     * @param found as first measured; empty while it was not
     * @param left  as measured last, where that was another time
     * @param mark  stroke of the one that counts
     * @param grade best grade proven within, in words; empty where none is
     */
    public record AccuracyRow(String key, String name, Drawing way, String limit, String per, String own, String found, String left,
            String mark,
            String grade, boolean test) {
    }

    /** Phases that a chart's lines stand in. */
    private static final Set<Phase> PHASES = Set.of(Phase.ACCURACY, Phase.TEST_CUT);

    public static AccuracyView of(Survey survey, Words words, Marks marks) {
        List<AccuracyRow> rows = new ArrayList<>();
        int measured = 0;
        int within = 0;
        for (Step step : survey.steps().inScope()) {
            if (PHASES.contains(step.phase()) && step.recording().limitRule().isPresent()) {
                List<StepResult> results = survey.steps().all().stream().filter(r -> r.step().id().equals(step.id())).toList();
                Optional<StepResult> counts = Optional.ofNullable(survey.steps().latest().get(step.id()));
                measured += counts.isPresent() ? 1 : 0;
                within += counts.filter(r -> r.outcome() == Outcome.PROVEN).isPresent() ? 1 : 0;
                rows.add(row(survey, step, results, counts, words, marks));
            }
        }
        return new AccuracyView(List.copyOf(rows), measured, within);
    }

    /** The lines that were measured. */
    public List<AccuracyRow> done() {
        return rows.stream().filter(r -> !r.found.isEmpty()).toList();
    }

    private static AccuracyRow row(Survey survey, Step step, List<StepResult> results, Optional<StepResult> counts, Words words,
            Marks marks) {
        GradedLimit limit = step.recording().limit(step.judgedBy(survey.rules())).orElseThrow();
        String grades = Stream.of(limit.rebuilt(), limit.sound(), limit.workable())
                .map(l -> words.in(survey.machine().unit(), l, limit.unit())).collect(Collectors.joining(" · "));
        String own = step.own().map(o -> words.say("page.own-limit", mm(survey, o.permissible(), words))
                + o.measured().map(m -> " " + words.say("page.own-measured", mm(survey, m, words))).orElse(""))
                .orElse("");
        String found = results.isEmpty() ? "" : figure(results.get(0), survey, words);
        String left = results.size() < 2 ? "" : figure(results.get(results.size() - 1), survey, words);
        String mark = counts.map(r -> marks.of(r.outcome())).orElse(survey.steps().passed().containsKey(step.id()) ? "passed" : "open");
        return new AccuracyRow(step.id().written(), words.say(step.name()), Drawing.of(step), grades,
                per(step, survey.rules()).map(p -> mm(survey, p, words)).orElse(""), own, found, left, mark,
                counts.flatMap(StepResult::grade).map(words::of).orElse(""), step.phase() == Phase.TEST_CUT);
    }

    private static String mm(Survey survey, BigDecimal length, Words words) {
        return words.in(survey.machine().unit(), length, Unit.MILLIMETRES);
    }

    /** Length its limit is stated for, mm; empty where it is stated as it is. */
    public static Optional<BigDecimal> per(Step step, Rules rules) {
        return step.recording().limitPer(rules);
    }

    /** The figure that was judged, over the length its limit is stated for, with what it leaves open; else why there is none. */
    private static String figure(StepResult result, Survey survey, Words words) {
        return result.judgement().figure().map(f -> words.say(InUnit.of(f.overStated(), survey.machine().unit())))
                .orElse(result.remark().isEmpty() ? words.of(result.outcome()) : result.remark());
    }
}
