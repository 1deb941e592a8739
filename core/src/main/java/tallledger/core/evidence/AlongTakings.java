package tallledger.core.evidence;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import tallledger.core.evidence.Recording.Entry;
import tallledger.core.evidence.Recording.Field;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.geometry.FlatFace;
import tallledger.core.geometry.Straightness;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** Measured along a way or over a face: level runs, cross levels, indicator runs, grids. */
public final class AlongTakings {

    private static final double METRE = 1000;
    /** Binary noise of two heights that are one, mm. */
    private static final double ALIKE = 1e-9;
    private static final double RECTANGULAR = Math.sqrt(12);
    /** 0.02 mm/m a division; half a thou in 12 in. */
    private static final Preset USUAL_LEVEL = new Preset("0.02", "0.5");

    private AlongTakings() {
    }

    /**
     * Points along a way.
     *
     * @param digit u of one rise, mm, of its last digit
     */
    public record Along(Straightness run, double digit, Optional<Gauge> by) {
    }

    /** Levels across at equal spacing, mm/m. @param digit worth of the last digit, mm/m */
    public record Across(List<BigDecimal> levels, double spacing, double digit, Optional<Gauge> by) {
    }

    /** A face over its longer side. */
    public record Face(FlatFace face, double longer, BigDecimal step, Optional<Gauge> by) {
    }

    private static List<Field> level(String series) {
        return List.of(new Field("sensitivity", Entry.NUMBER, FieldUnit.SLOPE, USUAL_LEVEL, List.of(), true),
                new Field("feet", Entry.LENGTH, FieldUnit.LENGTH, Preset.NONE, List.of(), true),
                new Field(series, Entry.SERIES, FieldUnit.NONE, Preset.NONE, List.of(), true));
    }

    /** h_k = s·d_k·L; what its zero is off by tilts the whole run and drops out with the end line. */
    static final class LevelRun implements Taking<Along> {

        @Override
        public List<Field> fields(ChartLine line) {
            return level("divisions");
        }

        @Override
        public boolean isSigned() {
            return true;
        }

        @Override
        public Along read(Values values, ChartLine line) {
            double sensitivity = values.sensitivity("sensitivity").doubleValue();
            double feet = Takings.positive(values, "feet").mm().doubleValue();
            List<TypedNumber> divisions = Takings.numbers(values, "divisions");
            double coarsest = divisions.stream().filter(d -> d.value().signum() != 0).mapToDouble(d -> d.step().doubleValue()).max()
                    .orElse(1);
            Straightness run = values.at("divisions",
                    () -> Straightness.ofLevel(sensitivity, feet, divisions.stream().map(d -> d.value().doubleValue()).toList()));
            // Half a division is what anybody reads between the lines.
            return new Along(run, sensitivity * Math.min(coarsest, 0.5) * feet / METRE / RECTANGULAR, values.readWith());
        }

        @Override
        public StepJudgement judge(Along read, ChartLine line, Rules rules) {
            Straightness run = read.run;
            Gauge level = read.by.orElseGet(() -> rules.gauge(Rule.LEVEL));
            double one = Math.max(read.digit, level.alone() * (run.length() / (run.h().size() - 1)) / METRE);
            double value = run.straightness();
            // What the level is off by all along tips the line through the ends with it: only its share of the figure stays.
            // A row of noughts is not nought: half of a reading's digit stays open, whatever lies between the places.
            double least = read.digit * RECTANGULAR / 2 / Gauge.COVERAGE_FACTOR;
            Uncertainty u = Uncertainty.of(Math.max(ofSums(run) * one, least),
                    level.calibration().doubleValue() * value / Gauge.COVERAGE_FACTOR);
            double other = line.isSigned() ? otherSide(run, line.sense()) : 0;
            return other > u.expanded() ? line.judged(Takings.decimal(-other), u, BigDecimal.valueOf(run.length()), rules, says(run))
                    : line.either().judged(Takings.decimal(value), u, BigDecimal.valueOf(run.length()), rules, says(run));
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
    }

    private static Reason says(Straightness run) {
        Reason form = Reason.each(EvidenceReason.RUN_FORMS, run.form());
        return run.worstMetre().map(worst -> Reason.of(EvidenceReason.RUN_FORM, form, Takings.shown(run.straightness()),
                Takings.shown(run.leastZone()), Takings.shown(worst.straightness()), Takings.shown(worst.from()), Takings.shown(worst.to()),
                Quantity.of(BigDecimal.valueOf(METRE), Unit.MILLIMETRES)))
                .orElseGet(() -> Reason.of(EvidenceReason.RUN_FORM_LONG_FEET, form,
                        Takings.shown(run.straightness()), Takings.shown(run.leastZone()),
                        Quantity.of(BigDecimal.valueOf(METRE), Unit.MILLIMETRES)));
    }

    /** t_k mm/m; max − min is judged, the slope along is for information. */
    static final class CrossLevels implements Taking<Across> {

        @Override
        public List<Field> fields(ChartLine line) {
            return level("levels");
        }

        @Override
        public Across read(Values values, ChartLine line) {
            BigDecimal sensitivity = values.sensitivity("sensitivity");
            double feet = Takings.positive(values, "feet").mm().doubleValue();
            List<TypedNumber> divisions = Takings.numbers(values, "levels");
            if (divisions.size() < 2 || divisions.size() > Straightness.MOST) {
                throw Refused.because(EvidenceReason.ACROSS_COUNT, divisions.size(), 2, Straightness.MOST).at("levels");
            }
            double coarsest = divisions.stream().filter(d -> d.value().signum() != 0).mapToDouble(d -> d.step().doubleValue()).max()
                    .orElse(1);
            return new Across(divisions.stream().map(d -> d.value().multiply(sensitivity)).toList(), feet,
                    sensitivity.doubleValue() * Math.min(coarsest, 0.5), values.readWith());
        }

