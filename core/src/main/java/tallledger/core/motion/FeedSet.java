package tallledger.core.motion;

import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import tallledger.core.reading.TypedLength;
import tallledger.core.unit.LengthUnit;

/**
 * What stood set on the machine while a feed was measured, as somebody put it: "0.2 mm/rev on the plate", "16", "wheels 30 driving 54".
 * A figure with a feed's unit, or a figure alone, is what the feed should be; two wheels are what may stand the wrong way round.
 *
 * @param typed  as typed
 * @param rate   mm/rev or mm/min, where a figure of that count stands in it
 * @param wheels driving and driven, where both stand in it
 */
public record FeedSet(String typed, Optional<BigDecimal> rate, Optional<Wheels> wheels) {

    /** Nobody writes more about a lever. */
    public static final int LONGEST = 120;
    private static final Pattern ALONE = Pattern.compile("\\d{1,6}(?:[.,]\\d{1,5})?");
    private static final Pattern FEED = Pattern.compile("(\\d{1,6}(?:\\.\\d{1,5})?) ?(mm|in|thou) ?(?:/|per|a) ?(rev|turn|min|minute)\\b");
    private static final Pattern WHEELS = Pattern.compile("\\b(\\d{2,3}) ?(?:driving|drives|/|into) ?(\\d{2,3})\\b");

    /** Two wheels in mesh. @param driving teeth @param driven teeth */
    public record Wheels(int driving, int driven) {

        /** How many times the feed is then what it is now, with the two the other way round. */
        public double turned() {
            return Math.pow((double) driven / driving, 2);
        }

        /**
         * Pairs of other wheels that give so many times the feed these do, the nearest first; two wheels of one size count as a pair where
         * there are two.
         *
         * @param times how many times the feed there is now is wanted
         * @param near  share by which it may be missed
         */
        public List<Wheels> among(WheelSet counted, double times, double near) {
            List<Integer> teeth = counted.teeth();
            Comparator<Wheels> nearest = Comparator.comparingDouble(p -> Math.abs(p.times(this) / times - 1));
            return IntStream.range(0, teeth.size()).boxed().flatMap(a -> IntStream.range(0, teeth.size()).filter(b -> b != a)
                    .mapToObj(b -> new Wheels(teeth.get(a), teeth.get(b)))).distinct().filter(p -> !p.equals(this))
                    .filter(p -> Math.abs(p.times(this) / times - 1) <= near)
                    .sorted(nearest.thenComparing(Wheels::driving).thenComparing(Wheels::driven)).toList();
        }

        private double times(Wheels now) {
            return (double) driving / driven * now.driven / now.driving;
        }

        /** And with two of one size in their place. */
        public double equal() {
            return (double) driven / driving;
        }
    }

    /** @param per what the feed is counted by; a figure counted otherwise is no figure of it */
    public static FeedSet parse(String text, Axis.Per per, LengthUnit machine) {
        String typed = text.strip();
        if (typed.length() > LONGEST) {
            typed = typed.substring(0, LONGEST);
        }
        Matcher wheels = WHEELS.matcher(typed);
        Optional<Wheels> pair = wheels.find() ? Optional.of(new Wheels(Integer.parseInt(wheels.group(1)),
                Integer.parseInt(wheels.group(2))))
                .filter(w -> w.driving >= 10 && w.driven >= 10) : Optional.empty();
        return new FeedSet(typed, rate(typed, per, machine).filter(r -> r.signum() > 0), pair);
    }

    private static Optional<BigDecimal> rate(String typed, Axis.Per per, LengthUnit machine) {
        if (ALONE.matcher(typed).matches()) {
            return Optional.of(TypedLength.parse(typed, machine).mm());
        }
        Matcher feed = FEED.matcher(typed);
        while (feed.find()) {
            boolean turn = feed.group(3).equals("rev") || feed.group(3).equals("turn");
            if (turn == (per == Axis.Per.REV)) {
                return Optional.of(TypedLength.parse(feed.group(1) + " " + feed.group(2), machine).mm());
            }
        }
        return Optional.empty();
    }
}
