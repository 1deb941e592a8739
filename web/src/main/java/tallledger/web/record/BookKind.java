package tallledger.web.record;

/** What a book is of. */
public enum BookKind {
    MACHINE, SURVEY, HOUSE
}
