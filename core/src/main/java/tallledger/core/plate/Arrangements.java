package tallledger.core.plate;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;

/**
 * From the bare speeds of a machine whose inside nobody knows to the arrangements of levers that explain them.
 *
 * <p>Worked: 50 65 95 110 250 325 475 550 fits one way, a lever of two (× 5) and one of four (1, 1.30, 1.90, 2.20);
 * 56 80 112 160 350 500 700 1000 fits four; the even ladder 31.5 to 1400 of twelve fits ten.
 *
 * @param found every arrangement that fits, fewest speeds left out first, then the least residual
 * @param says  what else is to be said of the list
 * @param cut   whether the search was cut short, so that there may be more
 */
public record Arrangements(List<Arrangement> found, List<Reason> says, boolean cut) {

    private static final int LEAST_POSITIONS = 2;
    private static final int MOST_POSITIONS = 6;
    private static final int MOST_LEVERS = 4;
    /** Up to here every arrangement is found; above, only ranges that follow each other. */
    private static final int MOST_EXACT = 36;
    /** Above so many speeds two may be left out. */
    private static final int ONE_OUT = 16;
    /** Longer lists are not one machine's. */
    public static final int MOST_SPEEDS = 400;
    /** Placings tried before the search is cut short, which is said; speeds a few per cent apart would fit in millions of ways. */
    private static final long MOST_STEPS = 6_000_000;
    private static final int MOST_FOUND = 300;
    private static final int LONGEST_LEVER = 12;

    public Arrangements {
        found = List.copyOf(found);
        says = List.copyOf(says);
    }

    /**
     * Every arrangement of a bare list.
     *
     * @param speeds in any order, min⁻¹ (or feeds, or threads: any numbers that levers multiply)
     * @param levers positions by lever, as far as somebody counted them: empty for any
     * @throws Refused when there are too few or too many speeds, or the levers counted are no levers
     */
    public static Arrangements of(List<TypedNumber> speeds, List<Integer> levers) {
        DistinctSpeeds listed = DistinctSpeeds.of(speeds);
        checkLevers(levers);
        int z = listed.numbers.size();
        List<Reason> says = new ArrayList<>(listed.says);
        List<List<Integer>> shapes = shapes(z, levers);
        if (levers.size() > 1 && shapes.isEmpty()) {
            return counted(listed, levers.stream().sorted().toList(), product(levers), says);
        }
        if (shapes.isEmpty()) {
            noShape(z, levers).ifPresent(says::add);
            return new Arrangements(List.of(), says, false);
        }
        Search search = new Search(listed);
        List<Arrangement> found = List.of();
        int most = z > MOST_EXACT ? 0 : z > ONE_OUT ? 2 : 1;
        for (int out = 0; out <= most && found.isEmpty(); out++) {
            for (List<Integer> shape : shapes) {
                search.places(shape, out);
            }
            found = search.found();
        }
        says.addAll(said(z, most, found, search.isCut()));
        return new Arrangements(found, says, search.isCut());
    }

    /** What the search of one shape confirms with so many left out, explained or not, by its signature. */
    static Map<Object, Arrangement> everyOne(List<TypedNumber> speeds, List<Integer> shape, int out) {
        Search search = new Search(DistinctSpeeds.of(speeds));
        search.places(shape, out);
        return search.found;
    }

    /** Levers somebody counted, and more or fewer speeds than they make: so many combinations have none, or so many speeds are too many. */
    private static Arrangements counted(DistinctSpeeds listed, List<Integer> levers, int product, List<Reason> says) {
        int z = listed.numbers.size();
        Search search = new Search(listed);
        says.add(Reason.of(z < product ? PlateReason.ARRANGE_FEWER : PlateReason.ARRANGE_MORE, joined(levers), product, z));
        if (Math.abs(product - z) <= 2 && z <= MOST_EXACT && levers.size() <= MOST_LEVERS) {
            search.places(levers, Math.max(0, product - z));
        }
        return new Arrangements(search.found(), says, search.isCut());
    }

