package tallledger.core.gauge;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import tallledger.core.reason.Reason;

/**
 * A verdict with everything it rests on.
 *
 * <p>Against an upper limit T with reading y: within if y + U ≤ T, outside if y − U > T, else too close to call; the lower
 * limit likewise. Where it is too close, the distance |T − y| is the uncertainty a gauge must beat to settle it; at
 * y = T none will.
 *
 * <p>Worked: limit 94 to 106, U = 1: 105 is within, 105.5 too close (a gauge with U ≤ 0.5 settles it), 107.5 outside.
 *
 * @param verdict  what is proven
 * @param reading  y
 * @param expanded U, same unit
 * @param limit    the limit judged against
 * @param because  the deciding comparison, with its numbers
 */
public record Judgement(Verdict verdict, BigDecimal reading, BigDecimal expanded, Limit limit, Reason because) {

    private static final MathContext SHOWN = new MathContext(2, RoundingMode.UP);

    public static Judgement of(BigDecimal reading, double expanded, Limit limit) {
        BigDecimal u = new BigDecimal(expanded).round(MathContext.DECIMAL32);
        BigDecimal shown = u.round(SHOWN);
        BigDecimal high = reading.add(u);
        BigDecimal low = reading.subtract(u);
        if (low.compareTo(limit.upper()) > 0) {
            return new Judgement(Verdict.OUTSIDE, reading, shown, limit,
                    Reason.of("verdict.above", reading, shown, limit.upper()));
        }
        if (high.compareTo(limit.lower()) < 0) {
            return new Judgement(Verdict.OUTSIDE, reading, shown, limit,
                    Reason.of("verdict.below", reading, shown, limit.lower()));
        }
        if (high.compareTo(limit.upper()) <= 0 && low.compareTo(limit.lower()) >= 0) {
            return new Judgement(Verdict.WITHIN, reading, shown, limit,
                    Reason.of("verdict.inside", reading, shown, limit.lower(), limit.upper()));
        }
        return new Judgement(Verdict.TOO_CLOSE_TO_CALL, reading, shown, limit, whatSettles(reading, shown, limit));
    }

    private static Reason whatSettles(BigDecimal reading, BigDecimal shown, Limit limit) {
        BigDecimal toUpper = reading.subtract(limit.upper()).abs();
        BigDecimal toLower = reading.subtract(limit.lower()).abs();
        BigDecimal edge = toUpper.compareTo(toLower) <= 0 ? limit.upper() : limit.lower();
        BigDecimal distance = toUpper.min(toLower);
        return distance.signum() == 0
                ? Reason.of("verdict.on-limit", reading, edge)
                : Reason.of("verdict.too-close", reading, shown, edge, distance.round(new MathContext(3, RoundingMode.DOWN)));
    }
}
