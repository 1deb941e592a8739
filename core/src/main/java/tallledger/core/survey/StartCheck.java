package tallledger.core.survey;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Entry;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * What must be safe before the spindle starts: confirmed once per start, not per speed. Due again after the machine was
 * stopped for good, or when nothing was recorded for half an hour ({@link Rule#CONFIRMED_FOR}): somebody else may have been at it.
 */
public final class StartCheck {

    private StartCheck() {
    }

    /** Whether the checks must be confirmed before the next run. */
    public static boolean isDue(List<Entry> entries, Rules rules, Instant now) {
        Duration goodFor = rules.time(Rule.CONFIRMED_FOR);
        java.util.Map<Integer, Entry> struck = Chain.struck(entries);
        boolean confirmed = false;
        Instant last = Instant.MIN;
        for (Entry entry : entries) {
            if (entry.damage().isPresent()) {
                continue;
            }
            if (entry.kind().equals(Kind.START_CONFIRMED.name()) && !struck.containsKey(entry.sequence())) {
                confirmed = true;
            } else if (entry.kind().equals(Kind.STOPPED.name()) || isStale(last, entry.at(), goodFor)) {
                confirmed = false;
            }
            last = entry.at();
        }
        return !confirmed || isStale(last, now, goodFor);
    }

    private static boolean isStale(Instant last, Instant now, Duration goodFor) {
        return !last.equals(Instant.MIN) && Duration.between(last, now).compareTo(goodFor) > 0;
    }
}
