package tallledger.core.sound;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import tallledger.core.drive.Turning;

/**
 * Something that strikes once a turn of a shaft (W 3.8): the envelope (means of |x| over 5 ms, its mean taken off) is like itself one turn
 * later: its normalised autocorrelation is at least 0.3 there, and 0.1 above what it is a quarter of a turn before and behind. Between
 * those it must be greatest at the turn itself, within 2 % or 2 ms (house): else something strikes at another pace, as a bad bearing does,
 * and that place counts as a neighbour. The same must hold of what is left without steady tones (house, {@link Strikes}), since tones
 * that beat come round once a turn too.
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
    private static final int STEPS = 5;
    private static final double SAME_PACE = 0.02;
    private static final double SAME_PACE_SECONDS = 0.002;

    /**
     * How an envelope comes round.
     *
     * @param likeness   autocorrelation at one turn, within 1 % of it
     * @param neighbours the greatest of those a quarter of a turn away, and of what lies between where the greatest is not at the turn
     */
    public record OnceATurn(double likeness, double neighbours) {

        boolean isClear() {
            return likeness >= LEAST && likeness >= neighbours + ABOVE;
        }

        private OnceATurn beside(double between) {
            return new OnceATurn(likeness, Math.max(neighbours, between));
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
        double[] envelope = envelope(wav, 1);
        double[] fine = envelope(wav, STEPS);
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
            OnceATurn all = OnceATurn.of(envelope, turn);
            Knock knock = new Knock(shaft, all.isClear() ? all.beside(offTheTurn(fine, wav.hertz(), 1 / shaft.hertz())) : all,
                    OnceATurn.of(strikes, turn));
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

    /** The greatest likeness from three quarters to five quarters of a turn, where it is not at the turn; else −1. @param turn s */
    private static double offTheTurn(double[] fine, int hertz, double turn) {
        double each = (int) Math.round(hertz * MEAN_OF) / STEPS / (double) hertz;
        double within = Math.max(SAME_PACE * turn, SAME_PACE_SECONDS);
        // A slow turn has more steps than are needed to place a strike.
        int step = (int) Math.max(1, SAME_PACE * turn / each / 2);
        double most = -1;
        double at = turn;
        for (int lag = (int) Math.ceil(0.75 * turn / each); lag <= 1.25 * turn / each; lag += step) {
            double likeness = likeness(fine, lag);
            if (likeness > most) {
                most = likeness;
                at = lag * each;
            }
        }
        return Math.abs(at - turn) > within ? most : -1;
    }

    /** Means of |x| over 5 ms, so many to that time, their mean taken off. */
    private static double[] envelope(WavFile wav, int steps) {
        int hop = (int) Math.round(wav.hertz() * MEAN_OF) / steps;
        double[] parts = new double[wav.samples().length / hop];
        for (int i = 0; i < parts.length; i++) {
            for (int k = 0; k < hop; k++) {
                parts[i] += Math.abs(wav.samples()[i * hop + k]);
            }
        }
        double[] envelope = new double[Math.max(0, parts.length - steps + 1)];
        double mean = 0;
        for (int i = 0; i < envelope.length; i++) {
            for (int k = 0; k < steps; k++) {
                envelope[i] += parts[i + k] / (hop * steps);
            }
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
