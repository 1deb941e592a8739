package tallledger.core.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.gauge.Gauge;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/** A film by what it is known by, its frame rate, and a length in its picture (W 4.8). */
class FilmFileTest {

    private static Map<String, String> film(String... other) {
        Map<String, String> said = new HashMap<>(Map.of("film", "0123456789abcdef".repeat(4), "name", "lathe.mp4", "bytes", "42949672960",
                "length", "21600", "times", "0 0.04 0.08 0.12 0.16", "width", "1920", "height", "1080", "sound", "yes", "from",
                "the seller",
                "made", "12 May"));
        for (int i = 0; i < other.length; i += 2) {
            said.put(other[i], other[i + 1]);
        }
        return said;
    }

    /** Forty gigabytes and six hours are a film like another; what its file does not say stays empty. */
    @Test
    void aFilmIsTakenAsItIs() {
        FilmFile whole = FilmFile.typed(film());
        assertThat(whole.bytes()).isEqualTo(42_949_672_960L);
        assertThat(whole.rate().orElseThrow().perSecond()).isEqualByComparingTo("25");
        assertThat(whole.holds(new java.math.BigDecimal("21600.9"))).isTrue();
        assertThat(whole.holds(new java.math.BigDecimal("21601.1"))).isFalse();
        FilmFile bare = FilmFile.typed(film("length", "", "times", "", "width", "", "height", "", "sound", "no", "made", ""));
        assertThat(bare.rate()).isEmpty();
        assertThat(bare.seconds()).isEmpty();
        assertThat(bare.sound()).isFalse();
        assertThat(bare.holds(new java.math.BigDecimal("99999"))).isTrue();
    }

    @ParameterizedTest
    @CsvSource({"film, xyz, film, film.hash", "film, '', film, film.hash", "name, ' ', name, film.name", "bytes, -1, film, film.size",
            "bytes, 0, film, film.size", "length, 1e9, film, film.length", "length, 43201, film, film.length", "from, '', from, film.from",
            "width, 20001, film, film.side", "times, 0 x 1, '', film.times", "times, 0 0.04 0.02 0.06, '', film.times-back"})
    void nonsenseIsRefusedWhereItStands(String field, String typed, String at, String code) {
        assertThatThrownBy(() -> FilmFile.typed(film(field, typed))).isInstanceOfSatisfying(Refused.class, refused -> {
            assertThat(refused.reason().code()).isEqualTo(code);
            assertThat(refused.field().orElse("")).isEqualTo(at);
        });
    }

    /** Median 0.04 s: an interval of 0.044 is a tenth off and still even, one of 0.0441 is not. */
    @ParameterizedTest
    @CsvSource({"0 0.04 0.08 0.12, 25, false", "0 0.04 0.08 0.12 0.164, 25, false", "0 0.04 0.08 0.12 0.1641, 25, true",
            "0 0.033 0.067 0.1 0.133, 30.303, false", "0 0.04 0.04 0.08 0.12, 25, false", "0 0.036 0.072 0.108 0.148, 27.778, true"})
    void theMedianIntervalIsTheRateAndATenthOffIsUneven(String times, String rate, boolean varies) {
        FrameRate read = FrameRate.parse(times).orElseThrow();
        assertThat(read.perSecond()).isEqualByComparingTo(rate);
        assertThat(read.varies()).isEqualTo(varies);
    }

    @Test
    void threeFramesTellNoRate() {
        assertThat(FrameRate.parse("0 0.04 0.08")).isEmpty();
        assertThat(FrameRate.parse("")).isEmpty();
    }

    /** 200.0 mm over 400 px, 150 px: 75 mm; u = 75·√((1.5/150)² + (1.5/400)² + (0.02887/200)²) = 0.8011; planes 20 in 1 000: 1.7005. */
    @Test
    void aLengthInThePictureByAKnownOne() {
        PictureLength flat = PictureLength.parse("0 0, 400 0, 0 50, 0 200", "200.0", "", "", LengthUnit.MM);
        assertThat(flat.length()).isCloseTo(75, offset(1e-9));
        assertThat(flat.standard()).isCloseTo(0.8011, offset(1e-4));
        assertThat(flat.measured().expanded()).isCloseTo(1.6022, offset(2e-4));
        PictureLength deep = PictureLength.parse("0 0 400 0 0 50 0 200", "200.0", "20", "1 m", LengthUnit.MM);
        assertThat(deep.standard()).isCloseTo(1.7005, offset(1e-3));
        Gauge gauge = flat.gauge("the picture");
        assertThat(gauge.reading(flat.measured().value(), new java.math.BigDecimal("0.001")).expanded()).isCloseTo(1.602, offset(2e-3));
        assertThat(PictureLength.parse("0 0 400 0 0 50 0 200", "8", "", "", LengthUnit.INCH).length()).isCloseTo(76.2, offset(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"'1 2 3', 200, '', '', points, picture.points", "'a 0 400 0 0 50 0 200', 200, '', '', points, picture.points",
            "'0 0 9 0 0 50 0 200', 200, '', '', points, picture.known", "'0 0 400 0 0 50 0 55', 200, '', '', points, picture.known",
            "'0 0 400 0 0 50 0 200', 0, '', '', known, number.not-positive", "'0 0 400 0 0 50 0 200', x, '', '', known, length.not-one",
            "'0 0 400 0 0 50 0 200', 200, 30, 30, apart, picture.plane", "'0 0 400 0 0 50 0 200', 200, 30, '', distance, number.missing"})
    void pointsThatTellNothingAreRefused(String points, String known, String apart, String distance, String field, String code) {
        assertThatThrownBy(() -> PictureLength.parse(points, known, apart, distance, LengthUnit.MM)).isInstanceOfSatisfying(Refused.class,
                refused -> {
                    assertThat(refused.reason().code()).isEqualTo(code);
                    assertThat(refused.field()).contains(field);
                });
    }
}
