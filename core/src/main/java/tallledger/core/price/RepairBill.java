package tallledger.core.price;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What several faults cost together when a repair is paid once, however many ask for it (W 4.2).
 *
 * <p>With a_r the chance that one asker asks for repair r and a_rt for both r and t: r is asked for with q_r = 1 − Π(1 − a_r), both with
 * q_rt = 1 − Π(1 − a_r) − Π(1 − a_t) + Π(1 − a_r − a_t + a_rt). mean = Σ mean_r·q_r,
 * variance = Σ [q_r·(sd_r² + mean_r²) − (q_r·mean_r)²] + 2·Σ_{r&lt;t} mean_r·mean_t·(q_rt − q_r·q_t).
 *
 * <p>Worked: two faults of one system with repairs 100/200/400 and 300/600/1 500: mean 581.5, not 755.6, sd 367.5. A drive with 0.6 gear
 * (180/450/1 100), 0.1 lever (60/180/400), 0.3 no fault: 327.7, sd 262.7.
 *
 * @param mean     of all
 * @param variance of all
 * @param together Σ of the standard deviations of the groups of askers that share repairs
 * @param asked    q_r by repair
 */
public record RepairBill(double mean, double variance, double together, Map<String, Double> asked) {

    /** The 80th percentile of a standard normal. */
    private static final double EIGHTIETH = 0.8416;

    /**
     * One fault, or the drive by its posterior.
     *
     * @param alone a_r by repair
     * @param both  a_rt by the two keys with a line between, the lesser first; nought where it is not there
     * @param costs of its repairs
     */
    public record Asker(Map<String, Double> alone, Map<String, Double> both, Map<String, Cost> costs) {

        /** A fault that leads to one repair of several. */
        public static Asker of(Mixture mixture) {
            Map<String, Double> alone = new LinkedHashMap<>();
            Map<String, Cost> costs = new LinkedHashMap<>();
            mixture.shares().forEach(s -> {
                alone.merge(s.key(), s.share(), Double::sum);
                costs.putIfAbsent(s.key(), s.cost());
            });
            return new Asker(alone, Map.of(), costs);
        }

        double both(String r, String t) {
            return both.getOrDefault(pair(r, t), 0.0);
        }
    }

    /** The key of two repairs. */
    public static String pair(String r, String t) {
        return r.compareTo(t) < 0 ? r + "\n" + t : t + "\n" + r;
    }

    public static RepairBill of(List<Asker> askers) {
        double mean = 0;
        double variance = 0;
        double together = 0;
        Map<String, Double> asked = new LinkedHashMap<>();
        for (List<Asker> group : groups(askers)) {
            Map<String, Cost> costs = new LinkedHashMap<>();
            group.forEach(a -> a.costs.forEach(costs::putIfAbsent));
            List<String> keys = List.copyOf(costs.keySet());
            double ofGroup = 0;
            for (int i = 0; i < keys.size(); i++) {
                double q = 1 - neither(group, keys.get(i));
                Cost c = costs.get(keys.get(i));
                asked.put(keys.get(i), q);
                mean += c.mean() * q;
                ofGroup += q * (c.deviation() * c.deviation() + c.mean() * c.mean()) - q * q * c.mean() * c.mean();
                for (int k = 0; k < i; k++) {
                    double other = asked.get(keys.get(k));
                    double both = 1 - neither(group, keys.get(i)) - neither(group, keys.get(k)) + neither(group, keys.get(i), keys.get(k));
                    ofGroup += 2 * c.mean() * costs.get(keys.get(k)).mean() * (both - q * other);
                }
            }
            variance += Math.max(0, ofGroup);
            together += Math.sqrt(Math.max(0, ofGroup));
        }
        return new RepairBill(mean, variance, together, asked);
    }

    private static double neither(List<Asker> group, String r) {
        return group.stream().mapToDouble(a -> 1 - a.alone.getOrDefault(r, 0.0)).reduce(1, (x, y) -> x * y);
    }

    private static double neither(List<Asker> group, String r, String t) {
        return group.stream().mapToDouble(a -> 1 - a.alone.getOrDefault(r, 0.0) - a.alone.getOrDefault(t, 0.0) + a.both(r, t))
                .reduce(1, (x, y) -> x * y);
    }

    /** Askers that share a repair, straight or through others, together. */
    private static List<List<Asker>> groups(List<Asker> askers) {
        List<List<Asker>> groups = new ArrayList<>();
        Map<String, List<Asker>> of = new HashMap<>();
        for (Asker asker : askers) {
            List<Asker> mine = new ArrayList<>(List.of(asker));
            asker.costs.keySet().stream().map(of::get).filter(g -> g != null && g != mine).distinct().toList().forEach(g -> {
                if (groups.remove(g)) {
                    mine.addAll(0, g);
                }
            });
            groups.add(mine);
            mine.forEach(a -> a.costs.keySet().forEach(key -> of.put(key, mine)));
        }
        return groups;
    }

    /** What it will not exceed four times in five, its parts independent. */
    public double eightieth() {
        return mean + EIGHTIETH * Math.sqrt(variance);
    }

    /** The same where everything leans one way. */
    public double correlated() {
        return mean + EIGHTIETH * together;
    }
}
