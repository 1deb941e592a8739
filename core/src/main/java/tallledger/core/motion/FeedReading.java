package tallledger.core.motion;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Optional;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Limit;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * A feed measured: distance over turns (mm/rev) or distance over time (mm/min).
 *
 * <p>f = s/N, v = 60·s/t. Its standard uncertainty: u(v)/v = √((u_s/s)² + (u_t/t)²), u_s = 0.125 mm for a distance read off a rule
 * or dial (or the last digit typed, whichever is coarser), u_t = 0.1 s for a hand on a stopwatch and the last digit typed (rules of the
 * house), turns exact.
 *
 * <p>Worked: 100 mm in 60 s is 100 mm/min; 20 mm over 100 turns is 0.2 mm/rev.
 *
 * @param rate     mm/min or mm/rev
 * @param distance moved
 * @param seconds  it took; empty where turns were counted
 * @param set      what stood set meanwhile, where somebody said
 */
public record FeedReading(BigDecimal rate, TypedLength distance, Optional<TypedNumber> seconds, Optional<FeedSet> set) {

    /** Nobody stands by one feed for longer than this, s. */
    public static final int LONGEST = 3600;

    private static final BigDecimal MINUTE = BigDecimal.valueOf(60);
    private static final MathContext SHOWN = new MathContext(4);

    /** @throws Refused for times of nought or over an hour, and for no distance */
    public static FeedReading perMinute(TypedLength distance, TypedNumber typedSeconds) {
        moved(distance);
        BigDecimal seconds = typedSeconds.value();
        if (seconds.signum() <= 0 || seconds.compareTo(BigDecimal.valueOf(LONGEST)) > 0) {
            throw Refused.because(MotionReason.FEED_TIME, seconds, LONGEST).at("seconds");
        }
        BigDecimal rate = distance.mm().multiply(MINUTE).divide(seconds, MathContext.DECIMAL64);
        return new FeedReading(rate.round(SHOWN), distance, Optional.of(typedSeconds), Optional.empty());
    }

    /** @throws Refused for fewer than one turn, and for no distance */
    public static FeedReading perTurn(TypedLength distance, BigDecimal turns) {
        moved(distance);
        if (turns.compareTo(BigDecimal.ONE) < 0) {
            throw Refused.because(MotionReason.FEED_TURNS, turns).at("turns");
        }
        BigDecimal rate = distance.mm().divide(turns, MathContext.DECIMAL64);
        return new FeedReading(rate.round(SHOWN), distance, Optional.empty(), Optional.empty());
    }

    /** The same, with this set meanwhile. */
    public FeedReading with(FeedSet stood) {
        return new FeedReading(rate, distance, seconds, Optional.of(stood));
    }

    /** What it was counted by. */
    public Axis.Per per() {
        return seconds.isEmpty() ? Axis.Per.REV : Axis.Per.MIN;
    }

    private static void moved(TypedLength distance) {
        if (distance.mm().signum() <= 0) {
            throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, distance.typed()).at("distance");
        }
    }

    /** U (k = 2), in the unit of the rate. */
    public double expanded(Rules rules) {
        double ofDistance = Math.max(rules.value(Rule.RULE_FEED), digit(distance.step())) / distance.mm().doubleValue();
        double ofTime = seconds.map(s -> Math.hypot(rules.value(Rule.STOPWATCH), digit(s.step())) / s.value().doubleValue()).orElse(0.0);
        return Gauge.COVERAGE_FACTOR * rate.doubleValue() * Math.hypot(ofDistance, ofTime);
    }

    private static double digit(BigDecimal step) {
        return step.doubleValue() / Math.sqrt(12);
    }

    /**
     * Against what the chart promises; empty where it does not say.
     *
     * @param tolerance ± share of what is promised
     */
    public Optional<Judgement> against(Optional<BigDecimal> promised, BigDecimal tolerance, Rules rules) {
        return promised.map(n -> {
            BigDecimal part = n.multiply(tolerance);
            Limit limit = new Limit(n.subtract(part).stripTrailingZeros(), n.add(part).stripTrailingZeros(), unit(),
                    Reason.of(MotionReason.LIMIT_FEED, tolerance.movePointRight(2).stripTrailingZeros(), Quantity.of(n, unit())));
            return Judgement.of(rate, expanded(rules), limit);
        });
    }

    /** Unit of the rate. */
    public Unit unit() {
        return seconds.isEmpty() ? Unit.MILLIMETRES_PER_TURN : Unit.MILLIMETRES_PER_MINUTE;
    }
}
