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
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * Who is to blame, by Bayes' rule over "no fault" and all sets of one and two elements.
 *
 * <p>Prior of a set: Π p over its members × Π (1 − p) over the rest. A run fails with probability
 * 1 − (1 − f)·Π(1 − s) over the faulty elements on its route; runs of one route count each, though half of f stays with the route
 * (see {@link Posterior}). Elements that every run so far used together are one group.
 *
 * <p>The hunt ends when a part reaches 0.9, when no fault exceeds 0.99, or after 16 runs from the first failing one on without either:
 * then the likeliest is named
 * as likeliest, not proven (house rules).
 *
 * <p>Worked (f = 0.03): 3 × 4 box, A1, B2 and C4 pass, B3 and A3 fail: gear 3 has 0.959, range A and B 0.007 each, no fault 0.034;
 * a confirming run would be C3. With f = 0.10 and B3 alone: heard once, no fault 0.548; twice 0.434; heard, not, heard 0.305.
 *
 * @param suspects by their marginal probability, likeliest first
 * @param noFault  probability that nothing is faulty
 * @param bestSets the likeliest sets
 * @param tellsMost the run that tells most, with what it tells; empty where none tells anything
 * @param hunt      how the hunt stands
 */
public record Blame(List<Suspect> suspects, double noFault, List<FaultSet> bestSets, Optional<Telling> tellsMost, Hunt hunt) {

    /** How the hunt for the part stands. */
    public enum Hunt {
        GOES_ON,
        /** One part is clear enough to act on. */
        CLEAR,
        /** It was imagined, or came from outside. */
        NO_FAULT,
        /** As many runs as anybody makes, and neither: the likeliest is named, and that it is not proven. */
        LIKELIEST_NOT_PROVEN
    }

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
     * @param gain     expected fall of the entropy, bits
     * @param isRepeat whether it was run before: it then tells at least a quarter more than any that was not
     */
    public record Telling(Route route, double gain, boolean isRepeat) {
    }

    private static final int BEST_SETS = 5;
    /** Gains this near are equal, and the quicker run wins. */
    private static final double SAME_GAIN = 1e-3;

    /**
     * @param made     every run that counts as evidence; one without a symptom passes, whatever its speed
     * @param allowed  routes that may be run next, run before or not
     * @param timeTo   time to get to a route, s: decides between runs that tell as much
     */
    public static Blame of(Elements elements, List<Trial> made, List<Route> allowed, ToDoubleFunction<Route> timeTo, Rules rules) {
        Chances chances = Chances.of(rules);
        List<Trial> trials = counting(made, elements, chances);
        Posterior posterior = Posterior.of(elements, trials, chances);
        double[] marginals = posterior.marginals();
        List<Element> all = elements.all();
        List<Route> untried = allowed.stream().filter(r -> !posterior.wasRun(r)).toList();
        List<Suspect> suspects = new ArrayList<>();
        Map<String, List<Element>> groups = groups(elements, trials);
        for (int e = 0; e < all.size(); e++) {
            if ((elements.reachable() >> e & 1) == 1) {
                List<Element> group = groups.get(pattern(1L << e, elements, trials));
                suspects.add(new Suspect(all.get(e), marginals[e], group, parting(elements, group, untried)));
            }
        }
        suspects.sort(Comparator.comparingDouble(Suspect::probability).reversed());
        double f = trials.stream().filter(Trial::failed).mapToDouble(chances::falseAlarm).max().orElse(chances.noise());
        Optional<Telling> tells = tellsMost(posterior, elements, allowed, timeTo, f, rules.value(Rule.BLAME_AGAIN));
        return new Blame(List.copyOf(suspects), posterior.noFault(), posterior.best(elements, BEST_SETS), tells,
                hunt(suspects, posterior.noFault(), sinceFirstFailing(trials), rules));
    }

    /** Runs that the hunt has taken: from the first failing one on, which is the first of them. */
    private static int sinceFirstFailing(List<Trial> trials) {
        for (int i = 0; i < trials.size(); i++) {
            if (trials.get(i).failed()) {
                return trials.size() - i;
            }
        }
        return 0;
    }

    /**
     * Every set of one or two elements and nothing, with its probability.
     *
     * @param times what every prior is multiplied by
     */
    public static List<FaultSet> sets(Elements elements, List<Trial> trials, Rules rules, double times) {
        Chances chances = Chances.of(rules).scaled(times);
        return Posterior.of(elements, counting(trials, elements, chances), chances).best(elements, Integer.MAX_VALUE);
    }

    private static List<Trial> counting(List<Trial> made, Elements elements, Chances chances) {
        return made.stream().map(t -> t.counting(elements.mask(t.route()), elements.mask(t.route()) & ~elements.everywhere(), chances))
                .toList();
    }

    private static Hunt hunt(List<Suspect> suspects, double noFault, int runs, Rules rules) {
        if (!suspects.isEmpty() && suspects.get(0).probability() >= rules.value(Rule.BLAME_CLEAR)) {
            return Hunt.CLEAR;
        }
        return noFault > rules.value(Rule.BLAME_NO_FAULT) ? Hunt.NO_FAULT
                : runs >= rules.whole(Rule.BLAME_RUNS) ? Hunt.LIKELIEST_NOT_PROVEN
                        : Hunt.GOES_ON;
    }

    /** Whether one element stands out enough to act on (house rule: nine in ten). */
    public boolean isClear() {
        return hunt == Hunt.CLEAR;
    }

    /** The best run not made before; one made before where it tells at least a quarter more. */
    private static Optional<Telling> tellsMost(Posterior posterior, Elements elements, List<Route> allowed, ToDoubleFunction<Route> timeTo,
            double f, double again) {
        Optional<Telling> fresh = best(posterior, elements, allowed.stream().filter(r -> !posterior.wasRun(r)).toList(), timeTo, f);
        Optional<Telling> repeat = best(posterior, elements, allowed.stream().filter(posterior::wasRun).toList(), timeTo, f);
        double wanted = fresh.map(t -> t.gain * again).orElse(0.0);
        return repeat.filter(t -> t.gain >= wanted).or(() -> fresh);
    }

    private static Optional<Telling> best(Posterior posterior, Elements elements, List<Route> routes, ToDoubleFunction<Route> timeTo,
            double f) {
        double now = posterior.entropy();
        Telling best = null;
        double bestTime = 0;
        for (Route route : routes) {
            Telling telling = new Telling(route, now - posterior.expectedEntropy(route, elements.mask(route), f), posterior.wasRun(route));
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
        trials.forEach(t -> {
            used.append((elements.mask(t.route()) & bit) == 0 ? '0' : '1');
            t.recorded().ifPresent(r -> r.shafts().forEach(s -> used.append((s.elements() & bit) == 0 ? 'b' : 'a')));
        });
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
        return group.size() < 2 ? Optional.empty()
                : untried.stream()
                        .filter(r -> (elements.mask(r) & whole) != 0 && (elements.mask(r) & whole) != whole).findFirst();
    }
}
