package tallledger.core.sound;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;

/**
 * A recording as WAV (RIFF): 16, 24 or 32 bit whole numbers or 32 bit floats, 8 to 96 kHz, channels mixed down to their mean. Its chunks
 * may stand in any order; a header that tells of more than there is is told so, and what is there is read.
 *
 * <p>Worked: 16 bit, the samples 0, 16 384, −32 768 are 0, 0.5 and −1; the last is at the stop.
 *
 * @param hertz   samples a second
 * @param samples parts of full scale, −1 to 1; floats may lie beyond
 * @param stops   share of the samples of all channels that lie at the stops
 * @param doubts  what of the file was not as it said
 */
public record WavFile(int hertz, float[] samples, double stops, List<Reason> doubts) {

    public static final int SLOWEST = 8_000;
    public static final int FASTEST = 96_000;
    public static final int SHORTEST = 5;
    public static final int LONGEST = 60;
    private static final int MOST_CHANNELS = 8;
    private static final int PCM = 1;
    private static final int FLOAT = 3;
    /** The true coding stands further on in the chunk. */
    private static final int EXTENSIBLE = 0xFFFE;
    private static final int HEAD = 12;
    private static final int CHUNK_HEAD = 8;
    private static final int FORMAT_LENGTH = 16;
    private static final int SUB_FORMAT = 24;
    private static final int BYTE = 8;
    private static final int BITS_16 = 16;
    private static final int BITS_24 = 24;
    private static final int BITS_32 = 32;

    private record Format(int coding, int channels, int hertz, int bits) {

        static Format of(ByteBuffer file, int at, int length) {
            if (length < FORMAT_LENGTH) {
                throw Refused.because(SoundReason.NO_FORMAT);
            }
            int coding = file.getShort(at) & 0xFFFF;
            if (coding == EXTENSIBLE && length >= SUB_FORMAT + 2) {
                coding = file.getShort(at + SUB_FORMAT) & 0xFFFF;
            }
            return new Format(coding, file.getShort(at + 2) & 0xFFFF, file.getInt(at + 4), file.getShort(at + 14) & 0xFFFF).checked();
        }

        private Format checked() {
            if (coding != PCM && coding != FLOAT) {
                throw Refused.because(SoundReason.CODING, coding);
            }
            boolean known = coding == FLOAT ? bits == BITS_32 : bits == BITS_16 || bits == BITS_24 || bits == BITS_32;
            if (!known) {
                throw Refused.because(SoundReason.BITS, bits);
            }
            if (channels < 1 || channels > MOST_CHANNELS) {
                throw Refused.because(SoundReason.CHANNELS, channels, MOST_CHANNELS);
            }
            if (hertz < SLOWEST || hertz > FASTEST) {
                throw Refused.because(SoundReason.RATE, hertz, SLOWEST, FASTEST);
            }
            return this;
        }

        int frame() {
            return channels * bits / BYTE;
        }
    }

    /** @throws Refused where it is no such file, whatever it is called, or too short or too long */
    public static WavFile parse(byte[] bytes) {
        ByteBuffer file = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
        if (bytes.length < HEAD || !name(bytes, 0).equals("RIFF") || !name(bytes, BYTE).equals("WAVE")) {
            throw Refused.because(SoundReason.NO_WAV);
        }
        Format format = null;
        int data = -1;
        long told = 0;
        for (long at = HEAD; at + CHUNK_HEAD <= bytes.length;) {
            int place = (int) at;
            long length = file.getInt(place + 4) & 0xFFFFFFFFL;
            if (name(bytes, place).equals("fmt ") && format == null && at + CHUNK_HEAD + length <= bytes.length) {
                format = Format.of(file, place + CHUNK_HEAD, (int) length);
            } else if (name(bytes, place).equals("data") && data < 0) {
                data = place + CHUNK_HEAD;
                told = length;
            }
            at += CHUNK_HEAD + length + length % 2;
        }
        if (format == null) {
            throw Refused.because(SoundReason.NO_FORMAT);
        }
        if (data < 0) {
            throw Refused.because(SoundReason.NO_SAMPLES);
        }
        return read(file, format, data, told);
    }

    private static String name(byte[] bytes, int at) {
        return new String(bytes, at, 4, StandardCharsets.ISO_8859_1);
    }

    private static WavFile read(ByteBuffer file, Format format, int data, long told) {
        long there = Math.min(told, file.capacity() - data);
        int frames = (int) (there / format.frame());
        double seconds = frames / (double) format.hertz;
        if (seconds < SHORTEST) {
            throw Refused.because(SoundReason.SHORT, tenths(seconds), SHORTEST);
        }
        // The last sample of a minute's recording may come a moment late.
        if (seconds > LONGEST + 1) {
            throw Refused.because(SoundReason.LONG, tenths(seconds), LONGEST);
        }
        List<Reason> doubts = new ArrayList<>();
        if (there < told) {
            doubts.add(Reason.of(SoundReason.CUT_SHORT, tenths(told / (double) format.frame() / format.hertz), tenths(seconds)));
        }
        if (format.channels > 1) {
            doubts.add(Reason.of(SoundReason.MIXED_DOWN, format.channels));
        }
        float[] samples = new float[frames];
        long stops = 0;
        int at = data;
        for (int i = 0; i < frames; i++) {
            double sum = 0;
            for (int c = 0; c < format.channels; c++) {
                double value = sample(file, at, format);
                if (Double.isNaN(value) || Double.isInfinite(value)) {
                    throw Refused.because(SoundReason.NOT_A_NUMBER, tenths(i / (double) format.hertz));
                }
                stops += isStop(value, format) ? 1 : 0;
                sum += value;
                at += format.bits / BYTE;
            }
            samples[i] = (float) (sum / format.channels);
        }
        return new WavFile(format.hertz, samples, stops / ((double) frames * format.channels), List.copyOf(doubts));
    }

    private static double sample(ByteBuffer file, int at, Format format) {
        if (format.coding == FLOAT) {
            return file.getFloat(at);
        }
        return switch (format.bits) {
            case BITS_16 -> file.getShort(at) / 32768.0;
            case BITS_24 -> (((file.get(at + 2) << 16) | ((file.get(at + 1) & 0xFF) << 8) | (file.get(at) & 0xFF))) / 8388608.0;
            default -> file.getInt(at) / 2147483648.0;
        };
    }

    /** The highest and the lowest step there is; of floats, full scale and beyond. */
    private static boolean isStop(double value, Format format) {
        double step = format.coding == FLOAT ? 0 : Math.scalb(1.0, 1 - format.bits);
        return value <= -1 || value >= 1 - step;
    }

    private static BigDecimal tenths(double seconds) {
        return BigDecimal.valueOf(seconds).setScale(1, RoundingMode.HALF_UP);
    }

    public double seconds() {
        return samples.length / (double) hertz;
    }
}
