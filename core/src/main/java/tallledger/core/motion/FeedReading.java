package tallledger.core.motion;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Optional;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Limit;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;

/**
 * A feed measured: distance over turns (mm/rev) or distance over time (mm/min).
 *
 * <p>f = s/N, v = 60·s/t. Its standard uncertainty: u(v)/v = √((u_s/s)² + (u_t/t)²), u_s = 0.125 mm for a distance read off a rule
 * or dial (or the last digit typed, whichever is coarser), u_t = 0.1 s for a hand on a stopwatch and the last digit typed (house rules), turns exact.
 *
 * <p>Worked: 100 mm in 60 s is 100 mm/min; 20 mm over 100 turns is 0.2 mm/rev.
 *
 * @param rate     mm/min or mm/rev
 * @param expanded U (k = 2), same unit
 * @param per      by the turn or by the minute
 */
public record FeedReading(BigDecimal rate, double expanded, Axis.Per per) {

    /** ± share of the chart for a feed (house rule). */
    public static final BigDecimal FEED_TOLERANCE = new BigDecimal("0.10");
    /** ± share of the plate for rapid (house rule). */
    public static final BigDecimal RAPID_TOLERANCE = new BigDecimal("0.15");
    /** Nobody stands by one feed for longer than this, s. */
    public static final int LONGEST = 3600;

    private static final double DISTANCE = 0.125;
    private static final double HAND = 0.1;
    private static final double COVERAGE = 2;
    private static final BigDecimal MINUTE = BigDecimal.valueOf(60);
    private static final MathContext SHOWN = new MathContext(4);

    /** @throws Refused for times of nought or over an hour, and for no distance */
    public static FeedReading perMinute(TypedLength distance, TypedNumber typedSeconds) {
        moved(distance);
        BigDecimal seconds = typedSeconds.value();
        if (seconds.signum() <= 0 || seconds.compareTo(BigDecimal.valueOf(LONGEST)) > 0) {
            throw Refused.because("feed.time", seconds, LONGEST).at("seconds");
        }
        BigDecimal rate = distance.mm().multiply(MINUTE).divide(seconds, MathContext.DECIMAL64);
        return new FeedReading(rate.round(SHOWN), COVERAGE * rate.doubleValue()
                * Math.hypot(relative(distance), Math.hypot(HAND, typedSeconds.step().doubleValue() / Math.sqrt(12)) / seconds.doubleValue()), Axis.Per.MIN);
    }

    /** @throws Refused for fewer than one turn, and for no distance */
    public static FeedReading perTurn(TypedLength distance, BigDecimal turns) {
        moved(distance);
        if (turns.compareTo(BigDecimal.ONE) < 0) {
            throw Refused.because("feed.turns", turns).at("turns");
        }
        BigDecimal rate = distance.mm().divide(turns, MathContext.DECIMAL64);
        return new FeedReading(rate.round(SHOWN), COVERAGE * rate.doubleValue() * relative(distance), Axis.Per.REV);
    }

    private static void moved(TypedLength distance) {
        if (distance.mm().signum() <= 0) {
            throw Refused.because("number.not-positive", distance.typed()).at("distance");
        }
    }

    private static double relative(TypedLength distance) {
        double digit = distance.step().doubleValue() / Math.sqrt(12);
        return Math.max(DISTANCE, digit) / distance.mm().doubleValue();
    }

    /** Against what the chart promises; empty where it does not say. */
    public Optional<Judgement> against(Optional<BigDecimal> promised, BigDecimal tolerance) {
        return promised.map(n -> {
            BigDecimal part = n.multiply(tolerance);
            Limit limit = new Limit(n.subtract(part).stripTrailingZeros(), n.add(part).stripTrailingZeros(), unit(),
                    Reason.of("limit.feed", tolerance.movePointRight(2).stripTrailingZeros(), n));
            return Judgement.of(rate, expanded, limit);
        });
    }

    /** Unit of the rate. */
    public String unit() {
        return per == Axis.Per.REV ? "mm/rev" : "mm/min";
    }
}
