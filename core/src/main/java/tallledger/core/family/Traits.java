package tallledger.core.family;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tallledger.core.cutting.Job;
import tallledger.core.drive.StageKind;
import tallledger.core.motion.Axis;
import tallledger.core.motion.Axis.Ability;
import tallledger.core.safety.Mounted;
import tallledger.core.supply.SupplyPlate;

/**
 * Everything a family brings along.
 *
 * @param axes         of a common machine
 * @param features     it can have, in the order people look at them
 * @param unusual      of those, what a common machine lacks
 * @param kit          what usually goes with it; codes of words
 * @param startChecks  what is looked at before its spindle starts, before what every machine is looked at for
 * @param mountables   what can be on its spindle and carries a speed mark; empty where nothing of the kind is mounted
 * @param startingFrom drives to start a description from
 * @param lines        its steps in the order of work
 * @param testCut      the cut it is tried with; empty where it grinds
 */
public record Traits(List<Axis> axes, Set<Feature> features, Set<Feature> unusual, List<String> kit, List<StartItem> startChecks,
        List<Mounted.Kind> mountables, List<StartingDescription> startingFrom, List<CatalogueLine> lines, Optional<Job.Kind> testCut) {

    /** What any machine can have. */
    private static final Set<Feature> EVERYONES = EnumSet.of(Feature.EMERGENCY_STOP, Feature.GUARD_SWITCH, Feature.COVER_SWITCH,
            Feature.LAMP, Feature.COOLANT, Feature.CENTRAL_LUBRICATION,
            Feature.WAY_COVERS, Feature.CONTROL, Feature.DEAD_MAN_PEDAL, Feature.DIVIDING_PLATE);
    /** What any machine can have and few have. */
    private static final Set<Feature> SELDOM = EnumSet.of(Feature.COVER_SWITCH, Feature.CONTROL, Feature.DEAD_MAN_PEDAL,
            Feature.DIVIDING_PLATE);
    /** Stages whose lever can stand half-way. */
    private static final Set<StageKind> LEVERED = EnumSet.of(StageKind.GEAR, StageKind.BACK_GEAR);

    static Traits of(List<Axis> axes) {
        return new Traits(axes, EVERYONES, SELDOM, List.of(), List.of(), List.of(), List.of(), List.of(), Optional.empty());
    }

    static Axis axis(String name, String minus, String plus, Ability... abilities) {
        return new Axis(name, minus, plus, Set.of(abilities), "", Axis.AxisRates.UNKNOWN);
    }

    /** An axis whose feed is geared to the spindle: its plate counts by the turn. */
    static Axis perTurn(String name, String minus, String plus, Ability... abilities) {
        return new Axis(name, minus, plus, Set.of(abilities), "", new Axis.AxisRates(Axis.Per.REV, "", "", ""));
    }

    /** An axis of a mill that is fed in every direction. */
    static Axis milled(String name, String minus, String plus) {
        return axis(name, minus, plus, Ability.FEED, Ability.RAPID, Ability.TRIP, Ability.LOCK, Ability.HAND_WHEEL);
    }

    /** An axis moved by a control. */
    static Axis controlled(String name, String minus, String plus) {
        return axis(name, minus, plus, Ability.FEED, Ability.RAPID, Ability.READOUT);
    }

    /** What it can have, besides what any machine can. */
    Traits features(Feature... these) {
        return new Traits(axes, with(features, these), unusual, kit, startChecks, mountables, startingFrom, lines, testCut);
    }

    /** What a common machine of it lacks. */
    Traits unusual(Feature... these) {
        return new Traits(axes, features, with(unusual, these), kit, startChecks, mountables, startingFrom, lines, testCut);
    }

    /** What a common machine of it has, though few others do. */
    Traits usually(Feature... these) {
        Set<Feature> left = EnumSet.copyOf(unusual);
        List.of(these).forEach(left::remove);
        return new Traits(axes, features, left, kit, startChecks, mountables, startingFrom, lines, testCut);
    }

    private static Set<Feature> with(Set<Feature> some, Feature... more) {
        Set<Feature> all = EnumSet.copyOf(some);
        all.addAll(List.of(more));
        return Collections.unmodifiableSet(all);
    }

    /** What usually goes with it; codes of words. */
    Traits kit(String... pieces) {
        return new Traits(axes, features, unusual, List.of(pieces), startChecks, mountables, startingFrom, lines, testCut);
    }

    /** What is looked at before its spindle starts, before what every machine is looked at for. */
    Traits startChecks(StartItem... items) {
        return new Traits(axes, features, unusual, kit, List.of(items), mountables, startingFrom, lines, testCut);
    }

    /** What can be on its spindle and carries a speed mark. */
    Traits mountables(Mounted.Kind... kinds) {
        return new Traits(axes, features, unusual, kit, startChecks, List.of(kinds), startingFrom, lines, testCut);
    }

    Traits startingFrom(StartingDescription... drives) {
        return new Traits(axes, features, unusual, kit, startChecks, mountables, List.of(drives), lines, testCut);
    }

    /** Its steps in the order of work. */
    Traits steps(CatalogueLine... these) {
        return new Traits(axes, features, unusual, kit, startChecks, mountables, startingFrom, List.of(these), testCut);
    }

    /** The cut it is tried with. */
    Traits tried(Job.Kind by) {
        return new Traits(axes, features, unusual, kit, startChecks, mountables, startingFrom, lines, Optional.of(by));
    }

    /** What a common machine of it has; the person at the machine unticks what this one lacks. */
    public FitOut usual() {
        Set<Feature> usual = EnumSet.copyOf(features);
        usual.removeAll(unusual);
        return new FitOut(axes, usual, SupplyPlate.UNREAD, Optional.empty());
    }

    /** What usually goes with a machine, so that the part nobody noticed was missing is looked for. Codes of words. */
    public List<String> kit(Set<Feature> has) {
        List<String> pieces = new ArrayList<>(kit);
        addWhere(has.contains(Feature.CHANGE_WHEELS), "change-wheels", pieces);
        addWhere(has.contains(Feature.STEADY), "steady", pieces);
        addWhere(has.contains(Feature.FOLLOW_STEADY), "follow-steady", pieces);
        pieces.addAll(List.of("spanners", "manual", "wiring-diagram", "test-chart", "warranty"));
        return pieces;
    }

    /** What must be safe before the spindle of a machine starts: nobody is asked for a half-nut on a grinder,
            or for a range lever where there is none. */
    public List<StartItem> startChecks(Described machine) {
        FitOut has = machine.fitOut();
        List<StartItem> items = new ArrayList<>(startChecks);
        addWhere(has.has(Feature.DRAWBAR), StartItem.DRAWBAR_WRENCH_OFF, items);
        items.addAll(List.of(StartItem.WORK_CLEAR, StartItem.GUARD_SHUT));
        addWhere(machine.train().stages().stream().anyMatch(s -> s.isChoice() && LEVERED.contains(s.kind())), StartItem.RANGE_HOME, items);
        addWhere(has.has(Feature.FOOT_BRAKE), StartItem.BRAKE_OFF, items);
        addWhere(has.axes().stream().anyMatch(a -> a.has(Ability.FEED)), StartItem.FEEDS_OUT, items);
        addWhere(has.has(Feature.LEAD_SCREW), StartItem.HALF_NUT_OUT, items);
        items.add(StartItem.NOTHING_LOOSE);
        return items;
    }

    private static <T> void addWhere(boolean there, T item, List<T> items) {
        if (there) {
            items.add(item);
        }
    }
}
