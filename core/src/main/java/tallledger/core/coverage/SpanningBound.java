package tallledger.core.coverage;

import java.util.Arrays;

/**
 * A bound no path through all runs can beat: the weight of a minimum spanning tree (every path is a spanning tree), raised by
 * node potentials. With potentials π the tree under w + π_i + π_j, less 2·Σπ plus the two ends' own, still bounds every path;
 * subgradient steps push nodes of degree over two up and leaves down.
 */
final class SpanningBound {

    private static final int STEPS = 120;

    private SpanningBound() {
    }

    /**
     * @param move  symmetric moving times, s
     * @param first time to each run from where the levers stand, s
     */
    static double of(double[][] move, double[] first) {
        int n = first.length;
        // One more node for the start, and the end is free: a path of n + 1 nodes with one end fixed at node n.
        double[][] w = new double[n + 1][n + 1];
        for (int i = 0; i < n; i++) {
            System.arraycopy(move[i], 0, w[i], 0, n);
            w[i][n] = first[i];
            w[n][i] = first[i];
        }
        double[] potential = new double[n + 1];
        int[] degree = new int[n + 1];
        double best = 0;
        double step = Arrays.stream(move).flatMapToDouble(Arrays::stream).max().orElse(0) / 8;
        for (int k = 0; k < STEPS && step > 1e-3; k++) {
            double tree = tree(w, potential, degree);
            // Inner nodes of a path have degree 2, its start 1 and its free end 1, whichever run that is: the least potential is safe.
            double ends = potential[n] + Arrays.stream(potential, 0, n).min().orElse(0);
            best = Math.max(best, tree - 2 * Arrays.stream(potential).sum() + ends);
            for (int i = 0; i < n; i++) {
                potential[i] += step * (degree[i] - 2);
            }
            step *= 0.96;
        }
        return best;
    }

    /** Weight of the minimum spanning tree under the potentials (Prim); fills in the degrees. */
    private static double tree(double[][] w, double[] potential, int[] degree) {
        int n = potential.length;
        Arrays.fill(degree, 0);
        boolean[] in = new boolean[n];
        double[] near = new double[n];
        int[] parent = new int[n];
        Arrays.fill(near, Double.POSITIVE_INFINITY);
        near[n - 1] = 0;
        parent[n - 1] = -1;
        double weight = 0;
        for (int k = 0; k < n; k++) {
            int pick = -1;
            for (int i = 0; i < n; i++) {
                if (!in[i] && (pick < 0 || near[i] < near[pick])) {
                    pick = i;
                }
            }
            in[pick] = true;
            weight += near[pick];
            if (parent[pick] >= 0) {
                degree[pick]++;
                degree[parent[pick]]++;
            }
            for (int i = 0; i < n; i++) {
                double edge = w[pick][i] + potential[pick] + potential[i];
                if (!in[i] && edge < near[i]) {
                    near[i] = edge;
                    parent[i] = pick;
                }
            }
        }
        return weight;
    }
}
