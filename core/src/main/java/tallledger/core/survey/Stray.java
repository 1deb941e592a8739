package tallledger.core.survey;

import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;

/**
 * An entry that says nothing: it cannot be read, or does not fit the machine as described now. It is shown with its reason, counts as
 * nothing, and hides no other.
 */
public record Stray(Entry entry, Reason because) {

    /** Hands an entry to a fold; whatever is wrong with it makes it a stray and leaves the fold as it was. */
    static void guard(Entry entry, List<Stray> strays, BiConsumer<Kind, Entry> fold) {
        Optional<Kind> kind = Kind.named(entry.kind());
        if (entry.damage().isPresent()) {
            strays.add(new Stray(entry, entry.damage().get()));
        } else if (kind.isEmpty()) {
            strays.add(new Stray(entry, Reason.of("stray.kind", entry.kind())));
        } else {
            try {
                fold.accept(kind.get(), entry);
            } catch (Refused refused) {
                strays.add(new Stray(entry, Reason.of("stray.refused", refused.reason())));
            } catch (RuntimeException unread) {
                strays.add(new Stray(entry, Reason.of("stray.unreadable")));
            }
        }
    }
}
