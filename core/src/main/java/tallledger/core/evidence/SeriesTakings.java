package tallledger.core.evidence;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import tallledger.core.evidence.Recording.Entry;
import tallledger.core.evidence.Recording.Field;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** Sizes and places one after the other: collars, repeats, pieces, steps. */
public final class SeriesTakings {

    private static final int MOST = 200;
    private static final int FEWEST = 3;
    private static final BigDecimal THREE_HUNDRED = BigDecimal.valueOf(300);

    private SeriesTakings() {
    }

    /**
     * Two collars.
     *
     * @param centres length between centres, where they were turned so
     */
    public record TwoCollars(TypedLength head, TypedLength tail, TypedLength apart, Optional<TypedLength> centres, Optional<Gauge> by) {

        /** D_head − D_tail, mm. */
        public BigDecimal taper() {
            return head.mm().subtract(tail.mm());
        }
    }

    /** Readings in the order taken. */
    public record Row(List<TypedLength> readings, BigDecimal step, Optional<Gauge> by) {

        public BigDecimal range() {
            return readings.stream().map(TypedLength::mm).max(BigDecimal::compareTo).orElseThrow()
                    .subtract(readings.stream().map(TypedLength::mm).min(BigDecimal::compareTo).orElseThrow());
        }

        double mean() {
            return readings.stream().mapToDouble(r -> r.mm().doubleValue()).average().orElse(0);
        }

        /** s, n − 1. */
        public double deviation() {
            double mean = mean();
            return Math.sqrt(readings.stream().mapToDouble(r -> Math.pow(r.mm().doubleValue() - mean, 2)).sum() / (readings.size() - 1));
        }

        /** Least squares over the order, mm a piece. */
        public double trend() {
            double mx = (readings.size() - 1) / 2.0;
            double mean = mean();
            double top = IntStream.range(0, readings.size()).mapToDouble(i -> (i - mx) * (readings.get(i).mm().doubleValue() - mean)).sum();
            return top / IntStream.range(0, readings.size()).mapToDouble(i -> (i - mx) * (i - mx)).sum();
        }

        /** Whether the trend over all of them is more than the scatter about it explains: by Student's t for n − 2, two-sided 95 %. */
        public boolean hasTrend() {
            int n = readings.size();
            double mx = (n - 1) / 2.0;
            double b = trend();
            double mean = mean();
            double rest = IntStream.range(0, n).mapToDouble(i -> Math.pow(readings.get(i).mm().doubleValue() - mean - b * (i - mx), 2))
                    .sum();
            double sb = Math.sqrt(rest / Math.max(n - 2, 1) / IntStream.range(0, n).mapToDouble(i -> (i - mx) * (i - mx)).sum());
            return Math.abs(b) > Uncertainty.student(n - 2) * sb && Math.abs(b) > 1e-9;
        }
    }

    /**
     * Steps of one size: where it stood after each.
     *
     * @param commanded mm each
     * @param apart     machine less gauge, K; empty where nobody read it
     */
    public record Moved(TypedLength commanded, Row stood, Optional<BigDecimal> apart) {

        /** What each step was off by, mm, counted the way the row goes as a whole: a step back is short by more than itself. */
        public List<BigDecimal> errors() {
            List<BigDecimal> moved = IntStream.range(1, stood.readings.size())
                    .mapToObj(i -> stood.readings.get(i).mm().subtract(stood.readings.get(i - 1).mm())).toList();
            int along = moved.stream().reduce(BigDecimal.ZERO, BigDecimal::add).signum();
            int way = along != 0 ? along : moved.stream().mapToInt(BigDecimal::signum).filter(s -> s != 0).findFirst().orElse(1);
            return moved.stream().map(m -> (way < 0 ? m.negate() : m).subtract(commanded.mm())).toList();
        }
    }

    private static Row row(Values values, String field) {
        List<TypedLength> readings = Takings.signed(values.text(field), values, field);
        if (readings.size() < FEWEST || readings.size() > MOST) {
            throw Refused.because(EvidenceReason.ROW_COUNT, readings.size(), FEWEST, MOST).at(field);
        }
        return new Row(readings, Values.coarsest(readings), values.readWith());
    }

    /** Taper on the diameter; between centres also by how much the tailstock is off, (ΔD/2)·(C/L), and which way to move it. */
    static final class Collars implements Taking<TwoCollars> {

        @Override
        public List<Field> fields(ChartLine line) {
            return List.of(Field.must("head", Entry.LENGTH, FieldUnit.LENGTH), Field.must("tail", Entry.LENGTH, FieldUnit.LENGTH),
                    Field.must("apart", Entry.LENGTH, FieldUnit.LENGTH), Field.may("centres", Entry.LENGTH, FieldUnit.LENGTH));
        }

