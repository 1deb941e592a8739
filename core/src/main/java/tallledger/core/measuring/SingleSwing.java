package tallledger.core.measuring;

import java.util.List;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/** Only the result is typed. */
public record SingleSwing() implements MeasuringMethod<Void> {

    @Override
    public Rule gauge() {
        return Rule.INDICATOR;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.singleSwing(this);
    }

    @Override
    public <T> T accept(Void readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.singleSwing(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return List.of();
    }

    @Override
    public Void read(Values values, ChartLine<?> line) {
        throw new IllegalStateException("the result alone is typed");
    }

    @Override
    public StepJudgement judge(Void value, ChartLine<?> line, Rules rules) {
        throw new IllegalStateException("the result alone is judged");
    }
}
