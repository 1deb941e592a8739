package tallledger.core.survey;

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

    /** Whether something may turn or travel under power, so that the start checks are due first. */
    public boolean isPowered() {
        return this.compareTo(FIRST_START) >= 0 && this.compareTo(HOT_CHECK) <= 0;
    }
}
