package tallledger.core.sound;

/**
 * A recording with fewer samples a second, by a whole factor, to 8 kHz or the next above it (W 3.8): at 48 kHz a bin of 8 192 points is
 * 5.9 Hz wide, too coarse for slow shafts. What lies above half the new rate is filtered out first, by a windowed sinc (Kaiser, 80 dB), so
 * that it does not fold into what is looked at; below four fifths of it nothing changes by more than 0.01 dB.
 *
 * @param hertz   samples a second
 * @param samples parts of full scale
 */
record Decimated(double hertz, double[] samples) {

    static final int WANTED = 8_000;
    /** Of the old samples a new one is made of, times the factor, on either side. */
    private static final int HALF_TAPS = 26;
    /** The same where it is halved and halved again: down by 80 dB from 0.33 of the old rate on, where 0.375 would do. */
    private static final int HALF_OF_TWO = 17;
    private static final double KAISER = 7.857;
    /** Of half the new rate: where the filter stands at half. */
    private static final double EDGE = 0.9;

    static Decimated of(WavFile wav) {
        int factor = wav.hertz() / WANTED;
        double[] samples = new double[wav.samples().length];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = wav.samples()[i];
        }
        double hertz = wav.hertz() / (double) factor;
        // By two as long as that leaves something: far from the last edge a short filter does, and half of its taps are nought.
        for (; factor > 2 && factor % 2 == 0; factor /= 2) {
            samples = filtered(samples, 2, taps(2, HALF_OF_TWO, 1));
        }
        return new Decimated(hertz, factor == 1 ? samples : filtered(samples, factor, taps(factor, HALF_TAPS * factor, EDGE)));
    }

    private static double[] filtered(double[] in, int factor, double[] taps) {
        double[] out = new double[(in.length + factor - 1) / factor];
        int half = taps.length - 1;
        for (int o = 0; o < out.length; o++) {
            int middle = o * factor;
            double sum = taps[0] * in[middle];
            int inside = Math.min(half, Math.min(middle, in.length - 1 - middle));
            for (int k = 1; k <= inside; k++) {
                sum += taps[k] * (in[middle - k] + in[middle + k]);
            }
            // Beyond both ends there is nothing.
            for (int k = inside + 1; k <= half; k++) {
                sum += taps[k] * ((middle - k >= 0 ? in[middle - k] : 0) + (middle + k < in.length ? in[middle + k] : 0));
            }
            out[o] = sum;
        }
        return out;
    }

    /** The even filter from its middle outwards, its sum 1. @param edge of half the new rate, where it stands at half */
    private static double[] taps(int factor, int half, double edge) {
        double[] taps = new double[half + 1];
        double sum = 0;
        for (int k = 0; k <= half; k++) {
            double x = edge * k / factor;
            double sinc = k == 0 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x);
            double share = k / (half + 1.0);
            taps[k] = sinc * bessel(KAISER * Math.sqrt(1 - share * share));
            sum += k == 0 ? taps[k] : 2 * taps[k];
        }
        for (int k = 0; k <= half; k++) {
            taps[k] /= sum;
        }
        return taps;
    }

    /** Modified Bessel function of the first kind, order nought, by its series. */
    private static double bessel(double x) {
        double sum = 1;
        double term = 1;
        for (int n = 1; term > sum * 1e-12; n++) {
            term *= x / 2 / n * (x / 2 / n);
            sum += term;
        }
        return sum;
    }
}
