package tallledger.core.coverage;

import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import tallledger.core.drive.Speed;
import tallledger.core.drive.SpeedTable;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * The cold-spindle rule (house): start at the lowest speed; never go to a speed above 4 × the highest run so far. Four times
 * exactly is allowed, and where the machine's own next speed is further away, that one step is.
 *
 * @param mostStep 4
 */
public record ColdSpindle(SpeedTable table, double mostStep) {

    /** Plate figures are rounded: 4 exactly must stay 4. */
    private static final double ROUNDING = 1e-9;

    /** Where no speed at all is known every one is taken for the same. */
    private static final double UNKNOWN = 1;

    public static ColdSpindle of(SpeedTable table, Rules rules) {
        return new ColdSpindle(table, rules.value(Rule.COLD_STEP));
    }

    /** Whether a speed may be run now. One that nobody can place may be as fast as the fastest known, and waits until that may be run. */
    public boolean allows(OptionalDouble highestRun, Speed next) {
        double target = placed(next);
        if (highestRun.isEmpty()) {
            return target <= lowest().orElse(target) * (1 + SpeedTable.SAME_SPEED);
        }
        return target <= reach(highestRun.getAsDouble());
    }

    /** What a speed is taken for, min⁻¹: its own, or the fastest known where nobody can place it. */
    double placed(Speed speed) {
        return speed.expected().orElseGet(() -> fastest().orElse(UNKNOWN));
    }

    private OptionalDouble lowest() {
        return known().min();
    }

    private OptionalDouble fastest() {
        return known().max();
    }

    private DoubleStream known() {
        return table.speeds().stream().flatMap(s -> s.expected().stream()).mapToDouble(Double::doubleValue);
    }

    /** Highest speed, min⁻¹, that may follow when {@code highestRun} is the highest so far. */
    public double reach(double highestRun) {
        double ownNext = table.speeds().stream().flatMap(s -> s.expected().stream()).mapToDouble(Double::doubleValue)
                .filter(n -> n > highestRun * (1 + SpeedTable.SAME_SPEED)).min().orElse(highestRun);
        return Math.max(highestRun * mostStep * (1 + ROUNDING), ownNext);
    }
}
