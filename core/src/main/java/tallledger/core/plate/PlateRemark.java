package tallledger.core.plate;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import tallledger.core.reason.Reason;

/**
 * Something about the plate a person should look at; never a change to it.
 *
 * @param kind      what sort of remark
 * @param cells     the cells meant, by their labels
 * @param predicted what the other cells say stands here, in the plate's unit
 * @param readings  values that a common misreading would turn into what is typed, the likeliest first
 * @param because   the sentence and its numbers
 */
public record PlateRemark(Kind kind, List<List<String>> cells, Optional<BigDecimal> predicted,
        List<Misreading> readings, Reason because) {

    /** Sorts of remark; {@link #ALTERNATIVES} is the only one where one of several cells is meant. */
    public enum Kind {
        REPEATED, UNREADABLE, COUNT, SUSPECT, ALTERNATIVES, NOT_MULTIPLYING, UNCHECKED, HOLE, CROWD, BROKEN_LADDER, LADDER,
        /** The stages as described give another speed, or another factor, than the plate. */
        CONTRADICTS
    }

    public PlateRemark {
        cells = List.copyOf(cells);
        readings = List.copyOf(readings);
    }

    /** Whether somebody should read the plate again before trusting it. */
    public boolean isDoubt() {
        return switch (kind) {
            case SUSPECT, ALTERNATIVES, NOT_MULTIPLYING, HOLE, CROWD, COUNT, CONTRADICTS -> true;
            case REPEATED, UNREADABLE, UNCHECKED, BROKEN_LADDER, LADDER -> false;
        };
    }
}
