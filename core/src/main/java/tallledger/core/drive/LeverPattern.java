package tallledger.core.drive;

/** How a lever's positions stand on the machine, so that it can be drawn as it stands. */
public enum LeverPattern {
    /** Side by side along one slot. */
    ROW,
    /** Pairs across a neutral slot, as in an H: the first two at the ends of the first bar, and so on. */
    GATE,
    /** Round a knob, clockwise from the top. */
    DIAL,
    /** Two or more levers of one gearbox, one engaged while the others stand in neutral: an interlock that nobody must list. */
    ONE_AT_A_TIME
}
