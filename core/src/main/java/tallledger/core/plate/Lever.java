package tallledger.core.plate;

import java.util.List;

/**
 * A lever as the plate shows it.
 *
 * @param name      what the plate calls it
 * @param positions its labels, in the plate's order
 */
public record Lever(String name, List<String> positions) {

    public Lever {
        positions = List.copyOf(positions);
    }
}
