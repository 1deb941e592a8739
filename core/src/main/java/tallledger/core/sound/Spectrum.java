package tallledger.core.sound;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import org.hipparchus.transform.DftNormalization;
import org.hipparchus.transform.FastFourierTransformer;
import org.hipparchus.transform.TransformType;

/**
 * Power spectrum by Welch's method (W 3.8): periodic Hann window, 8 192 points, half overlapping, the mean of their powers. A full-scale
 * sine on a bin is 0 dB.
 *
 * <p>Worked: at 8 kHz a bin is 0.977 Hz wide; a sine of half the full scale at 125 Hz (bin 128) has −6.02 dB.
 *
 * @param binHertz width of a bin
 * @param levels   dB, bin after bin from 0 Hz to half the sample rate
 */
public record Spectrum(double binHertz, double[] levels) {

    static final int POINTS = 8192;
    /** What nothing at all is shown as, dB. */
    static final double NOTHING = -200;
    /** Two Hann bins' worth of a sine's power, so that the sum over bins is the power there is. */
    private static final double NOISE_BANDWIDTH = 1.5;
    /** Bins on either side whose median is the noise there. */
    private static final int AROUND = 60;
    /** Slower things than so many bins are of no shaft that could be told. */
    private static final int FIRST_BIN = 4;
    /** A peak stands so far over the noise around it, dB (house): noise alone makes about one in a hundred recordings. */
    public static final double STANDS_OUT = 10;

    /** A peak between bins. @param over the median of the levels around it, dB */
    public record Peak(double hertz, double level, double over) {
    }

    static Spectrum of(Decimated sound) {
        double[] window = new double[POINTS];
        double sum = 0;
        for (int i = 0; i < POINTS; i++) {
            window[i] = 0.5 - 0.5 * Math.cos(2 * Math.PI * i / POINTS);
            sum += window[i];
        }
        double[] power = new double[POINTS / 2 + 1];
        double[][] part = new double[2][POINTS];
        double[] samples = sound.samples();
        int parts = 0;
        // Two pieces at a time: one as real part, one as imaginary part, which come apart again since both are real.
        for (int from = 0; from + POINTS <= samples.length; from += POINTS) {
            int second = from + POINTS / 2;
            boolean both = second + POINTS <= samples.length;
            for (int i = 0; i < POINTS; i++) {
                part[0][i] = samples[from + i] * window[i];
                part[1][i] = both ? samples[second + i] * window[i] : 0;
            }
            FastFourierTransformer.transformInPlace(part, DftNormalization.STANDARD, TransformType.FORWARD);
            for (int k = 0; k <= POINTS / 2; k++) {
                int m = (POINTS - k) % POINTS;
                double re = part[0][k];
                double im = part[1][k];
                // |A|² + |B|² of two real pieces: half of |Z(k)|² + |Z(−k)|².
                power[k] += (re * re + im * im + part[0][m] * part[0][m] + part[1][m] * part[1][m]) / 2;
            }
            parts += both ? 2 : 1;
        }
        double[] levels = new double[power.length];
        for (int k = 0; k < power.length; k++) {
            levels[k] = decibels(power[k] / parts * 4 / (sum * sum));
        }
        return new Spectrum(sound.hertz() / POINTS, levels);
    }

    static double decibels(double power) {
        return power > 0 ? Math.max(NOTHING, 10 * Math.log10(power)) : NOTHING;
    }

    /** The noise at a bin: the median of the levels around it. */
    double noise(int bin) {
        int from = Math.max(1, bin - AROUND);
        int to = Math.min(levels.length - 1, bin + AROUND);
        double[] around = Arrays.copyOfRange(levels, from, to + 1);
        Arrays.sort(around);
        return around[around.length / 2];
    }

    /** What stands out of the noise, by frequency; between bins by a parabola through the level of three. */
    public List<Peak> peaks() {
        List<Peak> peaks = new ArrayList<>();
        for (int k = FIRST_BIN; k < levels.length - 1; k++) {
            if (levels[k] <= NOTHING || levels[k] < levels[k - 1] || levels[k] <= levels[k + 1]) {
                continue;
            }
            double over = levels[k] - noise(k);
            if (over >= STANDS_OUT) {
                double bend = levels[k - 1] - 2 * levels[k] + levels[k + 1];
                double shift = bend == 0 ? 0 : (levels[k - 1] - levels[k + 1]) / (2 * bend);
                double level = levels[k] - (levels[k - 1] - levels[k + 1]) * shift / 4;
                peaks.add(new Peak((k + shift) * binHertz, level, over + level - levels[k]));
            }
        }
        return List.copyOf(peaks);
    }

    /** The greatest level within so many Hz of a frequency, at least that of the nearest bin, dB. */
    double greatest(double hertz, double within) {
        int from = (int) Math.ceil((hertz - within) / binHertz);
        int to = (int) Math.floor((hertz + within) / binHertz);
        int nearest = (int) Math.rint(hertz / binHertz);
        double most = NOTHING;
        for (int k = Math.max(0, Math.min(from, nearest)); k <= Math.min(levels.length - 1, Math.max(to, nearest)); k++) {
            most = Math.max(most, levels[k]);
        }
        return most;
    }

    /**
     * The weaker of the two lines beside a line, dB over that line; of what does not stand out, the noise there. Empty
     * where the line is not so strong that one within 10 dB of it would have to stand out, or lies too high.
     */
    OptionalDouble beside(double line, double apart) {
        if ((line + apart) / binHertz >= levels.length - 1 || line - apart <= 0) {
            return OptionalDouble.empty();
        }
        double level = greatest(line, binHertz);
        if (level < noise((int) Math.rint(line / binHertz)) + 2 * STANDS_OUT) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(Math.min(standing(line - apart), standing(line + apart)) - level);
    }

    private double standing(double hertz) {
        double level = greatest(hertz, binHertz);
        double noise = noise((int) Math.rint(hertz / binHertz));
        return level >= noise + STANDS_OUT ? level : noise;
    }

    /** Level of all between two frequencies together, dB over a full-scale sine. */
    public double band(double fromHertz, double toHertz) {
        double power = 0;
        for (int k = 1; k < levels.length; k++) {
            double at = k * binHertz;
            power += at >= fromHertz && at < toHertz ? Math.pow(10, levels[k] / 10) : 0;
        }
        return decibels(power / NOISE_BANDWIDTH);
    }
}
