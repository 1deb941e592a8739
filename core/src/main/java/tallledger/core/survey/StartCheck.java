package tallledger.core.survey;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.Family;
import tallledger.core.safety.Mounted;

/**
 * What must be safe before the spindle starts: confirmed once per start, not per speed. Due again after the machine was
 * stopped for good, or when nothing was recorded for half an hour (house rule): somebody else may have been at it.
 */
public final class StartCheck {

    public static final Duration GOOD_FOR = Duration.ofMinutes(30);

    /** One thing to look at; its words are in the catalogue under {@code start.<name>}. */
    public enum Item { CHUCK_KEY_OUT, DRAWBAR_WRENCH_OFF, DRIFT_OUT, WORK_CLEAR, GUARD_SHUT, RANGE_HOME, BRAKE_OFF, FEED_OFF,
        WHEEL_SOUND, CLEAR_OF_WHEEL, NOTHING_LOOSE }

    private StartCheck() {
    }

    public static List<Item> items(Family family) {
        List<Item> items = new ArrayList<>();
        if (family == Family.LATHE || family == Family.CYLINDRICAL_GRINDER) {
            items.add(Item.CHUCK_KEY_OUT);
        } else if (family.isMill()) {
            items.add(Item.DRAWBAR_WRENCH_OFF);
        } else if (family.isDrill()) {
            items.addAll(List.of(Item.CHUCK_KEY_OUT, Item.DRIFT_OUT));
        }
        if (family.isGrinder()) {
            items.addAll(List.of(Item.WHEEL_SOUND, Item.CLEAR_OF_WHEEL));
        }
        items.addAll(List.of(Item.WORK_CLEAR, Item.GUARD_SHUT, Item.RANGE_HOME, Item.BRAKE_OFF, Item.FEED_OFF, Item.NOTHING_LOOSE));
        return items;
    }

    /** What can be on the spindle of a family and carries a speed mark; empty where nothing of the kind is mounted. */
    public static List<Mounted.Kind> mountables(Family family) {
        if (family == Family.LATHE) {
            return List.of(Mounted.Kind.NOTHING, Mounted.Kind.CHUCK, Mounted.Kind.FACEPLATE);
        }
        return family.isGrinder() ? List.of(Mounted.Kind.NOTHING, Mounted.Kind.WHEEL) : List.of();
    }

    /** Whether the checks must be confirmed before the next run. */
    public static boolean isDue(List<Entry> entries, Instant now) {
        java.util.Map<Integer, Entry> struck = Chain.struck(entries);
        boolean confirmed = false;
        Instant last = Instant.MIN;
        for (Entry entry : entries) {
            if (entry.damage().isPresent()) {
                continue;
            }
            if (entry.kind().equals(Kind.START_CONFIRMED.name()) && !struck.containsKey(entry.sequence())) {
                confirmed = true;
            } else if (entry.kind().equals(Kind.STOPPED.name()) || isStale(last, entry.at())) {
                confirmed = false;
            }
            last = entry.at();
        }
        return !confirmed || isStale(last, now);
    }

    private static boolean isStale(Instant last, Instant now) {
        return !last.equals(Instant.MIN) && Duration.between(last, now).compareTo(GOOD_FOR) > 0;
    }
}