        @Override
        public TwoCollars read(Values values, ChartLine line) {
            TypedLength apart = Takings.positive(values, "apart");
            Optional<TypedLength> centres = values.has("centres") ? Optional.of(Takings.positive(values, "centres")) : Optional.empty();
            centres.filter(c -> c.mm().compareTo(apart.mm()) < 0).ifPresent(c -> {
                throw Refused.because(EvidenceReason.COLLARS_CENTRES, c.typed(), apart.typed()).at("centres");
            });
            return new TwoCollars(Takings.positive(values, "head"), Takings.positive(values, "tail"), apart, centres, values.readWith());
        }

        @Override
        public StepJudgement judge(TwoCollars read, ChartLine line, Rules rules) {
            BigDecimal taper = read.taper();
            Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.MICROMETER)).difference(taper, read.head.step().max(read.tail.step()));
            BigDecimal angle = taper.divide(read.apart.mm().multiply(BigDecimal.valueOf(2)), MathContext.DECIMAL64);
            BigDecimal over = rules.length(THREE_HUNDRED);
            Reason says = read.centres.map(c -> offset(read, c))
                    .orElseGet(() -> Reason.of(EvidenceReason.COLLARS_SAY,
                            Takings.shown(taper.doubleValue() * over.doubleValue() / read.apart.mm().doubleValue()),
                            Quantity.of(over, Unit.MILLIMETRES), Takings.slope(angle.doubleValue())));
            return line.judged(taper.abs(), u, read.apart.mm(), rules, says);
        }

        private static Reason offset(TwoCollars read, TypedLength centres) {
            double off = read.taper().doubleValue() / 2 * centres.mm().doubleValue() / read.apart.mm().doubleValue();
            // A small tail end: the tailstock stands towards the operator and is moved away.
            EvidenceReason code = off > 0 ? EvidenceReason.TAILSTOCK_AWAY
                    : off < 0 ? EvidenceReason.TAILSTOCK_TOWARDS
                            : EvidenceReason.TAILSTOCK_TRUE;
            return off == 0 ? Reason.of(code) : Reason.of(code, Takings.shown(Math.abs(off)));
        }
    }

    /** Come to the same place again: the range is judged. */
    static final class Repeats implements Taking<Row> {

        @Override
        public List<Field> fields(ChartLine line) {
            return List.of(Field.must("repeats", Entry.SERIES, FieldUnit.DIAL));
        }

        @Override
        public Row read(Values values, ChartLine line) {
            return row(values, "repeats");
        }

        @Override
        public StepJudgement judge(Row read, ChartLine line, Rules rules) {
            Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(read.range(), read.step);
            return line.judged(read.range(), u, BigDecimal.ZERO, rules,
                    Reason.of(EvidenceReason.REPEATS_SAY, read.readings.size(), Takings.shown(read.deviation())));
        }
    }

    /** Pieces in the order made: the spread of their sizes is judged, a trend is said. */
    static final class Pieces implements Taking<Row> {

        @Override
        public List<Field> fields(ChartLine line) {
            return List.of(Field.must("pieces", Entry.SERIES, FieldUnit.LENGTH));
        }

        @Override
        public Row read(Values values, ChartLine line) {
            return row(values, "pieces");
        }

        @Override
        public StepJudgement judge(Row read, ChartLine line, Rules rules) {
            Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.MICROMETER)).difference(read.range(), read.step);
            Reason trend = read.hasTrend() ? Reason.of(EvidenceReason.PIECES_TREND, Takings.micrometres(read.trend()))
                    : Reason.of(EvidenceReason.PIECES_EVEN);
            return line.judged(read.range(), u, BigDecimal.ZERO, rules,
                    Reason.of(EvidenceReason.PIECES_SAY, read.readings.size(), Takings.shown(read.mean()), Takings.shown(read.deviation()),
                            trend));
        }
    }

    /** Steps commanded against steps moved: the greatest error is judged. */
    static final class Steps implements Taking<Moved> {

        @Override
        public List<Field> fields(ChartLine line) {
            return List.of(Field.must("commanded", Entry.LENGTH, FieldUnit.LENGTH), Field.must("stood", Entry.SERIES, FieldUnit.LENGTH));
        }

        @Override
        public Moved read(Values values, ChartLine line) {
            return new Moved(Takings.positive(values, "commanded"), row(values, "stood"), values.apart());
        }

        @Override
        public StepJudgement judge(Moved read, ChartLine line, Rules rules) {
            BigDecimal worst = read.errors().stream().map(BigDecimal::abs).max(BigDecimal::compareTo).orElseThrow();
            Uncertainty u = Takings.warm(read.stood.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(worst, read.stood.step),
                    read.commanded.mm().doubleValue(), read.apart);
            double sum = read.errors().stream().mapToDouble(BigDecimal::doubleValue).sum();
            List<Reason> says = new ArrayList<>(List.of(Reason.of(EvidenceReason.STEPS_SAY, read.errors().size(), Takings.shown(sum))));
            says.addAll(Takings.temperature(read.commanded.mm().doubleValue(), read.apart, rules));
            return line.judged(worst, u, BigDecimal.ZERO, rules, says.toArray(Reason[]::new));
        }
    }
}
