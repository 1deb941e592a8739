package tallledger.core.finish;

import java.util.Optional;
import org.hipparchus.transform.DftNormalization;
import org.hipparchus.transform.FastFourierTransformer;
import org.hipparchus.transform.TransformType;

/**
 * Which spacings stand in a roughness profile: amplitudes by the number of them in a millimetre, under a periodic Hann window, so that a
 * sine of height a on a bin shows a.
 *
 * <p>Worked: z = 2·sin(2πx/0.05) µm over 4 mm: spacing 0.0500 mm, amplitude 2.0 µm, its share of the whole nearly 1.
 *
 * @param bin       from one line to the next, 1/mm
 * @param amplitude µm, line by line from nought
 */
public record Spacings(double bin, double[] amplitude) {

    /** Lines to either side of a peak that are one with it under this window. */
    private static final int SIDE = 2;
    /** The first lines are what the filter leaves of waviness. */
    private static final int FIRST = 3;

    /**
     * A spacing that stands out.
     *
     * @param spacing   mm
     * @param amplitude µm
     * @param share     of the sum of squares, 0 to 1
     * @param open      by how much the spacing may be otherwise: half a line, as a share of it
     */
    public record Peak(double spacing, double amplitude, double share, double open) {
    }

    /** @param roughness µm @param step mm */
    static Spacings of(double[] roughness, double step) {
        int n = roughness.length;
        int size = Integer.highestOneBit(Math.max(2, n - 1)) << 1;
        double[][] both = new double[2][size];
        double window = 0;
        for (int i = 0; i < n; i++) {
            double w = 0.5 - 0.5 * Math.cos(2 * Math.PI * i / n);
            both[0][i] = roughness[i] * w;
            window += w;
        }
        FastFourierTransformer.transformInPlace(both, DftNormalization.STANDARD, TransformType.FORWARD);
        double[] amplitude = new double[size / 2];
        for (int f = 0; f < amplitude.length; f++) {
            amplitude[f] = (f == 0 ? 1 : 2) * Math.hypot(both[0][f], both[1][f]) / window;
        }
        return new Spacings(1 / (size * step), amplitude);
    }

    /** The strongest; empty for a profile that is flat. */
    public Optional<Peak> strongest() {
        double whole = 0;
        int at = -1;
        for (int f = 1; f < amplitude.length; f++) {
            whole += amplitude[f] * amplitude[f];
            if (f >= FIRST && f < amplitude.length - 1 && (at < 0 || amplitude[f] > amplitude[at])) {
                at = f;
            }
        }
        if (at < 0 || amplitude[at] < 1e-6) {
            return Optional.empty();
        }
        // The window widens with the blanks behind the profile: a line's own width is that of the profile's length.
        double own = 0;
        for (int f = at; f > 0 && isOne(at, f, -1); f--) {
            own += amplitude[f] * amplitude[f];
        }
        for (int f = at + 1; f < amplitude.length && isOne(at, f, 1); f++) {
            own += amplitude[f] * amplitude[f];
        }
        double left = Math.log(Math.max(amplitude[at - 1], 1e-12));
        double middle = Math.log(amplitude[at]);
        double right = Math.log(Math.max(amplitude[at + 1], 1e-12));
        double curve = left - 2 * middle + right;
        double shift = curve >= 0 ? 0 : Math.max(-0.5, Math.min(0.5, (left - right) / (2 * curve)));
        double number = (at + shift) * bin;
        return Optional.of(new Peak(1 / number, amplitude[at], own / whole, 0.5 / (at + shift)));
    }

    /** Whether the amplitude still falls away from the peak. */
    private boolean isOne(int peak, int f, int way) {
        return Math.abs(f - peak) <= SIDE || amplitude[f] <= amplitude[f - way] && amplitude[f] > amplitude[peak] / 50;
    }
}
