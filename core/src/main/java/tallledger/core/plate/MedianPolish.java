package tallledger.core.plate;

import java.util.Arrays;
import java.util.List;

/**
 * Tukey's median polish over any number of levers: takes the median out of every lever position in turn until nothing
 * moves. Used only to propose suspects on plates too large for the exact search.
 */
final class MedianPolish {

    private static final int ROUNDS = 20;

    private MedianPolish() {
    }

    /** What is left of the logs; a misread cell keeps nearly its whole error. */
    static double[] residuals(List<Lever> levers, List<List<String>> keys, double[] logs) {
        double[] left = logs.clone();
        for (int round = 0; round < ROUNDS; round++) {
            double moved = 0;
            for (int lever = 0; lever < levers.size(); lever++) {
                for (String label : levers.get(lever).positions()) {
                    moved = Math.max(moved, polish(keys, left, lever, label));
                }
            }
            if (moved < 1e-9) {
                break;
            }
        }
        return left;
    }

    private static double polish(List<List<String>> keys, double[] left, int lever, String label) {
        int[] cells = java.util.stream.IntStream.range(0, keys.size())
                .filter(i -> keys.get(i).get(lever).equals(label)).toArray();
        if (cells.length == 0) {
            return 0;
        }
        double[] values = Arrays.stream(cells).mapToDouble(i -> left[i]).sorted().toArray();
        int middle = values.length / 2;
        double median = values.length % 2 == 1 ? values[middle] : (values[middle - 1] + values[middle]) / 2;
        for (int i : cells) {
            left[i] -= median;
        }
        return Math.abs(median);
    }
}
