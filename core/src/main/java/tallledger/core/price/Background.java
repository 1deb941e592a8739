package tallledger.core.price;

/** Where a machine comes from: it says much about what was not looked at. */
public enum Background {
    REBUILT_WITH_PAPERS, IN_DAILY_USE, STOOD_IDLE, AUCTION_UNSEEN
}
