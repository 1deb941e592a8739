package tallledger.core.family;

/** The phases of a survey in the order people work: from the gate to the last switch. */
public enum Phase {
    /** Claims gathered before anybody drives there. */
    DESK,
    /** Standing, power off. */
    STANDING,
    /** Supply and electrics. */
    ELECTRICS,
    FIRST_START,
    /** Spindle speeds and shifts, slow to fast. */
    SPINDLE,
    /** Feeds, traverses, threads. */
    MOVEMENT,
    /** Travels, locks, stops, play, backlash. */
    TRAVELS,
    ACCURACY, TEST_CUT,
    /** Hot, at top speed. */
    HOT_CHECK,
    KIT, CLOSE;

    /** Whether most steps of it turn or travel something under power; each step says for itself. */
    boolean usuallyRuns() {
        return this == FIRST_START || this == SPINDLE || this == MOVEMENT || this == TEST_CUT || this == HOT_CHECK;
    }
}
