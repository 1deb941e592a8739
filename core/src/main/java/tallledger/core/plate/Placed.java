package tallledger.core.plate;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import tallledger.core.reading.TypedNumber;

/**
 * Speeds placed on the combinations of levers, to be fitted as a plate is.
 *
 * @param sizes   positions by lever
 * @param at      by cell, the last lever running fastest, its speed; null where it has none
 * @param leftOut speeds that found no place
 */
record Placed(int[] sizes, List<TypedNumber> at, List<TypedNumber> leftOut) {

    static Placed of(int[] sizes, int[] at, List<TypedNumber> numbers) {
        Set<Integer> used = new HashSet<>();
        List<TypedNumber> cells = new ArrayList<>();
        for (int speed : at) {
            used.add(speed);
            cells.add(speed < 0 ? null : numbers.get(speed));
        }
        return new Placed(sizes, cells, IntStream.range(0, numbers.size()).filter(s -> !used.contains(s)).mapToObj(numbers::get).toList());
    }

    /** The same for the same speeds at the same positions, whichever lever or position comes first. */
    Object signature() {
        List<List<List<String>>> levers = new ArrayList<>();
        for (int l = 0; l < sizes.length; l++) {
            List<List<String>> positions = new ArrayList<>();
            for (int p = 0; p < sizes[l]; p++) {
                List<String> here = new ArrayList<>();
                for (int cell = 0; cell < at.size(); cell++) {
                    if (digit(cell, l) == p && at.get(cell) != null) {
                        here.add(at.get(cell).value().toPlainString());
                    }
                }
                Collections.sort(here);
                positions.add(here);
            }
            positions.sort(Comparator.comparing(Object::toString));
            levers.add(positions);
        }
        levers.sort(Comparator.comparing(Object::toString));
        return levers;
    }

    private int digit(int cell, int lever) {
        int stride = 1;
        for (int l = sizes.length - 1; l > lever; l--) {
            stride *= sizes[l];
        }
        return cell / stride % sizes[lever];
    }

    /**
     * The arrangement, its levers in the order of what they change and its positions from the lowest; empty where the levers do not
     * explain it.
     */
    Optional<Arrangement> fitted() {
        List<Lever> raw = IntStream.range(0, sizes.length)
                .mapToObj(l -> new Lever(String.valueOf(l), IntStream.range(0, sizes[l]).mapToObj(String::valueOf).toList())).toList();
        LeverFit fit = fit(raw, keys(raw));
        double[] residuals = fit.residuals();
        if (Arrays.stream(residuals).anyMatch(r -> Math.abs(r) > 1 + 1e-9)) {
            return Optional.empty();
        }
        List<List<Integer>> positions = new ArrayList<>();
        for (int l = 0; l < sizes.length; l++) {
            List<Optional<Double>> factors = fit.factors(l);
            positions.add(IntStream.range(0, sizes[l]).boxed()
                    .sorted(Comparator.comparingDouble(p -> factors.get(p).orElse(Double.MAX_VALUE))).toList());
        }
        List<Integer> order = IntStream.range(0, sizes.length).boxed()
                .sorted(Comparator.comparingDouble((Integer l) -> -step(fit.factors(l))).thenComparing(l -> sizes[l])).toList();
        return Optional.of(labelled(raw, positions, order));
    }

    /** How much a lever changes at one move, in ln, as a mean. */
    private static double step(List<Optional<Double>> factors) {
        double[] known = factors.stream().flatMap(Optional::stream).mapToDouble(Math::log).sorted().toArray();
        return known.length < 2 ? 0 : (known[known.length - 1] - known[0]) / (known.length - 1);
    }

    private Arrangement labelled(List<Lever> raw, List<List<Integer>> positions, List<Integer> order) {
        List<Lever> levers = new ArrayList<>();
        for (int i = 0; i < order.size(); i++) {
            levers.add(Arrangement.lever(order.size() - 1 - i, sizes[order.get(i)]));
        }
        Map<List<String>, TypedNumber> cells = new LinkedHashMap<>();
        for (List<String> key : SpeedPlate.keysOf(levers)) {
            int cell = 0;
            for (int l = 0; l < raw.size(); l++) {
                int label = levers.get(order.indexOf(l)).positions().indexOf(key.get(order.indexOf(l)));
                cell = cell * sizes[l] + positions.get(l).get(label);
            }
            if (at.get(cell) != null) {
                cells.put(key, at.get(cell));
            }
        }
        LeverFit fit = fit(levers, cells);
        double worst = cells.entrySet().stream()
                .mapToDouble(e -> Math.abs(Math.log(e.getValue().value().doubleValue() / fit.predict(e.getKey()).orElseThrow()))).max()
                .orElse(0);
        return new Arrangement(levers, cells, IntStream.range(0, levers.size()).mapToObj(fit::factors).toList(),
                misread(levers, cells, fit), worst);
    }

    /** Each speed that is left out with the empty combination it explains best. */
    private List<Arrangement.LeftOut> misread(List<Lever> levers, Map<List<String>, TypedNumber> cells, LeverFit fit) {
        List<List<String>> empty = SpeedPlate.keysOf(levers).stream().filter(key -> !cells.containsKey(key)).toList();
        return orders(empty).stream()
                .map(order -> IntStream.range(0, leftOut.size()).mapToObj(i -> leftOut(leftOut.get(i), order, i, cells, fit)).toList())
                .max(Comparator.comparingLong((List<Arrangement.LeftOut> outs) -> outs.stream().filter(out -> !out.slips().isEmpty())
                        .count()))
                .orElse(List.of());
    }

    private static Arrangement.LeftOut leftOut(TypedNumber typed, List<List<String>> empty, int i, Map<List<String>, TypedNumber> cells,
            LeverFit fit) {
        if (i >= empty.size()) {
            return new Arrangement.LeftOut(typed, List.of(), Optional.empty(), List.of());
        }
        List<String> key = empty.get(i);
        Optional<Double> means = fit.predict(key);
        List<Misreading> slips = means.map(m -> Misreading.explaining(typed.value(), m, cells.entrySet().stream()
                .filter(e -> IntStream.range(0, key.size()).filter(l -> !key.get(l).equals(e.getKey().get(l))).count() == 1)
                .map(e -> e.getValue().value()).toList())).orElse(List.of());
        return new Arrangement.LeftOut(typed, key, means, slips);
    }

    private static <T> List<List<T>> orders(List<T> of) {
        return of.size() == 2 ? List.of(of, List.of(of.get(1), of.get(0))) : List.of(of);
    }

    private Map<List<String>, TypedNumber> keys(List<Lever> levers) {
        List<List<String>> keys = SpeedPlate.keysOf(levers);
        Map<List<String>, TypedNumber> cells = new LinkedHashMap<>();
        IntStream.range(0, keys.size()).filter(i -> at.get(i) != null).forEach(i -> cells.put(keys.get(i), at.get(i)));
        return cells;
    }

    private static LeverFit fit(List<Lever> levers, Map<List<String>, TypedNumber> cells) {
        Map<List<String>, Double> values = new LinkedHashMap<>();
        Map<List<String>, Double> tolerances = new LinkedHashMap<>();
        cells.forEach((key, number) -> {
            values.put(key, number.value().doubleValue());
            tolerances.put(key, LeverFactors.tolerance(number));
        });
        return LeverFit.of(levers, values, tolerances);
    }
}
