package tallledger.core.family;

import java.util.ArrayList;
import java.util.List;
import tallledger.core.safety.Mounted;

/**
 * What a survey says of its own limits and of danger, the usual cautions of the trade; each defers to local codes and to licensed and
 * competent people.
 */
public enum Caution {
    /** It is an opinion on the day. */
    OPINION,
    /** What was not tested is not known. */
    UNTESTED,
    /** Wiring. */
    POWER,
    /** Turning parts. */
    TURNING,
    /** What is clamped and turns. */
    CHUCK,
    /** Grinding wheels. */
    WHEEL,
    /** Lifting and moving. */
    LIFT;

    /** Those that go with a machine of these traits, in the order they are said. */
    public static List<Caution> of(Traits traits) {
        List<Caution> cautions = new ArrayList<>(List.of(values()));
        if (traits.mountables().stream().noneMatch(Mounted.Kind::isHeld)) {
            cautions.remove(CHUCK);
        }
        if (!traits.mountables().contains(Mounted.Kind.WHEEL)) {
            cautions.remove(WHEEL);
        }
        return List.copyOf(cautions);
    }
}
