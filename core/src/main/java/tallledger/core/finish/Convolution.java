package tallledger.core.finish;

import org.hipparchus.transform.DftNormalization;
import org.hipparchus.transform.FastFourierTransformer;
import org.hipparchus.transform.TransformType;

/** Σ k(|j − i|)·z(j) for every i, the kernel even and given from its middle outwards. */
final class Convolution {

    private Convolution() {
    }

    static double[] writtenOut(double[] z, double[] kernel) {
        int half = kernel.length - 1;
        double[] w = new double[z.length];
        for (int i = 0; i < z.length; i++) {
            double sum = 0;
            for (int j = Math.max(0, i - half); j <= Math.min(z.length - 1, i + half); j++) {
                sum += kernel[Math.abs(j - i)] * z[j];
            }
            w[i] = sum;
        }
        return w;
    }

    /**
     * The same by transforms: heights as real part, kernel as imaginary part of one forward transform (the kernel is even, so its own
     * transform is real and the two come apart again), their product back in one.
     */
    static double[] byTransform(double[] z, double[] kernel) {
        int half = kernel.length - 1;
        int size = Integer.highestOneBit(Math.max(1, z.length + half - 1)) << 1;
        while (size < 2 * half + 2) {
            size <<= 1;
        }
        double most = 0;
        for (double v : z) {
            most = Math.max(most, Math.abs(v));
        }
        double scale = most == 0 ? 1 : most;
        double[][] both = new double[2][size];
        for (int i = 0; i < z.length; i++) {
            both[0][i] = z[i] / scale;
        }
        both[1][0] = kernel[0];
        for (int k = 1; k <= half; k++) {
            both[1][k] += kernel[k];
            both[1][size - k] += kernel[k];
        }
        FastFourierTransformer.transformInPlace(both, DftNormalization.STANDARD, TransformType.FORWARD);
        double[][] product = new double[2][size];
        for (int f = 0; f < size; f++) {
            int mirrored = (size - f) % size;
            double k = (both[1][f] + both[1][mirrored]) / 2;
            product[0][f] = (both[0][f] + both[0][mirrored]) / 2 * k;
            product[1][f] = (both[1][f] - both[1][mirrored]) / 2 * k;
        }
        FastFourierTransformer.transformInPlace(product, DftNormalization.STANDARD, TransformType.INVERSE);
        double[] w = new double[z.length];
        for (int i = 0; i < w.length; i++) {
            w[i] = product[0][i] * scale;
        }
        return w;
    }
}
