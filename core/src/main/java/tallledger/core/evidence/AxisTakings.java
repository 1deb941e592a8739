package tallledger.core.evidence;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.evidence.Recording.Entry;
import tallledger.core.evidence.Recording.Field;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.geometry.AxisTest;
import tallledger.core.geometry.CircleTest;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** Axes at their targets and circles, as they are typed or pasted. */
public final class AxisTakings {

    private static final double MICROMETRES = 1000;
    /** Pairs that all lie this near to the nominal radius are places, not angles and deviations; as a share. */
    private static final double NEAR_RADIUS = 0.2;

    private AxisTakings() {
    }

    /**
     * An axis, mm.
     *
     * @param step  worth of the last digit of its deviations, mm
     * @param apart machine less gauge, K; empty where nobody read it
     */
    public record Tested(AxisTest test, BigDecimal step, Optional<Gauge> by, Optional<BigDecimal> apart) {

        /** Between its outermost targets, mm. */
        double length() {
            return test.targets().stream().mapToDouble(AxisTest.Target::position).max().orElse(0)
                    - test.targets().stream().mapToDouble(AxisTest.Target::position).min().orElse(0);
        }
    }

    /** A circle, µm and mm. */
    public record Driven(CircleTest test, Optional<Gauge> by) {
    }

    /** A line a target: "100: 2 3 2 / -1 0 -1", position in the machine's unit, deviations in µm upwards and downwards. */
    static final class Targets implements Taking<Tested> {

        @Override
        public List<Field> fields(ChartLine line) {
            return List.of(Field.must("targets", Entry.LONG_TEXT, FieldUnit.DEVIATION));
        }

        @Override
        public Tested read(Values values, ChartLine line) {
            List<AxisTest.Target> targets = new ArrayList<>();
            List<BigDecimal> steps = new ArrayList<>();
            for (String row : values.text("targets").split("\\R")) {
                if (!row.isBlank()) {
                    targets.add(values.at("targets", () -> target(row.strip(), values, steps)));
                }
            }
            AxisTest test = values.at("targets", () -> new AxisTest(targets));
            return new Tested(test, steps.stream().reduce(BigDecimal.ZERO, BigDecimal::max), values.readWith(),
                    values.apart());
        }

        private static AxisTest.Target target(String row, Values values, List<BigDecimal> steps) {
            String[] parts = row.split("\\s*[:/|]\\s*");
            if (parts.length != 3) {
                throw Refused.because(EvidenceReason.TARGET_LINE, row);
            }
            return new AxisTest.Target(TypedLength.parse(parts[0], values.unit()).mm().doubleValue(), deviations(parts[1], values, steps),
                    deviations(parts[2], values, steps));
        }

        private static List<Double> deviations(String text, Values values, List<BigDecimal> steps) {
            return TypedLength.row(text, values.deviationUnit()).stream().peek(d -> steps.add(d.step())).map(d -> d.mm().doubleValue())
                    .toList();
        }

