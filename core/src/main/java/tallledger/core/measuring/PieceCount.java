package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Verdict;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

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
        Quantity counted = Quantity.of(BigDecimal.valueOf(count), Unit.NUMBER);
        return claimed.map(c -> {
            BigDecimal least = BigDecimal.valueOf(c);
            Limit limit = Limit.atLeast(least, Unit.NUMBER, Reason.of(MeasuringReason.LIMIT_CLAIM, Quantity.of(least, Unit.NUMBER)));
            Verdict verdict = count >= c ? Verdict.WITHIN : Verdict.OUTSIDE;
            return StepJudgement.of(Figure.alone(counted).against(limit, verdict),
                    List.of(Reason.of(MeasuringReason.COUNT_AGAINST, count, c)));
        }).orElse(StepJudgement.read(Figure.alone(counted), Reason.of(MeasuringReason.COUNT_ONLY, count)));
    }
}
