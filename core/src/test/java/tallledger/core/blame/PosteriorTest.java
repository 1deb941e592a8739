package tallledger.core.blame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.Machines;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Route;
import tallledger.core.machine.MachineDescription;

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
        for (int i = 0; i < 5; i++) {
            trials.add(new Trial(routes.get(random.nextInt(routes.size())), random.nextInt(3) == 0 ? Set.of(Symptom.GROWLS) : Set.of()));
        }
        Map<Long, Double> written = writtenOut(trials);
        Posterior posterior = Posterior.of(elements, trials, Chances.HOUSE);
        assertThat(posterior.noFault()).isCloseTo(written.get(0L), offset(1e-12));
        double[] marginals = posterior.marginals();
        for (int e = 0; e < marginals.length; e++) {
            long bit = 1L << e;
            double expected = written.entrySet().stream().filter(h -> (h.getKey() & bit) != 0).mapToDouble(Map.Entry::getValue).sum();
            assertThat(marginals[e]).isCloseTo(expected, offset(1e-12));
        }
        assertThat(posterior.entropy()).isCloseTo(entropy(written), offset(1e-9));
        long mask = elements.mask(routes.get(7));
        assertThat(posterior.expectedEntropy(mask, 0.1)).isCloseTo(expectedEntropy(written, mask, 0.1), offset(1e-9));
    }

    private Map<Long, Double> writtenOut(List<Trial> trials) {
        int n = elements.all().size();
        Map<Long, Double> weights = new HashMap<>();
        for (long set = 0; set < 1L << n; set++) {
            if (Long.bitCount(set) <= 2) {
                double w = Math.pow(0.03, Long.bitCount(set)) * Math.pow(0.97, n - Long.bitCount(set));
                for (Trial trial : trials) {
                    double fails = 1 - (1 - 0.1) * Math.pow(0.1, Long.bitCount(set & elements.mask(trial.route())));
                    w *= trial.failed() ? fails : 1 - fails;
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

    private static double expectedEntropy(Map<Long, Double> probabilities, long route, double f) {
        Map<Long, Double> failing = new HashMap<>();
        Map<Long, Double> passing = new HashMap<>();
        probabilities.forEach((set, p) -> {
            double fails = 1 - (1 - f) * Math.pow(0.1, Long.bitCount(set & route));
            failing.put(set, p * fails);
            passing.put(set, p * (1 - fails));
        });
        double fail = failing.values().stream().mapToDouble(Double::doubleValue).sum();
        failing.replaceAll((set, p) -> p / fail);
        passing.replaceAll((set, p) -> p / (1 - fail));
        return fail * entropy(failing) + (1 - fail) * entropy(passing);
    }
}
