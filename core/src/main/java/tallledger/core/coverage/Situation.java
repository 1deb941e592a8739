package tallledger.core.coverage;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import tallledger.core.drive.Route;
import tallledger.core.drive.Speed;
import tallledger.core.drive.SpeedTable;
import tallledger.core.rules.Rules;

/**
 * Where a survey stands when it is planned: what may still be run, what is exercised, where the levers are.
 *
 * @param table      all speeds
 * @param elements   their elements
 * @param candidates routes that may be run: not run before, not passed over; slowest first
 * @param exercised  elements proven so far
 * @param run        routes run so far, whatever came of it
 * @param standing   the route the levers stand at, where any was run
 * @param highest    highest speed run so far, min⁻¹
 * @param times      what runs and moves take
 * @param cold       how fast it may be run so far
 */
record Situation(SpeedTable table, Elements elements, List<Route> candidates, long exercised, Set<Route> run,
        Optional<Route> standing, OptionalDouble highest, HouseTimes times, ColdSpindle cold) {

    static Situation of(SpeedTable table, Elements elements, Map<Route, Outcome> outcomes, Collection<Route> passed,
            Optional<Route> standing, OptionalDouble highest, Rules rules) {
        ColdSpindle cold = ColdSpindle.of(table, rules);
        List<Route> candidates = table.speeds().stream()
                .flatMap(s -> s.routes().stream()).filter(r -> !outcomes.containsKey(r) && !passed.contains(r))
                .sorted(Comparator.comparingDouble((Route r) -> rpm(cold, r)).thenComparing(r -> isPlaced(table, r))).toList();
        long exercised = Coverage.of(table, elements, outcomes).exercised();
        return new Situation(table, elements, candidates, exercised, new HashSet<>(outcomes.keySet()), standing, highest,
                HouseTimes.of(rules), cold);
    }

    private static double rpm(ColdSpindle cold, Route route) {
        return cold.table().speedOf(route).map(cold::placed).orElse(Double.MAX_VALUE);
    }

    /** Whether anybody knows how fast a route runs; one nobody can place comes just before the fastest. */
    static boolean isPlaced(SpeedTable table, Route route) {
        return table.speedOf(route).flatMap(Speed::expected).isPresent();
    }

    boolean isPlaced(Route route) {
        return isPlaced(table, route);
    }

    double rpm(Route route) {
        return rpm(cold, route);
    }

    double runTime(Route route) {
        return isPlaced(route) || table.train().isSweep(route) ? times.run(rpm(route), table.train().isSweep(route)) : times.listen();
    }

    /**
     * Whether a survey may begin with a route: forward, where the machine runs forward at all. A chuck that can unscrew is not
     * started backwards first (house rule; it may cost a move).
     */
    boolean mayBegin(Route route, Collection<Route> among) {
        boolean begun = highest.isPresent();
        return begun || !table.train().isReverse(route) || among.stream().allMatch(table.train()::isReverse);
    }

    /** Elements that some candidate can still prove. */
    long provable() {
        return candidates.stream().mapToLong(elements::mask).reduce(0L, (a, b) -> a | b) & ~exercised;
    }

    /** Elements nobody proved and no candidate is left for. */
    long beyondProof() {
        return elements.reachable() & ~exercised & ~provable();
    }
}
