package tallledger.core.ledger;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Optional;
import tallledger.core.reason.Refused;

/**
 * An entry before it has a place in the chain.
 *
 * @param at      when it was written, cut to milliseconds so that every store keeps it whole
 * @param author  who wrote it
 * @param kind    what sort of entry
 * @param step    which step it belongs to, or empty text
 * @param payload its content: maps, lists, text, whole numbers, booleans
 * @param strikes sequence of the entry it strikes
 */
public record Draft(Instant at, String author, String kind, String step, Map<String, Object> payload,
                    Optional<Integer> strikes) {

    public static final int LONGEST_AUTHOR = 80;

    public Draft {
        at = at.truncatedTo(ChronoUnit.MILLIS);
        author = author.strip();
        payload = Map.copyOf(payload);
        if (author.isEmpty()) {
            throw Refused.because("author.missing");
        }
        if (author.length() > LONGEST_AUTHOR) {
            throw Refused.because("text.long", author.length(), LONGEST_AUTHOR);
        }
    }
}
