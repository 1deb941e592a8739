package tallledger.core.survey;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.gauge.Grade;
import tallledger.core.reason.Reason;

/** What was made of one task: a run of a speed, a step done, or a check at the spindle, with its judgement. */
public sealed interface TaskResult permits Run, StepResult {

    /** Sequence of its entry. */
    int entry();

    Instant at();

    String author();

    Task task();

    Outcome outcome();

    /** Best grade proven within, where there are grades. */
    Optional<Grade> grade();

    /** The comparisons that decided, with their numbers. */
    List<Reason> because();

    String remark();

    /** How it was judged when it was written; empty for records of before that was kept. */
    Optional<JudgedThen> then();

    /** How it was judged when it was written, where that was something else. */
    default Optional<JudgedThen> otherwiseThen() {
        return then().filter(t -> t.differsFrom(outcome(), grade()));
    }
}
