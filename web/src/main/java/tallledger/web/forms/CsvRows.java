package tallledger.web.forms;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import tallledger.web.housebook.SheetCell;

/** Rows of a table as text: tabs, semicolons or commas part the columns. */
public final class CsvRows {

    /** @param line it begins on */
    public record CsvRow(int line, List<String> cells) {

        public String cell(int column) {
            return column >= 0 && column < cells.size() ? cells.get(column) : "";
        }
    }

    private CsvRows() {
    }

    /** Rows that are not empty; empty where it cannot be read. */
    public static Optional<List<CsvRow>> read(String text) {
        String first = text.lines().filter(l -> !l.isBlank()).findFirst().orElse("");
        char delimiter = text.indexOf('\t') >= 0 ? '\t' : first.indexOf(';') >= 0 ? ';' : ',';
        CSVFormat format = CSVFormat.DEFAULT.builder().setDelimiter(delimiter).setTrim(true).setIgnoreEmptyLines(true).get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            List<CsvRow> rows = new ArrayList<>();
            int line = 1;
            int at = 0;
            for (CSVRecord record : parser) {
                for (; at < record.getCharacterPosition(); at++) {
                    line += text.charAt(at) == '\n' ? 1 : 0;
                }
                if (record.stream().anyMatch(cell -> !cell.isBlank())) {
                    rows.add(new CsvRow(line, record.stream().map(SheetCell::read).toList()));
                }
            }
            return Optional.of(rows);
        } catch (IOException | UncheckedIOException broken) {
            return Optional.empty();
        }
    }
}
