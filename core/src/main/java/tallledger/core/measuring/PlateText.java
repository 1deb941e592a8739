package tallledger.core.measuring;

import java.util.Optional;

/**
 * What stands on a plate, as somebody read it there.
 *
 * @param text   letter for letter; may be empty where the figure alone was typed
 * @param figure the one figure that has a field of its own, with its unit
 */
public record PlateText(String text, Optional<String> figure) {

    /** All of it; the figure once. */
    public String whole() {
        return figure.filter(f -> !text.contains(f)).map(f -> text.isEmpty() ? f : text + ", " + f).orElse(text);
    }
}
