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
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** The dip per kN of the thrust it was pressed with. */
public record DipUnderThrust() implements MeasuringMethod<DipUnderThrust.ThrustReading> {

    /** 225 lbf stand for 1 kN on an inch machine, kN. */
    private static final BigDecimal PER_225_LBF = new BigDecimal("1.000849860");

    /** A dip under a thrust. @param thrust kN */
    public record ThrustReading(TypedLength dip, TypedNumber thrust, Optional<Gauge> by) {
    }

    @Override
    public Rule gauge() {
        return Rule.INDICATOR;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.dipUnderThrust(this);
    }

    @Override
    public <T> T accept(DipUnderThrust.ThrustReading readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.dipUnderThrust(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return List.of(RecordField.must("dip", InputKind.LENGTH, FieldUnit.DIAL),
                RecordField.must("thrust", InputKind.NUMBER, FieldUnit.FORCE));
    }

    @Override
    public ThrustReading read(Values values, ChartLine<?> line) {
        return new ThrustReading(values.length("dip"), values.force("thrust"),
                values.readWith());
    }

    @Override
    public StepJudgement judge(ThrustReading read, ChartLine<?> line, Rules rules) {
        BigDecimal stated = rules.unit() == LengthUnit.INCH ? PER_225_LBF : BigDecimal.ONE;
        double thrust = read.thrust.value().doubleValue() / stated.doubleValue();
        BigDecimal per = ReckonedFigures.decimal(read.dip.mm().doubleValue() / thrust);
        Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(read.dip.mm(), read.dip.step())
                .scaled(1 / thrust)
                .withDigit(per.doubleValue() / read.thrust.value().doubleValue() * read.thrust.step().doubleValue() / Gauge.RECTANGULAR);
        return line.judged(per, u, BigDecimal.ZERO, rules,
                Reason.of(MeasuringReason.THRUST_SAYS, Quantity.of(read.dip.mm(), Unit.MILLIMETRES),
                        Quantity.of(read.thrust.value(), Unit.KILONEWTONS), Quantity.of(per, Unit.MILLIMETRES),
                        Quantity.of(stated, Unit.KILONEWTONS)));
    }
}
