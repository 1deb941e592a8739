package tallledger.core.seal;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.PrivateKey;
import java.security.PublicKey;
import java.security.Signature;
import java.security.spec.X509EncodedKeySpec;
import java.util.Base64;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import tallledger.core.ledger.CanonicalJson;

/**
 * The seal of a closed survey: Ed25519 (RFC 8032) over the canonical JSON (RFC 8785) of all below but the signature.
 *
 * @param lastHash  of the entry that closes it
 * @param count     entries up to that
 * @param closedBy  who closed it
 * @param closedAt  when, as its entry has it
 * @param publicKey 32 bytes, base64
 * @param files     name and SHA-256 of every other file handed over with it
 * @param signature 64 bytes, base64
 */
public record Seal(String lastHash, int count, String closedBy, String closedAt, String publicKey, Map<String, String> files,
        String signature) {

    public static final int FORMAT = 1;
    /** What stands before the 32 bytes of a key in its usual form (RFC 8410). */
    private static final byte[] X509 = HexFormat.of().parseHex("302a300506032b6570032100");
    private static final String ED25519 = "Ed25519";

    public Seal {
        files = Map.copyOf(files);
    }

    /** Signs. */
    public static Seal of(String lastHash, int count, String closedBy, String closedAt, Map<String, String> files, PublicKey key,
            PrivateKey secret) {
        Seal unsigned = new Seal(lastHash, count, closedBy, closedAt, Base64.getEncoder().encodeToString(bytes(key)), files, "");
        try {
            Signature signer = Signature.getInstance(ED25519);
            signer.initSign(secret);
            signer.update(unsigned.signed());
            return new Seal(lastHash, count, closedBy, closedAt, unsigned.publicKey, files,
                    Base64.getEncoder().encodeToString(signer.sign()));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("every Java from 15 on signs with Ed25519", e);
        }
    }

    /** The 32 bytes of a key. */
    public static byte[] bytes(PublicKey key) {
        byte[] encoded = key.getEncoded();
        byte[] bytes = new byte[32];
        System.arraycopy(encoded, encoded.length - bytes.length, bytes, 0, bytes.length);
        return bytes;
    }

    /** What is signed. */
    private byte[] signed() {
        return CanonicalJson.write(unsigned()).getBytes(StandardCharsets.UTF_8);
    }

    private Map<String, Object> unsigned() {
        Map<String, Object> fields = new HashMap<>(Map.of("format", FORMAT, "lastHash", lastHash, "count", count, "closedBy", closedBy,
                "closedAt", closedAt, "publicKey", publicKey));
        fields.put("files", new TreeMap<>(files));
        return fields;
    }

    /** As it is written to a file. */
    public String written() {
        Map<String, Object> fields = unsigned();
        fields.put("signature", signature);
        return CanonicalJson.write(fields);
    }

    /**
     * Reads one.
     *
     * @param fields of the file, parsed
     * @throws IllegalArgumentException where it is none, or of a newer format
     */
    @SuppressWarnings("unchecked")
    public static Seal from(Map<String, Object> fields) {
        try {
            if (!Integer.valueOf(FORMAT).equals(fields.get("format"))) {
                throw new IllegalArgumentException("a seal of format " + fields.get("format"));
            }
            ((Map<?, ?>) fields.get("files")).values().forEach(String.class::cast);
            return new Seal(text(fields, "lastHash"), (Integer) fields.get("count"), text(fields, "closedBy"), text(fields, "closedAt"),
                    text(fields, "publicKey"), (Map<String, String>) fields.get("files"), text(fields, "signature"));
        } catch (ClassCastException | NullPointerException notOne) {
            throw new IllegalArgumentException("not a seal", notOne);
        }
    }

    private static String text(Map<String, Object> fields, String name) {
        return Objects.requireNonNull((String) fields.get(name));
    }

    /** Whether the signature is that of the key it names. */
    public boolean isSigned() {
        try {
            byte[] raw = bytes(publicKey);
            byte[] encoded = new byte[X509.length + raw.length];
            System.arraycopy(X509, 0, encoded, 0, X509.length);
            System.arraycopy(raw, 0, encoded, X509.length, raw.length);
            Signature verifier = Signature.getInstance(ED25519);
            verifier.initVerify(KeyFactory.getInstance(ED25519).generatePublic(new X509EncodedKeySpec(encoded)));
            verifier.update(signed());
            return verifier.verify(bytes(signature));
        } catch (GeneralSecurityException | IllegalArgumentException bent) {
            return false;
        }
    }

    /** @throws IllegalArgumentException where it is not the one way these bytes are written in base64 */
    private static byte[] bytes(String base64) {
        byte[] bytes = Base64.getDecoder().decode(base64);
        if (!Base64.getEncoder().encodeToString(bytes).equals(base64)) {
            throw new IllegalArgumentException("other base64");
        }
        return bytes;
    }

    public Fingerprint fingerprint() {
        try {
            return Fingerprint.of(bytes(publicKey));
        } catch (IllegalArgumentException bent) {
            return Fingerprint.of(new byte[0]);
        }
    }
}
