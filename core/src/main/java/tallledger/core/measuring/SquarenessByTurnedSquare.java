package tallledger.core.measuring;

import java.math.BigDecimal;
import java.math.MathContext;
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

/** Mean of the two; half their difference is the square's own. */
public record SquarenessByTurnedSquare() implements MeasuringMethod<SquarenessByTurnedSquare.SquareReadings> {

    /** A square read, turned round and read again; mm over its blade. */
    public record SquareReadings(TypedLength one, TypedLength turned, TypedLength blade, Optional<Gauge> by) {

        /** The machine's own: the square's error drops out. */
        BigDecimal machine() {
            return one.mm().add(turned.mm()).divide(BigDecimal.valueOf(2), MathContext.DECIMAL64);
        }

        BigDecimal square() {
            return one.mm().subtract(turned.mm()).divide(BigDecimal.valueOf(2), MathContext.DECIMAL64);
        }
    }

    @Override
    public Rule gauge() {
        return Rule.INDICATOR;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.squarenessByTurnedSquare(this);
    }

    @Override
    public <T> T accept(SquarenessByTurnedSquare.SquareReadings readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.squarenessByTurnedSquare(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return List.of(RecordField.must("square", InputKind.LENGTH, FieldUnit.DIAL),
                RecordField.must("squareTurned", InputKind.LENGTH, FieldUnit.DIAL),
                RecordField.must("blade", InputKind.LENGTH, FieldUnit.LENGTH));
    }

    @Override
    public SquareReadings read(Values values, ChartLine<?> line) {
        return new SquareReadings(signed(values, "square"), signed(values, "squareTurned"), TypedRows.positive(values, "blade"),
                values.readWith());
    }

    private static TypedLength signed(Values values, String field) {
        return values.at(field, () -> TypedLength.parse(values.text(field), values.unit()));
    }

    @Override
    public StepJudgement judge(SquareReadings read, ChartLine<?> line, Rules rules) {
        BigDecimal machine = read.machine();
        Uncertainty one = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR))
                .difference(machine, read.one.step().max(read.turned.step()));
        double ofBlade = machine.abs().doubleValue() / read.blade.mm().doubleValue() * read.blade.step().doubleValue() / Gauge.RECTANGULAR;
        // The mean of two differences.
        Uncertainty u = Uncertainty.of(one.digit() / Math.sqrt(2), one.calibration()).scattering(one.scatter() / Math.sqrt(2))
                .withDigit(ofBlade);
        return line.judged(machine.abs(), u, read.blade.mm(), rules,
                Reason.of(MeasuringReason.SQUARE_SAYS, Quantity.of(machine, Unit.MILLIMETRES),
                        Quantity.of(read.square(), Unit.MILLIMETRES)));
    }
}
