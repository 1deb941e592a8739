package tallledger.core.measuring;

import java.util.List;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.rules.Rules;

/** Looked at or listened to; the surveyor says how it is. */
public record Inspection() implements Recording<NothingTyped> {
    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.inspection(this);
    }

    @Override
    public <T> T accept(NothingTyped value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.inspection(this, value);
    }

    @Override
    public String code() {
        return "look";
    }

    @Override
    public List<RecordField> fields() {
        return List.of();
    }

    @Override
    public NothingTyped read(Values values) {
        return NothingTyped.WRITTEN;
    }

    @Override
    public StepJudgement judge(NothingTyped nothing, Rules rules) {
        return StepJudgement.of(Outcome.PROVEN);
    }
}
