package tallledger.core.survey;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.ByEye;
import tallledger.core.evidence.Recording;
import tallledger.core.evidence.Severity;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.family.Step;
import tallledger.core.gauge.Grade;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;

/**
 * One step as recorded.
 *
 * @param values    what was typed
 * @param value     what that was read to, as the step's record reads it
 * @param judgement what the numbers come to
 * @param flagged   the surveyor says it is not as it should be, whatever the numbers say
 * @param then      how it was judged when it was written
 * @param cut       entry of the test cut it was measured on, where it was one
 */
public record StepResult(int entry, Instant at, String author, Step step, Values values, Object value, StepJudgement judgement,
        boolean flagged, String remark, Optional<JudgedThen> then, Optional<Integer> cut) implements Made {

    /** @param otherwise the machine's unit: of a record that does not name what it was written by, and of what its judgement shows */
    static StepResult of(Entry entry, Event.StepDone done, Step step, LengthUnit otherwise, Rules rules) {
        Values values = new Values(done.typed(), done.basis().map(Basis::unit).orElse(otherwise), done.basis().flatMap(Basis::gauge),
                done.basis().flatMap(Basis::apart), done.basis().map(Basis::bare).orElse(LengthUnit.MM));
        return of(entry, done, step, step.recording(), values, otherwise, rules);
    }

    private static <V> StepResult of(Entry entry, Event.StepDone done, Step step, Recording<V> recording, Values values, LengthUnit shown,
            Rules rules) {
        if (done.byEye()) {
            return new StepResult(entry.sequence(), entry.at(), entry.by().author().written(), step, values, new ByEye(), ByEye.JUDGED,
                    done.flagged(), done.remark(), done.then(), done.cut());
        }
        V value = recording.read(values);
        StepJudgement judged = recording.judge(value, step.judgedBy(rules)).in(shown);
        List<Reason> because = new ArrayList<>(judged.because());
        values.readWith().flatMap(by -> Overdue.said(by, entry)).ifPresent(because::add);
        return new StepResult(entry.sequence(), entry.at(), entry.by().author().written(), step, values, value, judged.saying(because),
                done.flagged(), done.remark(), done.then(), done.cut());
    }

    /** Its judgement with figures in canonical units, to be held against another machine's. */
    public StepJudgement canonical(Rules rules) {
        return value instanceof ByEye ? judgement : judged(step.recording(), rules);
    }

    @SuppressWarnings("unchecked")
    private <V> StepJudgement judged(Recording<V> recording, Rules rules) {
        return recording.judge((V) value, step.judgedBy(rules));
    }

    /** What was recorded, where it is of that kind. */
    public <T> Optional<T> as(Class<T> type) {
        return type.isInstance(value) ? Optional.of(type.cast(value)) : Optional.empty();
    }

    static StepResult of(CheckResult check, Step step, LengthUnit unit) {
        StepJudgement judgement = new StepJudgement(Outcome.PROVEN, check.brake().flatMap(b -> b.grade()), List.of(), Optional.empty());
        return new StepResult(check.entry(), check.at(), check.author(), step, new Values(Map.of(), unit), check, judgement, check.isBad(),
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
