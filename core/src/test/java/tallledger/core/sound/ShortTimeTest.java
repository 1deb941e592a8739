package tallledger.core.sound;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Piece by piece: levels of columns, of seconds, of octaves. */
class ShortTimeTest {

    private static SoundAnalysis of(int hertz, double seconds, DoubleUnaryOperator at) {
        return SoundAnalysis.of(Sounds.recorded(hertz, seconds, at), List.of(), List.of(), 0.02, Optional.empty());
    }

    /** A sine of half the full scale on a bin is 6 dB down in every column; five seconds of half windows of 32 ms are 155 columns. */
    @Test
    void aSteadyToneIsALineAcross() {
        ShortTime pieces = of(8000, 5, Sounds.sine(0.5, 1000)).pieces();
        assertThat(pieces.columns()).hasDimensions(155, 257);
        assertThat(pieces.binHertz()).isEqualTo(15.625);
        assertThat(pieces.seconds()).isEqualTo(0.032);
        assertThat(Arrays.stream(pieces.columns())).allMatch(c -> c[64] == -6 && c[20] < -90);
    }

    /** A minute at 48 kHz has 1 874 windows at 8 kHz: five go into a column. */
    @Test
    void aLongOneHasWiderColumns() {
        ShortTime pieces = of(48_000, 60, Sounds.sine(0.5, 1000)).pieces();
        assertThat(pieces.columns()).hasDimensions(375, 257);
        assertThat(pieces.seconds()).isEqualTo(0.16);
        assertThat(pieces.eachSecond()).hasSize(60);
    }

    /** Half as loud is 6.02 dB down. */
    @ParameterizedTest
    @CsvSource({"0.51, sound.even", "0.49, sound.uneven"})
    void whatGetsLouderIsUneven(double before, String says) {
        ShortTime pieces = of(8000, 6, t -> (t < 4 ? before : 1) * 0.5 * Math.sin(2 * Math.PI * 1000 * t)).pieces();
        assertThat(pieces.says().orElseThrow().code()).isEqualTo(says);
        assertThat(pieces.says().orElseThrow().arguments().subList(1, 4)).containsExactly(0, new BigDecimal("-6.0"), 4);
    }

    @Test
    void octavesReachAsFarAsTheRecording() {
        SoundAnalysis found = of(8000, 6, Sounds.sine(0.5, 500));
        assertThat(found.bands().keySet()).containsExactly(32, 64, 128, 256, 512, 1024, 2048);
        assertThat(found.bands().get(512)).isEqualByComparingTo("-6.0");
        assertThat(found.bands().get(1024)).isLessThan(new BigDecimal("-80"));
    }
}
