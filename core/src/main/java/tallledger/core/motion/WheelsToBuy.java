package tallledger.core.motion;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.reading.TypedLength;

/**
 * The smallest set of wheels to make or buy that restores lost pitches, exact up to two wheels, and up to three while not too many
 * pitches are lost: every train of wheels on hand
 * and wheels to be had is looked at (three are chosen, the fourth follows from the ratio), and each says which new wheels it
 * needs; then the smallest set is sought that serves every pitch.
 */
final class WheelsToBuy {

    private static final int MOST_TEETH = 200;
    /** Lost pitches times box factors up to which three new wheels are searched: some 0.1 s of work. */
    private static final int MOST_FOR_THREE = 24;

    private final GearChart chart;
    private final List<TypedLength> missing;
    private final int[] wheels;
    private final int[] onHand;
    private final int[] have = new int[MOST_TEETH + 1];
    private final int[] index = new int[MOST_TEETH + 1];
    private final List<Integer> candidates = new ArrayList<>();
    /** Bits of the pitches a set of one, two or three candidates serves, each needing all of the set. */
    private final long[] ones;
    private final long[][] twos;
    private long[][][] threes = new long[0][][];

    WheelsToBuy(GearChart chart, WheelSet onHand, List<TypedLength> missing) {
        this.chart = chart;
        this.missing = missing;
        onHand.teeth().forEach(t -> have[t]++);
        for (int t = Math.max(12, chart.buyable().least()); t <= Math.min(MOST_TEETH, chart.buyable().most()); t++) {
            candidates.add(t);
            index[t] = candidates.size();
        }
        this.onHand = onHand.distinct().stream().mapToInt(Integer::intValue).toArray();
        wheels = Stream.concat(onHand.teeth().stream(), candidates.stream()).distinct().mapToInt(Integer::intValue).toArray();
        int n = candidates.size();
        ones = new long[n];
        twos = new long[n][n];
        lookForAll(2);
    }

    /**
     * Looks at every train that gives the ratio and needs up to so many wheels that are not on hand. Three wheels are chosen; as soon
     * as those not on hand are all that may be new, the rest come from those on hand alone.
     */
    private void look(long bit, double ratio, int fresh) {
        for (int a : wheels) {
            int b = whole(a / ratio);
            if (b > 0 && GearTrain.mounts(a, b, chart.reach())) {
                needs(bit, a, b);
            }
            for (int second : wheels) {
                int used = (have[a] > 0 ? 0 : 1) + (have[second] > 0 ? 0 : 1);
                for (int c : used < fresh ? wheels : onHand) {
                    int d = a + second >= c + GearTrain.CLEARANCE ? whole((double) a * c / (second * ratio)) : 0;
                    if (d > 0 && GearTrain.mounts(a, second, c, d)) {
                        needs(bit, a, second, c, d);
                    }
                }
            }
        }
    }

    private void lookForAll(int fresh) {
        for (int p = 0; p < missing.size(); p++) {
            for (BigDecimal factor : chart.factors()) {
                look(1L << p, missing.get(p).mm().doubleValue() / (chart.leadScrew().mm().doubleValue() * factor.doubleValue()), fresh);
            }
        }
    }

    /** A whole number of teeth, or nought. */
    private static int whole(double teeth) {
        long near = Math.round(teeth);
        return near >= 12 && near <= MOST_TEETH && Math.abs(teeth / near - 1) < ChangeWheels.EXACT ? (int) near : 0;
    }

    private void needs(long bit, int... train) {
        int[] fresh = new int[3];
        int count = 0;
        for (int i = 0; i < train.length; i++) {
            int used = 1;
            for (int j = 0; j < i; j++) {
                used += train[j] == train[i] ? 1 : 0;
            }
            if (used > have[train[i]]) {
                if (index[train[i]] == 0 || count == 3) {
                    return;
                }
                fresh[count++] = index[train[i]] - 1;
            }
        }
        java.util.Arrays.sort(fresh, 0, count);
        if (count == 1) {
            ones[fresh[0]] |= bit;
        } else if (count == 2) {
            twos[fresh[0]][fresh[1]] |= bit;
        } else if (count == 3 && threes.length > 0) {
            threes[fresh[0]][fresh[1]][fresh[2]] |= bit;
        }
    }

    /** Fewest wheels first; where none is found that restores all, the two that restore most. */
    List<Integer> smallest() {
        long all = (1L << missing.size()) - 1;
        Optional<List<Integer>> enough = one(all).or(() -> two(all)).or(() -> three(all));
        return enough.orElseGet(this::most);
    }

    private Optional<List<Integer>> one(long all) {
        return candidates.stream().filter(t -> ones[index[t] - 1] == all).findFirst().map(List::of);
    }

    private Optional<List<Integer>> two(long all) {
        for (int i = 0; i < ones.length; i++) {
            for (int j = i; j < ones.length; j++) {
                if (pair(i, j) == all) {
                    return Optional.of(List.of(candidates.get(i), candidates.get(j)));
                }
            }
        }
        return Optional.empty();
    }

    private Optional<List<Integer>> three(long all) {
        if (missing.size() * chart.factors().size() > MOST_FOR_THREE) {
            return Optional.empty();
        }
        threes = new long[ones.length][ones.length][ones.length];
        lookForAll(3);
        for (int i = 0; i < ones.length; i++) {
            for (int j = i; j < ones.length; j++) {
                for (int k = j; k < ones.length; k++) {
                    if ((pair(i, j) | pair(j, k) | twos[i][k] | threes[i][j][k]) == all) {
                        return Optional.of(List.of(candidates.get(i), candidates.get(j), candidates.get(k)));
                    }
                }
            }
        }
        return Optional.empty();
    }

    private long pair(int i, int j) {
        return ones[i] | ones[j] | twos[i][j];
    }

    private List<Integer> most() {
        List<Integer> best = List.of();
        int served = 0;
        for (int i = 0; i < ones.length; i++) {
            for (int j = i + 1; j < ones.length; j++) {
                if (Long.bitCount(pair(i, j)) > served) {
                    served = Long.bitCount(pair(i, j));
                    best = List.of(candidates.get(i), candidates.get(j));
                }
            }
        }
        return best;
    }
}
