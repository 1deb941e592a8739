package tallledger.core.ledger;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.reason.Reason;

/** Checks a chain of entries, and says where it breaks. */
public final class Chain {

    private Chain() {
    }

    /**
     * Where a chain breaks.
     *
     * @param sequence entry at fault
     * @param because  what does not agree
     */
    public record Break(int sequence, Reason because) {
    }

    /** The first break; empty when every hash is that of its entry and names the one before. */
    public static Optional<Break> firstBreak(List<Entry> entries) {
        String previous = Entry.BEFORE_FIRST;
        for (int i = 0; i < entries.size(); i++) {
            Entry entry = entries.get(i);
            if (entry.sequence() != i + 1) {
                return Optional.of(new Break(i + 1, Reason.of("chain.missing", i + 1, entry.sequence())));
            }
            if (!entry.previous().equals(previous)) {
                return Optional.of(new Break(i + 1, Reason.of("chain.unlinked", i + 1)));
            }
            if (!entry.isWhole()) {
                return Optional.of(new Break(i + 1, Reason.of("chain.changed", i + 1)));
            }
            previous = entry.hash();
        }
        return Optional.empty();
    }

    /** Struck entries and the entry that strikes each. */
    public static Map<Integer, Entry> struck(List<Entry> entries) {
        Map<Integer, Entry> struck = new HashMap<>();
        entries.forEach(entry -> entry.draft().strikes().ifPresent(target -> struck.putIfAbsent(target, entry)));
        return struck;
    }
}
