package tallledger.core.reading;

/** How a speed was read; each has its own source of uncertainty. */
public enum Method {
    /** A wheel or cone held against the turning spindle; read as shown. */
    CONTACT_TACHOMETER,
    /** N turns counted against a clock; N turns are N + 1 taps, the first starts the clock. */
    TAP_COUNT
}
