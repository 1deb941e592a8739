package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.geometry.CircleTest;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** Two lists, an angle and a deviation in µm a line; or x and y in mm from the centre. */
public record CircularPath() implements MeasuringMethod<CircularPath.CircleReadings> {

    private static final double MICROMETRES = 1000;
    /** Pairs that all lie this near to the nominal radius are places, not angles and deviations; as a share. */
    private static final double NEAR_RADIUS = 0.2;

    /** A circle, µm and mm. */
    public record CircleReadings(CircleTest test, Optional<Gauge> by) {
    }

    @Override
    public Rule gauge() {
        return Rule.INDICATOR;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.circularPath(this);
    }

    @Override
    public <T> T accept(CircularPath.CircleReadings readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.circularPath(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return List.of(RecordField.must("nominal", InputKind.LENGTH, FieldUnit.LENGTH),
                RecordField.must("counter", InputKind.LONG_TEXT, FieldUnit.ANGLE_AND_DEVIATION),
                RecordField.must("clockwise", InputKind.LONG_TEXT, FieldUnit.ANGLE_AND_DEVIATION));
    }

    @Override
    public CircleReadings read(Values values, ChartLine<?> line) {
        double radius = TypedRows.positive(values, "nominal").mm().doubleValue();
        List<CircleTest.CirclePoint> counter = points(values, "counter", radius);
        List<CircleTest.CirclePoint> clockwise = points(values, "clockwise", radius);
        return new CircleReadings(values.at("counter", () -> new CircleTest(radius, counter, clockwise)), values.readWith());
    }

    /** An angle and a deviation a line; or x and y from the centre, which all lie about the nominal radius away from it. */
    private static List<CircleTest.CirclePoint> points(Values values, String field, double radius) {
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
                ? new CircleTest.CirclePoint(Math.toDegrees(Math.atan2(r[1], r[0])), (Math.hypot(r[0], r[1]) * mm - radius) * MICROMETRES)
                : new CircleTest.CirclePoint(r[0], r[1] * micrometres)).toList();
    }

    private static double[] pair(String row, LengthUnit machine) {
        String[] two = row.split("[\\s,]+");
        if (two.length != 2) {
            throw Refused.because(MeasuringReason.CIRCLE_LINE, row.length() > 40 ? row.substring(0, 40) : row,
                    FieldUnit.DEVIATION.in(machine));
        }
        return new double[] {TypedNumber.parse(two[0]).value().doubleValue(), TypedNumber.parse(two[1]).value().doubleValue()};
    }

    @Override
    public StepJudgement judge(CircleReadings read, ChartLine<?> line, Rules rules) {
        CircleTest test = read.test.centred();
        CircleTest.CircleShares e = read.test.explained();
        double g = Math.max(CircleTest.circular(test.counterClockwise()), CircleTest.circular(test.clockwise())) / MICROMETRES;
        BigDecimal form = ReckonedFigures.decimal(g);
        Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(form, BigDecimal.ZERO);
        double most = extreme(test, 1) / MICROMETRES;
        double least = extreme(test, -1) / MICROMETRES;
        Reason figures = Reason.of(MeasuringReason.CIRCLE_SAYS,
                ReckonedFigures.micrometres(CircleTest.circular(test.counterClockwise()) / MICROMETRES),
                ReckonedFigures.micrometres(CircleTest.circular(test.clockwise()) / MICROMETRES), ReckonedFigures.micrometres(most),
                ReckonedFigures.micrometres(least),
                ReckonedFigures.micrometres(test.hysteresis().deviation() / MICROMETRES),
                BigDecimal.valueOf(Math.round(test.hysteresis().degrees()) % 360));
        return line.judged(form, u, BigDecimal.ZERO, rules, figures, explained(e, test.radius()));
    }

    private static double extreme(CircleTest test, int sign) {
        return sign * java.util.stream.Stream.concat(test.counterClockwise().stream(), test.clockwise().stream())
                .mapToDouble(p -> sign * p.deviation()).max().orElse(0);
    }

    /** The largest share first. */
    private static Reason explained(CircleTest.CircleShares e, double radius) {
        List<Object> parts = new ArrayList<>();
        record LostPart(double share, Reason says) {
        }
        List<LostPart> all = new ArrayList<>(List.of(
                new LostPart(e.shares().scale(), Reason.of(MeasuringReason.CIRCLE_SCALE, share(e.shares().scale()),
                        per(2 * e.scale() / radius * MICROMETRES))),
                new LostPart(e.shares().square(), Reason.of(MeasuringReason.CIRCLE_SQUARE, share(e.shares().square()),
                        per(2 * e.square() / radius * MICROMETRES))),
                new LostPart(e.shares().lost(),
                        Reason.of(MeasuringReason.CIRCLE_LOST, share(e.shares().lost()),
                                ReckonedFigures.micrometres(e.lostX() / MICROMETRES),
                                ReckonedFigures.micrometres(e.lostY() / MICROMETRES))),
                new LostPart(e.shares().rest(),
                        Reason.of(MeasuringReason.CIRCLE_REST, share(e.shares().rest()),
                                ReckonedFigures.micrometres(e.spike() / MICROMETRES)))));
        all.sort((a, b) -> Double.compare(b.share, a.share));
        all.forEach(part -> parts.add(part.says));
        return Reason.of(MeasuringReason.CIRCLE_EXPLAINED, parts);
    }

    private static BigDecimal share(double percent) {
        return BigDecimal.valueOf(Math.round(percent));
    }

    private static Quantity per(double micrometresPerMetre) {
        return Quantity.of(new BigDecimal(micrometresPerMetre).setScale(1, java.math.RoundingMode.HALF_UP).stripTrailingZeros(),
                Unit.MICROMETRES_PER_METRE);
    }
}
