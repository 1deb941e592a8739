package tallledger.core.gauge;

/** What a reading with its uncertainty proves against a limit. */
public enum Verdict {
    /** The seller's proof: the whole of y ± U lies inside. */
    WITHIN,
    /** The buyer's complaint: the whole of y ± U lies outside. */
    OUTSIDE,
    /** The middle, which is nobody's. */
    TOO_CLOSE_TO_CALL
}
