package tallledger.core.survey;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Entry;
import tallledger.core.drive.StageKind;
import tallledger.core.machine.Family;
import tallledger.core.machine.Feature;
import tallledger.core.machine.FitOut;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.Axis;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.safety.Mounted;

/**
 * What must be safe before the spindle starts: confirmed once per start, not per speed. Due again after the machine was
 * stopped for good, or when nothing was recorded for half an hour ({@link Rule#CONFIRMED_FOR}): somebody else may have been at it.
 */
public final class StartCheck {

    /** One thing to look at; its words are in the catalogue under {@code start.<name>}. */
    public enum Item { CHUCK_KEY_OUT, DRAWBAR_WRENCH_OFF, DRIFT_OUT, WORK_CLEAR, GUARD_SHUT, RANGE_HOME, BRAKE_OFF, FEEDS_OUT, HALF_NUT_OUT,
        WHEEL_SOUND, WHEEL_GUARDED, WHEEL_DRESSED, CLEAR_OF_WHEEL, NOTHING_LOOSE }

    private StartCheck() {
    }

    /** What this machine has of it: nobody is asked for a half-nut on a grinder, or for a range lever where there is none. */
    public static List<Item> items(MachineDescription machine) {
        Family family = machine.identity().family();
        FitOut has = machine.fitOut();
        List<Item> items = new ArrayList<>();
        if (family == Family.LATHE || family == Family.CYLINDRICAL_GRINDER || family.isDrill()) {
            items.add(Item.CHUCK_KEY_OUT);
        }
        if (family.isMill() && has.has(Feature.DRAWBAR)) {
            items.add(Item.DRAWBAR_WRENCH_OFF);
        }
        if (family.isDrill()) {
            items.add(Item.DRIFT_OUT);
        }
        if (family.isGrinder()) {
            items.addAll(List.of(Item.WHEEL_SOUND, Item.WHEEL_GUARDED, Item.WHEEL_DRESSED, Item.CLEAR_OF_WHEEL));
        }
        items.addAll(List.of(Item.WORK_CLEAR, Item.GUARD_SHUT));
        addWhere(machine.train().stages().stream().anyMatch(s -> s.isChoice() && LEVERED.contains(s.kind())), Item.RANGE_HOME, items);
        addWhere(has.has(Feature.FOOT_BRAKE), Item.BRAKE_OFF, items);
        addWhere(has.axes().stream().anyMatch(a -> a.has(Axis.Ability.FEED)), Item.FEEDS_OUT, items);
        addWhere(has.has(Feature.LEAD_SCREW), Item.HALF_NUT_OUT, items);
        items.add(Item.NOTHING_LOOSE);
        return items;
    }

    /** Stages whose lever can stand half-way. */
    private static final Set<StageKind> LEVERED = EnumSet.of(StageKind.GEAR, StageKind.BACK_GEAR);

    private static void addWhere(boolean there, Item item, List<Item> items) {
        if (there) {
            items.add(item);
        }
    }

    /** What can be on the spindle of a family and carries a speed mark; empty where nothing of the kind is mounted. */
    public static List<Mounted.Kind> mountables(Family family) {
        if (family == Family.LATHE) {
            return List.of(Mounted.Kind.NOTHING, Mounted.Kind.CHUCK, Mounted.Kind.FACEPLATE);
        }
        return family.isGrinder() ? List.of(Mounted.Kind.NOTHING, Mounted.Kind.WHEEL) : List.of();
    }

    /** Whether the checks must be confirmed before the next run. */
    public static boolean isDue(List<Entry> entries, Rules rules, Instant now) {
        Duration goodFor = rules.time(Rule.CONFIRMED_FOR);
        java.util.Map<Integer, Entry> struck = Chain.struck(entries);
        boolean confirmed = false;
        Instant last = Instant.MIN;
        for (Entry entry : entries) {
            if (entry.damage().isPresent()) {
                continue;
            }
            if (entry.kind().equals(Kind.START_CONFIRMED.name()) && !struck.containsKey(entry.sequence())) {
                confirmed = true;
            } else if (entry.kind().equals(Kind.STOPPED.name()) || isStale(last, entry.at(), goodFor)) {
                confirmed = false;
            }
            last = entry.at();
        }
        return !confirmed || isStale(last, now, goodFor);
    }

    private static boolean isStale(Instant last, Instant now, Duration goodFor) {
        return !last.equals(Instant.MIN) && Duration.between(last, now).compareTo(goodFor) > 0;
    }
}
