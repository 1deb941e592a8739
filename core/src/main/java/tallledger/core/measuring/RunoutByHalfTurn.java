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
import tallledger.core.gauge.Uncertainty;
import tallledger.core.geometry.TwoRounds;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/** What stays with the arbor is judged as TIR; what stays with the spindle is said, and which of them it is. */
public record RunoutByHalfTurn() implements MeasuringMethod<TwoRoundReadings> {

    @Override
    public Rule gauge() {
        return Rule.INDICATOR;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.runoutByHalfTurn(this);
    }

    @Override
    public <T> T accept(TwoRoundReadings readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.runoutByHalfTurn(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return List.of(RecordField.must("first", InputKind.SERIES, FieldUnit.DIAL),
                RecordField.must("turned", InputKind.SERIES, FieldUnit.DIAL));
    }

    @Override
    public TwoRoundReadings read(Values values, ChartLine<?> line) {
        return new TwoRoundReadings(RoundReadings.round(values, "first"), RoundReadings.round(values, "turned"), Optional.empty(),
                RoundReadings.coarsest(values, "first", "turned"),
                values.readWith());
    }

    @Override
    public StepJudgement judge(TwoRoundReadings pair, ChartLine<?> line, Rules rules) {
        TwoRounds vectors = pair.vectors();
        double noise = RoundReadings.noise(pair, rules);
        MeasuringReason which = vectors.isSpindles(noise).map(s -> s ? MeasuringReason.TURNED_SPINDLES : MeasuringReason.TURNED_ARBORS)
                .orElse(MeasuringReason.TURNED_NEITHER);
        Reason says = Reason.of(MeasuringReason.TURNED_SAYS, Reason.of(which), ReckonedFigures.micrometres(2 * vectors.spindle().size()),
                ReckonedFigures.micrometres(2 * vectors.arbor().size()), BigDecimal.valueOf(Math.round(vectors.arbor().degrees()) % 360));
        if (RoundReadings.tooFew(pair).isPresent()) {
            return StepJudgement.of(Outcome.UNDECIDED, RoundReadings.tooFew(pair).get(), says, Reason.of(MeasuringReason.TURNED_RINGS));
        }
        BigDecimal tir = ReckonedFigures.decimal(2 * vectors.arbor().size());
        // Each vector is a mean over its readings; half the difference of two of them leaves no more open than one difference does.
        Uncertainty u = pair.by().orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(tir, pair.step());
        return line.judged(tir, u, BigDecimal.ZERO, rules, says, Reason.of(MeasuringReason.TURNED_RINGS));
    }
}
