package tallledger.core.coverage;

/** What is known of a speed. A speed with several routes takes the first of these that any route has. */
public enum Mark {
    FAILED, PROVEN, UNDECIDED, INFERRED, OPEN
}
