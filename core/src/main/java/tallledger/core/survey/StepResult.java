package tallledger.core.survey;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.Severity;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.family.Step;
import tallledger.core.gauge.Grade;
import tallledger.core.ledger.Entry;
import tallledger.core.measuring.NothingTyped;
import tallledger.core.measuring.Recorded;
import tallledger.core.measuring.Recording;
import tallledger.core.measuring.SpindleCheck;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;

/**
 * One step as recorded.
 *
 * @param values    what was typed
 * @param recorded  what that was read to; empty where it was said to be good or bad without a figure
 * @param judgement what the numbers come to
 * @param flagged   the surveyor says it is not as it should be, whatever the numbers say
 * @param then      how it was judged when it was written
 * @param cut       entry of the test cut it was measured on, where it was one
 */
public record StepResult(int entry, Instant at, String author, Step step, Values values, Optional<Recorded<?>> recorded,
        StepJudgement judgement,
        boolean flagged, String remark, Optional<JudgedThen> then, Optional<Integer> cut) implements TaskResult {

    /** @param otherwise the machine's unit: of a record that does not name what it was written by, and of what its judgement shows */
    static StepResult of(Entry entry, WorkEvent.StepDone done, Step step, LengthUnit otherwise, Rules rules) {
        Values values = new Values(done.typed(), done.basis().map(Basis::unit).orElse(otherwise), done.basis().flatMap(Basis::gauge),
                done.basis().flatMap(Basis::apart), done.basis().map(Basis::bare).orElse(LengthUnit.MM));
        return of(entry, done, step, step.recording(), values, otherwise, rules);
    }

    private static <V> StepResult of(Entry entry, WorkEvent.StepDone done, Step step, Recording<V> recording, Values values,
            LengthUnit shown,
            Rules rules) {
        if (done.byEye()) {
            return new StepResult(entry.sequence(), entry.at(), entry.by().author().written(), step, values, Optional.empty(),
                    StepJudgement.BY_EYE,
                    done.flagged(), done.remark(), done.then(), done.cut());
        }
        Recorded<V> recorded = new Recorded<>(recording, recording.read(values));
        StepJudgement judged = recorded.judge(step.judgedBy(rules)).in(shown);
        List<Reason> because = new ArrayList<>(judged.because());
        values.readWith().flatMap(by -> Overdue.said(by, entry)).ifPresent(because::add);
        return new StepResult(entry.sequence(), entry.at(), entry.by().author().written(), step, values, Optional.of(recorded),
                judged.saying(because),
                done.flagged(), done.remark(), done.then(), done.cut());
    }

    /** Its judgement by other rules, such as those of another grade. */
    public StepJudgement judgedBy(Rules rules) {
        return recorded.map(r -> r.judge(step.judgedBy(rules))).orElse(judgement);
    }

    /** What was recorded, where it is of that kind. */
    public <T> Optional<T> as(Class<T> type) {
        return recorded.flatMap(r -> r.as(type));
    }

    static StepResult of(CheckResult check, Step step, LengthUnit unit) {
        StepJudgement judgement = new StepJudgement(Outcome.PROVEN, check.brake().flatMap(b -> b.grade()), List.of(), Optional.empty());
        return new StepResult(check.entry(), check.at(), check.author(), step, new Values(Map.of(), unit),
                Optional.of(new Recorded<>(new SpindleCheck(check.check()), NothingTyped.WRITTEN)), judgement, check.isBad(),
                check.remark(), check.then(), Optional.empty());
    }

    @Override
    public Task task() {
        return Task.of(step);
    }

    @Override
    public Optional<Grade> grade() {
        return judgement.grade();
    }

    @Override
    public List<Reason> because() {
        return judgement.because();
    }

    @Override
    public Outcome outcome() {
        return flagged ? Outcome.FAILED : judgement.outcome();
    }

    public boolean isBad() {
        return outcome() == Outcome.FAILED;
    }

    /** How bad it is where it is bad. */
    public Severity severity() {
        return judgement.worse().orElse(step.ifBad());
    }
}
