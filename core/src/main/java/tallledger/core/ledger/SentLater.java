package tallledger.core.ledger;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * An entry that its device kept for lack of a connection and sent later. Its time is when it was made: that many seconds before it came in
 * as the device's own clock counted, so that it does not matter what that clock was set to. When it came in, and how far the clock was
 * off, stands with it.
 *
 * @param made     by the clock of this computer
 * @param received by the same
 * @param fast     how far the device's clock was ahead; negative where it was behind
 */
public record SentLater(Instant made, Instant received, Duration fast) {

    private static final String FIELD = "sentLater";
    private static final String RECEIVED = "received";
    private static final String FAST = "fastSeconds";

    /**
     * @param shown    what the device's clock showed when it was made
     * @param showsNow what it showed when it was sent
     * @param now      what this computer's shows
     * @param earliest nothing of a record is made before it was opened, whatever a device's clock says
     */
    public static SentLater of(Instant shown, Instant showsNow, Instant now, Instant earliest) {
        Instant counted = now.minus(Duration.between(shown, showsNow));
        Instant made = counted.isAfter(now) ? now : counted.isBefore(earliest) ? earliest : counted;
        return new SentLater(made, now, Duration.between(now, showsNow));
    }

    /** The same entry, made then. */
    public Draft on(Draft draft) {
        Map<String, Object> payload = new HashMap<>(draft.payload());
        payload.put(FIELD, Map.of(RECEIVED, received.toString(), FAST, Math.toIntExact(Math.max(-MOST, Math.min(MOST, fast.toSeconds())))));
        return new Draft(new Authorship(made, draft.by().zone(), draft.by().author()), draft.kind(), draft.step(), payload,
                draft.attachments(), draft.strikes());
    }

    /** A clock that was never set is decades off: more than that is said no closer. */
    private static final long MOST = 999_999_999L;

    /** What an entry says of it; empty where it was recorded as it was made, or says it in no way that can be read. */
    public static Optional<SentLater> of(Entry entry) {
        try {
            return entry.damage().isEmpty() && entry.draft().payload().get(FIELD) instanceof Map<?, ?> said
                    ? Optional.of(new SentLater(entry.at(), Instant.parse((String) said.get(RECEIVED)),
                            Duration.ofSeconds((Integer) said.get(FAST))))
                    : Optional.empty();
        } catch (RuntimeException bent) {
            return Optional.empty();
        }
    }
}
