package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.List;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.geometry.Straightness;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** h_k = s·d_k·L; what its zero is off by tilts the whole run and drops out with the end line. */
public record StraightnessByLevel() implements MeasuringMethod<HeightsAlong> {

    private static final double METRE = 1000;
    /** Binary noise of two heights that are one, mm. */
    private static final double ALIKE = 1e-9;

    @Override
    public Rule gauge() {
        return Rule.LEVEL;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.straightnessByLevel(this);
    }

    @Override
    public <T> T accept(HeightsAlong readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.straightnessByLevel(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return LevelFields.level("divisions");
    }

    @Override
    public boolean isSigned() {
        return true;
    }

    @Override
    public HeightsAlong read(Values values, ChartLine<?> line) {
        double sensitivity = values.sensitivity("sensitivity").doubleValue();
        double feet = TypedRows.positive(values, "feet").mm().doubleValue();
        List<TypedNumber> divisions = TypedRows.numbers(values, "divisions");
        double coarsest = divisions.stream().filter(d -> d.value().signum() != 0).mapToDouble(d -> d.step().doubleValue()).max()
                .orElse(1);
        Straightness run = values.at("divisions",
                () -> Straightness.ofLevel(sensitivity, feet, divisions.stream().map(d -> d.value().doubleValue()).toList()));
        // Half a division is what anybody reads between the lines.
        return new HeightsAlong(run, sensitivity * Math.min(coarsest, 0.5) * feet / METRE / Gauge.RECTANGULAR, values.readWith());
    }

    @Override
    public StepJudgement judge(HeightsAlong read, ChartLine<?> line, Rules rules) {
        Straightness run = read.run();
        Gauge level = read.by().orElseGet(() -> rules.gauge(Rule.LEVEL));
        double one = Math.max(read.digit(), level.alone() * (run.length() / (run.h().size() - 1)) / METRE);
        double value = run.straightness();
        // What the level is off by all along tips the line through the ends with it: only its share of the figure stays.
        // A row of noughts is not nought: half of a reading's digit stays open, whatever lies between the places.
        double least = read.digit() * Gauge.RECTANGULAR / 2 / Gauge.COVERAGE_FACTOR;
        Uncertainty u = Uncertainty.of(Math.max(ofSums(run) * one, least),
                level.calibration().doubleValue() * value / Gauge.COVERAGE_FACTOR);
        double other = line.isSigned() ? otherSide(run, line.sense()) : 0;
        return other > u.expanded() ? line.judged(ReckonedFigures.decimal(-other), u, BigDecimal.valueOf(run.length()), rules, says(run))
                : line.either().judged(ReckonedFigures.decimal(value), u, BigDecimal.valueOf(run.length()), rules, says(run));
    }

    /** How far it lies the way it never may, mm. */
    private static double otherSide(Straightness run, ChartLine.Sense sense) {
        double up = run.deviations().stream().mapToDouble(v -> v).max().orElse(0);
        double down = -run.deviations().stream().mapToDouble(v -> v).min().orElse(0);
        return sense == ChartLine.Sense.HOLLOW ? up : down;
    }

    /**
     * √(p·(1 − p/n)), the straightness being a sum over the rises of the p feet of n between its highest and its lowest place; of
     * several
     * such pairs the one that leaves most open.
     */
    private static double ofSums(Straightness run) {
        int n = run.h().size() - 1;
        List<Double> off = run.deviations();
        double most = off.stream().mapToDouble(v -> v).max().orElse(0);
        double least = off.stream().mapToDouble(v -> v).min().orElse(0);
        double squares = 0;
        for (int i = 0; i <= n; i++) {
            for (int k = 0; k <= n; k++) {
                if (most - off.get(i) < ALIKE && off.get(k) - least < ALIKE) {
                    double p = Math.abs(i - k);
                    squares = Math.max(squares, p * (1 - p / n));
                }
            }
        }
        return Math.sqrt(squares);
    }

    private static Reason says(Straightness run) {
        Reason form = Reason.each(MeasuringReason.RUN_FORMS, run.form());
        return run.worstMetre().map(worst -> Reason.of(MeasuringReason.RUN_FORM, form, ReckonedFigures.shown(run.straightness()),
                ReckonedFigures.shown(run.leastZone()), ReckonedFigures.shown(worst.straightness()), ReckonedFigures.shown(worst.from()),
                ReckonedFigures.shown(worst.to()),
                Quantity.of(BigDecimal.valueOf(METRE), Unit.MILLIMETRES)))
                .orElseGet(() -> Reason.of(MeasuringReason.RUN_FORM_LONG_FEET, form,
                        ReckonedFigures.shown(run.straightness()), ReckonedFigures.shown(run.leastZone()),
                        Quantity.of(BigDecimal.valueOf(METRE), Unit.MILLIMETRES)));
    }
}
