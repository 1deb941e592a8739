package tallledger.web.store;

/** The last entry of a book: its place and its hash. */
public record HeadRow(Long book, Integer sequence, String hash) {
}