        @Override
        public StepJudgement judge(Tested read, ChartLine line, Rules rules) {
            AxisTest test = read.test;
            BigDecimal accuracy = Takings.decimal(test.accuracy());
            Gauge gauge = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR));
            Uncertainty u = Takings.warm(gauge.difference(accuracy, read.step), read.length(), read.apart);
            StepJudgement a = line.judged(accuracy, u, BigDecimal.ZERO, rules);
            BigDecimal repeatability = Takings.decimal(test.repeatability());
            StepJudgement r = Recordings.byGrade(repeats(rules), repeatability, gauge.difference(repeatability, read.step));
            List<Reason> because = new ArrayList<>();
            because.add(Reason.of(EvidenceReason.AXIS_A, a.because()));
            because.add(Reason.of(EvidenceReason.AXIS_R, r.because()));
            because.add(Reason.of(EvidenceReason.AXIS_SAYS, Takings.micrometres(test.reversal()), Takings.micrometres(test.systematic()),
                    Takings.micrometres(test.meanBidirectional()), test.targets().size(), test.runs()));
            because.addAll(Takings.temperature(read.length(), read.apart, rules));
            boolean worse = r.outcome().compareTo(a.outcome()) != 0 && weight(r) > weight(a);
            return new StepJudgement(worse ? r.outcome() : a.outcome(),
                    a.grade().flatMap(x -> r.grade().map(y -> x.compareTo(y) > 0 ? x : y)), because,
                    List.of(a.figures().get(0).named(Figure.Name.ACCURACY), r.figures().get(0).named(Figure.Name.REPEATABILITY)));
        }

        private static int weight(StepJudgement judged) {
            return switch (judged.outcome()) {
                case FAILED -> 2;
                case UNDECIDED -> 1;
                case PROVEN -> 0;
            };
        }

        private static GradedLimit repeats(Rules rules) {
            return rules.graded(Rule.AXIS_REPEAT);
        }
    }

    /** Two lists, an angle and a deviation in µm a line; or x and y in mm from the centre. */
    static final class Circle implements Taking<Driven> {

        @Override
        public List<Field> fields(ChartLine line) {
            return List.of(Field.must("nominal", Entry.LENGTH, FieldUnit.LENGTH),
                    Field.must("counter", Entry.LONG_TEXT, FieldUnit.ANGLE_AND_DEVIATION),
                    Field.must("clockwise", Entry.LONG_TEXT, FieldUnit.ANGLE_AND_DEVIATION));
        }

        @Override
        public Driven read(Values values, ChartLine line) {
            double radius = Takings.positive(values, "nominal").mm().doubleValue();
            List<CircleTest.Point> counter = points(values, "counter", radius);
            List<CircleTest.Point> clockwise = points(values, "clockwise", radius);
            return new Driven(values.at("counter", () -> new CircleTest(radius, counter, clockwise)), values.readWith());
        }

        /** An angle and a deviation a line; or x and y from the centre, which all lie about the nominal radius away from it. */
        private static List<CircleTest.Point> points(Values values, String field, double radius) {
            List<double[]> rows = new ArrayList<>();
            for (String row : values.text(field).split("[\\r\\n;]+")) {
                if (!row.isBlank()) {
                    values.at(field, () -> rows.add(pair(row.strip(), values.bare())));
                }
            }
            double mm = values.unit().millimetres().doubleValue();
            boolean places = !rows.isEmpty() && rows.stream().allMatch(r -> Math.abs(Math.hypot(r[0], r[1]) * mm / radius
                    - 1) < NEAR_RADIUS);
            double micrometres = values.deviationUnit().doubleValue() * MICROMETRES;
            return rows.stream().map(r -> places
                    ? new CircleTest.Point(Math.toDegrees(Math.atan2(r[1], r[0])), (Math.hypot(r[0], r[1]) * mm - radius) * MICROMETRES)
                    : new CircleTest.Point(r[0], r[1] * micrometres)).toList();
        }

        private static double[] pair(String row, LengthUnit machine) {
            String[] two = row.split("[\\s,]+");
            if (two.length != 2) {
                throw Refused.because(EvidenceReason.CIRCLE_LINE, row.length() > 40 ? row.substring(0, 40) : row,
                        FieldUnit.DEVIATION.in(machine));
            }
            return new double[] {TypedNumber.parse(two[0]).value().doubleValue(), TypedNumber.parse(two[1]).value().doubleValue()};
        }

        @Override
        public StepJudgement judge(Driven read, ChartLine line, Rules rules) {
            CircleTest test = read.test.centred();
            CircleTest.Explained e = read.test.explained();
            double g = Math.max(CircleTest.circular(test.counterClockwise()), CircleTest.circular(test.clockwise())) / MICROMETRES;
            BigDecimal form = Takings.decimal(g);
            Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(form, BigDecimal.ZERO);
            double most = extreme(test, 1) / MICROMETRES;
            double least = extreme(test, -1) / MICROMETRES;
            Reason figures = Reason.of(EvidenceReason.CIRCLE_SAYS,
                    Takings.micrometres(CircleTest.circular(test.counterClockwise()) / MICROMETRES),
                    Takings.micrometres(CircleTest.circular(test.clockwise()) / MICROMETRES), Takings.micrometres(most),
                    Takings.micrometres(least),
                    Takings.micrometres(test.hysteresis().deviation() / MICROMETRES),
                    BigDecimal.valueOf(Math.round(test.hysteresis().degrees()) % 360));
            return line.judged(form, u, BigDecimal.ZERO, rules, figures, explained(e, test.radius()));
        }

        private static double extreme(CircleTest test, int sign) {
            return sign * java.util.stream.Stream.concat(test.counterClockwise().stream(), test.clockwise().stream())
                    .mapToDouble(p -> sign * p.deviation()).max().orElse(0);
        }

        /** The largest share first. */
        private static Reason explained(CircleTest.Explained e, double radius) {
            List<Object> parts = new ArrayList<>();
            record Part(double share, Reason says) {
            }
            List<Part> all = new ArrayList<>(List.of(
                    new Part(e.shares().scale(), Reason.of(EvidenceReason.CIRCLE_SCALE, share(e.shares().scale()),
                            per(2 * e.scale() / radius * MICROMETRES))),
                    new Part(e.shares().square(), Reason.of(EvidenceReason.CIRCLE_SQUARE, share(e.shares().square()),
                            per(2 * e.square() / radius * MICROMETRES))),
                    new Part(e.shares().lost(),
                            Reason.of(EvidenceReason.CIRCLE_LOST, share(e.shares().lost()), Takings.micrometres(e.lostX() / MICROMETRES),
                                    Takings.micrometres(e.lostY() / MICROMETRES))),
                    new Part(e.shares().rest(),
                            Reason.of(EvidenceReason.CIRCLE_REST, share(e.shares().rest()),
                                    Takings.micrometres(e.spike() / MICROMETRES)))));
            all.sort((a, b) -> Double.compare(b.share, a.share));
            all.forEach(part -> parts.add(part.says));
            return Reason.of(EvidenceReason.CIRCLE_EXPLAINED, parts);
        }

        private static BigDecimal share(double percent) {
            return BigDecimal.valueOf(Math.round(percent));
        }

        private static Quantity per(double micrometresPerMetre) {
            return Quantity.of(new BigDecimal(micrometresPerMetre).setScale(1, java.math.RoundingMode.HALF_UP).stripTrailingZeros(),
                    Unit.MICROMETRES_PER_METRE);
        }
    }
}
