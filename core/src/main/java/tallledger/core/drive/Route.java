package tallledger.core.drive;

import java.util.List;
import java.util.stream.Collectors;

/**
 * One position of every stage, motor first.
 *
 * @param positions position index by stage
 */
public record Route(List<Integer> positions) {

    public Route {
        positions = List.copyOf(positions);
    }

    public int at(int stage) {
        return positions.get(stage);
    }

    /** Short key for addresses and forms, such as {@code 0-1-2}. */
    public String key() {
        return positions.stream().map(String::valueOf).collect(Collectors.joining("-"));
    }
}
