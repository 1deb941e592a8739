package tallledger.core.survey;

import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Payload;
import tallledger.core.reading.LengthUnit;

/**
 * One step as recorded.
 *
 * @param values    what was typed
 * @param judgement what the numbers come to
 * @param flagged   the surveyor says it is not as it should be, whatever the numbers say
 */
public record StepResult(int entry, Instant at, String author, Step step, Values values, StepJudgement judgement, boolean flagged, String remark) {

    static StepResult from(Entry entry, Step step, LengthUnit unit) {
        Payload p = entry.payload();
        Map<String, String> typed = new HashMap<>();
        p.part("values").fields().forEach((name, value) -> typed.put(name, (String) value));
        Values values = new Values(typed, unit);
        return new StepResult(entry.sequence(), entry.at(), entry.author(), step, values, step.recording().judge(values), p.flag("flagged"), p.text("remark"));
    }

    static StepResult from(CheckResult check, Step step, LengthUnit unit) {
        StepJudgement judgement = new StepJudgement(Outcome.PROVEN, check.brake().flatMap(b -> b.grade()), java.util.List.of(), Optional.empty());
        return new StepResult(check.entry(), check.at(), check.author(), step, new Values(Map.of(), unit), judgement, check.isBad(), check.remark());
    }

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
