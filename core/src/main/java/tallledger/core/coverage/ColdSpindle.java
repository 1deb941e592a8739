package tallledger.core.coverage;

import java.util.Collection;
import java.util.OptionalDouble;
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

    private ColdSpindle() {
    }

    /** Whether a speed may be run now. Speeds nobody can place wait until all others are run, so they pass. */
    public static boolean allows(SpeedTable table, OptionalDouble highestRun, Speed next) {
        if (next.expected().isEmpty()) {
            return true;
        }
        double target = next.expected().get();
        double lowest = table.speeds().stream().flatMap(s -> s.expected().stream())
                .mapToDouble(Double::doubleValue).min().orElse(target);
        if (highestRun.isEmpty()) {
            return target <= lowest * (1 + SpeedTable.SAME_SPEED);
        }
        return target <= reach(table, highestRun.getAsDouble());
    }

    /** Highest speed, min⁻¹, that may follow when {@code highestRun} is the highest so far. */
    public static double reach(SpeedTable table, double highestRun) {
        double ownNext = table.speeds().stream().flatMap(s -> s.expected().stream()).mapToDouble(Double::doubleValue)
                .filter(n -> n > highestRun * (1 + SpeedTable.SAME_SPEED)).min().orElse(highestRun);
        return Math.max(highestRun * MOST_STEP * (1 + ROUNDING), ownNext);
    }

    public static OptionalDouble highest(Collection<Speed> run) {
        return run.stream().flatMap(s -> s.expected().stream()).mapToDouble(Double::doubleValue).max();
    }
}
