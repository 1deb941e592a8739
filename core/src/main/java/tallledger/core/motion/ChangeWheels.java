package tallledger.core.motion;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;
import tallledger.core.unit.LengthUnit;

/**
 * What the wheels on hand can cut of what the chart promises, and the smallest set to make or buy that restores the rest.
 *
 * <p>Worked: lead screw 6 mm, wheels 20 40 60: 3 mm by 20/40, 2 mm by 20/60; 4.5 mm wants 3/4 and cannot be cut; one wheel of 30
 * restores it (30/40).
 *
 * @param threads each promised pitch, in the chart's order
 * @param buy     the smallest set that restores the chart; empty where nothing is missing, none was found, or too much is missing to search
 * @param beyond  pitches that not even {@code buy} restores
 * @param usual   whether no chart promises them: they are what is usually cut
 */
public record ChangeWheels(List<Thread> threads, List<Integer> buy, List<TypedLength> beyond, boolean usual) {

    /** Ratios this close are the same: real ratios of whole wheels differ by far more. */
    static final double EXACT = 1e-9;
    /** Lost pitches times box factors up to which what to buy is searched: some 0.1 s of work. */
    private static final int MOST_SEARCHED = 60;

    /**
     * One pitch of the chart.
     *
     * @param exact   a train of the wheels on hand that cuts it exactly
     * @param nearest else the nearest that mounts
     * @param factor  box factor to set with it
     * @param error   how far off the nearest is, a share; nought where exact
     */
    public record Thread(TypedLength pitch, Optional<GearTrain> exact, Optional<GearTrain> nearest, BigDecimal factor, double error) {

        /** Whether it is exact, or the nearest is at most 1 % off: a thread worse than that is not that thread (house rule). */
        public boolean isNear() {
            return nearest.isPresent() && Math.abs(error) <= 0.01;
        }

        /** What the nearest adds up to over 300 mm, mm. */
        /** What the nearest set is off over 300 mm, or over 12 in at an inch machine; mm, to a hundredth. */
        public BigDecimal over(LengthUnit unit) {
            double span = unit == LengthUnit.INCH ? LengthUnit.INCH.millimetres().doubleValue() * 12 : 300;
            return BigDecimal.valueOf(over300() * span / 300).setScale(2, RoundingMode.HALF_UP);
        }

        public double over300() {
            return error * 300;
        }
    }

    public static ChangeWheels of(GearChart chart, WheelSet onHand) {
        TrainTable table = new TrainTable(onHand, chart.reach());
        List<Thread> threads = chart.promised().stream().map(pitch -> thread(chart, pitch, table)).toList();
        List<TypedLength> missing = threads.stream().filter(t -> t.exact().isEmpty()).map(Thread::pitch).toList();
        if (missing.isEmpty()) {
            return new ChangeWheels(threads, List.of(), List.of(), chart.usual());
        }
        if (missing.size() * chart.factors().size() > MOST_SEARCHED) {
            return new ChangeWheels(threads, List.of(), missing, chart.usual());
        }
        List<Integer> buy = new WheelsToBuy(chart, onHand, missing).smallest();
        TrainTable after = new TrainTable(onHand.with(buy), chart.reach());
        return new ChangeWheels(threads, buy, missing.stream().filter(p -> thread(chart, p, after).exact().isEmpty()).toList(),
                chart.usual());
    }

    public List<Thread> cut() {
        return threads.stream().filter(t -> t.exact().isPresent()).toList();
    }

    public List<Thread> lost() {
        return threads.stream().filter(t -> t.exact().isEmpty()).toList();
    }

    /** Of the box factors the one that comes nearest; the first where several do. */
    private static Thread thread(GearChart chart, TypedLength pitch, TrainTable table) {
        Thread best = new Thread(pitch, Optional.empty(), Optional.empty(), BigDecimal.ONE, Double.POSITIVE_INFINITY);
        for (BigDecimal factor : chart.factors()) {
            double lead = chart.leadScrew().mm().doubleValue() * factor.doubleValue();
            Optional<GearTrain> train = table.nearest(pitch.mm().doubleValue() / lead);
            double error = train.map(t -> t.ratio() * lead / pitch.mm().doubleValue() - 1).orElse(Double.POSITIVE_INFINITY);
            if (Math.abs(error) < Math.abs(best.error) - EXACT) {
                boolean exact = Math.abs(error) < EXACT;
                best = new Thread(pitch, exact ? train : Optional.empty(), train, factor, exact ? 0 : error);
            }
        }
        return best;
    }

