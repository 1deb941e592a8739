package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.SurveyBook;
import tallledger.core.family.Family;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Payload;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reason.Refused;

/** What is drawn over a photograph. */
class PictureMarkTest {

    private static final MachineDescription MILL = CatalogueTest.machine(Family.UNIVERSAL_MILL, Family.UNIVERSAL_MILL.traits().usual());

    @Test
    void marksAreReadLineByLine() {
        assertThat(PictureMark.parse("arrow 10 20 30.5 40 crack at the foot\n\n  RING 0 0 100 100\nword 50 99.96 new paint"))
                .containsExactly(
                        new PictureMark(PictureMark.Drawn.ARROW, 100, 200, 305, 400, "crack at the foot"),
                        new PictureMark(PictureMark.Drawn.RING, 0, 0, 1000, 1000, ""),
                        new PictureMark(PictureMark.Drawn.WORD, 500, 1000, 500, 1000, "new paint"));
    }

    @ParameterizedTest
    @CsvSource({"arrow 10 20 30, mark.form", "ring 10 20 30 101, mark.outside", "word 10 20, mark.word", "cross 1 2 3 4, mark.form",
            "arrow 10 20 30 -4, mark.form", "arrow 1e9 2 3 4, mark.form", "word 1 2 3 4 x, mark.form", "arrow10 20 30 40, mark.form"})
    void whatIsNoneIsRefused(String line, String code) {
        assertThatThrownBy(() -> PictureMark.parse("ring 1 1 2 2\n" + line)).isInstanceOfSatisfying(Refused.class,
                r -> assertThat(r.reason().code()).isEqualTo(code));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 40, 41})
    void soManyGoIntoOneEntry(int marks) {
        String typed = "ring 1 1 2 2\n".repeat(marks);
        if (marks > 40) {
            assertThatThrownBy(() -> PictureMark.parse(typed)).isInstanceOf(Refused.class);
        } else {
            assertThat(PictureMark.parse(typed)).hasSize(marks);
        }
        assertThatThrownBy(() -> PictureMark.parse(" \n ")).isInstanceOfSatisfying(Refused.class,
                r -> assertThat(r.reason().code()).isEqualTo("mark.none"));
        assertThatThrownBy(() -> PictureMark.parse("word 1 1 " + "x".repeat(61))).isInstanceOf(Refused.class);
    }

    /** Marks of several entries stand over one picture; a struck entry takes its own away, a struck picture all. */
    @Test
    void marksStandOverTheirPicture() {
        SurveyBook book = new SurveyBook(MILL, Scope.WHOLE, 60);
        Authorship by = Authorship.of(book.now(), SurveyBook.ME);
        Entry taken = book.write(SurveyEntries.photo(by, "covers", List.of(new Attachment(Photo.PICTURE, "0".repeat(64), "image/png")), 640,
                480, "open"));
        Entry first = book.write(SurveyEntries.photoMarked(by, book.survey(), taken.sequence(), "ring 1 2 3 4"));
        Entry second = book.write(SurveyEntries.photoMarked(by, book.survey(), taken.sequence(), "arrow 1 2 3 4 crack\nring 5 6 7 8"));
        assertThat(first.step()).isEqualTo("covers");
        assertThat(book.survey().photos()).singleElement().satisfies(p -> assertThat(p.marks()).extracting(m -> m.entry())
                .containsExactly(first.sequence(), second.sequence(), second.sequence()));
        book.write(SurveyEntries.strike(by, book.entries(), first.sequence(), "not there"));
        assertThat(book.survey().photos().get(0).marks()).hasSize(2);
        book.write(SurveyEntries.strike(by, book.entries(), taken.sequence(), "another machine"));
        assertThat(book.survey().photos()).isEmpty();
        assertThat(book.survey().strays()).extracting(s -> s.because().code()).containsExactly("stray.photo");
        assertThatThrownBy(() -> SurveyEntries.photoMarked(by, book.survey(), taken.sequence(), "ring 1 2 3 4"))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo("stray.photo"));
    }

    @Test
    void aFilmIsNamedByItsHash() {
        SurveyBook book = new SurveyBook(MILL, Scope.WHOLE, 60);
        book.write(SurveyEntries.clip(Authorship.of(book.now(), SurveyBook.ME), "covers", new Attachment(Clip.FILM, "1".repeat(64),
                "video/webm"), 12_345_678, "jumps out"));
        assertThat(book.survey().clipsOf("covers")).singleElement().satisfies(c -> {
            assertThat(c.sha256()).isEqualTo("1".repeat(64));
            assertThat(c.type()).isEqualTo("video/webm");
            assertThat(c.megabytes()).isEqualByComparingTo("12.3");
        });
        assertThat(book.survey().clipsOf("lamp")).isEmpty();
    }

    @Test
    void aMarkIsReadBackAsItWasWritten() {
        for (PictureMark mark : PictureMark.parse("arrow 10 20 30.5 40 crack\nring 0 0 100 100\nword 50 99.9 new paint")) {
            assertThat(PictureMark.from(new Payload(mark.toPayload()))).isEqualTo(mark);
        }
        assertThat(List.of(PictureMark.parse("word 1 2 a").get(0).says().arguments().get(1))).containsExactly(1);
    }
}
