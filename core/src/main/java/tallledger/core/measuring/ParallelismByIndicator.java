package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.List;
import java.util.stream.IntStream;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.geometry.Straightness;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/** How parallel: the rise of the line of best fit from one end to the other. */
public record ParallelismByIndicator() implements MeasuringMethod<HeightsAlong> {

    @Override
    public Rule gauge() {
        return Rule.INDICATOR;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.parallelismByIndicator(this);
    }

    @Override
    public <T> T accept(HeightsAlong readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.parallelismByIndicator(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return IndicatorRun.fields();
    }

    @Override
    public boolean isSigned() {
        return true;
    }

    @Override
    public HeightsAlong read(Values values, ChartLine<?> line) {
        return IndicatorRun.read(values);
    }

    @Override
    public StepJudgement judge(HeightsAlong read, ChartLine<?> line, Rules rules) {
        Straightness run = read.run();
        Gauge gauge = read.by().orElseGet(() -> rules.gauge(Rule.INDICATOR));
        double one = IndicatorRun.one(read, gauge);
        double value = IndicatorRun.rise(read);
        double spread = IntStream.range(0, run.x().size()).mapToDouble(i -> Math.pow(run.x().get(i) - run.length() / 2, 2)).sum();
        Uncertainty u = Uncertainty.of(one * run.length() / Math.sqrt(spread), gauge.calibrated(value));
        return line.judged(ReckonedFigures.decimal(value), u, BigDecimal.valueOf(run.length()), rules, IndicatorRun.says(read));
    }
}