    /** In words: how many of the chart can be cut, and what would bring back the rest. */
    public List<Reason> says() {
        List<Reason> says = new ArrayList<>();
        says.add(Reason.of(usual ? MotionReason.WHEELS_CUT_USUAL : MotionReason.WHEELS_CUT, cut().size(), threads.size()));
        if (!lost().isEmpty()) {
            says.add(Reason.of(MotionReason.WHEELS_LOST, lost().stream().map(t -> t.pitch().typed()).collect(Collectors.joining(", "))));
            says.add(buy.isEmpty() ? Reason.of(MotionReason.WHEELS_NO_SET, lost().size())
                    : Reason.of(beyond.isEmpty() ? MotionReason.WHEELS_BUY : MotionReason.WHEELS_BUY_MOST,
                            buy.stream().map(String::valueOf).collect(Collectors.joining(", ")), beyond.size()));
        }
        return says;
    }

    /**
     * A pair put on the wrong way round: swapping a/b gives (b/a)² times the present feed.
     *
     * <p>Worked: 30/60 mounted and the feed half of what it should be: swapped it is 4 times the present, twice too fast; so that
     * is not the cause.
     *
     * @param present feed as measured, any unit
     * @param wanted  feed as the chart says, same unit
     */
    public static Reason swapped(int driver, int driven, double present, double wanted) {
        double factor = Math.pow((double) driven / driver, 2);
        double after = present * factor;
        double off = after / wanted - 1;
        MotionReason code = Math.abs(off) <= 0.02 ? MotionReason.WHEELS_SWAP_RIGHT
                : off > 0 ? MotionReason.WHEELS_SWAP_OVER
                        : MotionReason.WHEELS_SWAP_UNDER;
        return Reason.of(code, driver, driven, factor, after, wanted, Math.abs(off) * 100);
    }

    /**
     * A pair that would give the feed wanted: two alike, or in between where it is too slow one way round and too fast the other.
     *
     * @param off    share by which the feed would be off
     * @param toMake how many of the two are not there
     */
    public record WheelPair(int driver, int driven, double off, int toMake) {

        /** "40/32 (−0.4 %), 1 to make". */
        String written() {
            return driver + "/" + driven + String.format(Locale.ROOT, " (%+.1f %%)", off * 100).replace('-', '−');
        }
    }

    /** As near as a thread must be (house rule). */
    private static final double NEAR_ENOUGH = 0.01;
    private static final int PAIRS_NAMED = 3;

    /**
     * Which pairs give the feed wanted, those that want the fewest wheels made first, then the nearest, then those whose centres stay where
     * they are.
     *
     * <p>Worked: 30/60 gives 0.1 and 0.2 is wanted: two alike, 60/60 by one wheel more of 60, or 30/30.
     *
     * @param onHand wheels there are, the mounted ones among them
     */
    public static List<WheelPair> instead(int driver, int driven, double present, double wanted, WheelSet onHand,
            GearChart.Teeth makeable) {
        List<Integer> there = new ArrayList<>(onHand.teeth());
        List.of(driver, driven).stream().filter(t -> !there.contains(t)).forEach(there::add);
        List<WheelPair> pairs = new ArrayList<>();
        for (int x = makeable.least(); x <= makeable.most(); x++) {
            for (int y = makeable.least(); y <= makeable.most(); y++) {
                double off = present * x * driven / ((double) y * driver) / wanted - 1;
                if (Math.abs(off) <= NEAR_ENOUGH) {
                    List<Integer> left = new ArrayList<>(there);
                    int toMake = (left.remove(Integer.valueOf(x)) ? 0 : 1) + (left.remove(Integer.valueOf(y)) ? 0 : 1);
                    pairs.add(new WheelPair(x, y, off, toMake));
                }
            }
        }
        return pairs.stream()
                .sorted(Comparator.comparingInt(WheelPair::toMake).thenComparingLong((WheelPair p) -> Math.round(Math.abs(p.off) * 1000))
                        .thenComparingInt(p -> Math.abs(p.driver + p.driven - driver - driven)))
                .limit(PAIRS_NAMED).toList();
    }

    /** The same in words; none within a hundredth is said. */
    public static Reason says(List<WheelPair> pairs) {
        return pairs.isEmpty() ? Reason.of(MotionReason.WHEELS_INSTEAD_NONE)
                : Reason.of(MotionReason.WHEELS_INSTEAD, String.join(", ", pairs.stream().map(WheelPair::written).toList()),
                        pairs.get(0).toMake());
    }
}
