package tallledger.core.coverage;

/** What is known of a speed. A speed with several routes takes the first of these that any route has. */
public enum Mark {
    FAILED, PROVEN, UNDECIDED, INFERRED, OPEN;

    /** Whether somebody stood there and ran it. */
    public boolean isRun() {
        return this == FAILED || this == PROVEN || this == UNDECIDED;
    }
}
