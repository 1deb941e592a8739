package tallledger.core.cycle;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tallledger.core.reason.Refused;

/**
 * A known row of events.
 *
 * @param code     which script; "own" for a person's own
 * @param expected one cycle, in order
 * @param never    what must not happen
 * @param rounds   whether it goes round and may be watched from any of its turning points; empty where it begins at its beginning
 */
public record CycleScript(String code, List<Expected> expected, List<Never> never, Optional<Rounds> rounds) {

    public static final String OWN = "own";
    public static final int MOST_EVENTS = 40;
    /** Nobody watches a cycle oftener in one go. */
    static final int MOST_IN_A_ROW = 20;

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
                throw Refused.because(CycleReason.SCRIPT_COUNT, event, least, most);
            }
        }
    }

    /**
     * A script that goes round.
     *
     * @param turns  events it may be watched from, such as either dog
     * @param least  fewest rounds
     * @param closes whether the event it began with must come once more
     */
    public record Rounds(Set<String> turns, int least, boolean closes) {
    }

    /** Whose a window is. */
    public enum Whose {
        /** A house rule. */
        HOUSE,
        /** As it is set on this machine, or as its own book says: typed with the record. */
        SET,
        /** A person's own script. */
        OWN
    }

    /** From {@code least} to {@code most} seconds after the event before. */
    public record Window(BigDecimal least, BigDecimal most, Whose whose) {
        public Window {
            if (least.signum() < 0 || most.compareTo(least) < 0) {
                throw Refused.because(CycleReason.SCRIPT_WINDOW, least, most);
            }
        }

        /** Whether it has no upper end. */
        public boolean isOpen() {
            return most.compareTo(CycleLog.LONGEST) >= 0;
        }
    }

    /**
     * What must not happen.
     *
     * @param hazard whether it can hurt somebody: then the machine is not to be used
     */
    public record Never(String event, boolean hazard) {
    }

    /** One that begins at its beginning. */
    public CycleScript(String code, List<Expected> expected, List<Never> never) {
        this(code, expected, never, Optional.empty());
    }

    public CycleScript {
        expected = List.copyOf(expected);
        never = List.copyOf(never);
        if (expected.isEmpty() || expected.size() > MOST_EVENTS) {
            throw Refused.because(CycleReason.SCRIPT_EVENTS, expected.size(), MOST_EVENTS);
        }
    }

    /** Every event that has a key, those that must not happen last. */
    public List<String> events() {
        LinkedHashSet<String> events = new LinkedHashSet<>();
        expected.forEach(e -> events.add(e.event));
        never.forEach(n -> events.add(n.event));
        return new ArrayList<>(events);
    }

    /**
     * The rows of events a log of so many taps may be meant for: the cycle once or several times in a row, and where it goes round from
     * whatever turning point the log begins with.
     */
    List<List<Expected>> variants(String first, int taps) {
        List<List<Expected>> variants = new ArrayList<>();
        int least = rounds.map(Rounds::least).orElse(1);
        int most = Math.max(least, Math.min(MOST_IN_A_ROW, taps / Math.max(1, shortest())));
        for (List<Expected> cycle : turned(first)) {
            for (int times = least; times <= most; times++) {
                List<Expected> row = new ArrayList<>();
                for (int i = 0; i < times; i++) {
                    row.addAll(cycle);
                }
                if (rounds.filter(Rounds::closes).isPresent()) {
                    row.add(new Expected(cycle.get(0).event, 1, 1, Optional.empty()));
                }
                variants.add(row);
            }
        }
        return variants;
    }

    private int shortest() {
        return expected.stream().mapToInt(Expected::least).sum();
    }

    /** The cycle begun with each turning point of the name; as it stands where none is. */
    private List<List<Expected>> turned(String first) {
        List<List<Expected>> turned = new ArrayList<>();
        for (int i = 0; i < expected.size(); i++) {
            if (rounds.filter(r -> r.turns.contains(first)).isPresent() && expected.get(i).event.equals(first)) {
                List<Expected> cycle = new ArrayList<>(expected.subList(i, expected.size()));
                cycle.addAll(expected.subList(0, i));
                turned.add(cycle);
            }
        }
        return turned.isEmpty() ? List.of(expected) : turned;
    }

    public Optional<Never> forbids(String event) {
        return never.stream().filter(n -> n.event.equals(event)).findFirst();
    }
}
