package tallledger.core.geometry;

import java.math.BigDecimal;
import java.util.List;
import java.util.stream.IntStream;
import tallledger.core.reason.Refused;

/**
 * N readings r_k of an indicator at equal angles θ_k = 2πk/N round one turn.
 *
 * <p>c_h = (2/N)·Σ r_k·e^(−ihθ_k), for h &lt; N/2: h = 1 is the eccentricity e = |c_1|, which alone shows a TIR of 2e, with its high spot
 * at φ = −arg c_1, so that r ≈ e·cos(θ − φ); h = 2 is oval, h = 3 three-lobed. What is left beyond these is the residual.
 *
 * <p>Worked: r = 10 + 4·cos(θ − 90°) + 1·cos 2θ µm at 12 angles: e = 4, high spot 90°, oval 1, residual 0, TIR 8.0.
 *
 * @param readings mm, in the order taken
 */
public record Round(List<BigDecimal> readings) {

    /** Fewest readings that centre a job. */
    public static final int FEWEST = 4;
    /** Fewest for a verdict: with fewer, three lobes pose as eccentricity. */
    public static final int FEWEST_TO_JUDGE = 8;
    private static final int MOST = 720;
    private static final int LOBES = 3;

    /** @throws Refused for fewer than four readings, or more than anybody takes */
    public Round {
        readings = List.copyOf(readings);
        if (readings.size() < FEWEST || readings.size() > MOST) {
            throw Refused.because(GeometryReason.ROUND_COUNT, readings.size(), FEWEST, MOST);
        }
    }

    public int count() {
        return readings.size();
    }

    /** Greatest less least, mm, exact as typed. */
    public BigDecimal tir() {
        return readings.stream().max(BigDecimal::compareTo).orElseThrow()
                .subtract(readings.stream().min(BigDecimal::compareTo).orElseThrow());
    }

    public double mean() {
        return readings.stream().mapToDouble(BigDecimal::doubleValue).average().orElseThrow();
    }

    /** Angle of a reading, degrees. */
    public double angle(int k) {
        return 360.0 * k / count();
    }

    /** |c_h|, mm: 1 eccentricity, 2 oval, 3 three-lobed; nought where the readings are too few to tell (h ≥ N/2). */
    public double lobe(int h) {
        return 2 * h < count() ? Math.hypot(cosine(h), sine(h)) : 0;
    }

    public double eccentricity() {
        return lobe(1);
    }

    /** Where the eccentricity is highest, degrees from 0 to 360. */
    public double highSpot() {
        double degrees = Math.toDegrees(Math.atan2(sine(1), cosine(1)));
        return degrees < 0 ? degrees + 360 : degrees;
    }

    /** Out of round: greatest less least once the mean and the eccentricity are taken out, mm. */
    public double outOfRound() {
        double[] left = IntStream.range(0, count()).mapToDouble(k -> {
            double at = 2 * Math.PI * k / count();
            return readings.get(k).doubleValue() - mean() - (2 < count() ? cosine(1) * Math.cos(at) + sine(1) * Math.sin(at) : 0);
        }).toArray();
        return java.util.Arrays.stream(left).max().orElse(0) - java.util.Arrays.stream(left).min().orElse(0);
    }

    /** What the mean, the eccentricity and two and three lobes do not explain: greatest less least, mm. */
    public double residual() {
        double[] left = IntStream.range(0, count()).mapToDouble(k -> readings.get(k).doubleValue() - explained(k)).toArray();
        double most = Double.NEGATIVE_INFINITY;
        double least = Double.POSITIVE_INFINITY;
        for (double value : left) {
            most = Math.max(most, value);
            least = Math.min(least, value);
        }
        return most - least;
    }

    private double explained(int k) {
        double sum = mean();
        for (int h = 1; h <= LOBES && 2 * h < count(); h++) {
            double at = 2 * Math.PI * h * k / count();
            sum += cosine(h) * Math.cos(at) + sine(h) * Math.sin(at);
        }
        return sum;
    }

    /** Real part of c_h. */
    private double cosine(int h) {
        return 2.0 / count() * IntStream.range(0, count())
                .mapToDouble(k -> readings.get(k).doubleValue() * Math.cos(2 * Math.PI * h * k / count())).sum();
    }

    /** Imaginary part of c_h with its sign turned. */
    private double sine(int h) {
        return 2.0 / count() * IntStream.range(0, count())
                .mapToDouble(k -> readings.get(k).doubleValue() * Math.sin(2 * Math.PI * h * k / count())).sum();
    }
}
