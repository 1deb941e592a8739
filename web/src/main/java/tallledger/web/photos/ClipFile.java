package tallledger.web.photos;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Optional;
import org.springframework.web.multipart.MultipartFile;
import tallledger.core.ledger.Attachment;
import tallledger.core.reason.Refused;
import tallledger.core.survey.Clip;
import tallledger.web.words.WebReason;

/**
 * A short film as it came: its true type by its first bytes, its hash read once, never all of it in memory.
 *
 * @param file where it lies until it is kept
 */
record ClipFile(Attachment film, Path file, int bytes) {

    static final long MOST_BYTES = 60_000_000;
    private static final int A_MEGABYTE = 1_000_000;
    private static final int FIRST = 12;
    private static final int BOX = 4;
    private static final int BRAND = 8;
    private static final byte[] MATROSKA = {0x1A, 0x45, (byte) 0xDF, (byte) 0xA3};

    /**
     * @param into a file of the caller's, who deletes it
     * @throws Refused for what is none whatever it is called, empty, or too large
     */
    static ClipFile of(Optional<MultipartFile> sent, Path into) {
        MultipartFile film = sent.filter(s -> s.getSize() > 0).orElseThrow(() -> Refused.because(WebReason.FILM_MISSING));
        if (film.getSize() > MOST_BYTES) {
            throw Refused.because(WebReason.FILM_LARGE, (int) (film.getSize() / A_MEGABYTE), (int) (MOST_BYTES / A_MEGABYTE));
        }
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            try (InputStream in = new DigestInputStream(film.getInputStream(), digest)) {
                byte[] first = in.readNBytes(FIRST);
                String type = type(first).orElseThrow(() -> Refused.because(WebReason.FILM_TYPE));
                try (var out = Files.newOutputStream(into)) {
                    out.write(first);
                    in.transferTo(out);
                }
                return new ClipFile(new Attachment(Clip.FILM, HexFormat.of().formatHex(digest.digest()), type), into, (int) film.getSize());
            }
        } catch (IOException broken) {
            throw Refused.because(WebReason.FILM_TYPE);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    /** ISO base media with its brand, or Matroska's, which WebM is one of. */
    static Optional<String> type(byte[] first) {
        if (first.length < FIRST) {
            return Optional.empty();
        }
        if (Arrays.equals(Arrays.copyOf(first, MATROSKA.length), MATROSKA)) {
            return Optional.of("video/webm");
        }
        String box = new String(first, BOX, BOX, StandardCharsets.ISO_8859_1);
        String brand = new String(first, BRAND, BOX, StandardCharsets.ISO_8859_1);
        return box.equals("ftyp") ? Optional.of(brand.startsWith("qt") ? "video/quicktime" : "video/mp4") : Optional.empty();
    }
}
