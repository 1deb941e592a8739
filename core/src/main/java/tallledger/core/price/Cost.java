package tallledger.core.price;

import java.math.BigDecimal;
import tallledger.core.reason.Refused;

/**
 * A cost as people give it: mean (low + 4·likely + high)/6, sd (high − low)/6 (W 4.2).
 *
 * <p>Worked: 100, 200, 600: mean 250, sd 83.3.
 */
public record Cost(double low, double likely, double high) {

    /** @throws Refused where they are below nought or out of order */
    public Cost {
        if (!(low >= 0) || !(likely >= low) || !(high >= likely) || high > 1e9) {
            throw Refused.because(PriceReason.COST_ORDER, shown(low), shown(likely), shown(high));
        }
    }

    private static Object shown(double figure) {
        return Double.isFinite(figure) ? BigDecimal.valueOf(figure) : String.valueOf(figure);
    }

    public static Cost of(BigDecimal low, BigDecimal likely, BigDecimal high) {
        return new Cost(low.doubleValue(), likely.doubleValue(), high.doubleValue());
    }

    public double mean() {
        return (low + 4 * likely + high) / 6;
    }

    public double deviation() {
        return (high - low) / 6;
    }

    /** Each of its figures no more than so much. */
    public Cost upTo(double most) {
        return high <= most ? this : new Cost(Math.min(low, most), Math.min(likely, most), most);
    }
}