    private static List<Reason> said(int z, int most, List<Arrangement> found, boolean isCut) {
        List<Reason> says = new ArrayList<>();
        if (isCut) {
            says.add(Reason.of(PlateReason.ARRANGE_CUT));
        }
        if (z > MOST_EXACT) {
            says.add(Reason.of(PlateReason.ARRANGE_CONTIGUOUS, MOST_EXACT));
        }
        if (found.isEmpty() && !isCut) {
            says.add(Reason.of(PlateReason.ARRANGE_NONE, z, most));
        } else if (!found.isEmpty() && !found.get(0).leftOut().isEmpty()) {
            says.add(Reason.of(PlateReason.ARRANGE_LEFT_OUT, found.get(0).leftOut().size()));
        }
        if (found.size() > 1) {
            says.add(Reason.of(PlateReason.ARRANGE_SEVERAL, found.size()));
        }
        return says;
    }

    /** @throws Refused where the levers counted are none: 2 to 12 positions each, at most four */
    public static void checkLevers(List<Integer> levers) {
        levers.stream().filter(n -> n < LEAST_POSITIONS || n > LONGEST_LEVER).findFirst().ifPresent(n -> {
            throw Refused.because(PlateReason.ARRANGE_LEVER, n, LEAST_POSITIONS, LONGEST_LEVER);
        });
        if (levers.size() > MOST_LEVERS) {
            throw Refused.because(PlateReason.ARRANGE_LEVERS, levers.size(), MOST_LEVERS);
        }
    }

    private static int product(List<Integer> levers) {
        return levers.stream().reduce(1, (a, b) -> a * b);
    }

    /**
     * The shapes of z speeds that have the levers somebody counted; those levers themselves where they make z with more positions than
     * are looked for.
     *
     * @param levers positions by lever as far as counted, empty for any: as {@link #checkLevers} lets them pass
     */
    public static List<List<Integer>> shapes(int z, List<Integer> levers) {
        List<List<Integer>> shapes = shapes(z).stream().filter(shape -> levers.isEmpty() || containsAll(shape, levers)).toList();
        return shapes.isEmpty() && levers.size() > 1 && product(levers) == z ? List.of(levers.stream().sorted().toList()) : shapes;
    }

    /** Why z speeds have no shape; empty for up to three, which are one lever's. */
    public static Optional<Reason> noShape(int z, List<Integer> levers) {
        if (!levers.isEmpty()) {
            return Optional.of(Reason.of(PlateReason.ARRANGE_NO_SUCH, z, joined(levers)));
        }
        return z < LEAST_POSITIONS * LEAST_POSITIONS ? Optional.empty() : Optional.of(Reason.of(PlateReason.ARRANGE_NO_PRODUCT, z));
    }

    /** Whether a shape has all the levers counted, each its own. */
    private static boolean containsAll(List<Integer> shape, List<Integer> levers) {
        List<Integer> left = new ArrayList<>(shape);
        return levers.stream().allMatch(left::remove) && (levers.size() < 2 || left.isEmpty());
    }

    private static String joined(List<Integer> levers) {
        return String.join(" × ", levers.stream().map(String::valueOf).toList());
    }

    /** Every way to write z as a product of two to four whole numbers from 2 to 6, each ascending; none for 5, 7, 11 or 14. */
    public static List<List<Integer>> shapes(int z) {
        List<List<Integer>> shapes = new ArrayList<>();
        shapes(z, LEAST_POSITIONS, List.of(), shapes);
        shapes.sort(Comparator.comparingInt((List<Integer> s) -> s.size()).thenComparing(s -> -s.get(s.size() - 1)));
        return shapes;
    }

    private static void shapes(int left, int least, List<Integer> sofar, List<List<Integer>> shapes) {
        if (left == 1 && sofar.size() >= 2) {
            shapes.add(sofar);
        }
        for (int n = least; n <= MOST_POSITIONS && sofar.size() < MOST_LEVERS; n++) {
            if (left % n == 0) {
                List<Integer> longer = new ArrayList<>(sofar);
                longer.add(n);
                shapes(left / n, n, List.copyOf(longer), shapes);
            }
        }
    }

    /** The distinct speeds, ascending. */
    private record DistinctSpeeds(List<TypedNumber> numbers, double[] logs, double[] tolerances, List<Reason> says) {

