package tallledger.core.survey;

import tallledger.core.family.Step;
import tallledger.core.family.StepId;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Which steps to do in the seconds there are: the set of greatest worth that fits, exactly (0/1 knapsack in steps of 15 s). The
 * worth of a step is how bad it is when it is bad: 100, 40, 12, 3, 1 from stop use to note ({@link Rule#WORTH_STEP}).
 */
final class TimeChoice {

    private static final int GRAIN = 15;

    private TimeChoice() {
    }

    static int worth(Step step, Rules rules) {
        return rules.figures(Rule.WORTH_STEP).get(step.ifBad().ordinal()).intValue();
    }

    static Set<StepId> of(List<Step> steps, double seconds, Rules rules) {
        int room = (int) Math.max(0, Math.min(seconds, 12 * 3600) / GRAIN);
        int[][] best = new int[steps.size() + 1][room + 1];
        for (int i = 1; i <= steps.size(); i++) {
            int takes = takes(steps.get(i - 1));
            for (int r = 0; r <= room; r++) {
                best[i][r] = best[i - 1][r];
                if (takes <= r) {
                    best[i][r] = Math.max(best[i][r], best[i - 1][r - takes] + worth(steps.get(i - 1), rules));
                }
            }
        }
        Set<StepId> chosen = new HashSet<>();
        int left = room;
        for (int i = steps.size(); i > 0; i--) {
            if (best[i][left] != best[i - 1][left]) {
                chosen.add(steps.get(i - 1).id());
                left -= takes(steps.get(i - 1));
            }
        }
        return chosen;
    }

    private static int takes(Step step) {
        return (step.seconds() + GRAIN - 1) / GRAIN;
    }
}
