package tallledger.core.sound;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import tallledger.core.drive.Turning;

/**
 * Something that strikes once a turn of a shaft (W 3.8): the envelope (means of |x| over 5 ms, its mean taken off) is like itself one turn
 * later: its normalised autocorrelation is at least 0.3 there, and 0.1 above what it is a quarter of a turn before and behind. The same
 * must hold of what is left without steady tones (house, {@link Strikes}), since tones that beat come round once a turn too.
 *
 * <p>A shaft that turns a whole number of times slower than one that knocks would show the same, and is not looked at. Faster than 25 turns
 * a second a turn has too few means to tell; slower than a third of the recording it comes round too seldom.
 *
 * @param shaft  which it was looked for on
 * @param all    of the whole sound
 * @param struck of it without its steady tones
 */
public record Knock(Turning shaft, OnceATurn all, OnceATurn struck) {

    static final double LEAST = 0.3;
    private static final double ABOVE = 0.1;
    private static final double MEAN_OF = 0.005;
    private static final double FASTEST = 25;
    private static final int FEWEST_TURNS = 3;
    private static final double OFF = 0.01;

    /**
     * How an envelope comes round.
     *
     * @param likeness   autocorrelation at one turn, within 1 % of it
     * @param neighbours the greater of those a quarter of a turn away
     */
    public record OnceATurn(double likeness, double neighbours) {

        boolean isClear() {
            return likeness >= LEAST && likeness >= neighbours + ABOVE;
        }

        private static OnceATurn of(double[] envelope, double turn) {
            return new OnceATurn(most(envelope, turn, OFF), Math.max(most(envelope, 0.75 * turn, 0), most(envelope, 1.25 * turn, 0)));
        }
    }

    /** Whether it knocks. */
    public boolean isHeard() {
        return all.isClear() && struck.isClear();
    }

    /** Every shaft that could be looked at, whether it knocks or not, fastest first. */
    static List<Knock> of(WavFile wav, Decimated decimated, Spectrum spectrum, List<Turning> turning) {
        double[] envelope = envelope(wav);
        List<Turning> shafts = turning.stream().filter(Source::isShaft)
                .filter(t -> t.hertz() <= FASTEST && FEWEST_TURNS / t.hertz() <= wav.seconds())
                .sorted(Comparator.comparingDouble(Turning::hertz).reversed()).toList();
        if (shafts.isEmpty() || Arrays.stream(envelope).allMatch(e -> e == 0)) {
            return List.of();
        }
        double[] strikes = Strikes.envelope(decimated, spectrum);
        List<Knock> knocks = new ArrayList<>();
        // Fastest first, so that a slower one that shows the same is known as such.
        for (Turning shaft : shafts) {
            double turn = 1 / (shaft.hertz() * MEAN_OF);
            Knock knock = new Knock(shaft, OnceATurn.of(envelope, turn), OnceATurn.of(strikes, turn));
            if (knocks.stream().noneMatch(k -> k.isHeard() && showsToo(shaft, k.shaft))) {
                knocks.add(knock);
            }
        }
        return List.copyOf(knocks);
    }

    /** Whether a turn of a slower shaft ends where a faster one strikes, as near as a strike is wide. */
    private static boolean showsToo(Turning slow, Turning fast) {
        double ratio = fast.hertz() / slow.hertz();
        return Math.abs(ratio - Math.rint(ratio)) <= OFF * ratio + 2 * MEAN_OF * fast.hertz();
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
