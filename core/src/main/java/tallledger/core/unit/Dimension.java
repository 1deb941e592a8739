package tallledger.core.unit;

/** What a unit counts. Figures of one dimension can be converted into each other, figures of two cannot. */
public enum Dimension {
    NUMBER, LENGTH,
    /** A height of a surface's profile: a length that the trade counts in units of its own. */
    ROUGHNESS,
    SLOPE, FEED_PER_TURN, FEED_PER_MINUTE, SURFACE_SPEED, ROTATION, TIME,
    /** A rise or a fall, never a temperature. */
    TEMPERATURE_DIFFERENCE, TEMPERATURE, POWER, FORCE, CUTTING_FORCE, TORQUE, MASS, CURRENT, VOLTAGE, FREQUENCY, ANGLE, SHARE, CHANCE,
    WEIGHT, MONEY, LEVEL
}
