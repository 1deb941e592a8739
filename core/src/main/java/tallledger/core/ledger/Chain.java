package tallledger.core.ledger;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.reason.Reason;

/** Checks a chain of entries, and says where it breaks. */
public final class Chain {

    /** Kind of the entry that ends a book. */
    private static final String CLOSED = "CLOSED";

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

    /** The first break; empty when every hash is that of its entry and names the one before, and none stands behind one that closed it. */
    public static Optional<Break> firstBreak(List<Entry> entries) {
        return firstBreak(Optional.empty(), entries);
    }

    /**
     * The first break of what follows an entry that is known to be whole.
     *
     * @param last the entry before, empty at the beginning of the book
     */
    public static Optional<Break> firstBreak(Optional<Entry> last, List<Entry> more) {
        String previous = last.map(Entry::hash).orElse(Entry.BEFORE_FIRST);
        int due = last.map(Entry::sequence).orElse(0);
        boolean closed = last.filter(e -> e.kind().equals(CLOSED)).isPresent();
        for (Entry entry : more) {
            due++;
            if (entry.sequence() != due) {
                return Optional.of(new Break(due, Reason.of(LedgerReason.CHAIN_MISSING, due, entry.sequence())));
            }
            if (!entry.previous().equals(previous)) {
                return Optional.of(new Break(due, Reason.of(LedgerReason.CHAIN_UNLINKED, due)));
            }
            if (!entry.isWhole()) {
                return Optional.of(new Break(due, Reason.of(LedgerReason.CHAIN_CHANGED, due)));
            }
            if (closed) {
                return Optional.of(new Break(due, Reason.of(LedgerReason.CHAIN_AFTER_CLOSED, due)));
            }
            closed = entry.kind().equals(CLOSED);
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
