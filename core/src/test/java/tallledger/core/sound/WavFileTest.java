package tallledger.core.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;

/** A WAV file as it is, and what is none. */
class WavFileTest {

    private static final float[] FIVE_SECONDS = Sounds.of(8000, 5, t -> t < 1 ? -0.5 : 0.25);

    private static void refused(byte[] file, SoundReason because) {
        assertThatThrownBy(() -> WavFile.parse(file)).isInstanceOfSatisfying(Refused.class,
                refused -> assertThat(refused.reason().code()).isEqualTo(because.code()));
    }

    @ParameterizedTest
    @CsvSource({"1, 16, 1", "1, 24, 1", "1, 32, 1", "3, 32, 1", "1, 16, 2", "1, 24, 3", "3, 32, 8"})
    void everyCodingSaysTheSame(int coding, int bits, int channels) {
        WavFile wav = WavFile.parse(Sounds.wav(coding, channels, 8000, bits, FIVE_SECONDS));
        assertThat(wav.seconds()).isEqualTo(5);
        assertThat(wav.samples()[0]).isEqualTo(-0.5f);
        assertThat(wav.samples()[39_999]).isEqualTo(0.25f);
        assertThat(wav.stops()).isZero();
        assertThat(wav.doubts()).extracting(Reason::code)
                .isEqualTo(channels == 1 ? java.util.List.of() : java.util.List.of(SoundReason.MIXED_DOWN.code()));
    }

    @ParameterizedTest
    @CsvSource({"1, 8, 1, 8000, BITS", "3, 64, 1, 8000, BITS", "6, 16, 1, 8000, CODING", "1, 16, 9, 8000, CHANNELS",
            "1, 16, 1, 7999, RATE", "1, 16, 1, 96001, RATE"})
    void otherCodingsAreRefused(int coding, int bits, int channels, int hertz, SoundReason because) {
        refused(Sounds.wav(coding, channels, hertz, bits, FIVE_SECONDS), because);
    }

    @ParameterizedTest
    @CsvSource({"4.9, SHORT", "1, SHORT", "0, SHORT", "61.1, LONG", "600, LONG"})
    void tooShortAndTooLongIsRefused(double seconds, SoundReason because) {
        refused(Sounds.wav(1, 1, 8000, 16, new float[(int) (seconds * 8000)]), because);
    }

    @Test
    void whatIsNoWavIsRefusedWhateverItIsCalled() {
        refused(new byte[0], SoundReason.NO_WAV);
        refused("ID3\3\0\0\0 this is an MP3".getBytes(), SoundReason.NO_WAV);
        refused(Sounds.riff(Sounds.chunk("data", new byte[80_000])), SoundReason.NO_FORMAT);
        byte[] whole = Sounds.wav(1, 1, 8000, 16, FIVE_SECONDS);
        refused(Arrays.copyOf(whole, 36), SoundReason.NO_SAMPLES);
        refused(Sounds.riff(Sounds.chunk("fmt ", new byte[4])), SoundReason.NO_FORMAT);
    }

    @Test
    void chunksMayStandInAnyOrder() {
        byte[] whole = Sounds.wav(1, 1, 8000, 16, FIVE_SECONDS);
        byte[] format = Arrays.copyOfRange(whole, 12, 36);
        byte[] data = Arrays.copyOfRange(whole, 36, whole.length);
        WavFile wav = WavFile.parse(Sounds.riff(Sounds.chunk("LIST", new byte[3]), data, Sounds.chunk("cue ", new byte[4]), format));
        assertThat(wav.samples()).hasSize(40_000);
        assertThat(wav.samples()[8000]).isEqualTo(0.25f);
    }

    @Test
    void aHeaderThatTellsOfMoreThanThereIsIsToldSo() {
        byte[] whole = Sounds.wav(1, 1, 8000, 16, FIVE_SECONDS);
        ByteBuffer.wrap(whole).order(ByteOrder.LITTLE_ENDIAN).putInt(40, 160_000);
        WavFile wav = WavFile.parse(whole);
        assertThat(wav.seconds()).isEqualTo(5);
        assertThat(wav.doubts()).extracting(Reason::code).containsExactly(SoundReason.CUT_SHORT.code());
        ByteBuffer.wrap(whole).order(ByteOrder.LITTLE_ENDIAN).putInt(40, -1);
        assertThat(WavFile.parse(whole).seconds()).as("written while it was recorded, never closed").isEqualTo(5);
    }

    @Test
    void whatIsNoNumberIsRefusedWithItsSecond() {
        float[] bent = FIVE_SECONDS.clone();
        bent[16_000] = Float.NaN;
        assertThatThrownBy(() -> WavFile.parse(Sounds.wav(3, 1, 8000, 32, bent))).isInstanceOfSatisfying(Refused.class, refused -> {
            assertThat(refused.reason().code()).isEqualTo(SoundReason.NOT_A_NUMBER.code());
            assertThat(refused.reason().arguments().get(0)).hasToString("2.0");
        });
    }

    @ParameterizedTest
    @CsvSource({"1, 16, 1.0", "1, 16, -1.0", "1, 24, 1.0", "3, 32, 1.5", "3, 32, -1.0"})
    void whatLiesAtTheStopsIsCounted(int coding, int bits, float stop) {
        float[] some = FIVE_SECONDS.clone();
        Arrays.fill(some, 0, 400, stop);
        assertThat(WavFile.parse(Sounds.wav(coding, 2, 8000, bits, some)).stops()).isCloseTo(0.01, offset(1e-9));
    }
}
