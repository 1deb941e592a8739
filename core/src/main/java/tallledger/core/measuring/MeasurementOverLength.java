package tallledger.core.measuring;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.Preset;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * A difference measured over a length other than the one its limit is stated for; the limit scales linearly.
 *
 * @param per length the limit is stated for, mm
 */
public record MeasurementOverLength(Rule graded, BigDecimal per) implements Recording<MeasurementOverLength.ValueOverLength> {

    /** A difference over a length, mm. */
    public record ValueOverLength(TypedLength value, TypedLength over, Optional<Gauge> by) {
    }

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.measurementOverLength(this);
    }

    @Override
    public <T> T accept(ValueOverLength value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.measurementOverLength(this, value);
    }

    @Override
    public String code() {
        return "scaled";
    }

    @Override
    public List<RecordField> fields() {
        return List.of(RecordField.must("value", InputKind.LENGTH, FieldUnit.DIAL),
                new RecordField("over", InputKind.LENGTH, FieldUnit.LENGTH, Preset.length(per), List.of(),
                        true));
    }

    @Override
    public ValueOverLength read(Values values) {
        TypedLength value = values.length("value");
        TypedLength over = values.length("over");
        if (over.mm().signum() <= 0) {
            throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, over.typed()).at("over");
        }
        return new ValueOverLength(value, over, values.readWith());
    }

    @Override
    public StepJudgement judge(ValueOverLength read, Rules rules) {
        TypedLength value = read.value;
        TypedLength over = read.over;
        Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(value.mm(), value.step());
        BigDecimal length = rules.length(per);
        GradedLimit here = rules.graded(graded).over(over.mm(), length);
        StepJudgement judged = LimitJudge.byGrade(here, value.mm(), u);
        double share = length.doubleValue() / over.mm().doubleValue();
        Quantity scaled = new Quantity(value.mm().multiply(length).divide(over.mm(), MathContext.DECIMAL64), u.scaled(share).expanded(),
                Unit.MILLIMETRES);
        List<Reason> because = new ArrayList<>(List.of(Reason.of(MeasuringReason.SCALED_PER, Quantity.of(value.mm(), Unit.MILLIMETRES),
                Quantity.of(over.mm(), Unit.MILLIMETRES), scaled, Quantity.of(length, Unit.MILLIMETRES))));
        because.addAll(judged.because());
        return judged.saying(because).per(Figure.StatedOver.mm(over.mm(), length));
    }

    @Override
    public Optional<GradedLimit> limit(Rules rules) {
        return Optional.of(rules.graded(graded));
    }

    @Override
    public Optional<BigDecimal> limitPer(Rules rules) {
        return Optional.of(rules.length(per));
    }

    @Override
    public Optional<Rule> limitRule() {
        return Optional.of(graded);
    }

    @Override
    public Optional<Rule> usualGauge() {
        return Optional.of(Rule.INDICATOR);
    }
}
