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
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * AxisTravel end to end.
 *
 * @param claimed as typed: its last digit leaves half of it open, so 30 in is claimed from 29.5 in, 600 mm from 594; empty where
 * nobody says
 */
public record AxisTravel(Optional<TypedLength> claimed) implements Recording<AxisTravel.TravelReading> {

    private static final BigDecimal HALF_OF_TEN = BigDecimal.valueOf(5);

    /** A length as read. @param by the rule or tape, where one's own is named */
    public record TravelReading(TypedLength length, Optional<Gauge> by) {
    }

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.axisTravel(this);
    }

    @Override
    public <T> T accept(TravelReading value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.axisTravel(this, value);
    }

    @Override
    public String code() {
        return "travel";
    }

    @Override
    public List<RecordField> fields() {
        return List.of(RecordField.must("value", InputKind.LENGTH, FieldUnit.LENGTH));
    }

    @Override
    public TravelReading read(Values values) {
        return new TravelReading(values.length("value"), values.readWith().filter(g -> g.paper().isPresent()));
    }

    @Override
    public Optional<Rule> usualGauge() {
        return Optional.of(Rule.TAPE);
    }

    @Override
    public StepJudgement judge(TravelReading read, Rules rules) {
        TypedLength length = read.length;
        Uncertainty u = read.by.map(g -> g.reading(length.mm(), length.step())).orElseGet(
                () -> Uncertainty.of(rules.value(Rule.RULE_TRAVEL), 0).withDigit(length.step().doubleValue() / Math.sqrt(12)));
        return claimed.map(c -> LimitJudge.atLeast(length.mm(), u, c.mm(), c.mm().subtract(allowance(c, rules)), Unit.MILLIMETRES))
                .orElseGet(() -> {
                    Quantity measured = new Quantity(length.mm(), u.expanded(), Unit.MILLIMETRES);
                    return StepJudgement.read(Figure.alone(measured), Reason.of(MeasuringReason.TRAVEL_MEASURED, measured));
                });
    }

    /** What a claimed length leaves open below: half its last digit or 1 % of it, whichever is more. */
    public static BigDecimal allowance(TypedLength claimed, Rules rules) {
        return claimed.step().movePointLeft(1).multiply(HALF_OF_TEN).max(claimed.mm().multiply(rules.share(Rule.CLAIM_HOLDS)));
    }
}
