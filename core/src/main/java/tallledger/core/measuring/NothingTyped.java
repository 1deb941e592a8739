package tallledger.core.measuring;

/** NothingTyped is written down: what counts is what the surveyor says of it. */
public enum NothingTyped { WRITTEN }
