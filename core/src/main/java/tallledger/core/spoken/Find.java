package tallledger.core.spoken;

import java.math.BigDecimal;
import java.util.Optional;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.machine.Claim;
import tallledger.core.reason.Reason;

/**
 * Something said that is worth a look: offered to a person, who says what it is.
 *
 * @param kind   what sort of thing
 * @param second of the film in which its sentence begins
 * @param until  where that ends
 * @param words  the sentence, letter for letter
 * @param about  what of it was found, as it would be written
 * @param claim  what it would claim; empty for a hedge
 * @param task   key of the speed or step that would show it, where there is one
 * @param hedged whether the sentence leaves it open: "I believe", "about", "should"
 * @param doubt  why it should be listened to again
 */
public record Find(SaidOf kind, BigDecimal second, BigDecimal until, String words, String about, Optional<Claim> claim,
        Optional<String> task, boolean hedged, Optional<Reason> doubt) {

    /** What is found in speech. */
    public enum SaidOf {
        /** A speed that is said to run. */
        SPEED,
        /** A range, a count, a figure with its unit. */
        FIGURE,
        /** Something that goes with the machine. */
        KIT,
        /** Something it does, which a film may show. */
        FUNCTION,
        /** Something wrong that is admitted. */
        ADMISSION,
        /** Work done on it. */
        REPAIR,
        /** Praise without evidence. */
        PRAISE,
        /** Something missing or still to come. */
        AWAITED,
        /** One thing or the other is offered. */
        EITHER,
        /** Words that leave something open. */
        HEDGE
    }

    /** By which it is known again, so that what was answered is not offered twice. */
    public String key() {
        return second.stripTrailingZeros().toPlainString() + " " + kind.name() + " " + about;
    }

    /** Where in a film it is said. */
    public FilmMoment moment(String film) {
        return new FilmMoment(film, second, until.max(second), Optional.empty());
    }

    Find doubted(Reason because) {
        return new Find(kind, second, until, words, about, claim, task, hedged, doubt.or(() -> Optional.of(because)));
    }
}
