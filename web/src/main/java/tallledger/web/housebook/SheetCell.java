package tallledger.web.housebook;

import java.util.regex.Pattern;

/** A cell of a table that is taken away: what a spreadsheet would reckon with begins with an apostrophe there, and without it here. */
public final class SheetCell {

    private static final Pattern FORMULA = Pattern.compile("^[=+\\-@\\t\\r].*", Pattern.DOTALL);
    private static final Pattern NUMBER = Pattern.compile("^[+-]?\\d[\\d ]*(?:[.,]\\d+)?$");

    private SheetCell() {
    }

    /** As it is written into a table. */
    public static String written(String cell) {
        return isReckoned(cell) ? "'" + cell : cell;
    }

    /** As it was before. */
    public static String read(String cell) {
        return cell.startsWith("'") && isReckoned(cell.substring(1)) ? cell.substring(1) : cell;
    }

    private static boolean isReckoned(String cell) {
        return FORMULA.matcher(cell).matches() && !NUMBER.matcher(cell).matches();
    }
}
