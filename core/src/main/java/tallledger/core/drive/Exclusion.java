package tallledger.core.drive;

import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;
import tallledger.core.reason.Refused;

/**
 * Positions that cannot stand together (interlocked levers).
 *
 * @param positions stage name to position label, at least two
 */
public record Exclusion(Map<String, String> positions) {

    public Exclusion {
        // In the order of the levers' names: a copy would stand in another at each start.
        positions = Collections.unmodifiableSortedMap(new TreeMap<>(positions));
        if (positions.size() < 2) {
            throw Refused.because(DriveReason.EXCLUSION_SINGLE);
        }
    }
}
