package tallledger.core.drive;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * One thing to run: a distinct speed with every route that gives it, a combination whose speed the plate no longer shows, or
 * the sweep of a sliding stage.
 *
 * @param kind     which of the three
 * @param nominal  what it should be, min⁻¹: the plate's value, else the drive's; empty for an unreadable cell and a sweep
 * @param expected best guess for ordering and the cold-spindle rule, min⁻¹; of a sweep its upper end
 * @param routes   routes that give it, forward ones first
 */
public record Speed(Kind kind, Optional<BigDecimal> nominal, Optional<Double> expected, List<Route> routes) {

    public enum Kind { SPEED, UNREADABLE, SWEEP }

    public Speed {
        routes = List.copyOf(routes);
    }

    public boolean isSweep() {
        return kind == Kind.SWEEP;
    }
}
