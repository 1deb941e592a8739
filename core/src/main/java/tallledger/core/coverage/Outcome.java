package tallledger.core.coverage;

/** What one run of one route came to. */
public enum Outcome {
    /** Read within limit, no symptom. */
    PROVEN,
    /** Run, but not read, or too close to call: exercises nothing. */
    UNDECIDED,
    /** With a symptom, or a reading out of limit. */
    FAILED
}
