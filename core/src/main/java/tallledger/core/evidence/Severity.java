package tallledger.core.evidence;

/** How soon a finding must be put right, worst first. */
public enum Severity { STOP_USE, BEFORE_USE, SOON, LIVE_WITH, NOTE }
