package tallledger.core.plate;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The smallest sets of cells without which the rest fit.
 *
 * <p>Textbook: refit without every set. Computed instead from one fit: with residuals r and residual maker M of the full fit,
 * leaving out S changes the others' residuals to r − M·S (M_SS)⁻¹ r_S. M_SS is factored by Cholesky one cell at a time as the
 * search goes down, and a branch whose remaining sum of squares cannot fit is left at once. Sets that leave a parameter
 * undetermined (M_SS singular) are no candidates.
 */
final class SuspectSearch {

    /** Never more suspects than this, nor than a quarter of the cells (house rule). */
    private static final int MOST = 5;
    private static final double SINGULAR = 1e-9;
    /** Rounding room when a residual stands on its tolerance. */
    private static final double SLACK = 1e-12;

    private final double[] residuals;
    private final double[][] maker;
    private final int[] candidates;
    private final double sumOfSquares;
    private final double fittingSquares;

    private final int[] chosen = new int[MOST];
    private final double[][] cholesky = new double[MOST][MOST];
    private final double[] forward = new double[MOST];
    private final List<List<Integer>> found = new ArrayList<>();

    /**
     * @param residuals  of the full fit, as shares of their cells' tolerances
     * @param maker      its residual maker
     * @param candidates cells that may be suspects: all, or those a robust fit proposes
     */
    SuspectSearch(double[] residuals, double[][] maker, int[] candidates) {
        this.residuals = residuals;
        this.maker = maker;
        this.candidates = candidates;
        this.sumOfSquares = dot(residuals, residuals);
        this.fittingSquares = residuals.length;
    }

    /** All smallest sets; one empty set when the plate fits whole; nothing when no set within the bounds exists. */
    Optional<List<List<Integer>>> smallest() {
        int most = Math.min(MOST, residuals.length / 4);
        for (int size = 0; size <= most; size++) {
            descend(0, 0, size, 0);
            if (!found.isEmpty()) {
                return Optional.of(found);
            }
        }
        return Optional.empty();
    }

    private void descend(int depth, int from, int size, double explained) {
        if (depth == size) {
            if (sumOfSquares - explained <= fittingSquares + SLACK && restFits(size)) {
                List<Integer> set = new ArrayList<>();
                for (int i = 0; i < size; i++) {
                    set.add(chosen[i]);
                }
                found.add(set);
            }
            return;
        }
        for (int c = from; c <= candidates.length - (size - depth); c++) {
            if (push(depth, candidates[c])) {
                descend(depth + 1, c + 1, size, explained + forward[depth] * forward[depth]);
            }
        }
    }

    /** Adds one row to the Cholesky factor of M_SS and one step to L z = r_S. */
    private boolean push(int depth, int cell) {
        double[] row = cholesky[depth];
        double rest = maker[cell][cell];
        double z = residuals[cell];
        for (int j = 0; j < depth; j++) {
            double sum = maker[cell][chosen[j]];
            for (int k = 0; k < j; k++) {
                sum -= row[k] * cholesky[j][k];
            }
            row[j] = sum / cholesky[j][j];
            rest -= row[j] * row[j];
            z -= row[j] * forward[j];
        }
        if (rest < SINGULAR) {
            return false;
        }
        row[depth] = Math.sqrt(rest);
        forward[depth] = z / row[depth];
        chosen[depth] = cell;
        return true;
    }

    private boolean restFits(int size) {
        double[] shift = new double[size];
        for (int i = size - 1; i >= 0; i--) {
            double sum = forward[i];
            for (int j = i + 1; j < size; j++) {
                sum -= cholesky[j][i] * shift[j];
            }
            shift[i] = sum / cholesky[i][i];
        }
        for (int cell = 0; cell < residuals.length; cell++) {
            double left = residuals[cell];
            boolean isSuspect = false;
            for (int i = 0; i < size; i++) {
                left -= maker[cell][chosen[i]] * shift[i];
                isSuspect |= chosen[i] == cell;
            }
            if (!isSuspect && Math.abs(left) > 1 + SLACK) {
                return false;
            }
        }
        return true;
    }

    private static double dot(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += a[i] * b[i];
        }
        return sum;
    }
}
