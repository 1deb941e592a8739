package tallledger.core.cycle;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import tallledger.core.reason.Refused;

/**
 * A known row of events.
 *
 * @param code     which script; "own" for a person's own
 * @param expected in order
 * @param never    what must not happen
 */
public record CycleScript(String code, List<Expected> expected, List<Never> never) {

    public static final String OWN = "own";
    public static final int MOST_EVENTS = 40;

    /**
     * One event, or so many of it in a row.
     *
     * @param least  fewest times
     * @param most   most times
     * @param window time from the event before, s, where it matters
     */
    public record Expected(String event, int least, int most, Optional<Window> window) {
        public Expected {
            if (least < 0 || most < least || most > 50 || most == 0) {
                throw Refused.because("script.count", event, least, most);
            }
        }
    }

    /** From {@code least} to {@code most} seconds after the event before. */
    public record Window(BigDecimal least, BigDecimal most) {
        public Window {
            if (least.signum() < 0 || most.compareTo(least) < 0) {
                throw Refused.because("script.window", least, most);
            }
        }
    }

    /**
     * What must not happen.
     *
     * @param hazard whether it can hurt somebody: then the machine is not to be used
     */
    public record Never(String event, boolean hazard) {
    }

    public CycleScript {
        expected = List.copyOf(expected);
        never = List.copyOf(never);
        if (expected.isEmpty() || expected.size() > MOST_EVENTS) {
            throw Refused.because("script.events", expected.size(), MOST_EVENTS);
        }
    }

    /** Every event that has a key, those that must not happen last. */
    public List<String> events() {
        LinkedHashSet<String> events = new LinkedHashSet<>();
        expected.forEach(e -> events.add(e.event));
        never.forEach(n -> events.add(n.event));
        return new ArrayList<>(events);
    }

    public Optional<Never> forbids(String event) {
        return never.stream().filter(n -> n.event.equals(event)).findFirst();
    }
}
