package tallledger.core.blame;

import java.util.List;
import java.util.Optional;
import tallledger.core.drive.Numbering;
import tallledger.core.drive.Route;
import tallledger.core.reason.Reason;

/**
 * One explanation of wrong readings.
 *
 * @param kind    what sort of cause
 * @param misfit  how far the readings are from what it says, in ln; the best fit comes first
 * @param routes  the readings it explains
 * @param because the sentence that says why
 * @param numbering how the levers are numbered then, where that is the cause
 */
public record SpeedCause(Kind kind, double misfit, List<Route> routes, Reason because, Optional<Numbering> numbering) {

    /** Sorts of cause. */
    public enum Kind {
        UNLOADED, SUPPLY, INVERTER, BELT_GROOVE, COMMON, POSITION, PLATE, OTHER_POSITION, MULTIPLE, SLIP, NUMBERED
    }

    SpeedCause(Kind kind, double misfit, List<Route> routes, Reason because) {
        this(kind, misfit, routes, because, Optional.empty());
    }

    public SpeedCause {
        routes = List.copyOf(routes);
    }
}
