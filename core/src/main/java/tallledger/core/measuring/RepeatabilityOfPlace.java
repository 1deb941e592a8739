package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.List;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/** Come to the same place again: the range is judged. */
public record RepeatabilityOfPlace() implements MeasuringMethod<ReadingSeries> {

    @Override
    public Rule gauge() {
        return Rule.INDICATOR;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.repeatabilityOfPlace(this);
    }

    @Override
    public <T> T accept(ReadingSeries readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.repeatabilityOfPlace(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return List.of(RecordField.must("repeats", InputKind.SERIES, FieldUnit.DIAL));
    }

    @Override
    public ReadingSeries read(Values values, ChartLine<?> line) {
        return ReadingSeries.row(values, "repeats");
    }

    @Override
    public StepJudgement judge(ReadingSeries read, ChartLine<?> line, Rules rules) {
        Uncertainty u = read.by().orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(read.range(), read.step());
        return line.judged(read.range(), u, BigDecimal.ZERO, rules,
                Reason.of(MeasuringReason.REPEATS_SAY, read.readings().size(), ReckonedFigures.shown(read.deviation())));
    }
}
