package tallledger.core.ledger;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * An entry before it has a place in the chain.
 *
 * @param by          who wrote it, when and where
 * @param kind        what sort of entry
 * @param step        which step it belongs to, or empty text
 * @param payload     its content: maps, lists, text, whole numbers, booleans
 * @param attachments what lies beside the ledger and belongs to it
 * @param strikes     sequence of the entry it strikes
 */
public record Draft(Authorship by, String kind, String step, Map<String, Object> payload, List<Attachment> attachments,
        Optional<Integer> strikes) {

    public Draft {
        payload = Map.copyOf(payload);
        attachments = List.copyOf(attachments);
    }

    public static Draft of(Authorship by, String kind, String step, Map<String, Object> payload) {
        return new Draft(by, kind, step, payload, List.of(), Optional.empty());
    }

    public Instant at() {
        return by.at();
    }

    /** Name of who wrote it. */
    public String author() {
        return by.author().name();
    }
}
