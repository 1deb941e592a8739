package tallledger.core.coverage;

/** What a person sees, hears or feels at a run and would not at a good machine. */
public enum Symptom {
    WILL_NOT_ENGAGE, JUMPS_OUT, SLIPS, NO_DRIVE, KNOCKS_ONCE_A_TURN, GROWLS, WHINES, SQUEALS, RATTLES, HOT, RUNS_ROUGH,
    /** A sliding drive has a speed in its range at which it sticks, slips or stalls. */
    DEAD_SPOT,
    /** A commanded change goes to and fro, or ends in an alarm. */
    HUNTS;

    /** A noise: "quiet" and this cannot both be said of one run. */
    public boolean isNoise() {
        return this == KNOCKS_ONCE_A_TURN || this == GROWLS || this == WHINES || this == SQUEALS || this == RATTLES
                || this == RUNS_ROUGH;
    }

    /** The spindle did not turn, so there is nothing to read. */
    public boolean stopsDrive() {
        return this == WILL_NOT_ENGAGE || this == NO_DRIVE;
    }
}
