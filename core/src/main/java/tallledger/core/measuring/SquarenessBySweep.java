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

/** Per 300 mm = Δ·300/(2R); which way to tip the head, and by how much at its bolts. */
public record SquarenessBySweep() implements MeasuringMethod<SquarenessBySweep.SweepReadings> {

    /**
     * A sweep at a radius: right less left, and back less front where it was read, mm.
     *
     * @param bolts radius of the head's bolt circle, where it is known
     */
    public record SweepReadings(TypedLength radius, TypedLength right, Optional<TypedLength> back, Optional<TypedLength> bolts,
            Optional<Gauge> by) {
    }

    @Override
    public Rule gauge() {
        return Rule.INDICATOR;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.squarenessBySweep(this);
    }

    @Override
    public <T> T accept(SquarenessBySweep.SweepReadings readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.squarenessBySweep(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return List.of(RecordField.must("radius", InputKind.LENGTH, FieldUnit.LENGTH),
                RecordField.must("right", InputKind.LENGTH, FieldUnit.DIAL),
                RecordField.may("back", InputKind.LENGTH, FieldUnit.DIAL), RecordField.may("bolts", InputKind.LENGTH, FieldUnit.LENGTH));
    }

    @Override
    public SweepReadings read(Values values, ChartLine<?> line) {
        TypedLength radius = TypedRows.positive(values, "radius");
        Optional<TypedLength> bolts = values.has("bolts") ? Optional.of(TypedRows.positive(values, "bolts")) : Optional.empty();
        return new SweepReadings(radius, signed(values, "right"),
                values.has("back") ? Optional.of(signed(values, "back")) : Optional.empty(),
                bolts, values.readWith());
    }

    private static TypedLength signed(Values values, String field) {
        return values.at(field, () -> TypedLength.parse(values.text(field), values.unit()));
    }

    @Override
    public StepJudgement judge(SweepReadings read, ChartLine<?> line, Rules rules) {
        BigDecimal across = read.radius.mm().multiply(BigDecimal.valueOf(2));
        TypedLength worst = read.back.filter(b -> b.mm().abs().compareTo(read.right.mm().abs()) > 0).orElse(read.right);
        Gauge gauge = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR));
        Uncertainty u = gauge.difference(worst.mm(), worst.step());
        BigDecimal stated = rules.length(RoundReadings.THREE_HUNDRED);
        List<Reason> says = new java.util.ArrayList<>(List.of(tip(read.right, MeasuringReason.TIP_RIGHT, MeasuringReason.TIP_LEFT,
                MeasuringReason.TIP_LEVEL, read, stated)));
        read.back.ifPresent(back -> says.add(tip(back, MeasuringReason.TIP_BACK, MeasuringReason.TIP_FRONT, MeasuringReason.TIP_UPRIGHT,
                read, stated)));
        return line.judged(worst.mm().abs(), u, across, rules, says.toArray(Reason[]::new));
    }

    /** The dial reads more where the table comes nearer: the nose stands too far from there, and is swung towards it. */
    private static Reason tip(TypedLength difference, MeasuringReason towards, MeasuringReason away, MeasuringReason none,
            SweepReadings read,
            BigDecimal stated) {
        if (difference.mm().signum() == 0) {
            return Reason.of(none);
        }
        double slope = difference.mm().abs().doubleValue() / (2 * read.radius.mm().doubleValue());
        Object bolts =
                read.bolts.<Object>map(b -> Reason.of(MeasuringReason.TIP_BOLTS, ReckonedFigures.shown(slope * 2 * b.mm().doubleValue()),
                        Quantity.of(b.mm(), Unit.MILLIMETRES))).orElse("");
        return Reason.of(difference.mm().signum() > 0 ? towards : away, ReckonedFigures.shown(slope * stated.doubleValue()),
                Quantity.of(stated, Unit.MILLIMETRES), bolts);
    }
}
