package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/** StepResponse commanded against steps moved: the greatest error is judged. */
public record StepResponse() implements MeasuringMethod<StepResponse.StepReadings> {

    /**
     * StepResponse of one size: where it stood after each.
     *
     * @param commanded mm each
     * @param apart     machine less gauge, K; empty where nobody read it
     */
    public record StepReadings(TypedLength commanded, ReadingSeries stood, Optional<BigDecimal> apart) {

        /** What each step was off by, mm, counted the way the row goes as a whole: a step back is short by more than itself. */
        public List<BigDecimal> errors() {
            List<BigDecimal> moved = IntStream.range(1, stood.readings().size())
                    .mapToObj(i -> stood.readings().get(i).mm().subtract(stood.readings().get(i - 1).mm())).toList();
            int along = moved.stream().reduce(BigDecimal.ZERO, BigDecimal::add).signum();
            int way = along != 0 ? along : moved.stream().mapToInt(BigDecimal::signum).filter(s -> s != 0).findFirst().orElse(1);
            return moved.stream().map(m -> (way < 0 ? m.negate() : m).subtract(commanded.mm())).toList();
        }
    }

    @Override
    public Rule gauge() {
        return Rule.INDICATOR;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.stepResponse(this);
    }

    @Override
    public <T> T accept(StepResponse.StepReadings readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.stepResponse(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return List.of(RecordField.must("commanded", InputKind.LENGTH, FieldUnit.LENGTH),
                RecordField.must("stood", InputKind.SERIES, FieldUnit.LENGTH));
    }

    @Override
    public StepReadings read(Values values, ChartLine<?> line) {
        return new StepReadings(TypedRows.positive(values, "commanded"), ReadingSeries.row(values, "stood"), values.apart());
    }

    @Override
    public StepJudgement judge(StepReadings read, ChartLine<?> line, Rules rules) {
        BigDecimal worst = read.errors().stream().map(BigDecimal::abs).max(BigDecimal::compareTo).orElseThrow();
        Uncertainty u = GaugeWarmth.warm(read.stood.by().orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(worst, read.stood.step()),
                read.commanded.mm().doubleValue(), read.apart);
        double sum = read.errors().stream().mapToDouble(BigDecimal::doubleValue).sum();
        List<Reason> says =
                new ArrayList<>(List.of(Reason.of(MeasuringReason.STEPS_SAY, read.errors().size(), ReckonedFigures.shown(sum))));
        says.addAll(GaugeWarmth.temperature(read.commanded.mm().doubleValue(), read.apart, rules));
        return line.judged(worst, u, BigDecimal.ZERO, rules, says.toArray(Reason[]::new));
    }
}
