package tallledger.core.family;

import java.util.Optional;

/** What a machine can have besides its drive and axes. Each knows what it cannot be without; a family's file says which it can have. */
public enum Feature {
    EMERGENCY_STOP, GUARD_SWITCH, COVER_SWITCH, LAMP, COOLANT, CENTRAL_LUBRICATION, FOOT_BRAKE, WAY_COVERS, DEAD_MAN_PEDAL, DIVIDING_PLATE,

    GAP, LEAD_SCREW, THREAD_LEVER, FEED_SHAFT, FEED_REVERSE, THREAD_DIAL, CHANGE_WHEELS,
    DOUBLE_DIALS, TAILSTOCK, STEADY, FOLLOW_STEADY, KICK_BAR,

    DRAWBAR, HEAD_SWIVELS, HEAD_NODS, RAM,
    TABLE_SWIVELS, OVERARM, ARBOR,
    ARBOR_SUPPORT,

    ARM_CLAMP, HEAD_CLAMP, COLUMN_CLAMP, CLAMPED_TOGETHER, BOX_TABLE,
    DEPTH_STOP, PEDAL, TABLE_LIFTS, TABLE_TILTS, TAPPING,

    HYDRAULICS, DOGS, DWELL,
    AUTO_INFEED, DEAD_STOP, WORK_STOPS_ON_RETREAT,
    DRESSER, MAGNETIC_CHUCK, AUTO_DOWN_FEED,
    SPARK_OUT, PARKS, SPEEDS_TO_CENTRE, TABLE_TILTS_FOR_HOLLOW,
    REGULATING_WHEEL, INFEED_CYCLE, WORK_REST, THROUGH_FEED,

    POWER_DRAWBAR, TOOL_CHANGER, CONTROL, CHIP_CONVEYOR, SERVO_LUBRICATION;

    /** What this one cannot be without. */
    public Optional<Feature> needs() {
        return switch (this) {
            case THREAD_DIAL, THREAD_LEVER -> Optional.of(LEAD_SCREW);
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
}
