package tallledger.core.survey;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.ledger.Payload;

/**
 * A photograph as the ledger names it; its bytes lie in the store under their hash.
 *
 * @param step    id of the step it belongs to, empty for the machine
 * @param sha256  hash of the bytes as stored
 * @param small   hash of its small copy; empty in records of before it was kept
 * @param width   pixels
 * @param caption what it shows
 * @param marks   what is drawn over it, each with the entry that says so
 */
public record Photo(int entry, String author, String step, String sha256, Optional<String> small, int width, int height, String caption,
        List<NotedEntry<PictureMark>> marks) {

    /** What the picture and its small copy are to the entry. */
    public static final String PICTURE = "photograph";
    public static final String SMALL = "small";

    public Photo {
        marks = List.copyOf(marks);
    }

    /** With more drawn over it. */
    Photo marked(List<PictureMark> more, int by) {
        return new Photo(entry, author, step, sha256, small, width, height, caption,
                Stream.concat(marks.stream(), more.stream().map(m -> new NotedEntry<>(m, by))).toList());
    }

    static Photo from(Entry entry) {
        Payload p = entry.payload();
        Optional<String> small = attached(entry, SMALL).or(() -> p.optionalText("small"));
        String picture = attached(entry, PICTURE).orElseGet(() -> p.text("sha256"));
        return new Photo(entry.sequence(), entry.by().author().written(), p.text("step"), picture, small, p.whole("width"),
                p.whole("height"), p.text("caption"), List.of());
    }

    /** The picture itself lies beside the entry. */
    Map<String, Object> toPayload() {
        return Map.of("step", step, "width", width, "height", height, "caption", caption);
    }

    private static Optional<String> attached(Entry entry, String use) {
        return entry.draft().attachments().stream().filter(a -> a.use().equals(use)).map(Attachment::sha256).findFirst();
    }
}
