package tallledger.core.plate;

/** What a plate lists: feeds are checked by the same rules as speeds and called feeds; threads too, but they follow no ladder. */
public enum PlateOf {
    SPEED, FEED, THREAD
}
