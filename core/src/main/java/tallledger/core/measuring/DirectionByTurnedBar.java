package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** Half the sum of both rises: the bar's own error drops out. */
public record DirectionByTurnedBar() implements MeasuringMethod<DirectionByTurnedBar.BarReadings> {

    /** Four readings of a bar, mm: near and far, and both with the bar turned half; over the length between. */
    public record BarReadings(List<TypedLength> readings, TypedLength over, Optional<Gauge> by) {

        /** Rise from near to far, the bar's own error taken out, mm. */
        public BigDecimal rise() {
            BigDecimal first = readings.get(1).mm().subtract(readings.get(0).mm());
            return first.add(readings.get(3).mm().subtract(readings.get(2).mm())).divide(BigDecimal.valueOf(2));
        }

        /** What goes round with the bar, mm. */
        public BigDecimal bars() {
            BigDecimal first = readings.get(1).mm().subtract(readings.get(0).mm());
            return first.subtract(readings.get(3).mm().subtract(readings.get(2).mm())).divide(BigDecimal.valueOf(2));
        }
    }

    @Override
    public Rule gauge() {
        return Rule.INDICATOR;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.directionByTurnedBar(this);
    }

    @Override
    public <T> T accept(DirectionByTurnedBar.BarReadings readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.directionByTurnedBar(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return List.of(RecordField.must("nearFar", InputKind.SERIES, FieldUnit.DIAL),
                RecordField.must("nearFarTurned", InputKind.SERIES, FieldUnit.DIAL),
                RecordField.must("between", InputKind.LENGTH, FieldUnit.LENGTH));
    }

    @Override
    public boolean isSigned() {
        return true;
    }

    @Override
    public BarReadings read(Values values, ChartLine<?> line) {
        List<TypedLength> all = new java.util.ArrayList<>();
        for (String field : List.of("nearFar", "nearFarTurned")) {
            List<TypedLength> two = TypedRows.signed(values.text(field), values, field);
            if (two.size() != 2) {
                throw tallledger.core.reason.Refused.because(MeasuringReason.TURNED_TWO, two.size()).at(field);
            }
            all.addAll(two);
        }
        return new BarReadings(List.copyOf(all), TypedRows.positive(values, "between"), values.readWith());
    }

    @Override
    public StepJudgement judge(BarReadings read, ChartLine<?> line, Rules rules) {
        Uncertainty one = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(read.rise(), Values.coarsest(read.readings));
        // The mean of two differences.
        Uncertainty u = Uncertainty.of(one.digit() / Math.sqrt(2), one.calibration()).scattering(one.scatter() / Math.sqrt(2));
        return line.judged(read.rise(), u, read.over.mm(), rules,
                Reason.of(MeasuringReason.BAR_SAYS, Quantity.of(read.rise(), Unit.MILLIMETRES),
                        Quantity.of(read.bars(), Unit.MILLIMETRES)));
    }
}
