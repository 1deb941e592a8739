package tallledger.core.plate;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import tallledger.core.reading.TypedNumber;

/**
 * One way in which levers explain a list of speeds.
 *
 * @param levers  the lever that changes most first; its positions by what they do, lowest first, under labels of ours until the
 *                machine's own are typed
 * @param cells   speed by the positions' labels; a combination whose speed was not among those listed has none
 * @param factors by lever, each position's factor over its lowest; empty where the speeds do not settle it
 * @param leftOut speeds listed that find no place, each with the combinations it may have been misread at
 * @param worst   largest residual of those that fit, in ln
 */
public record Arrangement(List<Lever> levers, Map<List<String>, TypedNumber> cells, List<List<Optional<Double>>> factors,
        List<LeftOut> leftOut, double worst) {

    /**
     * A speed that is taken for misread.
     *
     * @param typed as listed
     * @param at    the combination it would stand at
     * @param means what should stand there by all the others, min⁻¹; empty where they do not say
     * @param slips misreadings that lead from such a value to the one listed
     */
    public record LeftOut(TypedNumber typed, List<String> at, Optional<Double> means, List<Misreading> slips) {
    }

    /** Labels by lever from the last: what a person would write at a machine that has none. */
    private static final List<List<String>> LABELS = List.of(
            IntStream.rangeClosed(1, 48).mapToObj(String::valueOf).toList(),
            IntStream.range(0, 24).mapToObj(i -> String.valueOf((char) ('A' + i))).toList(),
            List.of("I", "II", "III", "IV", "V", "VI", "VII", "VIII", "IX", "X", "XI", "XII"),
            IntStream.range(0, 24).mapToObj(i -> String.valueOf((char) ('a' + i))).toList());
    private static final List<String> NAMES = List.of("number lever", "letter lever", "Roman lever", "small-letter lever");

    public Arrangement {
        levers = List.copyOf(levers);
        cells = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(cells));
        factors = List.copyOf(factors);
        leftOut = List.copyOf(leftOut);
    }

    /**
     * A lever under a name and labels of ours.
     *
     * @param fromTheLast 0 for the one that changes least
     * @param positions   up to 12
     */
    public static Lever lever(int fromTheLast, int positions) {
        return new Lever(NAMES.get(fromTheLast), LABELS.get(fromTheLast).subList(0, positions));
    }

    /** Whether a misreading explains each speed that is left out. */
    public boolean isExplained() {
        return leftOut.stream().noneMatch(out -> out.slips().isEmpty());
    }

    /** Positions by lever: 3, 4. */
    public List<Integer> sizes() {
        return levers.stream().map(lever -> lever.positions().size()).toList();
    }
}