        static DistinctSpeeds of(List<TypedNumber> speeds) {
            List<TypedNumber> distinct = new ArrayList<>();
            List<Reason> says = new ArrayList<>();
            for (TypedNumber number : speeds.stream().sorted(Comparator.comparing(TypedNumber::value)).toList()) {
                if (number.value().signum() <= 0) {
                    throw Refused.because(PlateReason.ARRANGE_NOT_POSITIVE, number.typed());
                }
                if (!distinct.isEmpty() && distinct.get(distinct.size() - 1).value().compareTo(number.value()) == 0) {
                    says.add(Reason.of(PlateReason.ARRANGE_TWICE, number.typed()));
                } else {
                    distinct.add(number);
                }
            }
            if (distinct.size() > MOST_SPEEDS) {
                throw Refused.because(PlateReason.ARRANGE_LONG, distinct.size(), MOST_SPEEDS);
            }
            return new DistinctSpeeds(distinct, distinct.stream().mapToDouble(n -> Math.log(n.value().doubleValue())).toArray(),
                    distinct.stream().mapToDouble(LeverFactors::tolerance).toArray(), says.stream().distinct().toList());
        }

        /** The same from the top: the highest is every lever's highest. */
        DistinctSpeeds fromTheTop() {
            int z = logs.length;
            return new DistinctSpeeds(IntStream.range(0, z).mapToObj(i -> numbers.get(z - 1 - i)).toList(),
                    IntStream.range(0, z).mapToDouble(i -> -logs[z - 1 - i]).toArray(),
                    IntStream.range(0, z).mapToDouble(i -> tolerances[z - 1 - i]).toArray(), says);
        }
    }

    /** Gathers what the searches hand over and the fit confirms, each once. */
    private static final class Search {

        private final DistinctSpeeds listed;
        private final Map<Object, Arrangement> found = new HashMap<>();
        private long steps = MOST_STEPS;

        Search(DistinctSpeeds listed) {
            this.listed = listed;
        }

        boolean isCut() {
            return steps < 0 || found.size() >= MOST_FOUND;
        }

        List<Arrangement> found() {
            Collection<Arrangement> all = found.values();
            boolean anyExplained = all.stream().anyMatch(Arrangement::isExplained);
            return all.stream().filter(a -> !anyExplained || a.isExplained())
                    .sorted(Comparator.comparingInt((Arrangement a) -> a.leftOut().size()).thenComparingDouble(Arrangement::worst)
                            .thenComparing(a -> a.sizes().toString()))
                    .toList();
        }

        /** Places the speeds on levers of these sizes, so many cells staying empty. */
        void places(List<Integer> shape, int empties) {
            int[] sizes = shape.stream().mapToInt(Integer::intValue).toArray();
            int z = listed.logs.length;
            int cells = Arrays.stream(sizes).reduce(1, (a, b) -> a * b);
            int effects = 1 + Arrays.stream(sizes).map(n -> n - 1).sum();
            if (isCut() || empties + z - cells > 0 && cells - empties <= effects) {
                return;
            }
            if (z > MOST_EXACT) {
                orders(shape).forEach(order -> {
                    int[] inOrder = order.stream().mapToInt(Integer::intValue).toArray();
                    keep(inOrder, IntStream.range(0, cells).toArray(), listed);
                });
                return;
            }
            steps = new ArrangementSearch(listed.logs, listed.tolerances, sizes, empties, false, steps, at -> keep(sizes, at, listed))
                    .run();
            if (empties > 0 && steps >= 0) {
                // An empty cell at the lowest corner is an ordinary one from the highest.
                DistinctSpeeds top = listed.fromTheTop();
                steps = new ArrangementSearch(top.logs, top.tolerances, sizes, empties, true, steps, at -> keep(sizes, at, top)).run();
            }
        }

        private void keep(int[] sizes, int[] at, DistinctSpeeds order) {
            if (found.size() >= MOST_FOUND) {
                steps = -1;
                return;
            }
            Placed placed = Placed.of(sizes, at, order.numbers);
            if (!found.containsKey(placed.signature())) {
                placed.fitted().ifPresent(arrangement -> found.put(placed.signature(), arrangement));
            }
        }

        private static List<List<Integer>> orders(List<Integer> sizes) {
            if (sizes.isEmpty()) {
                return List.of(List.of());
            }
            List<List<Integer>> orders = new ArrayList<>();
            for (int first : sizes.stream().distinct().toList()) {
                List<Integer> rest = new ArrayList<>(sizes);
                rest.remove(Integer.valueOf(first));
                orders(rest).forEach(after -> {
                    List<Integer> order = new ArrayList<>(List.of(first));
                    order.addAll(after);
                    orders.add(order);
                });
            }
            return orders;
        }
    }
}
