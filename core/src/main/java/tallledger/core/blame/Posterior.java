package tallledger.core.blame;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import tallledger.core.blame.Blame.FaultSet;
import tallledger.core.coverage.Elements;

/** Probabilities of "no fault" (index 0) and of every set of one or two elements, given the runs. */
final class Posterior {

    private static final double LOG_2 = Math.log(2);

    private final long[] sets;
    private final double[] probability;
    private final int elementCount;
    private final double shows;

    private Posterior(long[] sets, double[] probability, int elementCount, double shows) {
        this.sets = sets;
        this.probability = probability;
        this.elementCount = elementCount;
        this.shows = shows;
    }

    static Posterior of(Elements elements, List<Trial> trials, Chances chances) {
        int n = elements.all().size();
        long[] sets = sets(elements.reachable(), n);
        double odds = chances.prior() / (1 - chances.prior());
        double[] weight = new double[sets.length];
        double total = 0;
        for (int h = 0; h < sets.length; h++) {
            // The common factor (1 − p)^n cancels.
            double w = Math.pow(odds, Long.bitCount(sets[h]));
            for (Trial trial : trials) {
                double f = chances.falseAlarm(trial.symptoms());
                double fails = fails(sets[h], elements.mask(trial.route()), chances.shows(), trial.failed() ? f : 0);
                w *= trial.failed() ? fails : 1 - fails;
            }
            weight[h] = w;
            total += w;
        }
        for (int h = 0; h < weight.length; h++) {
            weight[h] /= total;
        }
        return new Posterior(sets, weight, n, chances.shows());
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

    /**
     * Chance that a run fails under a set. A passing run says nothing of f: its factor (1 − f) is the same under every set
     * and cancels, so 0 is passed there.
     */
    private static double fails(long set, long route, double shows, double f) {
        return 1 - (1 - f) * Math.pow(1 - shows, Long.bitCount(set & route));
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

    /** Expected entropy after a run of a route, bits. */
    double expectedEntropy(long route, double f) {
        // For a split with totals T, H = log T − Σ w log w / T; weighted by T this is T log T − Σ w log w.
        double failing = 0;
        double passing = 0;
        double failingLogs = 0;
        double passingLogs = 0;
        for (int h = 0; h < sets.length; h++) {
            double fails = fails(sets[h], route, shows, f);
            double a = probability[h] * fails;
            double b = probability[h] * (1 - fails);
            failing += a;
            passing += b;
            failingLogs += a > 0 ? a * Math.log(a) : 0;
            passingLogs += b > 0 ? b * Math.log(b) : 0;
        }
        return (xLogX(failing) - failingLogs + xLogX(passing) - passingLogs) / LOG_2;
    }

    private static double xLogX(double x) {
        return x > 0 ? x * Math.log(x) : 0;
    }

    List<FaultSet> best(Elements elements, int count) {
        return IntStream.range(0, sets.length).boxed().sorted(Comparator.comparingDouble(h -> -probability[h])).limit(count)
                .map(h -> new FaultSet(elements.in(sets[h]), probability[h])).toList();
    }
}
