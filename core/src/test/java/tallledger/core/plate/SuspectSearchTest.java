package tallledger.core.plate;

import static org.assertj.core.api.Assertions.assertThat;
import static tallledger.core.Machines.plateLever;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.Machines;

/** The updating formula against the textbook: refitting without every set of cells. */
class SuspectSearchTest {

    private static final List<Lever> LEVERS = List.of(plateLever("range", "A B C"), plateLever("gear", "1 2 3 4"));

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void findsTheSameSetsAsRefittingWithoutEverySet(long seed) {
        Random random = new Random(seed);
        double[] values = new double[12];
        for (int i = 0; i < 12; i++) {
            values[i] = (seed % 2 == 0 ? 30 : 7) * Math.pow(4, i / 4) * Math.pow(1.4, i % 4) * (1 + 0.004 * random.nextGaussian());
        }
        int errors = random.nextInt(4);
        for (int e = 0; e < errors; e++) {
            values[random.nextInt(12)] *= random.nextBoolean() ? 1.12 : 0.8;
        }
        SpeedPlate plate = Machines.plate(LEVERS,
                IntStream.range(0, 12).mapToObj(i -> String.format(Locale.ROOT, seed % 2 == 0 ? "%.2f" : "%.0f", values[i]))
                        .collect(Collectors.joining(" ")));
        LeverFactors found = LeverFactors.of(plate);
        Set<Set<List<String>>> expected = byRefitting(plate);
        if (expected.isEmpty()) {
            assertThat(found.outcome()).isEqualTo(LeverFactors.Outcome.DOES_NOT_MULTIPLY);
        } else if (expected.equals(Set.of(Set.of()))) {
            assertThat(found.outcome()).isEqualTo(LeverFactors.Outcome.FITS);
        } else {
            assertThat(found.suspectSets().stream().map(set -> (Set<List<String>>) new HashSet<>(set)).collect(Collectors.toSet()))
                    .isEqualTo(expected);
        }
    }

    /** Every smallest set of up to three cells without which the rest fit; nothing when none does. */
    private static Set<Set<List<String>>> byRefitting(SpeedPlate plate) {
        List<List<String>> keys = List.copyOf(plate.cells().keySet());
        for (int size = 0; size <= 3; size++) {
            Set<Set<List<String>>> sets = new HashSet<>();
            for (int bits = 0; bits < 1 << 12; bits++) {
                if (Integer.bitCount(bits) == size) {
                    int chosen = bits;
                    Set<List<String>> set = IntStream.range(0, 12).filter(i -> (chosen >> i & 1) == 1).mapToObj(keys::get)
                            .collect(Collectors.toSet());
                    if (restFits(plate, keys, set)) {
                        sets.add(set);
                    }
                }
            }
            if (!sets.isEmpty()) {
                return sets;
            }
        }
        return Set.of();
    }

    private static boolean restFits(SpeedPlate plate, List<List<String>> keys, Set<List<String>> without) {
        Map<List<String>, Double> rest = new LinkedHashMap<>();
        List<List<String>> used = new ArrayList<>();
        keys.stream().filter(key -> !without.contains(key)).forEach(key -> {
            rest.put(key, plate.cell(key).value().orElseThrow().doubleValue());
            used.add(key);
        });
        Map<List<String>, Double> tolerance = used.stream().collect(Collectors.toMap(key -> key, key -> Math.max(0.02,
                plate.cell(key).number().orElseThrow().step().doubleValue() / 2 / rest.get(key))));
        LeverFit fit = LeverFit.of(plate.levers(), rest, tolerance);
        boolean determined = without.stream().allMatch(key -> fit.predict(key).isPresent());
        double[] residuals = fit.residuals();
        return determined && IntStream.range(0, used.size()).allMatch(i -> Math.abs(residuals[i]) <= 1 + 1e-9);
    }
}
