package tallledger.core.plate;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.linear.SingularValueDecomposition;

/**
 * Least squares fit of ln n = m + Σ a(lever, position) over some of a plate's cells, each weighted by the inverse square of its tolerance.
 *
 * <p>Textbook: one dummy column a position, which is rank-deficient (each lever's columns sum to the intercept's). Computed by
 * singular values, so that interlocked plates with cells missing need no special case: a cell is predicted only if its row
 * lies in the row space of the cells used, i.e. only if the data determine it.
 */
final class LeverFit {

    private static final double RANK = 1e-9;

    private final List<Lever> levers;
    private final RealMatrix rowSpace;
    private final RealMatrix columnSpace;
    private final RealVector solution;
    private final double[] residuals;

    private LeverFit(List<Lever> levers, RealMatrix design, double[] logs) {
        this.levers = levers;
        SingularValueDecomposition svd = new SingularValueDecomposition(design);
        double[] values = svd.getSingularValues();
        int rank = (int) IntStream.range(0, values.length).filter(i -> values[i] > RANK * values[0]).count();
        columnSpace = svd.getU().getSubMatrix(0, design.getRowDimension() - 1, 0, rank - 1);
        rowSpace = svd.getV().getSubMatrix(0, design.getColumnDimension() - 1, 0, rank - 1);
        RealVector projected = columnSpace.preMultiply(new ArrayRealVector(logs, false));
        for (int i = 0; i < rank; i++) {
            projected.setEntry(i, projected.getEntry(i) / values[i]);
        }
        solution = rowSpace.operate(projected);
        residuals = new ArrayRealVector(logs).subtract(design.operate(solution)).toArray();
    }

    /**
     * Fits ln of the values, one a cell key.
     *
     * @param tolerance largest residual that still fits, in ln, by cell key
     */
    static LeverFit of(List<Lever> levers, Map<List<String>, Double> values, Map<List<String>, Double> tolerance) {
        RealMatrix design = new Array2DRowRealMatrix(values.size(), columns(levers));
        double[] logs = new double[values.size()];
        int row = 0;
        for (Map.Entry<List<String>, Double> cell : values.entrySet()) {
            double weight = 1 / tolerance.get(cell.getKey());
            design.setRowVector(row, new ArrayRealVector(row(levers, cell.getKey()), false).mapMultiplyToSelf(weight));
            logs[row++] = Math.log(cell.getValue()) * weight;
        }
        return new LeverFit(levers, design, logs);
    }

    /** Residuals as shares of their cells' tolerances, in the order of the values given: up to 1 fits. */
    double[] residuals() {
        return residuals.clone();
    }

    /** Residual maker I − H of the weighted fit, symmetric, one row a cell used. */
    double[][] residualMaker() {
        RealMatrix hat = columnSpace.multiplyTransposed(columnSpace);
        double[][] maker = hat.scalarMultiply(-1).getData();
        for (int i = 0; i < maker.length; i++) {
            maker[i][i] += 1;
        }
        return maker;
    }

    /** What the cells used say stands at a key; empty where they do not determine it. */
    Optional<Double> predict(List<String> key) {
        RealVector x = new ArrayRealVector(row(levers, key), false);
        RealVector inside = rowSpace.operate(rowSpace.preMultiply(x));
        return x.subtract(inside).getNorm() > 1e-6 ? Optional.empty() : Optional.of(Math.exp(x.dotProduct(solution)));
    }

    /** Factor of each position of a lever over its first one; empty where the cells used do not determine it. */
    List<Optional<Double>> factors(int lever) {
        int start = 1 + levers.subList(0, lever).stream().mapToInt(l -> l.positions().size()).sum();
        List<Optional<Double>> factors = new ArrayList<>();
        for (int p = 0; p < levers.get(lever).positions().size(); p++) {
            RealVector contrast = new ArrayRealVector(columns(levers));
            contrast.addToEntry(start + p, 1);
            contrast.addToEntry(start, -1);
            RealVector inside = rowSpace.operate(rowSpace.preMultiply(contrast));
            boolean known = contrast.subtract(inside).getNorm() < 1e-6;
            factors.add(known ? Optional.of(Math.exp(contrast.dotProduct(solution))) : Optional.empty());
        }
        return factors;
    }

    private static int columns(List<Lever> levers) {
        return 1 + levers.stream().mapToInt(lever -> lever.positions().size()).sum();
    }

    private static double[] row(List<Lever> levers, List<String> key) {
        double[] row = new double[columns(levers)];
        row[0] = 1;
        int start = 1;
        for (int l = 0; l < levers.size(); l++) {
            row[start + levers.get(l).positions().indexOf(key.get(l))] = 1;
            start += levers.get(l).positions().size();
        }
        return row;
    }
}
