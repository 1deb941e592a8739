package tallledger.web.store;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import tallledger.core.ledger.Attachment;

/** A row of {@code attachment}: bytes that an entry names by their hash. */
public record AttachmentRow(String sha256, String type, byte[] bytes) {

    /** @param type true type of the bytes, as their maker knows it */
    public static AttachmentRow of(String type, byte[] bytes) {
        return new AttachmentRow(sha256(bytes), type, bytes);
    }

    /** As an entry names it. */
    public Attachment as(String use) {
        return new Attachment(use, sha256, type);
    }

    boolean isWhole() {
        return sha256(bytes).equals(sha256);
    }

    /** SHA-256, lower-case hex. */
    private static String sha256(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
