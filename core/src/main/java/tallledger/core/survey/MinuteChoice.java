package tallledger.core.survey;

import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tallledger.core.coverage.RunChoice;
import tallledger.core.family.Step;
import tallledger.core.family.StepId;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * What to do in the minutes there are: the speeds and the steps that take most off the unknown (Σ p·c, {@link Worths}), together. Exact:
 * for every way to run speeds that may be best ({@link RunChoice}), the best set of steps in the seconds it leaves (0/1 knapsack over all
 * seconds at once). Where the search of ways was cut, {@link #bound} says what no plan could exceed. The fastest speed is in it wherever
 * the way to it takes no more than a share of the minutes ({@link Rule#SPINDLE_SHARE}). Steps the table of checks has no cost for come
 * last, by how bad they are when they are bad ({@link Rule#WORTH_STEP}).
 *
 * @param way     runs of speeds
 * @param steps   ids of the steps
 * @param seconds what the steps take
 * @param worth   p·c of both, in the user's money
 * @param bound   no plan is worth more; the same as {@code worth} where that is proven the best
 */
public record MinuteChoice(RunChoice.Way way, Set<StepId> steps, int seconds, double worth, double bound) {

    /** So little money that it only ever decides between equals. */
    private static final double TRIFLE = 1e-9;

    static MinuteChoice of(RunChoice runs, List<Step> open, Worths worths, double seconds, Rules rules) {
        List<RunChoice.Way> ways = runs.withFastest(open.isEmpty() ? seconds : seconds * rules.share(Rule.SPINDLE_SHARE).doubleValue());
        Knapsack steps = new Knapsack(open, worths, rules, (int) Math.min(seconds, Integer.MAX_VALUE / 2));
        RunChoice.Way best = ways.stream().filter(w -> w.seconds() <= seconds)
                .reduce((a, b) -> b.worth() + steps.best(seconds - b.seconds()) > a.worth() + steps.best(seconds - a.seconds())
                        + TRIFLE / 10 ? b : a).orElseThrow();
        Set<Integer> chosen = steps.chosen(seconds - best.seconds());
        double worth = best.worth() + chosen.stream().mapToDouble(i -> worths.of(open.get(i))).sum();
        Set<StepId> ids = new HashSet<>(chosen.stream().map(i -> open.get(i).id()).toList());
        return new MinuteChoice(best, ids, chosen.stream().mapToInt(i -> open.get(i).seconds()).sum(), worth, runs.isProven() ? worth
                : Math.max(worth, bound(runs, steps, seconds)));
    }

    private static double bound(RunChoice runs, Knapsack steps, double seconds) {
        double most = steps.best(seconds);
        for (int k = 1; k * runs.quickest() <= seconds && k <= Long.SIZE; k++) {
            most = Math.max(most, runs.bound(k) + steps.best(seconds - k * runs.quickest()));
        }
        return most;
    }

    /** The most worth of steps for every number of seconds, and which they are. */
    private static final class Knapsack {

        private final List<Step> steps;
        private final int grain;
        private final int room;
        private final double[] best;
        private final BitSet[] taken;

        private Knapsack(List<Step> steps, Worths worths, Rules rules, int seconds) {
            this.steps = steps;
            this.grain = Math.max(1, steps.stream().mapToInt(Step::seconds).reduce(0, Knapsack::gcd));
            this.room = Math.min(seconds, steps.stream().mapToInt(Step::seconds).sum()) / grain;
            this.best = new double[room + 1];
            this.taken = new BitSet[steps.size()];
            List<java.math.BigDecimal> trifles = rules.figures(Rule.WORTH_STEP);
            for (int i = 0; i < steps.size(); i++) {
                Step step = steps.get(i);
                double worth = worths.of(step) + TRIFLE * trifles.get(step.ifBad().ordinal()).doubleValue();
                int takes = step.seconds() / grain;
                taken[i] = new BitSet(room + 1);
                for (int r = room; r >= takes; r--) {
                    if (best[r - takes] + worth > best[r]) {
                        best[r] = best[r - takes] + worth;
                        taken[i].set(r);
                    }
                }
            }
        }

        private static int gcd(int a, int b) {
            return b == 0 ? a : gcd(b, a % b);
        }

        private double best(double seconds) {
            return best[rooms(seconds)];
        }

        private int rooms(double seconds) {
            return (int) Math.max(0, Math.min(room, Math.floor(seconds / grain + 1e-9)));
        }

        /** Places of the steps chosen within so many seconds. */
        private Set<Integer> chosen(double seconds) {
            Set<Integer> chosen = new HashSet<>();
            int left = rooms(seconds);
            for (int i = steps.size() - 1; i >= 0; i--) {
                if (taken[i].get(left)) {
                    chosen.add(i);
                    left -= steps.get(i).seconds() / grain;
                }
            }
            return chosen;
        }
    }
}
