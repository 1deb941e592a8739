package tallledger.core.instrument;

import java.util.List;
import java.util.stream.Stream;

/**
 * What an instrument read, as it goes into a field that a person could also type.
 *
 * @param text  as it stands alone, with its unit
 * @param inRow as it stands among others of a row: in one piece
 * @param whole whether several came: then they are the whole row
 */
public record TakenReading(String text, String inRow, boolean whole) {

    /** @param text figures parted by blanks or lines, the last perhaps followed by a unit */
    public static TakenReading of(String text) {
        List<String> parts = Stream.of(text.strip().split("\\s+")).toList();
        long figures = parts.stream().filter(TakenReading::isFigure).count();
        return new TakenReading(text, String.join("", parts), figures > 1);
    }

    /** A unit begins with a letter or a sign of degrees. */
    private static boolean isFigure(String part) {
        return !part.isEmpty() && (Character.isDigit(part.charAt(0)) || "+-−.,".indexOf(part.charAt(0)) >= 0);
    }
}
