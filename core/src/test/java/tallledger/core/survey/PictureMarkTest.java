package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.ledger.Payload;
import tallledger.core.reason.Refused;

/** What is drawn over a photograph. */
class PictureMarkTest {

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

    @Test
    void aMarkIsReadBackAsItWasWritten() {
        for (PictureMark mark : PictureMark.parse("arrow 10 20 30.5 40 crack\nring 0 0 100 100\nword 50 99.9 new paint")) {
            assertThat(PictureMark.from(new Payload(mark.toPayload()))).isEqualTo(mark);
        }
        assertThat(List.of(PictureMark.parse("word 1 2 a").get(0).says().arguments().get(1))).containsExactly(1);
    }
}
