package tallledger.web.sealed;

import java.io.UncheckedIOException;
import java.security.KeyPair;
import java.time.Clock;
import java.util.Base64;
import org.springframework.stereotype.Component;
import tallledger.core.house.HouseChange;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Reason;
import tallledger.core.seal.Fingerprint;
import tallledger.core.seal.Seal;
import tallledger.core.survey.SurveyEntries;
import tallledger.web.housebook.Houses;
import tallledger.web.keys.SealKey;
import tallledger.web.library.StoredSurvey;
import tallledger.web.store.Books;
import tallledger.web.store.StaleFormException;
import tallledger.web.store.Submission;
import tallledger.web.store.WriteRefusedException;
import tallledger.web.words.WebReason;

/** Closes surveys: the entry that ends one names the key it is sealed with, and the house's book knows that key from its first use. */
@Component
public class Closing {

    private final Books books;
    private final Houses houses;
    private final SealKey keys;
    private final Clock clock;

    Closing(Books books, Houses houses, SealKey keys, Clock clock) {
        this.books = books;
        this.houses = houses;
        this.keys = keys;
        this.clock = clock;
    }

    /**
     * Closes a survey: two entries at the first time, in the house's book and in the survey's, or neither.
     *
     * @throws StaleFormException where it has entries the form had not seen
     */
    public Entry close(StoredSurvey survey, String author, Submission submission) {
        KeyPair pair;
        try {
            pair = keys.made();
        } catch (UncheckedIOException noRoom) {
            throw new WriteRefusedException(Reason.of(WebReason.STORE_FAILED), noRoom);
        }
        byte[] key = Seal.bytes(pair.getPublic());
        String written = Base64.getEncoder().encodeToString(key);
        houses.issued();
        return books.together(() -> {
            boolean known = houses.book().keys().stream()
                    .anyMatch(c -> written.equals(c.entry().payload().optionalText("publicKey").orElse("")));
            if (!known) {
                houses.change(new HouseChange.KeyMade(written), author, Submission.fresh(houses.head()));
            }
            return books.append(survey.id(), SurveyEntries.closed(survey.by(clock, author), Fingerprint.of(key).hex()), submission);
        });
    }
}
