package tallledger.core.machine;

import static tallledger.core.machine.Family.CENTRELESS_GRINDER;
import static tallledger.core.machine.Family.CYLINDRICAL_GRINDER;
import static tallledger.core.machine.Family.HORIZONTAL_MILL;
import static tallledger.core.machine.Family.KNEE_MILL;
import static tallledger.core.machine.Family.LATHE;
import static tallledger.core.machine.Family.MACHINING_CENTRE;
import static tallledger.core.machine.Family.PEDESTAL_DRILL;
import static tallledger.core.machine.Family.RADIAL_DRILL;
import static tallledger.core.machine.Family.ROTARY_TABLE_GRINDER;
import static tallledger.core.machine.Family.UNIVERSAL_MILL;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** What a machine can have besides its drive and axes. Each knows which families it belongs to, and what it cannot be without. */
public enum Feature {
    EMERGENCY_STOP, GUARD_SWITCH, LAMP, COOLANT, CENTRAL_LUBRICATION, FOOT_BRAKE(LATHE, KNEE_MILL, UNIVERSAL_MILL), WAY_COVERS,

    GAP(LATHE), LEAD_SCREW(LATHE), FEED_SHAFT(LATHE), FEED_REVERSE(LATHE), THREAD_DIAL(LATHE), CHANGE_WHEELS(LATHE, HORIZONTAL_MILL, UNIVERSAL_MILL),
    DOUBLE_DIALS(LATHE), TAILSTOCK(LATHE, CYLINDRICAL_GRINDER), STEADY(LATHE, CYLINDRICAL_GRINDER), FOLLOW_STEADY(LATHE), KICK_BAR(LATHE),

    DRAWBAR(KNEE_MILL, HORIZONTAL_MILL, UNIVERSAL_MILL), HEAD_SWIVELS(KNEE_MILL, UNIVERSAL_MILL), HEAD_NODS(KNEE_MILL), RAM(KNEE_MILL, UNIVERSAL_MILL),
    TABLE_SWIVELS(UNIVERSAL_MILL, CYLINDRICAL_GRINDER), OVERARM(HORIZONTAL_MILL, UNIVERSAL_MILL), ARBOR(HORIZONTAL_MILL, UNIVERSAL_MILL),
    ARBOR_SUPPORT(HORIZONTAL_MILL, UNIVERSAL_MILL),

    ARM_CLAMP(RADIAL_DRILL), HEAD_CLAMP(RADIAL_DRILL), COLUMN_CLAMP(RADIAL_DRILL), CLAMPED_TOGETHER(RADIAL_DRILL), BOX_TABLE(RADIAL_DRILL),
    DEPTH_STOP(PEDESTAL_DRILL, RADIAL_DRILL), PEDAL(PEDESTAL_DRILL), TABLE_LIFTS(PEDESTAL_DRILL), TABLE_TILTS(PEDESTAL_DRILL), TAPPING(PEDESTAL_DRILL, RADIAL_DRILL),

    HYDRAULICS(CYLINDRICAL_GRINDER, ROTARY_TABLE_GRINDER, CENTRELESS_GRINDER), DOGS(CYLINDRICAL_GRINDER), DWELL(CYLINDRICAL_GRINDER),
    AUTO_INFEED(CYLINDRICAL_GRINDER), DEAD_STOP(CYLINDRICAL_GRINDER), WORK_STOPS_ON_RETREAT(CYLINDRICAL_GRINDER),
    DRESSER(CYLINDRICAL_GRINDER, ROTARY_TABLE_GRINDER, CENTRELESS_GRINDER), MAGNETIC_CHUCK(ROTARY_TABLE_GRINDER), AUTO_DOWN_FEED(ROTARY_TABLE_GRINDER),
    SPARK_OUT(ROTARY_TABLE_GRINDER), PARKS(ROTARY_TABLE_GRINDER), SPEEDS_TO_CENTRE(ROTARY_TABLE_GRINDER), TABLE_TILTS_FOR_HOLLOW(ROTARY_TABLE_GRINDER),
    REGULATING_WHEEL(CENTRELESS_GRINDER), INFEED_CYCLE(CENTRELESS_GRINDER), WORK_REST(CENTRELESS_GRINDER), THROUGH_FEED(CENTRELESS_GRINDER),

    POWER_DRAWBAR(MACHINING_CENTRE, KNEE_MILL), TOOL_CHANGER(MACHINING_CENTRE), CONTROL(MACHINING_CENTRE), CHIP_CONVEYOR(MACHINING_CENTRE), SERVO_LUBRICATION(MACHINING_CENTRE);

    private final Set<Family> families;

    Feature(Family... families) {
        EnumSet<Family> of = families.length == 0 ? EnumSet.allOf(Family.class) : EnumSet.noneOf(Family.class);
        of.addAll(List.of(families));
        this.families = of;
    }

    public boolean belongsTo(Family family) {
        return families.contains(family);
    }

    /** Features a family can have, in the order people look at them. */
    public static List<Feature> of(Family family) {
        return Stream.of(values()).filter(f -> f.belongsTo(family)).toList();
    }

    /** What this one cannot be without. */
    public Optional<Feature> needs() {
        return switch (this) {
            case THREAD_DIAL -> Optional.of(LEAD_SCREW);
            case ARBOR_SUPPORT -> Optional.of(OVERARM);
            case DWELL -> Optional.of(DOGS);
            case DEAD_STOP -> Optional.of(AUTO_INFEED);
            case SPARK_OUT, PARKS -> Optional.of(AUTO_DOWN_FEED);
            case THROUGH_FEED -> Optional.of(REGULATING_WHEEL);
            default -> Optional.empty();
        };
    }

    /** What this one excludes. */
    public Optional<Feature> excludes() {
        return this == DRAWBAR ? Optional.of(POWER_DRAWBAR) : Optional.empty();
    }

    /** What a common machine of a family has; the person at the machine unticks what this one lacks. */
    static Set<Feature> usual(Family family) {
        EnumSet<Feature> usual = EnumSet.noneOf(Feature.class);
        of(family).stream().filter(f -> !UNUSUAL.contains(f) || f == POWER_DRAWBAR && family == MACHINING_CENTRE).forEach(usual::add);
        return usual;
    }

    private static final Set<Feature> UNUSUAL = EnumSet.of(GUARD_SWITCH, FOOT_BRAKE, KICK_BAR, DOUBLE_DIALS, GAP, POWER_DRAWBAR, RAM, HEAD_NODS, TAPPING,
            TABLE_TILTS_FOR_HOLLOW, CHIP_CONVEYOR, TOOL_CHANGER, WAY_COVERS);
}
