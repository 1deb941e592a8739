package tallledger.core.price;

import java.math.BigDecimal;
import tallledger.core.reason.Refused;

/** Three figures people give for what may come: at least, likely, at most. */
public record Spread(BigDecimal low, BigDecimal likely, BigDecimal high) {

    private static final BigDecimal MOST = BigDecimal.valueOf(1_000_000);
    public static final Spread NONE = new Spread(BigDecimal.ZERO, BigDecimal.ZERO, BigDecimal.ZERO);

    /** @throws Refused where they are below nought, out of order or beyond reason */
    public Spread {
        if (low.signum() < 0 || likely.compareTo(low) < 0 || high.compareTo(likely) < 0 || high.compareTo(MOST) > 0) {
            throw Refused.because(PriceReason.COST_ORDER, low, likely, high);
        }
    }
}
