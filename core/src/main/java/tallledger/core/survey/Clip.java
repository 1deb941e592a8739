package tallledger.core.survey;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Map;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Payload;

/**
 * A short film of a step as the ledger names it; its bytes lie in the store under their hash, as they came from the camera.
 *
 * @param step    id of the step it belongs to, empty for the machine
 * @param sha256  hash of the bytes
 * @param type    true type of the bytes
 * @param bytes   how many
 * @param caption what it shows
 */
public record Clip(int entry, String author, String step, String sha256, String type, int bytes, String caption) {

    /** What the film is to its entry. */
    public static final String FILM = "film";
    private static final int A_MEGABYTE = 6;

    static Clip from(Entry entry) {
        Payload p = entry.payload();
        Attachment film = entry.draft().attachments().stream().filter(a -> a.use().equals(FILM)).findFirst().orElseThrow();
        return new Clip(entry.sequence(), entry.by().author().written(), p.text("step"), film.sha256(), film.type(), p.whole("bytes"),
                p.text("caption"));
    }

    /** Megabytes, with a tenth. */
    public BigDecimal megabytes() {
        return BigDecimal.valueOf(bytes, A_MEGABYTE).setScale(1, RoundingMode.HALF_UP);
    }

    Map<String, Object> toPayload() {
        return Map.of("step", step, "bytes", bytes, "caption", caption);
    }
}
