package tallledger.core.blame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.Machines;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Route;
import tallledger.core.machine.MachineDescription;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/** Bayes' rule written out in full, set by set and factor by factor, against the shortened form. */
class PosteriorTest {

    private final MachineDescription machine = Machines.twelve();
    private final Elements elements = Elements.of(machine.train());

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void agreesWithBayesWrittenOut(long seed) {
        Random random = new Random(seed);
        List<Route> routes = machine.train().routes();
        List<Trial> trials = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            trials.add(new Trial(routes.get(random.nextInt(routes.size())), random.nextInt(3) == 0 ? Set.of(Symptom.GROWLS) : Set.of()));
        }
        Map<Long, Double> written = writtenOut(trials);
        Posterior posterior = Posterior.of(elements, trials, Chances.of(Rules.shipped()));
        assertThat(posterior.noFault()).isCloseTo(written.get(0L), offset(1e-12));
        double[] marginals = posterior.marginals();
        for (int e = 0; e < marginals.length; e++) {
            long bit = 1L << e;
            double expected = written.entrySet().stream().filter(h -> (h.getKey() & bit) != 0).mapToDouble(Map.Entry::getValue).sum();
            assertThat(marginals[e]).isCloseTo(expected, offset(1e-12));
        }
        assertThat(posterior.entropy()).isCloseTo(entropy(written), offset(1e-9));
        for (Route route : List.of(routes.get(7), trials.get(0).route(), trials.get(1).route())) {
            assertThat(posterior.expectedEntropy(route, elements.mask(route), 0.1))
                    .isCloseTo(expectedEntropy(trials, written, route), offset(1e-9));
        }
    }

    /** The chance of a kind of element stands in one table; what a house once put down for all kinds counts where it did. */
    @Test
    void whatIsBelievedBeforeIsByKind() {
        Rules gears = Rules.shipped().with(Rule.WORTH_GEAR, List.of(new BigDecimal("0.12"), new BigDecimal("600")));
        assertThat(oddsOf("gear", gears)).isCloseTo(0.12 / 0.88, offset(1e-12));
        assertThat(oddsOf("motor", gears)).isCloseTo(0.03 / 0.97, offset(1e-12));
        Rules once = gears.with(Rule.FAULTY, List.of(new BigDecimal("0.05")));
        assertThat(oddsOf("gear", once)).isCloseTo(0.05 / 0.95, offset(1e-12));
    }

    /** Of the first element of a stage against nothing, before any run. */
    private double oddsOf(String stage, Rules rules) {
        List<Blame.FaultSet> sets = Blame.sets(elements, List.of(), rules, 1);
        double one = sets.stream().filter(s -> s.elements().size() == 1 && s.elements().get(0).stageName().equals(stage)
                && s.elements().get(0).position() == 0).findFirst().orElseThrow().probability();
        return one / sets.stream().filter(s -> s.elements().isEmpty()).findFirst().orElseThrow().probability();
    }

    private Map<Long, Double> writtenOut(List<Trial> trials) {
        int n = elements.all().size();
        Map<Long, Double> weights = new HashMap<>();
        for (long set = 0; set < 1L << n; set++) {
            if (Long.bitCount(set) <= 2) {
                double w = Math.pow(0.03, Long.bitCount(set)) * Math.pow(0.97, n - Long.bitCount(set));
                for (Route route : trials.stream().map(Trial::route).distinct().toList()) {
                    w *= ofRoute(set, route, trials);
                }
                weights.put(set, w);
            }
        }
        double total = weights.values().stream().mapToDouble(Double::doubleValue).sum();
        weights.replaceAll((set, w) -> w / total);
        return weights;
    }

    private static double entropy(Map<Long, Double> probabilities) {
        return -probabilities.values().stream().mapToDouble(p -> p * Math.log(p) / Math.log(2)).sum();
    }

    /**
     * The runs of one route as the rule says them: with chance f/2 the route itself makes the noise every time (then no run of it
     * passes), else each run fails by itself; a third failing run on a route that never passed says no more.
     */
    private double ofRoute(long set, Route route, List<Trial> trials) {
        int passing = (int) trials.stream().filter(t -> t.route().equals(route) && !t.failed()).count();
        int failing = (int) trials.stream().filter(t -> t.route().equals(route) && t.failed()).count();
        failing = passing == 0 ? Math.min(failing, 2) : failing;
        double f = 0.1;
        double byItself = (1 - f) / (1 - f / 2) * Math.pow(0.1, Long.bitCount(set & elements.mask(route)));
        double always = passing == 0 ? f / 2 : 0;
        return always + (1 - f / 2) * Math.pow(1 - byItself, failing) * Math.pow(byItself, passing);
    }

    /** One more run, both ways: the posterior of each weighed with its chance, worked out from the longer lists of runs. */
    private double expectedEntropy(List<Trial> trials, Map<Long, Double> now, Route route) {
        List<Trial> passes = new ArrayList<>(trials);
        passes.add(new Trial(route, Set.of()));
        List<Trial> fails = new ArrayList<>(trials);
        fails.add(new Trial(route, Set.of(Symptom.GROWLS)));
        double pass = 0;
        for (Map.Entry<Long, Double> h : now.entrySet()) {
            pass += h.getValue() * ofRoute(h.getKey(), route, passes) / ofRoute(h.getKey(), route, trials);
        }
        return pass * entropy(writtenOut(passes)) + (1 - pass) * entropy(writtenOut(fails));
    }
}
