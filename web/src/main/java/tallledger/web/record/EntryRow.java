package tallledger.web.record;

/** A row of {@code entry}. */
public record EntryRow(Long bookId, Integer sequence, String at, String author, String kind, String step, String payload,
                       Integer strikes, String previous, String hash, String submission) {
}
