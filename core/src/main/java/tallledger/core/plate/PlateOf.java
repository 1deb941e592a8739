package tallledger.core.plate;

/** What a plate lists: feeds are checked by the same rules as speeds and called feeds. */
public enum PlateOf {
    SPEED, FEED
}
