package tallledger.core.sound;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;
import org.hipparchus.transform.DftNormalization;
import org.hipparchus.transform.FastFourierTransformer;
import org.hipparchus.transform.TransformType;
import tallledger.core.reason.Reason;

/**
 * How a recording sounds piece by piece: Hann windows of 512 points, half overlapping, at 8 kHz 64 ms long, the powers of neighbours put
 * together to columns. A steady tone is a line across, a strike one from foot to top. A full-scale sine on a bin is 0 dB.
 *
 * @param seconds   of a column
 * @param binHertz  width of a bin
 * @param columns   levels, dB from −128 to 0, column after column, in each bin after bin from 0 Hz
 * @param eachSecond level of all of it in each whole second, dB over a full-scale sine; one of all of it where it is shorter
 */
public record ShortTime(double seconds, double binHertz, byte[][] columns, double[] eachSecond) {

    private static final int POINTS = 512;
    private static final double[] WINDOW = new double[POINTS];
    /** Of the window. */
    private static final double SUM = POINTS / 2.0;

    static {
        for (int i = 0; i < POINTS; i++) {
            WINDOW[i] = 0.5 - 0.5 * Math.cos(2 * Math.PI * i / POINTS);
        }
    }

    private static final int MOST_COLUMNS = 400;
    private static final double LOWEST = -128;
    /** One second so much over another says that what was recorded changed meanwhile, dB (house). */
    private static final double CHANGES = 6;

    static ShortTime of(Decimated sound) {
        double[] samples = sound.samples();
        int half = POINTS / 2;
        int pieces = Math.max(0, (samples.length - POINTS) / half + 1);
        int together = Math.max(1, (pieces + MOST_COLUMNS - 1) / MOST_COLUMNS);
        byte[][] columns = new byte[(pieces + together - 1) / together][];
        for (int c = 0; c < columns.length; c++) {
            int until = Math.min(pieces, (c + 1) * together);
            columns[c] = levels(samples, c * together, until, half);
        }
        return new ShortTime(together * half / sound.hertz(), sound.hertz() / POINTS, columns, eachSecond(samples, sound.hertz()));
    }

    private static byte[] levels(double[] samples, int fromPiece, int untilPiece, int step) {
        double[] power = new double[POINTS / 2 + 1];
        double[][] part = new double[2][POINTS];
        double scale = 4 / (SUM * SUM) / (untilPiece - fromPiece);
        // Two pieces at a time, as real and as imaginary part, which come apart again: half of |Z(k)|² + |Z(−k)|².
        for (int piece = fromPiece; piece < untilPiece; piece += 2) {
            boolean both = piece + 1 < untilPiece;
            for (int i = 0; i < POINTS; i++) {
                part[0][i] = samples[piece * step + i] * WINDOW[i];
                part[1][i] = both ? samples[(piece + 1) * step + i] * WINDOW[i] : 0;
            }
            FastFourierTransformer.transformInPlace(part, DftNormalization.STANDARD, TransformType.FORWARD);
            for (int k = 0; k < power.length; k++) {
                int m = (POINTS - k) % POINTS;
                power[k] += (part[0][k] * part[0][k] + part[1][k] * part[1][k] + part[0][m] * part[0][m] + part[1][m] * part[1][m]) / 2
                        * scale;
            }
        }
        byte[] levels = new byte[power.length];
        for (int k = 0; k < power.length; k++) {
            levels[k] = (byte) Math.round(Math.max(LOWEST, Math.min(0, Spectrum.decibels(power[k]))));
        }
        return levels;
    }

    private static double[] eachSecond(double[] samples, double hertz) {
        int second = (int) Math.min(samples.length, Math.round(hertz));
        double[] levels = new double[second == 0 ? 0 : samples.length / second];
        for (int s = 0; s < levels.length; s++) {
            double energy = 0;
            for (int i = s * second; i < (s + 1) * second; i++) {
                energy += samples[i] * samples[i];
            }
            levels[s] = Spectrum.decibels(2 * energy / second);
        }
        return levels;
    }

    /** Whether it stayed even while it was recorded; empty where there is no whole second. */
    public Optional<Reason> says() {
        int loudest = 0;
        int quietest = 0;
        for (int s = 1; s < eachSecond.length; s++) {
            loudest = eachSecond[s] > eachSecond[loudest] ? s : loudest;
            quietest = eachSecond[s] < eachSecond[quietest] ? s : quietest;
        }
        if (eachSecond.length == 0) {
            return Optional.empty();
        }
        double apart = eachSecond[loudest] - eachSecond[quietest];
        return Optional.of(Reason.of(apart > CHANGES ? SoundReason.UNEVEN : SoundReason.EVEN, tenths(eachSecond[quietest]), quietest,
                tenths(eachSecond[loudest]), loudest, tenths(CHANGES)));
    }

    private static BigDecimal tenths(double value) {
        return BigDecimal.valueOf(value).setScale(1, RoundingMode.HALF_UP);
    }
}
