package tallledger.core.coverage;

import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import tallledger.core.drive.Speed;
import tallledger.core.drive.SpeedTable;

/**
 * The cold-spindle rule (house): start at the lowest speed; never go to a speed above 4 × the highest run so far. Four times
 * exactly is allowed, and where the machine's own next speed is further away, that one step is.
 */
public final class ColdSpindle {

    public static final double MOST_STEP = 4;
    /** Plate figures are rounded: 4 exactly must stay 4. */
    private static final double ROUNDING = 1e-9;

    /** Where no speed at all is known every one is taken for the same. */
    private static final double UNKNOWN = 1;

    private ColdSpindle() {
    }

    /** Whether a speed may be run now. One that nobody can place may be as fast as the fastest known, and waits until that may be run. */
    public static boolean allows(SpeedTable table, OptionalDouble highestRun, Speed next) {
        double target = placed(table, next);
        if (highestRun.isEmpty()) {
            return target <= lowest(table).orElse(target) * (1 + SpeedTable.SAME_SPEED);
        }
        return target <= reach(table, highestRun.getAsDouble());
    }

    /** What a speed is taken for, min⁻¹: its own, or the fastest known where nobody can place it. */
    static double placed(SpeedTable table, Speed speed) {
        return speed.expected().orElseGet(() -> fastest(table).orElse(UNKNOWN));
    }

    private static OptionalDouble lowest(SpeedTable table) {
        return known(table).min();
    }

    private static OptionalDouble fastest(SpeedTable table) {
        return known(table).max();
    }

    private static DoubleStream known(SpeedTable table) {
        return table.speeds().stream().flatMap(s -> s.expected().stream()).mapToDouble(Double::doubleValue);
    }

    /** Highest speed, min⁻¹, that may follow when {@code highestRun} is the highest so far. */
    public static double reach(SpeedTable table, double highestRun) {
        double ownNext = table.speeds().stream().flatMap(s -> s.expected().stream()).mapToDouble(Double::doubleValue)
                .filter(n -> n > highestRun * (1 + SpeedTable.SAME_SPEED)).min().orElse(highestRun);
        return Math.max(highestRun * MOST_STEP * (1 + ROUNDING), ownNext);
    }
}
