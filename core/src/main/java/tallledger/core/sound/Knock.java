package tallledger.core.sound;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import tallledger.core.drive.Turning;

/**
 * Something that strikes once a turn of a shaft (W 3.8): the envelope (means of |x| over 5 ms, its mean taken off) is like itself one turn
 * later: its normalised autocorrelation is at least 0.3 there, and 0.1 above what it is a quarter of a turn before and behind; and it is
 * struck, not swelling: the fourth moment of the envelope is at least 3.3 times the square of its second (house; of a sine 1.5, of noise
 * 3, of short strikes their share of the time upside down), since tones that beat come round once a turn too.
 *
 * <p>A shaft that turns a whole number of times slower than one that knocks would show the same, and is not named. Faster than 25 turns a
 * second a turn has too few means to tell; slower than a third of the recording it comes round too seldom.
 *
 * @param shaft      which
 * @param likeness   autocorrelation at one turn, within 1 % of it
 * @param neighbours the greater of those a quarter of a turn away
 */
public record Knock(Turning shaft, double likeness, double neighbours) {

    static final double LEAST = 0.3;
    static final double ABOVE = 0.1;
    static final double STRUCK = 3.3;
    private static final double MEAN_OF = 0.005;
    private static final double FASTEST = 25;
    private static final int FEWEST_TURNS = 3;
    private static final double OFF = 0.01;

    static List<Knock> of(WavFile wav, List<Turning> turning) {
        double[] envelope = envelope(wav);
        double second = 0;
        double fourth = 0;
        for (double e : envelope) {
            second += e * e / envelope.length;
            fourth += e * e * e * e / envelope.length;
        }
        if (second == 0 || fourth < STRUCK * second * second) {
            return List.of();
        }
        List<Knock> knocks = new ArrayList<>();
        // Fastest first, so that a slower one that shows the same is known as such.
        turning.stream().filter(Source::isShaft).filter(t -> t.hertz() <= FASTEST && FEWEST_TURNS / t.hertz() <= wav.seconds())
                .sorted(Comparator.comparingDouble(Turning::hertz).reversed()).forEach(shaft -> {
                    double turn = 1 / (shaft.hertz() * MEAN_OF);
                    Knock knock = new Knock(shaft, most(envelope, turn, OFF), Math.max(most(envelope, 0.75 * turn, 0),
                            most(envelope, 1.25 * turn, 0)));
                    if (knock.likeness >= LEAST && knock.likeness >= knock.neighbours + ABOVE
                            && knocks.stream().noneMatch(k -> isMultiple(k.shaft.hertz() / shaft.hertz()))) {
                        knocks.add(knock);
                    }
                });
        return List.copyOf(knocks);
    }

    private static boolean isMultiple(double ratio) {
        return Math.abs(ratio - Math.rint(ratio)) <= OFF * ratio;
    }

    private static double[] envelope(WavFile wav) {
        int each = (int) Math.round(wav.hertz() * MEAN_OF);
        double[] envelope = new double[wav.samples().length / each];
        double mean = 0;
        for (int i = 0; i < envelope.length; i++) {
            double sum = 0;
            for (int k = 0; k < each; k++) {
                sum += Math.abs(wav.samples()[i * each + k]);
            }
            envelope[i] = sum / each;
            mean += envelope[i] / envelope.length;
        }
        for (int i = 0; i < envelope.length; i++) {
            envelope[i] -= mean;
        }
        return envelope;
    }

    /** The greatest autocorrelation within a share of a lag, at least the whole lags on either side of it. */
    private static double most(double[] envelope, double lag, double share) {
        double most = -1;
        for (int l = (int) Math.floor(lag * (1 - share)); l <= (int) Math.ceil(lag * (1 + share)); l++) {
            most = Math.max(most, likeness(envelope, l));
        }
        return most;
    }

    private static double likeness(double[] envelope, int lag) {
        double both = 0;
        double first = 0;
        double second = 0;
        for (int i = 0; i + lag < envelope.length; i++) {
            both += envelope[i] * envelope[i + lag];
            first += envelope[i] * envelope[i];
            second += envelope[i + lag] * envelope[i + lag];
        }
        return first == 0 || second == 0 ? 0 : both / Math.sqrt(first * second);
    }
}
