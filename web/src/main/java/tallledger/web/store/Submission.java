package tallledger.web.store;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import java.util.function.Function;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Refused;
import tallledger.web.words.WebReason;

/**
 * What a form says of itself, so that posting it twice is safe and posting it late is noticed.
 *
 * @param key  made fresh for every form shown
 * @param seen sequence of the last entry when the form was shown
 */
public record Submission(String key, int seen) {

    public Submission {
        if (key == null || !key.matches("[0-9a-f-]{36}")) {
            throw Refused.because(WebReason.FORM_NO_KEY);
        }
    }

    /** Of another form on the same page: what one of them wrote is not taken for what the other says. */
    public Submission other(String form) {
        return new Submission(UUID.nameUUIDFromBytes((key + " " + form).getBytes(StandardCharsets.UTF_8)).toString(), seen);
    }

    private static final int DEVICE = 9;
    private static final int TRIES = 5;

    /** What all keys begin with that one device made while it had no connection. */
    String device() {
        return key.substring(0, DEVICE);
    }

    /**
     * Writes what rests on nothing else in the book, so that what others wrote meanwhile does not stand in its way.
     *
     * @throws StaleFormException where they write faster than that
     */
    public Entry afterOthers(Function<Submission, Entry> write) {
        Submission now = this;
        for (int tries = 1;; tries++) {
            try {
                return write.apply(now);
            } catch (StaleFormException moved) {
                if (tries == TRIES) {
                    throw moved;
                }
                now = new Submission(key, moved.head());
            }
        }
    }

    public static Submission fresh(int seen) {
        return new Submission(UUID.randomUUID().toString(), seen);
    }
}
