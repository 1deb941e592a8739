package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.geometry.Straightness;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** t_k mm/m; max − min is judged, the slope along is for information. */
public record TwistByLevels() implements MeasuringMethod<TwistByLevels.LevelReadings> {

    /** Levels across at equal spacing, mm/m. @param digit worth of the last digit, mm/m */
    public record LevelReadings(List<BigDecimal> levels, double spacing, double digit, Optional<Gauge> by) {
    }

    @Override
    public Rule gauge() {
        return Rule.LEVEL;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.twistByLevels(this);
    }

    @Override
    public <T> T accept(TwistByLevels.LevelReadings readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.twistByLevels(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return LevelFields.level("levels");
    }

    @Override
    public LevelReadings read(Values values, ChartLine<?> line) {
        BigDecimal sensitivity = values.sensitivity("sensitivity");
        double feet = TypedRows.positive(values, "feet").mm().doubleValue();
        List<TypedNumber> divisions = TypedRows.numbers(values, "levels");
        if (divisions.size() < 2 || divisions.size() > Straightness.MOST) {
            throw Refused.because(MeasuringReason.ACROSS_COUNT, divisions.size(), 2, Straightness.MOST).at("levels");
        }
        double coarsest = divisions.stream().filter(d -> d.value().signum() != 0).mapToDouble(d -> d.step().doubleValue()).max()
                .orElse(1);
        return new LevelReadings(divisions.stream().map(d -> d.value().multiply(sensitivity)).toList(), feet,
                sensitivity.doubleValue() * Math.min(coarsest, 0.5), values.readWith());
    }

    @Override
    public StepJudgement judge(LevelReadings read, ChartLine<?> line, Rules rules) {
        Gauge level = read.by.orElseGet(() -> rules.gauge(Rule.LEVEL));
        BigDecimal most = read.levels.stream().max(BigDecimal::compareTo).orElseThrow();
        BigDecimal twist = most.subtract(read.levels.stream().min(BigDecimal::compareTo).orElseThrow());
        double digit = Math.max(read.digit / Gauge.RECTANGULAR, level.alone());
        Uncertainty u = Uncertainty.of(Math.sqrt(2) * digit, level.calibrated(twist.doubleValue()));
        return line.judged(twist, u, BigDecimal.ZERO, rules, across(read, rules.length(BigDecimal.valueOf(1000))));
    }

    private static Reason across(LevelReadings read, BigDecimal over) {
        return Reason.of(MeasuringReason.ACROSS_SLOPE,
                Quantity.of(ReckonedFigures.decimal(slope(read) * over.doubleValue()), Unit.MILLIMETRES_PER_METRE),
                read.levels.size(), Quantity.of(over, Unit.MILLIMETRES));
    }

    /** By least squares, mm/m a mm. */
    private static double slope(LevelReadings read) {
        int n = read.levels.size();
        double mx = (n - 1) / 2.0;
        double mt = read.levels.stream().mapToDouble(BigDecimal::doubleValue).average().orElse(0);
        double top = IntStream.range(0, n).mapToDouble(i -> (i - mx) * (read.levels.get(i).doubleValue() - mt)).sum();
        return top / IntStream.range(0, n).mapToDouble(i -> (i - mx) * (i - mx)).sum() / read.spacing;
    }
}
