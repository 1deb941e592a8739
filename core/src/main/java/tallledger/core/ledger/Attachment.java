package tallledger.core.ledger;

/**
 * Something too large for an entry, which the entry names by the hash of its bytes; they lie beside the ledger.
 *
 * @param use    what it is to the entry, such as {@code photograph} or {@code small}
 * @param sha256 hash of the bytes as kept, lower-case hex
 * @param type   its true type as found in its bytes, such as {@code image/jpeg}
 */
public record Attachment(String use, String sha256, String type) {

    public Attachment {
        if (!sha256.matches("[0-9a-f]{64}")) {
            throw new IllegalArgumentException("no SHA-256: " + sha256);
        }
    }
}
