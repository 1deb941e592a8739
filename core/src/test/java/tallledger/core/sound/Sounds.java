package tallledger.core.sound;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;

/** Recordings of what is known, made for the tests. */
final class Sounds {

    private Sounds() {
    }

    static float[] of(int hertz, double seconds, DoubleUnaryOperator at) {
        float[] samples = new float[(int) Math.round(hertz * seconds)];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (float) at.applyAsDouble(i / (double) hertz);
        }
        return samples;
    }

    static WavFile recorded(int hertz, double seconds, DoubleUnaryOperator at) {
        return WavFile.parse(wav(1, 1, hertz, 16, of(hertz, seconds, at)));
    }

    static DoubleUnaryOperator sine(double amplitude, double hertz) {
        return t -> amplitude * Math.sin(2 * Math.PI * hertz * t);
    }

    static DoubleUnaryOperator noise(double rms, long seed) {
        Random random = new Random(seed);
        return t -> rms * random.nextGaussian();
    }

    /** Strikes that ring at 1 100 Hz for some milliseconds. */
    static DoubleUnaryOperator strikes(double amplitude, double hertz) {
        return t -> {
            double since = t - Math.floor(t * hertz) / hertz;
            return amplitude * Math.exp(-since / 0.006) * Math.sin(2 * Math.PI * 1100 * since);
        };
    }

    static DoubleUnaryOperator sum(DoubleUnaryOperator... all) {
        return t -> {
            double sum = 0;
            for (DoubleUnaryOperator one : all) {
                sum += one.applyAsDouble(t);
            }
            return sum;
        };
    }

    /** A file of it, each channel the same. */
    static byte[] wav(int coding, int channels, int hertz, int bits, float[] samples) {
        ByteBuffer data = ByteBuffer.allocate(samples.length * channels * bits / 8).order(ByteOrder.LITTLE_ENDIAN);
        for (float x : samples) {
            for (int c = 0; c < channels; c++) {
                put(data, coding, bits, x);
            }
        }
        ByteBuffer format = ByteBuffer.allocate(16).order(ByteOrder.LITTLE_ENDIAN);
        format.putShort((short) coding).putShort((short) channels).putInt(hertz).putInt(hertz * channels * bits / 8)
                .putShort((short) (channels * bits / 8)).putShort((short) bits);
        return riff(chunk("fmt ", format.array()), chunk("data", data.array()));
    }

    private static void put(ByteBuffer data, int coding, int bits, float x) {
        if (coding == 3) {
            data.putFloat(x);
            return;
        }
        long most = 1L << (bits - 1);
        long value = Math.max(-most, Math.min(most - 1, Math.round((double) x * most)));
        for (int b = 0; b < bits; b += 8) {
            data.put((byte) (value >> b));
        }
    }

    static byte[] chunk(String name, byte[] body) {
        return chunk(name, body.length, body);
    }

    static byte[] chunk(String name, long told, byte[] body) {
        return ByteBuffer.allocate(8 + body.length + body.length % 2).order(ByteOrder.LITTLE_ENDIAN).put(name.getBytes()).putInt((int) told)
                .put(body).array();
    }

    static byte[] riff(byte[]... chunks) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        for (byte[] chunk : chunks) {
            out.writeBytes(chunk);
        }
        return ByteBuffer.allocate(12 + out.size()).order(ByteOrder.LITTLE_ENDIAN).put("RIFF".getBytes()).putInt(4 + out.size())
                .put("WAVE".getBytes()).put(out.toByteArray()).array();
    }
}
