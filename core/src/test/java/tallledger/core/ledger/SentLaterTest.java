package tallledger.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;

/** An entry that was kept on its device has the time when it was made, whatever that device's clock was set to. */
class SentLaterTest {

    private static final Instant OPENED = Instant.parse("2026-12-01T08:00:00Z");
    private static final Instant NOW = Instant.parse("2026-12-01T11:30:00Z");

    /** Made 10:42 by the computer's clock, 48 min before it came in. */
    @ParameterizedTest
    @CsvSource({"2026-12-01T10:42:00Z, 2026-12-01T11:30:00Z, 0", "2026-12-01T11:42:00Z, 2026-12-01T12:30:00Z, 3600",
            "1970-01-01T00:00:00Z, 1970-01-01T00:48:00Z, -1796121720"})
    void aWrongClockMovesNothing(Instant shown, Instant showsNow, long fast) {
        SentLater later = SentLater.of(shown, showsNow, NOW, OPENED);
        assertThat(later.made()).isEqualTo(Instant.parse("2026-12-01T10:42:00Z"));
        assertThat(later.received()).isEqualTo(NOW);
        assertThat(later.fast()).isEqualTo(Duration.ofSeconds(fast));
    }

    /** A clock that was set while nothing was connected, or a forged one: never after now, never before the record. */
    @ParameterizedTest
    @CsvSource({"2026-12-01T12:00:00Z, 2026-12-01T11:00:00Z, 2026-12-01T11:30:00Z",
            "2025-12-01T12:00:00Z, 2026-12-01T11:00:00Z, 2026-12-01T08:00:00Z",
            "2026-12-01T08:00:00Z, 2026-12-01T11:30:00Z, 2026-12-01T08:00:00Z",
            "2026-12-01T11:30:00Z, 2026-12-01T11:30:00Z, 2026-12-01T11:30:00Z"})
    void noneIsMadeOutsideTheRecord(Instant shown, Instant showsNow, Instant made) {
        assertThat(SentLater.of(shown, showsNow, NOW, OPENED).made()).isEqualTo(made);
    }

    @Test
    void itStandsInTheEntryBesideWhatItSays() {
        Draft draft = new Draft(Authorship.of(NOW, "J. Marsh, seller"), "STEP", "castings", Map.of("do", "good"),
                List.of(new Attachment("photograph", "0".repeat(64), "image/png")), Optional.of(3));
        SentLater later = SentLater.of(NOW.minusSeconds(60), NOW, NOW.plusSeconds(7), OPENED);
        Entry entry = Entry.following(Optional.empty(), later.on(draft));
        assertThat(entry.at()).isEqualTo(NOW.minusSeconds(53));
        assertThat(entry.by().author()).isEqualTo(draft.by().author());
        assertThat(entry.draft().attachments()).isEqualTo(draft.attachments());
        assertThat(entry.draft().strikes()).contains(3);
        assertThat(entry.payload().text("do")).isEqualTo("good");
        assertThat(SentLater.of(entry)).contains(later);
        assertThat(SentLater.of(Entry.handedOver(entry.handedOver(), 1))).contains(later);
        assertThat(entry.isWhole()).isTrue();
    }

    @Test
    void aClockThatWasNeverSetIsSaidAsFarAsThereIsRoom() {
        SentLater later = SentLater.of(Instant.EPOCH, Instant.EPOCH, NOW.plus(Duration.ofDays(30_000)), OPENED);
        Entry entry = Entry.following(Optional.empty(), later.on(Draft.of(Authorship.of(NOW, "J. Marsh"), "STEP", "castings", Map.of())));
        assertThat(SentLater.of(entry).orElseThrow().fast()).isEqualTo(Duration.ofSeconds(-999_999_999L));
    }

    /** Whatever stands there, reading it throws nothing. */
    @Test
    void whatIsNoneIsNone() {
        for (Object bent : new Object[] {"x", Map.of(), Map.of("received", "soon", "fastSeconds", 1),
                Map.of("received", 5, "fastSeconds", 1),
                Map.of("received", NOW.toString(), "fastSeconds", "1"), List.of()}) {
            Draft draft = Draft.of(Authorship.of(NOW, "J. Marsh"), "STEP", "castings", Map.of("sentLater", bent));
            assertThat(SentLater.of(Entry.following(Optional.empty(), draft))).as(String.valueOf(bent)).isEmpty();
        }
        assertThat(SentLater.of(Entry.damaged(1, "STEP", "", "", Reason.of(CommonReason.STRAY_UNREADABLE)))).isEmpty();
    }
}
