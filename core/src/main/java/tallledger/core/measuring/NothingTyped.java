package tallledger.core.measuring;

/** Nothing is typed into it: what counts is what the surveyor says of it. */
public enum NothingTyped { WRITTEN }
