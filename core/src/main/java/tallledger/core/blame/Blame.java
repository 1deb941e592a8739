package tallledger.core.blame;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.Elements.Element;
import tallledger.core.drive.Route;

/**
 * Who is to blame, by Bayes' rule over "no fault" and all sets of one and two elements.
 *
 * <p>Prior of a set: Π p over its members × Π (1 − p) over the rest. A run fails with probability
 * 1 − (1 − f)·Π(1 − s) over the faulty elements on its route. Elements that every run so far used together are one group.
 *
 * <p>Worked (f = 0.03): 3 × 4 box, A1, B2 and C4 pass, B3 and A3 fail: gear 3 has 0.959, range A and B 0.007 each, no fault 0.034;
 * the next run that tells most is C3.
 *
 * @param suspects by their marginal probability, likeliest first
 * @param noFault  probability that nothing is faulty
 * @param bestSets the likeliest sets
 * @param tellsMost the run not yet made that tells most, with what it tells
 */
public record Blame(List<Suspect> suspects, double noFault, List<FaultSet> bestSets, Optional<Telling> tellsMost) {

    /**
     * An element under suspicion.
     *
     * @param group  elements no run so far tells apart from it, itself among them
     * @param parts  a run that would part the group
     */
    public record Suspect(Element element, double probability, List<Element> group, Optional<Route> parts) {
    }

    /** A set of faulty elements with its probability. */
    public record FaultSet(List<Element> elements, double probability) {
    }

    /**
     * A run and what it tells.
     *
     * @param gain expected fall of the entropy, bits
     */
    public record Telling(Route route, double gain) {
    }

    private static final int BEST_SETS = 5;
    /** Gains this near are equal, and the quicker run wins. */
    private static final double SAME_GAIN = 1e-3;

    /**
     * @param trials   the latest run of each route, wrong readings without a symptom left out
     * @param untried  routes that may be run next
     * @param timeTo   time to get to a route, s: decides between runs that tell as much
     */
    public static Blame of(Elements elements, List<Trial> trials, List<Route> untried, ToDoubleFunction<Route> timeTo, Chances chances) {
        Posterior posterior = Posterior.of(elements, trials, chances);
        double[] marginals = posterior.marginals();
        List<Element> all = elements.all();
        List<Suspect> suspects = new ArrayList<>();
        Map<String, List<Element>> groups = groups(elements, trials);
        for (int e = 0; e < all.size(); e++) {
            if ((elements.reachable() >> e & 1) == 1) {
                List<Element> group = groups.get(pattern(1L << e, elements, trials));
                suspects.add(new Suspect(all.get(e), marginals[e], group, parting(elements, group, untried)));
            }
        }
        suspects.sort(Comparator.comparingDouble(Suspect::probability).reversed());
        double f = trials.stream().filter(Trial::failed).mapToDouble(t -> chances.falseAlarm(t.symptoms())).max().orElse(chances.noise());
        return new Blame(List.copyOf(suspects), posterior.noFault(), posterior.best(elements, BEST_SETS),
                tellsMost(posterior, elements, untried, timeTo, f));
    }

    /** Whether one element stands out enough to act on (house rule: nine in ten). */
    public boolean isClear() {
        return !suspects.isEmpty() && suspects.get(0).probability() >= 0.9;
    }

    private static Optional<Telling> tellsMost(Posterior posterior, Elements elements, List<Route> untried, ToDoubleFunction<Route> timeTo, double f) {
        double now = posterior.entropy();
        Telling best = null;
        double bestTime = 0;
        for (Route route : untried) {
            Telling telling = new Telling(route, now - posterior.expectedEntropy(elements.mask(route), f));
            double time = timeTo.applyAsDouble(route);
            boolean better = best == null || telling.gain > best.gain + SAME_GAIN
                    || telling.gain > best.gain - SAME_GAIN && time < bestTime - 1e-9;
            if (better) {
                best = telling;
                bestTime = time;
            }
        }
        return Optional.ofNullable(best).filter(t -> t.gain > SAME_GAIN);
    }

    /** Elements with the same pattern over the runs were always used together, or never. */
    private static Map<String, List<Element>> groups(Elements elements, List<Trial> trials) {
        Map<String, List<Element>> groups = new HashMap<>();
        List<Element> all = elements.all();
        for (int e = 0; e < all.size(); e++) {
            if ((elements.reachable() >> e & 1) == 1) {
                groups.computeIfAbsent(pattern(1L << e, elements, trials), p -> new ArrayList<>()).add(all.get(e));
            }
        }
        return groups;
    }

    private static String pattern(long bit, Elements elements, List<Trial> trials) {
        StringBuilder used = new StringBuilder();
        trials.forEach(t -> used.append((elements.mask(t.route()) & bit) == 0 ? '0' : '1'));
        return used.toString();
    }

    /** The first untried run that uses some of the group and not all of it. */
    private static Optional<Route> parting(Elements elements, List<Element> group, List<Route> untried) {
        long mask = 0;
        List<Element> all = elements.all();
        for (Element element : group) {
            mask |= 1L << all.indexOf(element);
        }
        long whole = mask;
        return group.size() < 2 ? Optional.empty() : untried.stream()
                .filter(r -> (elements.mask(r) & whole) != 0 && (elements.mask(r) & whole) != whole).findFirst();
    }
}
