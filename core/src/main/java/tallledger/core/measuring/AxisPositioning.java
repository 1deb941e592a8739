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
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Grade;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.geometry.AxisTest;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/** A line a target: "100: 2 3 2 / -1 0 -1", position in the machine's unit, deviations in µm upwards and downwards. */
public record AxisPositioning() implements MeasuringMethod<AxisPositioning.AxisReadings> {

    /**
     * An axis, mm.
     *
     * @param step  worth of the last digit of its deviations, mm
     * @param apart machine less gauge, K; empty where nobody read it
     */
    public record AxisReadings(AxisTest test, BigDecimal step, Optional<Gauge> by, Optional<BigDecimal> apart) {

        /** Between its outermost targets, mm. */
        double length() {
            return test.targets().stream().mapToDouble(AxisTest.Target::position).max().orElse(0)
                    - test.targets().stream().mapToDouble(AxisTest.Target::position).min().orElse(0);
        }
    }

    @Override
    public Rule gauge() {
        return Rule.INDICATOR;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.axisPositioning(this);
    }

    @Override
    public <T> T accept(AxisPositioning.AxisReadings readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.axisPositioning(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return List.of(RecordField.must("targets", InputKind.LONG_TEXT, FieldUnit.DEVIATION));
    }

    @Override
    public AxisReadings read(Values values, ChartLine<?> line) {
        List<AxisTest.Target> targets = new ArrayList<>();
        List<BigDecimal> steps = new ArrayList<>();
        for (String row : values.text("targets").split("\\R")) {
            if (!row.isBlank()) {
                targets.add(values.at("targets", () -> target(row.strip(), values, steps)));
            }
        }
        AxisTest test = values.at("targets", () -> new AxisTest(targets));
        return new AxisReadings(test, steps.stream().reduce(BigDecimal.ZERO, BigDecimal::max), values.readWith(),
                values.apart());
    }

    private static AxisTest.Target target(String row, Values values, List<BigDecimal> steps) {
        String[] parts = row.split("\\s*[:/|]\\s*");
        if (parts.length != 3) {
            throw Refused.because(MeasuringReason.TARGET_LINE, row);
        }
        return new AxisTest.Target(TypedLength.parse(parts[0], values.unit()).mm().doubleValue(), deviations(parts[1], values, steps),
                deviations(parts[2], values, steps));
    }

    private static List<Double> deviations(String text, Values values, List<BigDecimal> steps) {
        return TypedLength.row(text, values.deviationUnit()).stream().peek(d -> steps.add(d.step())).map(d -> d.mm().doubleValue())
                .toList();
    }

    @Override
    public StepJudgement judge(AxisReadings read, ChartLine<?> line, Rules rules) {
        AxisTest test = read.test;
        BigDecimal accuracy = ReckonedFigures.decimal(test.accuracy());
        Gauge gauge = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR));
        Uncertainty u = GaugeWarmth.warm(gauge.difference(accuracy, read.step), read.length(), read.apart);
        StepJudgement a = line.judged(accuracy, u, BigDecimal.ZERO, rules);
        BigDecimal repeatability = ReckonedFigures.decimal(test.repeatability());
        StepJudgement r = LimitJudge.byGrade(repeats(rules), repeatability, gauge.difference(repeatability, read.step));
        List<Reason> because = new ArrayList<>();
        because.add(Reason.of(MeasuringReason.AXIS_A, a.because()));
        because.add(Reason.of(MeasuringReason.AXIS_R, r.because()));
        because.add(Reason.of(MeasuringReason.AXIS_SAYS, ReckonedFigures.micrometres(test.reversal()),
                ReckonedFigures.micrometres(test.systematic()),
                ReckonedFigures.micrometres(test.meanBidirectional()), test.targets().size(), test.runs()));
        because.addAll(GaugeWarmth.temperature(read.length(), read.apart, rules));
        boolean worse = r.outcome().compareTo(a.outcome()) != 0 && weight(r) > weight(a);
        return new StepJudgement(worse ? r.outcome() : a.outcome(),
                Grade.worse(a.grade(), r.grade()), because,
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
