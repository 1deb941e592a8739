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
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** Taper on the diameter; between centres also by how much the tailstock is off, (ΔD/2)·(C/L), and which way to move it. */
public record TaperByCollars() implements MeasuringMethod<TaperByCollars.CollarReadings> {

    private static final BigDecimal THREE_HUNDRED = BigDecimal.valueOf(300);

    /**
     * Two collars.
     *
     * @param centres length between centres, where they were turned so
     */
    public record CollarReadings(TypedLength head, TypedLength tail, TypedLength apart, Optional<TypedLength> centres, Optional<Gauge> by) {

        /** D_head − D_tail, mm. */
        public BigDecimal taper() {
            return head.mm().subtract(tail.mm());
        }
    }

    @Override
    public Rule gauge() {
        return Rule.MICROMETER;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.taperByCollars(this);
    }

    @Override
    public <T> T accept(TaperByCollars.CollarReadings readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.taperByCollars(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return List.of(RecordField.must("head", InputKind.LENGTH, FieldUnit.LENGTH),
                RecordField.must("tail", InputKind.LENGTH, FieldUnit.LENGTH),
                RecordField.must("apart", InputKind.LENGTH, FieldUnit.LENGTH),
                RecordField.may("centres", InputKind.LENGTH, FieldUnit.LENGTH));
    }

    @Override
    public CollarReadings read(Values values, ChartLine<?> line) {
        TypedLength apart = TypedRows.positive(values, "apart");
        Optional<TypedLength> centres = values.has("centres") ? Optional.of(TypedRows.positive(values, "centres")) : Optional.empty();
        centres.filter(c -> c.mm().compareTo(apart.mm()) < 0).ifPresent(c -> {
            throw Refused.because(MeasuringReason.COLLARS_CENTRES, c.typed(), apart.typed()).at("centres");
        });
        return new CollarReadings(TypedRows.positive(values, "head"), TypedRows.positive(values, "tail"), apart, centres,
                values.readWith());
    }

    @Override
    public StepJudgement judge(CollarReadings read, ChartLine<?> line, Rules rules) {
        BigDecimal taper = read.taper();
        Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.MICROMETER)).difference(taper, read.head.step().max(read.tail.step()));
        BigDecimal angle = taper.divide(read.apart.mm().multiply(BigDecimal.valueOf(2)), MathContext.DECIMAL64);
        BigDecimal over = rules.length(THREE_HUNDRED);
        Reason says = read.centres.map(c -> offset(read, c))
                .orElseGet(() -> Reason.of(MeasuringReason.COLLARS_SAY,
                        ReckonedFigures.shown(taper.doubleValue() * over.doubleValue() / read.apart.mm().doubleValue()),
                        Quantity.of(over, Unit.MILLIMETRES), ReckonedFigures.slope(angle.doubleValue())));
        return line.judged(taper.abs(), u, read.apart.mm(), rules, says);
    }

    private static Reason offset(CollarReadings read, TypedLength centres) {
        double off = read.taper().doubleValue() / 2 * centres.mm().doubleValue() / read.apart.mm().doubleValue();
        // A small tail end: the tailstock stands towards the operator and is moved away.
        MeasuringReason code = off > 0 ? MeasuringReason.TAILSTOCK_AWAY
                : off < 0 ? MeasuringReason.TAILSTOCK_TOWARDS
                        : MeasuringReason.TAILSTOCK_TRUE;
        return off == 0 ? Reason.of(code) : Reason.of(code, ReckonedFigures.shown(Math.abs(off)));
    }
}
