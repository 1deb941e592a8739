package tallledger.core.measuring;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Verdict;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * A rotary table that turns faster towards its centre, so that the surface keeps its speed: n(r) = 1000·v/(2π·r), hence n·r the same
 * at both radii, within ±10 % (house rule), unless the table is at its top speed.
 *
 * <p>Worked: 40 min⁻¹ at 300 mm and 80 at 150: both 75 m/min.
 */
public record SpeedToCentre() implements Recording<SpeedToCentre.SurfaceSpeeds> {

    private static final MathContext SHOWN = new MathContext(3, RoundingMode.HALF_UP);

    /**
     * Surface speeds at two radii of a table, m/min.
     *
     * @param open what radii and speeds leave open of one over the other, U as a share
     */
    public record SurfaceSpeeds(double outer, double inner, double open) {
    }

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.speedToCentre(this);
    }

    @Override
    public <T> T accept(SurfaceSpeeds value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.speedToCentre(this, value);
    }

    @Override
    public String code() {
        return "to-centre";
    }

    @Override
    public List<RecordField> fields() {
        return List.of(RecordField.must("outerRadius", InputKind.LENGTH, FieldUnit.LENGTH), RecordField.must("outerSpeed", InputKind.NUMBER,
                FieldUnit.SPEED),
                RecordField.must("innerRadius", InputKind.LENGTH, FieldUnit.LENGTH),
                RecordField.must("innerSpeed", InputKind.NUMBER, FieldUnit.SPEED));
    }

    @Override
    public SurfaceSpeeds read(Values values) {
        double u = Math.hypot(open(values, "outerRadius", "outerSpeed"), open(values, "innerRadius", "innerSpeed"));
        SurfaceSpeeds read = new SurfaceSpeeds(surface(values, "outerRadius", "outerSpeed"), surface(values, "innerRadius", "innerSpeed"),
                Gauge.COVERAGE_FACTOR * u);
        if (values.length("innerRadius").mm().compareTo(values.length("outerRadius").mm()) >= 0) {
            throw Refused.because(MeasuringReason.CENTRE_RADII, values.text("innerRadius"), values.text("outerRadius"))
                    .at("innerRadius");
        }
        return read;
    }

    @Override
    public StepJudgement judge(SurfaceSpeeds read, Rules rules) {
        double off = Math.abs(read.inner / read.outer - 1);
        // Both speeds are read with the same tachometer: what it is off by drops out.
        double u = read.open * read.inner / read.outer;
        double most = rules.share(Rule.SURFACE_SPEED).doubleValue();
        Verdict verdict = off + u <= most ? Verdict.WITHIN : off - u > most ? Verdict.OUTSIDE : Verdict.TOO_CLOSE_TO_CALL;
        BigDecimal percent = rules.number(Rule.SURFACE_SPEED);
        Limit limit = new Limit(percent.negate(), percent, Unit.PERCENT, Reason.named("rule." + Rule.SURFACE_SPEED + ".source"));
        Quantity change = new Quantity(new BigDecimal((read.inner / read.outer - 1) * 100).round(SHOWN), 100 * u, Unit.PERCENT);
        return StepJudgement.of(heldAgainst(limit, change, verdict), List.of(Reason.of(switch (verdict) {
            case WITHIN -> MeasuringReason.CENTRE_RIGHT;
            case OUTSIDE -> MeasuringReason.CENTRE_WRONG;
            case TOO_CLOSE_TO_CALL -> MeasuringReason.CENTRE_CLOSE;
        }, Quantity.of(new BigDecimal(read.outer).round(SHOWN), Unit.METRES_PER_MINUTE),
                Quantity.of(new BigDecimal(read.inner).round(SHOWN), Unit.METRES_PER_MINUTE), percent)));
    }

    /** u of one surface speed by the last digits of its radius and its speed, as a share. */
    private static double open(Values values, String radius, String speed) {
        TypedLength r = values.length(radius);
        TypedNumber n = values.number(speed);
        return r.mm().signum() <= 0 || n.value().signum() <= 0 ? 0
                : Math.hypot(r.step().doubleValue() / r.mm().doubleValue(),
                        n.step().doubleValue() / n.value().doubleValue()) / Math.sqrt(12);
    }

    /** v = 2π·r·n/1000, m/min. */
    private static double surface(Values values, String radius, String speed) {
        double r = values.length(radius).mm().doubleValue();
        if (r <= 0) {
            throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, values.text(radius)).at(radius);
        }
        return 2 * Math.PI * r * values.positive(speed).doubleValue() / 1000;
    }

    private static Figure heldAgainst(Limit limit, Quantity measured, Verdict verdict) {
        return new Figure(Figure.Name.RESULT, measured, Optional.empty(), Optional.empty(),
                Optional.of(new Figure.Against(limit, verdict, Optional.empty())));
    }
}
