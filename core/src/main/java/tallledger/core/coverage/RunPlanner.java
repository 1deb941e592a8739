package tallledger.core.coverage;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tallledger.core.coverage.Elements.Element;
import tallledger.core.coverage.RunPlan.PlannedRun;
import tallledger.core.drive.Route;
import tallledger.core.drive.Speed;
import tallledger.core.drive.SpeedTable;
import tallledger.core.rules.Rules;

/**
 * Plans the runs of one of the three schools from where a survey stands.
 *
 * <p>Worked (listen 20 s, 10 turns, both levers stop-to-shift): the 3 × 4 box of 31.5 … 1 400 has the lower bound 4, and 4 would do for
 * a warm spindle; from cold 5 are needed, and the quickest of the fewest sets takes 165 s.
 */
public final class RunPlanner {

    private final SpeedTable table;
    private final Elements elements;
    private final Rules rules;
    private final HouseTimes times;

    public RunPlanner(SpeedTable table, Elements elements, Rules rules) {
        this.table = table;
        this.elements = elements;
        this.rules = rules;
        this.times = HouseTimes.of(rules);
    }

    /** A plan for a machine nobody has run yet; {@code seconds} matters only to {@link School#MY_MINUTES}. */
    public RunPlan plan(School school, double seconds) {
        return plan(school, seconds, seconds, Map.of(), List.of(), Optional.empty(), OptionalDouble.empty());
    }

    /**
     * A plan from where a survey stands.
     *
     * @param seconds  time left for what proves most, for {@link School#MY_MINUTES}
     * @param whole    time left for all runs: what the first leaves goes to speeds nobody ran
     * @param outcomes what came of the latest run of each route
     * @param passed   routes passed over
     * @param standing route the levers stand at
     * @param highest  highest speed run so far, min⁻¹
     */
    public RunPlan plan(School school, double seconds, double whole, Map<Route, Outcome> outcomes, Collection<Route> passed,
            Optional<Route> standing, OptionalDouble highest) {
        Situation situation = Situation.of(table, elements, outcomes, passed, standing, highest, rules);
        return switch (school) {
            case EVERY_SPEED -> everySpeed(situation, outcomes, passed);
            case EVERY_GEAR -> everyGear(situation);
            case MY_MINUTES -> {
                RunChoice choice = new RunChoice(situation, seconds, e -> ElementWorth.of(table.train().stages().get(e.stage()).kind(),
                        rules));
                yield minutes(choice, choice.within(seconds), whole);
            }
        };
    }

    /**
     * What minutes can buy at the spindle.
     *
     * @param limit most seconds there are
     * @param worth of an element, in money
     */
    public RunChoice choice(double limit, ToDoubleFunction<Element> worth, Map<Route, Outcome> outcomes, Collection<Route> passed,
            Optional<Route> standing, OptionalDouble highest) {
        return new RunChoice(Situation.of(table, elements, outcomes, passed, standing, highest, rules), limit, worth);
    }

    /** The plan that goes one way of a choice, and on, while the seconds last, to speeds nobody ran. */
    public RunPlan minutes(RunChoice choice, RunChoice.RunWay way, double whole) {
        Situation situation = choice.situation();
        List<Route> order = new ArrayList<>(way.routes());
        double taken = fill(situation, order, way.seconds(), whole);
        long open = situation.provable() & ~order.stream().mapToLong(elements::mask).reduce(0, (a, b) -> a | b);
        return result(School.MY_MINUTES, situation, order, taken, taken, 0, choice.isProven(), OptionalInt.empty(), open);
    }

    private RunPlan everySpeed(Situation situation, Map<Route, Outcome> outcomes, Collection<Route> passed) {
        List<Route> left = EverySpeed.routes(table).stream().filter(r -> !outcomes.containsKey(r) && !passed.contains(r)).toList();
        RunOrder.Ordered ordered = RunOrder.of(situation, left);
        return result(School.EVERY_SPEED, situation, ordered.routes(), ordered.seconds(), ordered.bound(), left.size(), true,
                OptionalInt.empty(), 0);
    }

