package tallledger.core.blame;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import tallledger.core.blame.Blame.FaultSet;
import tallledger.core.coverage.Elements;
import tallledger.core.drive.Route;

/**
 * Probabilities of "no fault" (index 0) and of every set of one or two elements, given the runs.
 *
 * <p>Runs of one route are not independent: half of f stays with the route. For a route with k failing and m passing runs and c
 * faulty elements on it L = f/2·[m = 0] + (1 − f/2)·(1 − q)^k·q^m with q = (1 − g)·(1 − s)^c and
 * 1 − g = (1 − f)/(1 − f/2); one run gives 1 − (1 − f)·(1 − s)^c. Failing runs beyond the second of a route that never passed add
 * nothing.
 */
final class Posterior {

    private static final double LOG_2 = Math.log(2);
    /** Failing runs that count on a route that never passed. */
    private static final int MOST_FAILING = 2;

    /**
     * The runs of one route.
     *
     * @param mask    elements on it
     * @param failing k
     * @param passing m
     * @param f       the greatest false chance of the symptoms heard on it
     */
    record History(long mask, int failing, int passing, double f) {

        History with(boolean fails, double heard) {
            return new History(mask, failing + (fails ? 1 : 0), passing + (fails ? 0 : 1), Math.max(f, heard));
        }
    }

    private final long[] sets;
    private final double[] probability;
    private final Map<Route, History> histories;
    private final int elementCount;
    private final double shows;

    private Posterior(long[] sets, double[] probability, Map<Route, History> histories, int elementCount, double shows) {
        this.sets = sets;
        this.probability = probability;
        this.histories = histories;
        this.elementCount = elementCount;
        this.shows = shows;
    }

    static Posterior of(Elements elements, List<Trial> trials, Chances chances) {
        int n = elements.all().size();
        long[] sets = sets(elements.reachable(), n);
        Map<Route, History> histories = new LinkedHashMap<>();
        List<Recorded> recordings = trials.stream().flatMap(t -> t.recorded().stream()).toList();
        trials.stream().filter(t -> t.heard().isPresent())
                .forEach(t -> histories.merge(t.route(), new History(elements.mask(t.route()), 0, 0, 0)
                        .with(t.failed(), t.failed() ? chances.falseAlarm(t) : 0),
                        (before, one) -> before.with(t.failed(), one.f())));
        double[] odds = elements.all().stream().mapToDouble(e -> chances.odds(elements.kind(e))).toArray();
        double[] weight = new double[sets.length];
        double total = 0;
        for (int h = 0; h < sets.length; h++) {
            // The common factor Π (1 − p) cancels.
            double w = 1;
            for (long rest = sets[h]; rest != 0; rest &= rest - 1) {
                w *= odds[Long.numberOfTrailingZeros(rest)];
            }
            for (History history : histories.values()) {
                w *= likelihood(sets[h], history, chances.shows());
            }
            for (Recorded recording : recordings) {
                w *= recording.likelihood(sets[h], chances);
            }
            weight[h] = w;
            total += w;
        }
        for (int h = 0; h < weight.length; h++) {
            weight[h] /= total;
        }
        trials.stream().filter(t -> t.heard().isEmpty()).forEach(t -> histories.putIfAbsent(t.route(),
                new History(elements.mask(t.route()), 0, 0, 0)));
        return new Posterior(sets, weight, histories, n, chances.shows());
    }

    private static long[] sets(long reachable, int n) {
        int[] bits = IntStream.range(0, n).filter(i -> (reachable >> i & 1) == 1).toArray();
        List<Long> sets = new ArrayList<>(List.of(0L));
        for (int i = 0; i < bits.length; i++) {
            sets.add(1L << bits[i]);
            for (int j = i + 1; j < bits.length; j++) {
                sets.add(1L << bits[i] | 1L << bits[j]);
            }
        }
        return sets.stream().mapToLong(Long::longValue).toArray();
    }

    /** L of a route's runs under a set. */
    private static double likelihood(long set, History history, double shows) {
        int failing = history.passing == 0 ? Math.min(history.failing, MOST_FAILING) : history.failing;
        return likelihood(set, history.mask, history.f, failing, history.passing, shows);
    }

    private static double likelihood(long set, long mask, double f, int failing, int passing, double shows) {
        double half = f / 2;
        double q = (1 - f) / (1 - half) * Math.pow(1 - shows, Long.bitCount(set & mask));
        return (passing == 0 ? half : 0) + (1 - half) * Math.pow(1 - q, failing) * Math.pow(q, passing);
    }

    double noFault() {
        return probability[0];
    }

    double[] marginals() {
        double[] marginals = new double[elementCount];
        for (int h = 0; h < sets.length; h++) {
            for (long rest = sets[h]; rest != 0; rest &= rest - 1) {
                marginals[Long.numberOfTrailingZeros(rest)] += probability[h];
            }
        }
        return marginals;
    }

    double entropy() {
        double sum = 0;
        for (double p : probability) {
            sum -= p > 0 ? p * Math.log(p) / LOG_2 : 0;
        }
        return sum;
    }

    boolean wasRun(Route route) {
        return histories.containsKey(route);
    }

    /**
     * Expected entropy after one more run of a route, bits.
     *
     * @param f false chance of what is listened for, where nothing was heard on the route yet
     */
    double expectedEntropy(Route route, long mask, double f) {
        History before = histories.getOrDefault(route, new History(mask, 0, 0, 0));
        double here = before.failing > 0 ? before.f : f;
        // A failing run that would add nothing leaves the posterior as it is.
        boolean adds = before.passing > 0 || before.failing < MOST_FAILING;
        double failing = 0;
        double passing = 0;
        double failingLogs = 0;
        double passingLogs = 0;
        for (int h = 0; h < sets.length; h++) {
            double now = likelihood(sets[h], mask, here, before.failing, before.passing, shows);
            double passes = now > 0 ? likelihood(sets[h], mask, here, before.failing, before.passing + 1, shows) / now : 0;
            double a = probability[h] * (1 - passes);
            double b = probability[h] * passes;
            failing += a;
            passing += b;
            failingLogs += a > 0 ? a * Math.log(a) : 0;
            passingLogs += b > 0 ? b * Math.log(b) : 0;
        }
        // For a split with totals T, H = log T − Σ w log w / T; weighted by T this is T log T − Σ w log w.
        double afterFailing = adds ? (xLogX(failing) - failingLogs) / LOG_2 : failing * entropy();
        return afterFailing + (xLogX(passing) - passingLogs) / LOG_2;
    }

    private static double xLogX(double x) {
        return x > 0 ? x * Math.log(x) : 0;
    }

    List<FaultSet> best(Elements elements, int count) {
        return IntStream.range(0, sets.length).boxed().sorted(Comparator.comparingDouble(h -> -probability[h])).limit(count)
                .map(h -> new FaultSet(elements.in(sets[h]), probability[h])).toList();
    }
}
