package tallledger.core.survey;

import java.util.List;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;

/**
 * An entry that says nothing: it cannot be read, or does not fit the machine as described now. It is shown with its reason, counts as
 * nothing, and hides no other.
 */
public record Stray(Entry entry, Reason because) {

    /** Reads an entry or makes something of it; whatever is wrong with it makes it a stray. */
    static void guard(Entry entry, List<Stray> strays, Runnable reading) {
        if (entry.damage().isPresent()) {
            strays.add(new Stray(entry, entry.damage().get()));
            return;
        }
        try {
            reading.run();
        } catch (Refused refused) {
            strays.add(new Stray(entry, Reason.of(CommonReason.STRAY_REFUSED, refused.reason())));
        } catch (RuntimeException unread) {
            strays.add(new Stray(entry, Reason.of(CommonReason.STRAY_UNREADABLE)));
        }
    }
}
