package tallledger.web.sharing;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Iterator;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import tallledger.core.house.HouseChange.PairingRefused.Wrong;
import tallledger.web.store.Submission;

/**
 * Codes by which a device is let in: shown on this computer, typed or photographed there. Each is good once and for ten minutes; after five
 * wrong ones within a minute none is looked at until the minute is over. They are not kept: after a new start there are none.
 */
@Component
class PairingCodes {

    static final Duration GOOD_FOR = Duration.ofMinutes(10);
    private static final Duration A_MINUTE = Duration.ofMinutes(1);
    private static final int WRONG_A_MINUTE = 5;
    /** Letters and digits that nobody takes for one another. */
    private static final String SIGNS = "ABCDEFGHJKMNPQRTUVWXY346789";
    private static final int LENGTH = 8;
    /** So many are remembered, to say of a late one what is wrong with it. */
    private static final int REMEMBERED = 200;

    /**
     * What a code lets its device do.
     *
     * @param survey the only survey it may open; empty for all
     * @param lasts  how long it is let in for
     * @param name   what the device is called, where that was said beforehand
     * @param author who writes with it, where that was said
     */
    record Offer(Optional<Long> survey, boolean writes, Duration lasts, String name, String author) {
    }

    /** A code as it was handed out. */
    static final class Code {

        private final String text;
        private final Offer offer;
        private final Instant until;
        private final String asked;
        /** By which form it was used, with the secret that form was answered with. */
        private Optional<Used> used = Optional.empty();

        private Code(String text, Offer offer, Instant until, String asked) {
            this.text = text;
            this.offer = offer;
            this.until = until;
            this.asked = asked;
        }

        /** In two halves, as it is read out. */
        String shown() {
            return text.substring(0, LENGTH / 2) + "-" + text.substring(LENGTH / 2);
        }

        Offer offer() {
            return offer;
        }

        Instant until() {
            return until;
        }
    }

    private record Used(String form, String secret) {
    }

    /** What came of a code: the code, to be used; the secret it was answered with, where the same form came again; or why not. */
    sealed interface Tried {

        record Good(Code code) implements Tried {
        }

        record Again(String secret, Offer offer) implements Tried {
        }

        record Bad(Wrong why) implements Tried {
        }

        /** Nothing was looked at. */
        record Waits(long seconds) implements Tried {
        }
    }

    private final Clock clock;
    private final SecureRandom random = new SecureRandom();
    private final Deque<Code> codes = new ArrayDeque<>();
    private final Deque<Instant> wrong = new ArrayDeque<>();

    PairingCodes(Clock clock) {
        this.clock = clock;
    }

    /** A fresh code; the same form again gets the one it asked for. */
    synchronized Code handedOut(Offer offer, Submission submission) {
        Optional<Code> already = codes.stream().filter(c -> c.asked.equals(submission.key())).findFirst();
        if (already.isPresent()) {
            return already.get();
        }
        String text = random.ints(LENGTH, 0, SIGNS.length()).mapToObj(i -> SIGNS.substring(i, i + 1)).collect(Collectors.joining());
        Code code = new Code(text, offer, clock.instant().plus(GOOD_FOR), submission.key());
        codes.addFirst(code);
        while (codes.size() > REMEMBERED) {
            codes.removeLast();
        }
        return code;
    }

    /** One that is good still. */
    synchronized Optional<Code> open(String typed) {
        return codes.stream().filter(c -> c.text.equals(bare(typed)) && isOpen(c)).findFirst();
    }

    private boolean isOpen(Code code) {
        return code.used.isEmpty() && clock.instant().isBefore(code.until);
    }

    /** Looks a code up. It stays good until {@link #use} says that a device was let in by it. */
    synchronized Tried tried(String typed, Submission submission) {
        Instant now = clock.instant();
        while (!wrong.isEmpty() && !now.isBefore(wrong.peekFirst().plus(A_MINUTE))) {
            wrong.removeFirst();
        }
        Optional<Code> found = codes.stream().filter(c -> c.text.equals(bare(typed))).findFirst();
        Optional<Used> again = found.flatMap(c -> c.used).filter(u -> u.form.equals(submission.key()));
        if (again.isPresent()) {
            return new Tried.Again(again.get().secret, found.get().offer);
        }
        if (wrong.size() >= WRONG_A_MINUTE) {
            return new Tried.Waits(Math.max(1, Duration.between(now, wrong.peekFirst().plus(A_MINUTE)).toSeconds()));
        }
        if (found.filter(this::isOpen).isPresent()) {
            return new Tried.Good(found.get());
        }
        wrong.addLast(now);
        return new Tried.Bad(found.isEmpty() ? Wrong.UNKNOWN : found.get().used.isPresent() ? Wrong.USED : Wrong.OLD);
    }

    /** From now on it is used. */
    synchronized void use(Code code, Submission by, String secret) {
        code.used = Optional.of(new Used(by.key(), secret));
    }

    /** No code that is out is good any more. */
    synchronized void forget() {
        for (Iterator<Code> each = codes.iterator(); each.hasNext();) {
            if (isOpen(each.next())) {
                each.remove();
            }
        }
    }

    /** As it was handed out, however it was typed. */
    private static String bare(String typed) {
        return typed.toUpperCase(Locale.ROOT).replaceAll("[\\s-]", "");
    }
}
