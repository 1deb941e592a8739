package tallledger.core.survey;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import tallledger.core.coverage.Outcome;
import tallledger.core.family.Step;
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
public record JudgementChange(int entry, Reason what, JudgedAs was, JudgedAs now) {

    /** Outcome and best grade proven within. */
    public record JudgedAs(Outcome outcome, Optional<Grade> grade) {
    }

    /** Every record that is judged otherwise, in order. */
    public static List<JudgementChange> between(Survey one, Survey other) {
        Map<Integer, JudgedAs> by = other.made().stream().collect(Collectors.toMap(TaskResult::entry, JudgementChange::judged));
        return one.made().stream().filter(m -> by.containsKey(m.entry()) && !by.get(m.entry()).equals(judged(m)))
                .map(m -> new JudgementChange(m.entry(), name(m.task(), one), judged(m), by.get(m.entry()))).toList();
    }

    private static Reason name(Task task, Survey survey) {
        return task.step().map(Step::name).orElseGet(() -> Reason.of(SurveyReason.OTHERWISE_RUN, task.name(survey.machine().train())));
    }

    private static JudgedAs judged(TaskResult made) {
        return new JudgedAs(made.outcome(), made.grade());
    }
}
