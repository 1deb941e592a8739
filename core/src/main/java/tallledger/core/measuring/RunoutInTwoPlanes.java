package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.geometry.TwoRounds;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * The swing 300 out (12 in) is judged: y = near + (far − near)·300/d by vectors, each the swing 2e of its plane, d between the
 * planes; at
 * 300 itself the dial's own swing where that is more. How the axis stands is said.
 */
public record RunoutInTwoPlanes() implements MeasuringMethod<TwoRoundReadings> {

    @Override
    public Rule gauge() {
        return Rule.INDICATOR;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.runoutInTwoPlanes(this);
    }

    @Override
    public <T> T accept(TwoRoundReadings readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.runoutInTwoPlanes(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return List.of(RecordField.must("near", InputKind.SERIES, FieldUnit.DIAL),
                RecordField.must("far", InputKind.SERIES, FieldUnit.DIAL),
                RecordField.must("apart", InputKind.LENGTH, FieldUnit.LENGTH));
    }

    @Override
    public TwoRoundReadings read(Values values, ChartLine<?> line) {
        return new TwoRoundReadings(RoundReadings.round(values, "near"), RoundReadings.round(values, "far"),
                Optional.of(TypedRows.positive(values, "apart")),
                RoundReadings.coarsest(values, "near", "far"), values.readWith());
    }

    @Override
    public StepJudgement judge(TwoRoundReadings pair, ChartLine<?> line, Rules rules) {
        TwoRounds vectors = pair.vectors();
        double apart = pair.apart().orElseThrow().mm().doubleValue();
        double stated = rules.length(RoundReadings.THREE_HUNDRED).doubleValue();
        Reason says = Reason.of(MeasuringReason.PLANES_SAY,
                Reason.each(MeasuringReason.PLANES_STAND, vectors.standing(RoundReadings.noise(pair, rules))),
                ReckonedFigures.micrometres(vectors.first().size()),
                ReckonedFigures.micrometres(vectors.second().size()), ReckonedFigures.shown(vectors.tilt(apart) * stated),
                Quantity.of(BigDecimal.valueOf(stated), Unit.MILLIMETRES));
        if (RoundReadings.tooFew(pair).isPresent()) {
            return StepJudgement.of(Outcome.UNDECIDED, RoundReadings.tooFew(pair).get(), says);
        }
        double k = stated / apart;
        double reckoned = 2 * vectors.along(k).size();
        double swing = k == 1 ? Math.max(reckoned, pair.second().tir().doubleValue()) : reckoned;
        Gauge gauge = pair.by().orElseGet(() -> rules.gauge(Rule.INDICATOR));
        Uncertainty u = gauge.difference(pair.first().tir(), pair.step()).scaled(1 - k)
                .plus(gauge.difference(pair.second().tir(), pair.step()).scaled(k));
        return line.judged(ReckonedFigures.decimal(swing), u, BigDecimal.ZERO, rules, says);
    }
}
