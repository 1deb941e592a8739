package tallledger.core.sound;

import java.util.Arrays;
import org.hipparchus.transform.DftNormalization;
import org.hipparchus.transform.FastFourierTransformer;
import org.hipparchus.transform.TransformType;
import org.hipparchus.util.KthSelector;

/**
 * How loud a sound is every 5 ms, without its steady tones: wheels that mesh sound at whole multiples of one shaft's turn, so that together
 * they beat once a turn of it though nothing strikes. The level is taken in short pieces by bands of 62.5 Hz, each over its own median in
 * time; a band that a tone fills, so that its median stands over the noise of the whole recording there, counts for as much less (house).
 * A strike is short and in all bands.
 */
final class Strikes {

    private static final int POINTS = 128;
    private static final double EVERY = 0.005;
    private static final double LN_2 = Math.log(2);

    private Strikes() {
    }

    /** @param spectrum of the same sound */
    static double[] envelope(Decimated sound, Spectrum spectrum) {
        double[] samples = sound.samples();
        int hop = (int) Math.round(sound.hertz() * EVERY);
        int frames = Math.max(0, (samples.length - POINTS) / hop + 1);
        double[][] bands = bands(samples, hop, frames);
        double[] envelope = new double[frames];
        for (int k = 1; k < bands.length; k++) {
            double median = median(bands[k]);
            // Noise of the whole recording in one of its narrow bins, power over that of a full-scale sine, as wide as a band here.
            double noise = Math.pow(10, spectrum.noise(k * Spectrum.POINTS / POINTS) / 10) * Spectrum.POINTS / POINTS;
            double weight = median <= 0 ? 0 : Math.min(1, noise * LN_2 / (median * median)) / median;
            for (int i = 0; i < frames; i++) {
                envelope[i] += weight * bands[k][i];
            }
        }
        double mean = Arrays.stream(envelope).average().orElse(0);
        for (int i = 0; i < frames; i++) {
            envelope[i] -= mean;
        }
        return envelope;
    }

    /** Amplitude over that of a full-scale sine, band by band, piece by piece. */
    private static double[][] bands(double[] samples, int hop, int frames) {
        double[] window = new double[POINTS];
        double sum = 0;
        for (int i = 0; i < POINTS; i++) {
            window[i] = 0.5 - 0.5 * Math.cos(2 * Math.PI * i / POINTS);
            sum += window[i];
        }
        double[][] bands = new double[POINTS / 2][frames];
        double[][] part = new double[2][POINTS];
        for (int f = 0; f < frames; f += 2) {
            boolean both = f + 1 < frames;
            for (int i = 0; i < POINTS; i++) {
                part[0][i] = samples[f * hop + i] * window[i];
                part[1][i] = both ? samples[(f + 1) * hop + i] * window[i] : 0;
            }
            FastFourierTransformer.transformInPlace(part, DftNormalization.STANDARD, TransformType.FORWARD);
            for (int k = 1; k < POINTS / 2; k++) {
                int m = POINTS - k;
                // Two real pieces at once come apart: A(k) = (Z(k) + Z*(−k)) / 2, B(k) = (Z(k) − Z*(−k)) / 2i.
                bands[k][f] = length(part[0][k] + part[0][m], part[1][k] - part[1][m]) / sum;
                if (both) {
                    bands[k][f + 1] = length(part[1][k] + part[1][m], part[0][m] - part[0][k]) / sum;
                }
            }
        }
        return bands;
    }

    /** Amplitudes are far from what would overflow, so that the plain root does, ten times faster. */
    private static double length(double re, double im) {
        return Math.sqrt(re * re + im * im);
    }

    private static double median(double[] values) {
        return values.length == 0 ? 0 : new KthSelector().select(values.clone(), null, values.length / 2);
    }
}
