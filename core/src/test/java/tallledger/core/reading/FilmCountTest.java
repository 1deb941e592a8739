package tallledger.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;

/** Turns counted in a film (W 4.8). */
class FilmCountTest {

    /** n = 600/9.52 = 63.025; u_t = √(0.05² + 1/(6·625)) = 0.05260, with the digit 0.00289: 0.05268; U = 2·63.025·0.05268/9.52 = 0.6975. */
    @Test
    void tapsCountLessTheSlowerItPlays() {
        SpeedReading half = SpeedReading.byFilm("10", "9.52", "25", "0.5", "");
        assertThat(half.rpm()).isEqualByComparingTo("63.03");
        assertThat(half.method()).isEqualTo(Method.FILM_TAPS);
        assertThat(half.expanded(Rules.shipped())).isCloseTo(0.6975, offset(5e-4));
        assertThat(SpeedReading.byFilm("10", "9.520", "25", "1", "").expanded(Rules.shipped()))
                .isCloseTo(2 * 63.025 * Math.sqrt(0.01 + 1 / 3750.0) / 9.52, offset(1e-3));
    }

    /** u_t = 1/(25·√6) = 0.01633 s over 2 s: U = 2·30·0.01633/2 = 0.4899 for 1 turn in 2 s; at 50 frames half of it. */
    @Test
    void frameByFrameOnlyTheFrameIsOpen() {
        assertThat(SpeedReading.byFilm("1", "2.000", "25", "", "").expanded(Rules.shipped())).isCloseTo(0.4899, offset(1e-3));
        assertThat(SpeedReading.byFilm("1", "2.000", "50", "", "").expanded(Rules.shipped())).isCloseTo(0.2449, offset(1e-3));
        assertThat(SpeedReading.byFilm("1", "2.000", "25", "", "").method()).isEqualTo(Method.FILM_FRAMES);
    }

    /** 0.4·60·25/1 = 600: 600 is seen, 601 is not; with three jaws 200; taps at a quarter speed up to 150/0.25 = 600. */
    @ParameterizedTest
    @CsvSource({"10, 1.000, 25, '', '', seen", "601, 60.000, 25, '', '', film.too-fast", "10, 3.000, 25, '', 3, seen",
            "201, 60.000, 25, '', 3, film.too-fast", "10, 4.000, 25, 1, '', seen", "151, 60.000, 25, 1, '', film.taps-too-fast",
            "600, 60.000, 25, 0.25, '', seen", "599, 60.000, 25, 0.26, '', film.taps-too-fast", "1.5, 2, 25, '', '', taps.part-turn",
            "0, 2, 25, '', '', number.not-positive", "1, 0, 25, '', '', number.not-positive", "1, 2, 0, '', '', number.not-positive",
            "1, 2, 1001, '', '', film.frames", "1, 2, 25, 5, '', film.playing", "1, 2, 25, '', 61, optical.marks",
            "1, 2, 25, '', 1.5, optical.marks"})
    void whatAFilmCannotShowIsRefused(String turns, String seconds, String rate, String playing, String marks, String says) {
        if (says.equals("seen")) {
            assertThat(SpeedReading.byFilm(turns, seconds, rate, playing, marks).inFilm()).isPresent();
        } else {
            assertThatThrownBy(() -> SpeedReading.byFilm(turns, seconds, rate, playing, marks)).isInstanceOfSatisfying(Refused.class,
                    refused -> {
                        assertThat(refused.reason().code()).isEqualTo(says);
                        assertThat(refused.field()).isPresent();
                    });
        }
    }

    /** k·60·25/1 ± 63.03: 1 436.97, 1 563.03, 2 936.97, 3 063.03; up to 3 000 only three of them; with two marks 750 apart. */
    @Test
    void aCountMayAsWellBeAnyMultipleOfTheFrames() {
        FilmCount count = SpeedReading.byFilm("10", "9.52", "25", "1", "").inFilm().orElseThrow();
        assertThat(count.others(3000)).usingComparatorForType((a, b) -> Math.abs(a - b) < 0.1 ? 0 : 1, Double.class)
                .containsExactly(1436.97, 1563.03, 2936.97);
        assertThat(SpeedReading.byFilm("10", "9.52", "25", "1", "2").inFilm().orElseThrow().others(900))
                .usingComparatorForType((a, b) -> Math.abs(a - b) < 0.1 ? 0 : 1, Double.class).containsExactly(686.97, 813.03);
        assertThat(count.others(1400)).isEmpty();
    }
}