    private RunPlan everyGear(Situation situation) {
        CoverSearch search = new CoverSearch(situation, true, true);
        if (search.needed() == 0) {
            return result(School.EVERY_GEAR, situation, List.of(), 0, 0, 0, true, OptionalInt.empty(), 0);
        }
        CoverSearch.Node best = search.fewest();
        if (best == null) {
            return result(School.EVERY_GEAR, situation, List.of(), 0, 0, search.lowerBound(), false, OptionalInt.empty(),
                    situation.provable());
        }
        List<Route> order = search.way(best);
        int bound = search.lowerBound();
        OptionalInt warm = OptionalInt.empty();
        CoverSearch unruled = new CoverSearch(situation, false, true);
        if (order.size() > unruled.lowerBound()) {
            int count = unruled.way(unruled.fewest()).size();
            warm = count < order.size() ? OptionalInt.of(count) : OptionalInt.empty();
            bound = Math.max(bound, Math.min(count, order.size()));
        }
        boolean proven = !search.wasCut() || order.size() == bound;
        double timeBound = search.wasCut() ? stageBound(situation, order) : CoverSearch.seconds(best);
        return result(School.EVERY_GEAR, situation, order, CoverSearch.seconds(best), timeBound, stagePositions(situation), proven, warm,
                0);
    }

    /** The largest number of positions any one stage still has to prove. */
    private int stagePositions(Situation situation) {
        int most = 0;
        long provable = situation.provable();
        for (int s = 0; s < table.train().stages().size(); s++) {
            int stage = s;
            most = Math.max(most, (int) elements.in(provable).stream().filter(e -> e.stage() == stage).count());
        }
        return most;
    }

    /** Runs, every stage through all positions it has to prove, and a stop wherever a stop-to-shift stage must move. */
    private double stageBound(Situation situation, List<Route> order) {
        double bound = order.stream().mapToDouble(situation::runTime).sorted().sum();
        int stops = 0;
        for (int s = 0; s < table.train().stages().size(); s++) {
            int stage = s;
            int moves = (int) elements.in(situation.provable()).stream().filter(e -> e.stage() == stage).count() - 1;
            if (moves > 0) {
                bound += moves * times.move(table.train().stages().get(s));
                stops = table.train().stages().get(s).shifting().mustStop() ? Math.max(stops, moves) : stops;
            }
        }
        return bound + stops * times.stopping();
    }

    /** Adds speeds that nobody ran as long as they fit, under the cold-spindle rule; hands back the time of all. */
    private double fill(Situation situation, List<Route> order, double already, double seconds) {
        double taken = already;
        double highest = order.stream().mapToDouble(situation::rpm).max().orElse(0);
        highest = Math.max(highest, situation.highest().orElse(0));
        Set<Speed> run = Stream.concat(situation.run().stream(), order.stream()).flatMap(r -> table.speedOf(r).stream())
                .collect(Collectors.toSet());
        List<Route> rest = EverySpeed.routes(table).stream().filter(situation.candidates()::contains)
                .filter(r -> table.speedOf(r).filter(run::contains).isEmpty())
                .sorted(Comparator.comparingDouble(situation::rpm)).toList();
        for (Route route : rest) {
            Optional<Route> from = order.isEmpty() ? situation.standing() : Optional.of(order.get(order.size() - 1));
            double takes = from.map(f -> times.move(table.train(), f, route)).orElse(0.0) + situation.runTime(route);
            boolean first = highest == 0;
            boolean mayGo = first ? route.equals(rest.get(0)) && situation.mayBegin(route, rest)
                    : situation.rpm(route) <= situation.cold()
                            .reach(highest);
            if (mayGo && taken + takes <= seconds) {
                order.add(route);
                taken += takes;
                highest = Math.max(highest, situation.rpm(route));
            }
        }
        return taken;
    }

    private RunPlan result(School school, Situation situation, List<Route> order, double seconds, double timeBound, int bound,
            boolean proven, OptionalInt warm, long open) {
        List<PlannedRun> runs = new ArrayList<>();
        long exercised = situation.exercised();
        Optional<Route> before = situation.standing();
        for (Route route : order) {
            List<Element> proves = elements.in(elements.mask(route) & ~exercised).stream().filter(elements::isChoice).toList();
            double moving = before.map(b -> times.move(table.train(), b, route)).orElse(0.0);
            runs.add(new PlannedRun(route, proves, moving + situation.runTime(route)));
            exercised |= elements.mask(route);
            before = Optional.of(route);
        }
        return new RunPlan(school, runs, seconds, timeBound, bound, proven, warm, elements.in(situation.beyondProof()), elements.in(open));
    }
}
