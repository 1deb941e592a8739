package tallledger.web.store;

/** A row of {@code entry}. */
public record EntryRow(Long bookId, Integer format, Integer sequence, String at, String zone, String author, String role, String kind,
        String step, String payload, String attachments, Integer strikes, String previous, String hash, String submission) {
}
