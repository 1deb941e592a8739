package tallledger.core.drive;

/** Whether a lever is moved with the machine at rest; a property of each lever, taken from its plate. */
public enum Shifting {
    STOP_TO_SHIFT, SHIFTS_TURNING,
    /** Nobody has read the plate: counts as stop-to-shift, the safe side. */
    UNKNOWN;

    public boolean mustStop() {
        return this != SHIFTS_TURNING;
    }
}
