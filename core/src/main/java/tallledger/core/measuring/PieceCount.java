package tallledger.core.measuring;

import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rules;

/**
 * Counted against what is claimed.
 *
 * @param claimed how many there should be; empty where nobody says
 */
public record PieceCount(Optional<Integer> claimed) implements Recording<Integer> {
    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.pieceCount(this);
    }

    @Override
    public <T> T accept(Integer value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.pieceCount(this, value);
    }

    @Override
    public String code() {
        return "count";
    }

    @Override
    public List<RecordField> fields() {
        return List.of(RecordField.must("count", InputKind.NUMBER, FieldUnit.NONE));
    }

    @Override
    public Integer read(Values values) {
        return values.whole("count");
    }

    @Override
    public StepJudgement judge(Integer count, Rules rules) {
        return claimed.map(c -> StepJudgement.of(count >= c ? Outcome.PROVEN : Outcome.FAILED,
                Reason.of(MeasuringReason.COUNT_AGAINST, count, c)))
                .orElse(StepJudgement.read(Reason.of(MeasuringReason.COUNT_ONLY, count)));
    }
}
