package tallledger.core.gauge;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Optional;
import tallledger.core.reason.Reason;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Shown;

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
 * @param expanded U, same unit, as judged with
 * @param limit    the limit judged against
 * @param parts    U part by part, where it was put together of parts
 * @param because  the deciding comparison, with its numbers
 */
public record Judgement(Verdict verdict, BigDecimal reading, BigDecimal expanded, Limit limit, Optional<Uncertainty> parts,
        Reason because) {

    /** A reading of which nothing but U is known. */
    public static Judgement of(BigDecimal reading, double expanded, Limit limit) {
        return of(reading, Uncertainty.of(expanded / Gauge.COVERAGE_FACTOR, 0), Optional.empty(), limit);
    }

    public static Judgement of(BigDecimal reading, Uncertainty uncertainty, Limit limit) {
        return of(reading, uncertainty, Optional.of(uncertainty), limit);
    }

    private static Judgement of(BigDecimal reading, Uncertainty uncertainty, Optional<Uncertainty> parts, Limit limit) {
        BigDecimal u = new BigDecimal(uncertainty.expanded()).round(MathContext.DECIMAL32);
        Quantity shown = new Quantity(reading, uncertainty.expanded(), limit.unit());
        Quantity lower = Quantity.of(limit.lower(), limit.unit());
        Quantity upper = Quantity.of(limit.upper(), limit.unit());
        BigDecimal high = reading.add(u);
        BigDecimal low = reading.subtract(u);
        if (low.compareTo(limit.upper()) > 0) {
            return new Judgement(Verdict.OUTSIDE, reading, u, limit, parts, Reason.of(GaugeReason.VERDICT_ABOVE, shown, upper));
        }
        if (high.compareTo(limit.lower()) < 0) {
            return new Judgement(Verdict.OUTSIDE, reading, u, limit, parts, Reason.of(GaugeReason.VERDICT_BELOW, shown, lower));
        }
        if (high.compareTo(limit.upper()) <= 0 && low.compareTo(limit.lower()) >= 0) {
            return new Judgement(Verdict.WITHIN, reading, u, limit, parts, Reason.of(GaugeReason.VERDICT_INSIDE, shown, lower, upper));
        }
        return new Judgement(Verdict.TOO_CLOSE_TO_CALL, reading, u, limit, parts, tooClose(reading, uncertainty, shown, limit));
    }

    private static Reason tooClose(BigDecimal reading, Uncertainty uncertainty, Quantity shown, Limit limit) {
        BigDecimal toUpper = reading.subtract(limit.upper()).abs();
        BigDecimal toLower = reading.subtract(limit.lower()).abs();
        BigDecimal edge = toUpper.compareTo(toLower) <= 0 ? limit.upper() : limit.lower();
        return Reason.of(GaugeReason.VERDICT_TOO_CLOSE, shown, Quantity.of(edge, limit.unit()),
                uncertainty.settles(toUpper.min(toLower).doubleValue(), limit.unit()));
    }

    public Figure figure() {
        return new Figure(Figure.Name.RESULT, new Quantity(reading, expanded.doubleValue(), limit.unit()), parts, Optional.empty(),
                Optional.of(new Figure.Against(limit, verdict, Optional.empty())));
    }

    /** The reading as it is shown. */
    public Shown shown() {
        return Shown.of(reading, expanded.doubleValue());
    }
}
