package tallledger.core.plan;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tallledger.core.coverage.RunChoice;
import tallledger.core.family.Step;
import tallledger.core.family.StepId;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * What to do in the minutes there are: the speeds and the steps that take most off the unknown (Σ p·c, {@link LookingWorth}), together.
 * Exact:
 * for every way to run speeds that may be best ({@link RunChoice}), the best set of steps in the seconds it leaves ({@link StepChoice}),
 * which pay a repair they share once. Where either search was cut, {@link #bound} says what no plan could exceed. The fastest speed is in
 * it wherever the way to it takes no more than a share of the minutes ({@link Rule#SPINDLE_SHARE}). Steps the table of repairs has no cost
 * for come last, by how bad they are when they are bad ({@link Rule#WORTH_STEP}).
 *
 * @param way     runs of speeds
 * @param steps   ids of the steps
 * @param seconds what the steps take
 * @param worth   p·c of both, in the user's money
 * @param bound   no plan is worth more; the same as {@code worth} where that is proven the best
 */
public record MinuteChoice(RunChoice.RunWay way, Set<StepId> steps, int seconds, double worth, double bound) {

    static MinuteChoice of(RunChoice runs, List<Step> open, LookingWorth worths, double seconds, Rules rules) {
        List<RunChoice.RunWay> ways = runs.withFastest(open.isEmpty() ? seconds : seconds * rules.share(Rule.SPINDLE_SHARE).doubleValue());
        StepChoice steps = new StepChoice(open, worths, rules, (int) Math.min(seconds, Integer.MAX_VALUE / 2));
        RunChoice.RunWay best = ways.stream().filter(w -> w.seconds() <= seconds)
                .reduce((a, b) -> b.worth() + steps.best(seconds - b.seconds()) > a.worth() + steps.best(seconds - a.seconds())
                        + StepChoice.TRIFLE / 10 ? b : a)
                .orElseThrow();
        Set<Integer> chosen = steps.chosen(seconds - best.seconds());
        double worth = best.worth() + worths.together(chosen.stream().map(open::get).toList());
        Set<StepId> ids = new HashSet<>(chosen.stream().map(i -> open.get(i).id()).toList());
        return new MinuteChoice(best, ids, chosen.stream().mapToInt(i -> open.get(i).seconds()).sum(), worth, runs.isProven()
                && steps.isProven() ? worth : Math.max(worth, bound(runs, open, worths, seconds)));
    }

    /** What no plan can exceed: the steps' single worths, whichever fit, beside what runs can be worth. */
    private static double bound(RunChoice runs, List<Step> open, LookingWorth worths, double seconds) {
        double[] single = singles(open, worths, (int) Math.min(seconds, Integer.MAX_VALUE / 2));
        double most = single[(int) Math.min(seconds, single.length - 1)];
        for (int k = 1; k * runs.quickest() <= seconds && k <= Long.SIZE; k++) {
            most = Math.max(most, runs.bound(k) + single[(int) Math.min(seconds - k * runs.quickest(), single.length - 1)]);
        }
        return most;
    }

    /** For every second the greatest sum of what each step is worth by itself. */
    private static double[] singles(List<Step> open, LookingWorth worths, int seconds) {
        double[] best = new double[Math.min(seconds, open.stream().mapToInt(Step::seconds).sum()) + 1];
        for (Step step : open) {
            double worth = worths.of(step);
            for (int r = best.length - 1; r >= step.seconds(); r--) {
                best[r] = Math.max(best[r], best[r - step.seconds()] + worth);
            }
        }
        return best;
    }
}
