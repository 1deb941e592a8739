package tallledger.web.store;

/** What a book is of. */
public enum BookKind {
    MACHINE, SURVEY, HOUSE
}
