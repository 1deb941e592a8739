package tallledger.core.price;

import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
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

    /** From the least to the most of several that it may turn out to be, likely the middle one of them; empty of none. */
    public static Optional<Cost> among(List<Cost> several) {
        if (several.isEmpty()) {
            return Optional.empty();
        }
        List<Cost> sorted = several.stream().sorted(Comparator.comparingDouble(Cost::likely)).toList();
        return Optional.of(new Cost(several.stream().mapToDouble(Cost::low).min().orElseThrow(), sorted.get((sorted.size() - 1) / 2).likely,
                several.stream().mapToDouble(Cost::high).max().orElseThrow()));
    }

    /** The one with the greatest mean; empty of none. */
    public static Optional<Cost> dearest(List<Cost> several) {
        return several.stream().max(Comparator.comparingDouble(Cost::mean));
    }
}
