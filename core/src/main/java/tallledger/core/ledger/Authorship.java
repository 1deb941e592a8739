package tallledger.core.ledger;

import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;

/**
 * Authorship whom an entry is written, when, and what the clock on the wall was set to.
 *
 * @param at     cut to milliseconds so that every store keeps it whole
 * @param zone   of the place where it was written, so that a reader elsewhere sees the surveyor's time of day
 * @param author who
 */
public record Authorship(Instant at, ZoneId zone, Author author) {

    public Authorship {
        at = at.truncatedTo(ChronoUnit.MILLIS);
    }

    /** @param author as typed, see {@link Author#parse} */
    public static Authorship of(Instant at, ZoneId zone, String author) {
        return new Authorship(at, zone, Author.parse(author));
    }

    /** Authorship a clock that shows universal time. */
    public static Authorship of(Instant at, String author) {
        return of(at, ZoneOffset.UTC, author);
    }

    /** The time of day where it was written. */
    public ZonedDateTime there() {
        return at.atZone(zone);
    }
}
