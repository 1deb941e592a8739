package tallledger.core.survey;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.gauge.Grade;
import tallledger.core.reason.Reason;

/**
 * A record that two foldings of the same entries judge differently.
 *
 * @param entry number of its entry
 * @param what  what it is a record of: a step's name, or what was set for a run
 * @param was   its outcome by the one
 * @param now   by the other
 */
public record Otherwise(int entry, Reason what, Judged was, Judged now) {

    /** Outcome and best grade proven within. */
    public record Judged(Outcome outcome, Optional<Grade> grade) {
    }

    /** Every record that is judged otherwise, in order. */
    public static List<Otherwise> between(Survey one, Survey other) {
        List<Otherwise> all = new ArrayList<>();
        Map<Integer, Judged> runs = new HashMap<>();
        other.drive().runs().forEach(r -> runs.put(r.entry(), judged(r)));
        one.drive().runs().stream().filter(r -> runs.containsKey(r.entry()) && !runs.get(r.entry()).equals(judged(r)))
                .forEach(r -> all.add(new Otherwise(r.entry(), Reason.of(SurveyReason.OTHERWISE_RUN, one.machine().train().name(r.route())), judged(r), runs.get(r.entry()))));
        Map<Integer, Judged> steps = new HashMap<>();
        other.steps().all().forEach(r -> steps.put(r.entry(), judged(r)));
        one.steps().all().stream().filter(r -> steps.containsKey(r.entry()) && !steps.get(r.entry()).equals(judged(r)))
                .forEach(r -> all.add(new Otherwise(r.entry(), r.step().name(), judged(r), steps.get(r.entry()))));
        all.sort(java.util.Comparator.comparingInt(Otherwise::entry));
        return List.copyOf(all);
    }

    private static Judged judged(Run run) {
        return new Judged(run.outcome(), Optional.empty());
    }

    private static Judged judged(StepResult result) {
        return new Judged(result.outcome(), result.judgement().grade());
    }
}
