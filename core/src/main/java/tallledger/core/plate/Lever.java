package tallledger.core.plate;

import java.util.List;

/**
 * A lever as the plate shows it.
 *
 * @param name      what the plate calls it
 * @param positions its labels, in the plate's order
 * @param slides    whether these are the two ends of a sliding stage, which need not multiply with the rest
 */
public record Lever(String name, List<String> positions, boolean slides) {

    /** A lever that sets gears or grooves. */
    public Lever(String name, List<String> positions) {
        this(name, positions, false);
    }

    public Lever {
        positions = List.copyOf(positions);
    }

    /** How people call a combination: "B3" where every label of these levers is short, else "in·low". */
    public static String nameOf(List<String> key, List<Lever> levers) {
        boolean brief = levers.stream().flatMap(lever -> lever.positions().stream()).allMatch(label -> label.length() <= 2);
        return String.join(brief ? "" : "·", key);
    }
}
