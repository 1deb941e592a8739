package tallledger.core.family;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import tallledger.core.drive.StageKind;
import tallledger.core.motion.Axis;
import tallledger.core.motion.Axis.Ability;
import tallledger.core.safety.Mounted;
import tallledger.core.supply.SupplyPlate;

/** Everything a family brings along. */
public final class Traits {

    /** What any machine can have. */
    private static final Set<Feature> EVERYONES = EnumSet.of(Feature.EMERGENCY_STOP, Feature.GUARD_SWITCH, Feature.COVER_SWITCH,
            Feature.LAMP, Feature.COOLANT, Feature.CENTRAL_LUBRICATION,
            Feature.WAY_COVERS, Feature.CONTROL, Feature.DEAD_MAN_PEDAL, Feature.DIVIDING_PLATE);
    /** What any machine can have and few have. */
    private static final Set<Feature> SELDOM = EnumSet.of(Feature.COVER_SWITCH, Feature.CONTROL, Feature.DEAD_MAN_PEDAL,
            Feature.DIVIDING_PLATE);
    /** Stages whose lever can stand half-way. */
    private static final Set<StageKind> LEVERED = EnumSet.of(StageKind.GEAR, StageKind.BACK_GEAR);

    private final List<Axis> axes;
    private final Set<Feature> features = EnumSet.copyOf(EVERYONES);
    private final Set<Feature> unusual = EnumSet.copyOf(SELDOM);
    private List<String> kit = List.of();
    private List<StartItem> startChecks = List.of();
    private List<Mounted.Kind> mountables = List.of();
    private List<StartingDescription> startingFrom = List.of();
    private List<Line> steps = List.of();

    private Traits(List<Axis> axes) {
        this.axes = axes;
    }

    static Traits of(List<Axis> axes) {
        return new Traits(axes);
    }

    static Axis axis(String name, String minus, String plus, Ability... abilities) {
        return new Axis(name, minus, plus, Set.of(abilities), "", Axis.Rates.UNKNOWN);
    }

    /** An axis whose feed is geared to the spindle: its plate counts by the turn. */
    static Axis perTurn(String name, String minus, String plus, Ability... abilities) {
        return new Axis(name, minus, plus, Set.of(abilities), "", new Axis.Rates(Axis.Per.REV, "", "", ""));
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
        features.addAll(List.of(these));
        return this;
    }

    /** What a common machine of it lacks. */
    Traits unusual(Feature... these) {
        unusual.addAll(List.of(these));
        return this;
    }

    /** What a common machine of it has, though few others do. */
    Traits usually(Feature... these) {
        List.of(these).forEach(unusual::remove);
        return this;
    }

    /** What usually goes with it; codes of words. */
    Traits kit(String... pieces) {
        kit = List.of(pieces);
        return this;
    }

    /** What is looked at before its spindle starts, before what every machine is looked at for. */
    Traits startChecks(StartItem... items) {
        startChecks = List.of(items);
        return this;
    }

    /** What can be on its spindle and carries a speed mark. */
    Traits mountables(Mounted.Kind... kinds) {
        mountables = List.of(kinds);
        return this;
    }

    Traits startingFrom(StartingDescription... drives) {
        startingFrom = List.of(drives);
        return this;
    }

    /** Its steps in the order of work. */
    Traits steps(Line... lines) {
        steps = List.of(lines);
        return this;
    }

    List<Line> lines() {
        return steps;
    }

    /** Features it can have, in the order people look at them. */
    public Set<Feature> features() {
        return Collections.unmodifiableSet(features);
    }

    /** What a common machine of it has; the person at the machine unticks what this one lacks. */
    public FitOut usual() {
        EnumSet<Feature> usual = EnumSet.copyOf(features);
        usual.removeAll(unusual);
        return new FitOut(axes, usual, SupplyPlate.UNREAD, java.util.Optional.empty());
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

    /** What can be on its spindle and carries a speed mark; empty where nothing of the kind is mounted. */
    public List<Mounted.Kind> mountables() {
        return mountables;
    }

    /** Drives to start a description from. */
    public List<StartingDescription> startingFrom() {
        return startingFrom;
    }
}
