package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Refused;
import tallledger.core.survey.BookEvent.Camera.What;

/** An entry's time in the film, chapters, and films that nobody stopped. */
class FilmsTest {

    private static final Instant TEN = Instant.parse("2026-05-09T10:00:00Z");
    private final SurveyBook book = new SurveyBook(Machines.twelve(), Scope.WHOLE, 0);

    private static Authorship at(int seconds) {
        return Authorship.of(TEN.plusSeconds(seconds), SurveyBook.ME);
    }

    private Entry write(Draft draft) {
        return book.write(draft);
    }

    private Films films(Integer... struck) {
        return Films.of(book.entries(), Set.of(struck));
    }

    /** Started 10:00:00, an entry at 10:03:20: 0:03:20; with a shift of 7 s 0:03:27; before and after the film none. */
    @Test
    void anEntryHasItsTimeInTheFilm() {
        Entry before = write(SurveyEntries.remark(at(-5), "before"));
        write(SurveyEntries.camera(at(0), What.STARTED));
        Entry growl = write(SurveyEntries.remark(at(200), "growl"));
        assertThat(films().running()).isTrue();
        write(SurveyEntries.camera(at(260), What.STOPPED));
        Entry after = write(SurveyEntries.remark(at(261), "after"));
        assertThat(films().at(growl).orElseThrow().shown()).isEqualTo("0:03:20");
        assertThat(films().at(before)).isEmpty();
        assertThat(films().at(after)).isEmpty();
        assertThat(films().running()).isFalse();
        int shift = write(SurveyEntries.cameraShifted(at(300), "7")).sequence();
        assertThat(films().at(growl).orElseThrow().shown()).isEqualTo("0:03:27");
        assertThat(films(shift).at(growl).orElseThrow().shown()).as("struck, the shift counts for nothing").isEqualTo("0:03:20");
        write(SurveyEntries.cameraShifted(at(301), "-300"));
        assertThat(films().at(growl)).as("before the film began").isEmpty();
    }

    /** Three entries, two of one second: two chapters; the last ends where the camera was stopped. */
    @Test
    void aChapterEndsWhereTheNextBegins() {
        write(SurveyEntries.camera(at(0), What.STARTED));
        write(SurveyEntries.remark(at(10), "one"));
        write(SurveyEntries.remark(Authorship.of(TEN.plusMillis(10_900), SurveyBook.ME), "two"));
        write(SurveyEntries.remark(at(3700), "three"));
        write(SurveyEntries.camera(at(3725), What.STOPPED));
        List<Films.Chapter> chapters = films().chapters(1, book.entries());
        assertThat(chapters).extracting(c -> c.from().toSeconds() + "-" + c.until().toSeconds() + " " + c.entries().size())
                .containsExactly("10-3700 2", "3700-3725 1");
        assertThat(films().at(book.entries().get(4)).orElseThrow().shown()).isEqualTo("1:01:40");
    }

    /** The last entry in the very second in which the camera was stopped: a cue that lasts. */
    @Test
    void noChapterEndsWhereItBegins() {
        write(SurveyEntries.camera(at(0), What.STARTED));
        write(SurveyEntries.remark(Authorship.of(TEN.plusMillis(20_100), SurveyBook.ME), "last"));
        write(SurveyEntries.camera(Authorship.of(TEN.plusMillis(20_400), SurveyBook.ME), What.STOPPED));
        assertThat(films().chapters(1, book.entries())).singleElement().satisfies(c -> {
            assertThat(c.from().toMillis()).isEqualTo(20_000);
            assertThat(c.until().toMillis()).isEqualTo(21_000);
        });
    }

    /** A second film begins where nobody stopped the first; closing stops the last. */
    @Test
    void severalFilmsAreNumbered() {
        write(SurveyEntries.camera(at(0), What.STARTED));
        write(SurveyEntries.camera(at(100), What.STARTED));
        Entry in = write(SurveyEntries.remark(at(130), "in the second"));
        write(SurveyEntries.closed(at(200), "ab"));
        assertThat(films().films()).hasSize(2).allSatisfy(f -> assertThat(f.until()).isPresent());
        assertThat(films().at(in).orElseThrow()).satisfies(p -> assertThat(p.film() + " " + p.shown()).isEqualTo("2 0:00:30"));
        assertThat(films().chapters(1, book.entries())).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "0", "x", "1.5", "3601", "-3601", "99999999999"})
    void aShiftThatIsNoneIsRefused(String typed) {
        assertThatThrownBy(() -> SurveyEntries.cameraShifted(at(0), typed))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("seconds"));
    }
}
