package tallledger.core.coverage;

/** What the surveyor wants from the runs. */
public enum School {
    /** Each distinct speed once. */
    EVERY_SPEED,
    /** The fewest runs that exercise every element, lowest and highest speed among them. */
    EVERY_GEAR,
    /** The most worth inside a stated time. */
    MY_MINUTES
}
