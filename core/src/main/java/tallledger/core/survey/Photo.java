package tallledger.core.survey;

import java.util.Optional;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Payload;

/**
 * A photograph as the ledger names it; its bytes lie in the store under their hash.
 *
 * @param step    id of the step it belongs to, empty for the machine
 * @param sha256  hash of the bytes as stored
 * @param small   hash of its small copy; empty in records of before it was kept
 * @param width   pixels
 * @param caption what it shows
 */
public record Photo(int entry, String author, String step, String sha256, Optional<String> small, int width, int height, String caption) {

    static Photo from(Entry entry) {
        Payload p = entry.payload();
        return new Photo(entry.sequence(), entry.author(), p.text("step"), p.text("sha256"), p.optionalText("small"), p.whole("width"), p.whole("height"), p.text("caption"));
    }
}
