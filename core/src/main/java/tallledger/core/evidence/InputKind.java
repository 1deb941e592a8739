package tallledger.core.evidence;

/** How a field of a record is typed. */
public enum InputKind { LENGTH, NUMBER, SERIES, TEXT, LONG_TEXT, CHOICE, LOG }
