package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.geometry.Round;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * Readings at equal angles round one turn, and what the dial swept beside them; the larger TIR counts.
 *
 * @param graded limit of the TIR, mm
 */
public record RunoutRound(Rule graded) implements Recording<RunoutRound.RunoutRead> {

    /**
     * As read.
     *
     * @param swept TIR seen on the dial over the whole turn
     * @param step  worth of the coarsest last digit, mm
     * @param by    what it was read with
     */
    public record RunoutRead(Round round, Optional<BigDecimal> swept, BigDecimal step, Optional<Gauge> by) {

        /** The larger of what the readings and the dial show, mm. */
        public BigDecimal tir() {
            return swept.map(round.tir()::max).orElse(round.tir());
        }

        public Uncertainty uncertainty(Rules rules) {
            return by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(tir(), step);
        }
    }

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.runoutRound(this);
    }

    @Override
    public <T> T accept(RunoutRound.RunoutRead value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.runoutRound(this, value);
    }

    @Override
    public String code() {
        return "rounds";
    }

    @Override
    public List<RecordField> fields() {
        return List.of(RecordField.must("readings", InputKind.SERIES, FieldUnit.DIAL),
                RecordField.may("swept", InputKind.LENGTH, FieldUnit.DIAL));
    }

    @Override
    public RunoutRead read(Values values) {
        List<TypedLength> lengths = values.lengths("readings");
        Round round = values.at("readings", () -> new Round(lengths.stream().map(TypedLength::mm).toList()));
        Optional<TypedLength> swept = values.has("swept") ? Optional.of(values.length("swept")) : Optional.empty();
        List<TypedLength> all = Stream.concat(lengths.stream(), swept.stream()).toList();
        return new RunoutRead(round, swept.map(TypedLength::mm), Values.coarsest(all), values.readWith());
    }

    @Override
    public StepJudgement judge(RunoutRead read, Rules rules) {
        Round round = read.round;
        if (round.count() < Round.FEWEST_TO_JUDGE) {
            return StepJudgement.of(Outcome.UNDECIDED, Reason.of(MeasuringReason.ROUND_TOO_FEW, round.count(), Round.FEWEST_TO_JUDGE),
                    shape(round));
        }
        StepJudgement judged = LimitJudge.byGrade(rules.graded(graded), read.tir(), read.uncertainty(rules));
        List<Reason> because = new ArrayList<>(judged.because());
        because.add(shape(round));
        return judged.saying(because);
    }

    private static Reason shape(Round round) {
        return Reason.of(MeasuringReason.ROUND_SHAPE, ReckonedFigures.micrometres(round.eccentricity()),
                BigDecimal.valueOf(Math.round(round.highSpot()) % 360), ReckonedFigures.micrometres(round.lobe(2)),
                ReckonedFigures.micrometres(round.lobe(3)), ReckonedFigures.micrometres(round.residual()));
    }

    @Override
    public Optional<GradedLimit> limit(Rules rules) {
        return Optional.of(rules.graded(graded));
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
