package tallledger.core.price;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * The repairs one fault may lead to, cheapest mean first, with shares ½, ¼, ⅛, … scaled to sum to 1; of equal means the first in the table
 * is the cheaper. mean = Σ w·mean, variance = Σ w·(sd² + mean²) − mean².
 *
 * <p>Worked: 100/200/400 and 300/600/1 500: shares ⅔, ⅓: mean 377.8, sd 258.7.
 */
public record Mixture(List<Share> shares) {

    public static final Mixture NOTHING = new Mixture(List.of());

    /**
     * One of them.
     *
     * @param key  what makes it one repair: what is done, and where
     * @param what what is done
     */
    public record Share(String key, String what, Cost cost, double share) {
    }

    public Mixture {
        shares = List.copyOf(shares);
    }

    /** @param rows repairs in the order of the table; their shares count for nothing */
    public static Mixture cheapestFirst(List<Share> rows) {
        List<Share> sorted = new ArrayList<>(rows);
        sorted.sort(Comparator.comparingDouble(s -> s.cost.mean()));
        double all = 1 - Math.pow(0.5, sorted.size());
        List<Share> shares = new ArrayList<>();
        for (int i = 0; i < sorted.size(); i++) {
            Share s = sorted.get(i);
            shares.add(new Share(s.key, s.what, s.cost, Math.pow(0.5, i + 1) / all));
        }
        return new Mixture(shares);
    }

    /** One repair for certain. */
    public static Mixture of(String key, String what, Cost cost) {
        return new Mixture(List.of(new Share(key, what, cost, 1)));
    }

    public boolean isEmpty() {
        return shares.isEmpty();
    }

    public double mean() {
        return shares.stream().mapToDouble(s -> s.share * s.cost.mean()).sum();
    }

    public double deviation() {
        double squares = shares.stream().mapToDouble(s -> s.share * (Math.pow(s.cost.deviation(), 2) + Math.pow(s.cost.mean(), 2))).sum();
        return Math.sqrt(Math.max(0, squares - Math.pow(mean(), 2)));
    }

    /** The least and the most any of them may come to. */
    public Cost range() {
        return new Cost(shares.stream().mapToDouble(s -> s.cost.low()).min().orElse(0), mean() < lowest() ? lowest()
                : Math.min(mean(), highest()), highest());
    }

    private double lowest() {
        return shares.stream().mapToDouble(s -> s.cost.low()).min().orElse(0);
    }

    private double highest() {
        return shares.stream().mapToDouble(s -> s.cost.high()).max().orElse(0);
    }
}
