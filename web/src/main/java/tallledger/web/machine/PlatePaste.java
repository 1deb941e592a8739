package tallledger.web.machine;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import tallledger.core.plate.Lever;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reason.Refused;
import tallledger.web.forms.CsvRows;
import tallledger.web.forms.FormInput;
import tallledger.web.words.WebReason;

/**
 * A plate pasted from a spreadsheet or CSV: either the grid itself (with or without its heading row and label columns) or a
 * list of "position, position, speed". Tabs, semicolons or commas part the columns.
 */
public final class PlatePaste {

    public static final int LONGEST = 20_000;
    static final String FIELD = "pasted";

    private PlatePaste() {
    }

    /** What is pasted goes into the grid; refused where it was pasted, and stays there. */
    static void fill(FormInput typed, List<Lever> levers) {
        typed.attempt(FIELD, () -> read(typed.get(FIELD), levers)).ifPresent(cells -> {
            List<List<String>> keys = SpeedPlate.keysOf(levers);
            IntStream.range(0, keys.size()).filter(i -> cells.containsKey(keys.get(i)))
                    .forEach(i -> typed.set(FormPlate.SPEED.cell(i), cells.get(keys.get(i))));
            typed.set(FIELD, "");
        });
    }

    /** Cell texts by key. */
    public static Map<List<String>, String> read(String text, List<Lever> levers) {
        if (text.length() > LONGEST) {
            throw Refused.because(WebReason.PASTE_LONG, text.length(), LONGEST);
        }
        List<List<String>> rows = rows(text);
        if (rows.isEmpty()) {
            throw Refused.because(WebReason.PASTE_EMPTY);
        }
        List<List<String>> keys = SpeedPlate.keysOf(levers);
        boolean list = rows.stream().allMatch(row -> row.size() == levers.size() + 1)
                && rows.stream().anyMatch(row -> keys.contains(row.subList(0, levers.size())));
        return list ? listed(rows, levers.size(), keys) : grid(rows, levers, keys);
    }

    private static Map<List<String>, String> listed(List<List<String>> rows, int levers, List<List<String>> keys) {
        Map<List<String>, String> cells = new HashMap<>();
        for (int r = 0; r < rows.size(); r++) {
            List<String> key = rows.get(r).subList(0, levers);
            if (!keys.contains(key)) {
                if (r == 0) {
                    continue;
                }
                throw Refused.because(WebReason.PASTE_STRAY, r + 1, String.join(" ", key));
            }
            if (cells.put(List.copyOf(key), rows.get(r).get(levers)) != null) {
                throw Refused.because(WebReason.PASTE_REPEATED, String.join(" ", key));
            }
        }
        return cells;
    }

    private static Map<List<String>, String> grid(List<List<String>> rows, List<Lever> levers, List<List<String>> keys) {
        int columns = levers.isEmpty() ? 1 : levers.get(levers.size() - 1).positions().size();
        int wanted = keys.size() / columns;
        List<List<String>> body = rows.size() == wanted + 1 ? rows.subList(1, rows.size()) : rows;
        if (body.size() != wanted) {
            throw Refused.because(WebReason.PASTE_ROWS, rows.size(), wanted);
        }
        Map<List<String>, String> cells = new HashMap<>();
        for (int r = 0; r < wanted; r++) {
            List<String> row = body.get(r);
            int labels = row.size() - columns;
            if (labels < 0 || labels >= Math.max(levers.size(), 1)) {
                throw Refused.because(WebReason.PASTE_COLUMNS, r + 1, row.size(), columns);
            }
            for (int c = 0; c < columns; c++) {
                cells.put(keys.get(r * columns + c), row.get(labels + c));
            }
        }
        return cells;
    }

    private static List<List<String>> rows(String text) {
        return CsvRows.read(text).orElseThrow(() -> Refused.because(WebReason.PASTE_BROKEN)).stream().map(CsvRows.CsvRow::cells).toList();
    }
}
