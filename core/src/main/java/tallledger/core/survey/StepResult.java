package tallledger.core.survey;

import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Payload;

/**
 * One step as recorded.
 *
 * @param values    what was typed
 * @param judgement what the numbers come to
 * @param flagged   the surveyor says it is not as it should be, whatever the numbers say
 * @param then      how it was judged when it was written
 */
public record StepResult(int entry, Instant at, String author, Step step, Values values, StepJudgement judgement, boolean flagged, String remark,
                         Optional<JudgedThen> then) {

    /** @param otherwise for records that do not name what they were written by */
    static StepResult from(Entry entry, Step step, Basis otherwise) {
        Payload p = entry.payload();
        Map<String, String> typed = new HashMap<>();
        p.part("values").fields().forEach((name, value) -> typed.put(name, (String) value));
        Basis basis = Basis.from(p, otherwise);
        Values values = new Values(typed, basis.unit(), basis.gauge());
        return new StepResult(entry.sequence(), entry.at(), entry.author(), step, values, step.recording().judge(values), p.flag("flagged"), p.text("remark"),
                JudgedThen.from(p));
    }

    static StepResult from(CheckResult check, Step step, Basis otherwise) {
        StepJudgement judgement = new StepJudgement(Outcome.PROVEN, check.brake().flatMap(b -> b.grade()), java.util.List.of(), Optional.empty());
        return new StepResult(check.entry(), check.at(), check.author(), step, new Values(Map.of(), otherwise.unit()), judgement, check.isBad(), check.remark(),
                check.then());
    }

    public Outcome outcome() {
        return flagged ? Outcome.FAILED : judgement.outcome();
    }

    /** How it was judged when it was written, where that was something else. */
    public Optional<JudgedThen> otherwiseThen() {
        return then.filter(t -> t.differsFrom(outcome(), judgement.grade()));
    }

    public boolean isBad() {
        return outcome() == Outcome.FAILED;
    }

    /** How bad it is where it is bad. */
    public Severity severity() {
        return judgement.worse().orElse(step.ifBad());
    }
}