        @Override
        public StepJudgement judge(Across read, ChartLine line, Rules rules) {
            Gauge level = read.by.orElseGet(() -> rules.gauge(Rule.LEVEL));
            BigDecimal most = read.levels.stream().max(BigDecimal::compareTo).orElseThrow();
            BigDecimal twist = most.subtract(read.levels.stream().min(BigDecimal::compareTo).orElseThrow());
            double digit = Math.max(read.digit / RECTANGULAR, level.alone());
            Uncertainty u = Uncertainty.of(Math.sqrt(2) * digit, level.calibrated(twist.doubleValue()));
            return line.judged(twist, u, BigDecimal.ZERO, rules, across(read, rules.length(BigDecimal.valueOf(1000))));
        }

        private static Reason across(Across read, BigDecimal over) {
            return Reason.of(EvidenceReason.ACROSS_SLOPE,
                    Quantity.of(Takings.decimal(slope(read) * over.doubleValue()), Unit.MILLIMETRES_PER_METRE),
                    read.levels.size(), Quantity.of(over, Unit.MILLIMETRES));
        }

        /** By least squares, mm/m a mm. */
        private static double slope(Across read) {
            int n = read.levels.size();
            double mx = (n - 1) / 2.0;
            double mt = read.levels.stream().mapToDouble(BigDecimal::doubleValue).average().orElse(0);
            double top = IntStream.range(0, n).mapToDouble(i -> (i - mx) * (read.levels.get(i).doubleValue() - mt)).sum();
            return top / IntStream.range(0, n).mapToDouble(i -> (i - mx) * (i - mx)).sum() / read.spacing;
        }
    }

    /** An indicator against a straightedge, a bar or the machine's own travel: slope and straightness apart, one of them judged. */
    static final class IndicatorRun implements Taking<Along> {

        private final boolean parallel;

        IndicatorRun(boolean parallel) {
            this.parallel = parallel;
        }

        @Override
        public List<Field> fields(ChartLine line) {
            return List.of(new Field("spacing", Entry.LENGTH, FieldUnit.LENGTH, Preset.NONE, List.of(), true),
                    new Field("along", Entry.SERIES, FieldUnit.DIAL, Preset.NONE, List.of(), true));
        }

        @Override
        public boolean isSigned() {
            return parallel;
        }

        @Override
        public Along read(Values values, ChartLine line) {
            double spacing = Takings.positive(values, "spacing").mm().doubleValue();
            List<TypedLength> readings = Takings.signed(values.text("along"), values, "along");
            Straightness run = values.at("along", () -> Straightness.equallySpaced(spacing, Takings.mm(readings)));
            return new Along(run, Values.coarsest(readings).doubleValue() / RECTANGULAR, values.readWith());
        }

        @Override
        public StepJudgement judge(Along read, ChartLine line, Rules rules) {
            Straightness run = read.run;
            Gauge gauge = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR));
            double one = Math.max(read.digit, gauge.alone());
            double rise = run.slope() * run.length();
            double value = parallel ? rise : run.rest();
            double spread = IntStream.range(0, run.x().size()).mapToDouble(i -> Math.pow(run.x().get(i) - run.length() / 2, 2)).sum();
            double digit = parallel ? one * run.length() / Math.sqrt(spread) : Math.sqrt(2) * one;
            Uncertainty u = Uncertainty.of(digit, gauge.calibrated(value));
            return line.judged(Takings.decimal(value), u, BigDecimal.valueOf(run.length()), rules,
                    Reason.of(EvidenceReason.RUN_APART, Takings.shown(rise), Takings.shown(run.length()), Takings.shown(run.rest()),
                            Takings.shown(run.leastZone())));
        }
    }

    /** Rows of heights over a face. */
    static final class Grid implements Taking<Face> {

        @Override
        public List<Field> fields(ChartLine line) {
            return List.of(new Field("stepAcross", Entry.LENGTH, FieldUnit.LENGTH, Preset.NONE, List.of(), true),
                    new Field("stepDown", Entry.LENGTH, FieldUnit.LENGTH, Preset.NONE, List.of(), true),
                    new Field("heights", Entry.LONG_TEXT, FieldUnit.DIAL, Preset.NONE, List.of(), true));
        }

        @Override
        public Face read(Values values, ChartLine line) {
            double across = Takings.positive(values, "stepAcross").mm().doubleValue();
            double down = Takings.positive(values, "stepDown").mm().doubleValue();
            List<List<TypedLength>> rows = new ArrayList<>();
            values.text("heights").lines().map(String::strip).filter(row -> !row.isEmpty())
                    .forEach(row -> rows.add(Takings.signed(row, values, "heights")));
            FlatFace face = values.at("heights", () -> FlatFace.grid(across, down, rows.stream().map(Takings::mm).toList()));
            double longer = Math.max(across * (rows.get(0).size() - 1), down * (rows.size() - 1));
            return new Face(face, longer, Values.coarsest(rows.stream().flatMap(List::stream).toList()), values.readWith());
        }

        @Override
        public StepJudgement judge(Face read, ChartLine line, Rules rules) {
            BigDecimal zone = Takings.decimal(read.face.zone());
            Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(zone, read.step);
            BigDecimal longer = new BigDecimal(read.longer).setScale(3, RoundingMode.HALF_UP);
            return line.judged(zone, u, longer, rules,
                    Reason.of(EvidenceReason.GRID_SAYS, read.face.points().size(),
                            Takings.shown(read.face.spread(read.face.leastSquares())),
                            Quantity.of(longer.stripTrailingZeros(), Unit.MILLIMETRES)));
        }
    }
}
