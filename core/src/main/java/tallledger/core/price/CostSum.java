package tallledger.core.price;

import java.util.List;

/**
 * A sum of costs: its mean, and what it will not exceed four times in five, if they are independent and if they lean all the same way.
 *
 * <p>Worked: 100/200/600 and 0/50/100: mean 300, sd √(83.3² + 16.7²) = 84.98, 371.5 independent, 300 + 0.8416·(83.3 + 16.7) = 384.2
 * together.
 */
public record CostSum(double mean, double eightieth, double together) {

    /** The 80th percentile of a standard normal. */
    private static final double EIGHTIETH = 0.8416;

    public static CostSum of(List<Cost> costs) {
        double mean = costs.stream().mapToDouble(Cost::mean).sum();
        double squares = costs.stream().mapToDouble(c -> c.deviation() * c.deviation()).sum();
        return new CostSum(mean, mean + EIGHTIETH * Math.sqrt(squares), mean + EIGHTIETH * costs.stream().mapToDouble(Cost::deviation)
                .sum());
    }
}
