package tallledger.web.sharing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tallledger.core.house.HouseChange.PairingRefused.Wrong;
import tallledger.web.sharing.PairingCodes.Offer;
import tallledger.web.sharing.PairingCodes.Tried;
import tallledger.web.store.Submission;

class PairingCodesTest {

    private static final Offer ALL = new Offer(Optional.empty(), true, Duration.ofHours(12), "", "");

    /** A clock that stands until it is put on. */
    private static final class Hand extends Clock {

        private Instant now = Instant.parse("2026-05-09T08:00:00Z");

        private void on(Duration time) {
            now = now.plus(time);
        }

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return now;
        }
    }

    private final Hand clock = new Hand();
    private final PairingCodes codes = new PairingCodes(clock);

    private PairingCodes.Code fresh() {
        return codes.handedOut(ALL, Submission.fresh(0));
    }

    private Tried tried(String typed) {
        return codes.tried(typed, Submission.fresh(0));
    }

    @Test
    void aCodeIsGoodOnce() {
        PairingCodes.Code code = fresh();
        Submission form = Submission.fresh(0);
        assertThat(codes.tried(code.shown().toLowerCase().replace("-", " "), form)).isEqualTo(new Tried.Good(code));
        assertThat(tried(code.shown())).as("looked at, not used yet").isEqualTo(new Tried.Good(code));
        codes.use(code, form, "its secret");
        assertThat(tried(code.shown())).isEqualTo(new Tried.Bad(Wrong.USED));
        assertThat(codes.open(code.shown())).isEmpty();
        assertThat(codes.tried(code.shown(), form)).as("the same form, sent again").isEqualTo(new Tried.Again("its secret", ALL));
    }

    @Test
    void aCodeIsGoodForTenMinutes() {
        PairingCodes.Code code = fresh();
        clock.on(Duration.ofMinutes(10).minusMillis(1));
        assertThat(tried(code.shown())).isInstanceOf(Tried.Good.class);
        clock.on(Duration.ofMillis(1));
        assertThat(tried(code.shown())).isEqualTo(new Tried.Bad(Wrong.OLD));
    }

    /** Not even the right one is looked at, or guessing would go on. */
    @Test
    void afterFiveWrongOnesNoneIsLookedAtUntilTheMinuteIsOver() {
        PairingCodes.Code code = fresh();
        for (int i = 0; i < 5; i++) {
            assertThat(tried("AAAA-AAA" + i)).isEqualTo(new Tried.Bad(Wrong.UNKNOWN));
            clock.on(Duration.ofSeconds(2));
        }
        assertThat(tried(code.shown())).isEqualTo(new Tried.Waits(50));
        clock.on(Duration.ofSeconds(50));
        assertThat(tried("BBBB-BBBB")).as("the first of the five is a minute old").isEqualTo(new Tried.Bad(Wrong.UNKNOWN));
        assertThat(tried(code.shown())).isInstanceOf(Tried.Waits.class);
        clock.on(Duration.ofSeconds(2));
        assertThat(tried(code.shown())).isEqualTo(new Tried.Good(code));
    }

    @Test
    void theSameFormAsksForTheSameCode() {
        Submission form = Submission.fresh(0);
        assertThat(codes.handedOut(ALL, form)).isSameAs(codes.handedOut(ALL, form)).isNotSameAs(fresh());
    }

    @Test
    void whereSharingEndsCodesEnd() {
        PairingCodes.Code code = fresh();
        codes.forget();
        assertThat(tried(code.shown())).isEqualTo(new Tried.Bad(Wrong.UNKNOWN));
    }

    @Test
    void codesAreEightSignsThatNobodyTakesForOneAnother() {
        Set<String> shown = new HashSet<>();
        for (int i = 0; i < 500; i++) {
            shown.add(fresh().shown());
        }
        assertThat(shown).hasSize(500).allMatch(c -> c.matches("[A-HJKMNP-RT-Y346789]{4}-[A-HJKMNP-RT-Y346789]{4}"));
    }
}
