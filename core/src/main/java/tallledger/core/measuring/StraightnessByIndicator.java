package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.List;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.geometry.Straightness;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/** How straight: what is left beside the line of best fit. */
public record StraightnessByIndicator() implements MeasuringMethod<HeightsAlong> {

    @Override
    public Rule gauge() {
        return Rule.INDICATOR;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.straightnessByIndicator(this);
    }

    @Override
    public <T> T accept(HeightsAlong readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.straightnessByIndicator(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return IndicatorRun.fields();
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
        double value = run.rest();
        Uncertainty u = Uncertainty.of(Math.sqrt(2) * one, gauge.calibrated(value));
        return line.judged(ReckonedFigures.decimal(value), u, BigDecimal.valueOf(run.length()), rules, IndicatorRun.says(read));
    }
}
