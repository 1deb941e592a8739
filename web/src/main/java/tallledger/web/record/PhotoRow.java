package tallledger.web.record;

/** A row of {@code photo}. */
public record PhotoRow(String sha256, String type, byte[] bytes, byte[] small) {
}
