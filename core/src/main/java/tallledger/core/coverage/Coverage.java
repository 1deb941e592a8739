package tallledger.core.coverage;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import tallledger.core.drive.Route;
import tallledger.core.drive.Speed;
import tallledger.core.drive.SpeedTable;

/**
 * What is proven of every speed.
 *
 * @param marks     mark by speed, in the table's order
 * @param routes    mark of every route by itself: what was run there, else inferred or open
 * @param exercised elements on the routes of proven runs
 * @param failedOn  elements on the routes of failed runs, those on every route left out
 */
public record Coverage(Map<Speed, Mark> marks, Map<Route, Mark> routes, long exercised, long failedOn) {

    /** Counts of distinct speeds; sweeps are counted apart, they are ranges. */
    public record Counts(int all, int run, int proven, int failed, int undecided, int inferred, int open,
            int sweeps, int sweepsProven) {
    }

    /**
     * @param table    all speeds
     * @param elements their elements
     * @param outcomes outcome of the latest run of each route that was run
     */
    public static Coverage of(SpeedTable table, Elements elements, Map<Route, Outcome> outcomes) {
        long exercised = union(elements, outcomes, Outcome.PROVEN);
        // Which way round it turned is no part that failed, where other speeds ran right that way round.
        long failedOn = union(elements, outcomes, Outcome.FAILED) & ~elements.everywhere() & ~(elements.directions() & exercised);
        Map<Speed, Mark> marks = new LinkedHashMap<>();
        Map<Route, Mark> routes = new LinkedHashMap<>();
        for (Speed speed : table.speeds()) {
            speed.routes().forEach(route -> routes.put(route, mark(elements, outcomes, route, exercised, failedOn)));
            marks.put(speed, speed.routes().stream().map(routes::get).min(Mark::compareTo).orElseThrow());
        }
        return new Coverage(marks, routes, exercised, failedOn);
    }

    private static Mark mark(Elements elements, Map<Route, Outcome> outcomes, Route route, long exercised, long failedOn) {
        Outcome outcome = outcomes.get(route);
        if (outcome != null) {
            return switch (outcome) {
                case PROVEN -> Mark.PROVEN;
                case UNDECIDED -> Mark.UNDECIDED;
                case FAILED -> Mark.FAILED;
            };
        }
        long needed = elements.mask(route);
        boolean all = (needed & ~exercised) == 0;
        boolean clear = (needed & failedOn) == 0;
        return all && clear ? Mark.INFERRED : Mark.OPEN;
    }

    private static long union(Elements elements, Map<Route, Outcome> outcomes, Outcome which) {
        return outcomes.entrySet().stream().filter(e -> e.getValue() == which)
                .mapToLong(e -> elements.mask(e.getKey())).reduce(0L, (a, b) -> a | b);
    }

    public Mark mark(Speed speed) {
        return marks.get(speed);
    }

    /** What is known of one route: a speed's mark is not given to routes nobody ran. */
    public Mark mark(Route route) {
        return routes.getOrDefault(route, Mark.OPEN);
    }

    public List<Speed> marked(Mark mark) {
        return marks.entrySet().stream().filter(e -> e.getValue() == mark).map(Map.Entry::getKey).toList();
    }

    /** Coverage as it is: so many of all run, so many inferred, so many open. */
    public Counts counts() {
        return counts(speed -> true);
    }

    /** Of some of the speeds. */
    public Counts counts(Predicate<Speed> which) {
        Map<Mark, Integer> by = new EnumMap<>(Mark.class);
        int sweeps = 0;
        int sweepsProven = 0;
        for (Map.Entry<Speed, Mark> e : marks.entrySet()) {
            if (!which.test(e.getKey())) {
                continue;
            }
            if (e.getKey().isSweep()) {
                sweeps++;
                sweepsProven += e.getValue() == Mark.PROVEN ? 1 : 0;
            } else {
                by.merge(e.getValue(), 1, Integer::sum);
            }
        }
        int proven = by.getOrDefault(Mark.PROVEN, 0);
        int failed = by.getOrDefault(Mark.FAILED, 0);
        int undecided = by.getOrDefault(Mark.UNDECIDED, 0);
        int inferred = by.getOrDefault(Mark.INFERRED, 0);
        int open = by.getOrDefault(Mark.OPEN, 0);
        int run = proven + failed + undecided;
        return new Counts(run + inferred + open, run, proven, failed, undecided, inferred, open, sweeps, sweepsProven);
    }
}
