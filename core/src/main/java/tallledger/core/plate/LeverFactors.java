package tallledger.core.plate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import tallledger.core.coverage.Outcome;
import tallledger.core.reading.TypedNumber;

/**
 * What the levers of a plate do, settled from its numbers: ln n = m + Σ a(lever, position), fitted without the suspects.
 *
 * <p>Each cell is weighted by the inverse square of its tolerance: 2 % or half a unit of its last digit, whichever is more. The suspects
 * are the smallest set of cells, at most a quarter of them and at most five, without which the rest fit with no residual beyond it.
 * Exact up to 40 cells; above, the cells that Tukey's median polish leaves furthest off are the candidates and the same test confirms them.
 *
 * <p>The ends of a sliding stage need not multiply with the rest (a variator may reach further in one range), so a plate with
 * such a lever cannot be checked this way.
 *
 * <p>Worked: A 31.5 45 63 90, B 125 180 280 355, C 500 710 1000 1400: suspect B3 alone, predicted 251.3.
 */
public final class LeverFactors {

    private static final double TOLERANCE = 0.02;
    private static final int EXACT_CELLS = 40;
    private static final int CANDIDATES = 14;

    /** How the search ended. */
    public enum Outcome { FITS, SUSPECTS, DOES_NOT_MULTIPLY, CANNOT_TELL }

    private final Outcome outcome;
    private final List<List<List<String>>> suspectSets;
    private final List<Lever> levers;
    private final List<LeverFit> fits;

    private LeverFactors(Outcome outcome, List<List<List<String>>> suspectSets, List<Lever> levers,
            Map<List<String>, Double> values, Map<List<String>, Double> tolerance) {
        this.outcome = outcome;
        this.suspectSets = suspectSets;
        this.levers = levers;
        this.fits = suspectSets.stream().map(set -> LeverFit.of(levers, without(values, set), tolerance)).toList();
    }

    public static LeverFactors of(SpeedPlate plate) {
        Map<List<String>, Double> values = new LinkedHashMap<>();
        Map<List<String>, Double> tolerance = new LinkedHashMap<>();
        plate.cells().forEach((key, cell) -> cell.number().ifPresent(n -> {
            values.put(key, n.value().doubleValue());
            tolerance.put(key, tolerance(n));
        }));
        List<Lever> levers = plate.levers();
        if (levers.stream().anyMatch(Lever::slides) || levers.stream().filter(lever -> lever.positions().size() > 1).count() < 2
                || values.size() < 4) {
            return new LeverFactors(Outcome.CANNOT_TELL, values.isEmpty() ? List.of() : List.of(List.of()), levers, values, tolerance);
        }
        List<List<String>> keys = List.copyOf(values.keySet());
        Optional<List<List<Integer>>> sets = search(levers, keys, values, tolerance).smallest();
        if (sets.isEmpty()) {
            return new LeverFactors(Outcome.DOES_NOT_MULTIPLY, List.of(List.of()), levers, values, tolerance);
        }
        List<List<List<String>>> named = sets.get().stream()
                .map(set -> set.stream().map(keys::get).toList()).toList();
        Outcome outcome = named.get(0).isEmpty() ? Outcome.FITS : Outcome.SUSPECTS;
        return new LeverFactors(outcome, named, levers, values, tolerance);
    }

    public Outcome outcome() {
        return outcome;
    }

    /** Sets of suspects of the smallest size; more than one means "one of these". */
    public List<List<List<String>>> suspectSets() {
        return outcome == Outcome.SUSPECTS ? suspectSets : List.of();
    }

    /** What the cells that are not suspect say stands at a key; from the first set where several are possible. */
    public Optional<Double> predict(List<String> key) {
        return fits.isEmpty() ? Optional.empty() : fits.get(0).predict(key);
    }

    /** Prediction from the fit without one of the suspect sets. */
    public Optional<Double> predict(int set, List<String> key) {
        return fits.get(set).predict(key);
    }

    /** Factor of each position of a lever over its first; empty where the plate does not determine it. */
    public List<Optional<Double>> factors(int lever) {
        return fits.isEmpty() ? levers.get(lever).positions().stream().map(p -> Optional.<Double>empty()).toList()
                : fits.get(0).factors(lever);
    }

    public List<Lever> levers() {
        return levers;
    }

    private static SuspectSearch search(List<Lever> levers, List<List<String>> keys, Map<List<String>, Double> values,
            Map<List<String>, Double> tolerance) {
        LeverFit whole = LeverFit.of(levers, values, tolerance);
        int[] candidates = IntStream.range(0, keys.size()).toArray();
        if (keys.size() > EXACT_CELLS) {
            double[] logs = values.values().stream().mapToDouble(Math::log).toArray();
            double[] left = MedianPolish.residuals(levers, keys, logs);
            candidates = IntStream.range(0, keys.size()).boxed()
                    .sorted(Comparator.comparingDouble((Integer i) -> -Math.abs(left[i]))).limit(CANDIDATES)
                    .mapToInt(Integer::intValue).sorted().toArray();
        }
        return new SuspectSearch(whole.residuals(), whole.residualMaker(), candidates);
    }

    /** Largest residual of a cell that still fits, in ln: 2 %, or half a unit of its last digit where that is more. */
    static double tolerance(TypedNumber number) {
        double halfDigit = number.step().doubleValue() / 2 / number.value().doubleValue();
        return Math.max(TOLERANCE, halfDigit);
    }

    private static Map<List<String>, Double> without(Map<List<String>, Double> values, List<List<String>> set) {
        Map<List<String>, Double> rest = new LinkedHashMap<>(values);
        rest.keySet().removeAll(Set.copyOf(set));
        return rest;
    }

    /** Cells that appear in any of the suspect sets. */
    public List<List<String>> allSuspects() {
        return new ArrayList<>(new java.util.LinkedHashSet<>(suspectSets().stream().flatMap(List::stream).toList()));
    }
}
