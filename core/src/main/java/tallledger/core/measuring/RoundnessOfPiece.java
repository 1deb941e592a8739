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
import tallledger.core.geometry.Round;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/** Out of round once the centre is taken out; its lobes are said. */
public record RoundnessOfPiece() implements MeasuringMethod<RoundnessOfPiece.PieceShape> {

    /** A piece read round: its shape, wherever its centre lies. */
    public record PieceShape(Round round, BigDecimal step, Optional<Gauge> by) {
    }

    @Override
    public Rule gauge() {
        return Rule.INDICATOR;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.roundnessOfPiece(this);
    }

    @Override
    public <T> T accept(RoundnessOfPiece.PieceShape readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.roundnessOfPiece(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return List.of(RecordField.must("round", InputKind.SERIES, FieldUnit.DIAL));
    }

    @Override
    public PieceShape read(Values values, ChartLine<?> line) {
        return new PieceShape(RoundReadings.round(values, "round"),
                Values.coarsest(TypedRows.signed(values.text("round"), values, "round")),
                values.readWith());
    }

    @Override
    public StepJudgement judge(PieceShape shape, ChartLine<?> line, Rules rules) {
        Round round = shape.round;
        Reason says =
                Reason.of(MeasuringReason.SHAPE_SAYS, ReckonedFigures.micrometres(round.lobe(2)),
                        ReckonedFigures.micrometres(round.lobe(3)),
                        ReckonedFigures.micrometres(round.residual()), ReckonedFigures.micrometres(round.eccentricity()));
        if (round.count() < Round.FEWEST_TO_JUDGE) {
            return StepJudgement.of(Outcome.UNDECIDED, Reason.of(MeasuringReason.ROUND_TOO_FEW, round.count(), Round.FEWEST_TO_JUDGE),
                    says);
        }
        BigDecimal out = ReckonedFigures.decimal(round.outOfRound());
        return line.judged(out, shape.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(out, shape.step), BigDecimal.ZERO,
                rules, says);
    }
}
