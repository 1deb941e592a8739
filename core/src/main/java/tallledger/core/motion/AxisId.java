package tallledger.core.motion;

import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import tallledger.core.reason.Refused;

/**
 * What an axis is known by for good, whatever it is called later: records and claims hang on it.
 *
 * @param written as forms and entries name it: letters, digits and hyphens
 */
public record AxisId(String written) {

    private static final int LONGEST = 40;

    /** @throws Refused for anything else */
    public AxisId {
        if (!written.matches("[\\p{L}\\d-]{1," + LONGEST + "}")) {
            throw Refused.because(MotionReason.AXIS_ID, written.length() > Axis.LONGEST_NAME ? written.substring(0, Axis.LONGEST_NAME)
                    : written);
        }
    }

    /** Made of an axis' first name, unlike those that are taken. */
    public static AxisId named(String name, Set<AxisId> taken) {
        String plain = name.strip().toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\d]+", "-").replaceAll("^-|-$", "");
        String first = plain.isEmpty() ? "axis" : plain;
        AxisId id = new AxisId(first.length() > LONGEST ? first.substring(0, LONGEST) : first);
        for (int n = 2; taken.contains(id); n++) {
            String suffix = "-" + n;
            id = new AxisId(first.substring(0, Math.min(first.length(), LONGEST - suffix.length())) + suffix);
        }
        return id;
    }

    /** As a form or an entry names it; empty where it names none. */
    public static Optional<AxisId> read(String written) {
        return written.isBlank() ? Optional.empty() : Optional.of(new AxisId(written.strip()));
    }

    @Override
    public String toString() {
        return written;
    }
}
