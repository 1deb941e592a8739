package tallledger.web.housebook;

import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.springframework.core.io.ClassPathResource;
import tallledger.core.blame.Check;
import tallledger.core.coverage.Symptom;
import tallledger.core.family.Catalogue;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;
import tallledger.web.words.WebReason;

/** The table of checks as CSV, in and out. */
public final class ChecksTable {

    static final int LONGEST = 60_000;
    private static final List<String> COLUMNS = List.of("symptom", "element", "check", "low", "likely", "high");

    private ChecksTable() {
    }

    /** The table the application comes with. */
    public static List<Check> shipped() {
        try (InputStream in = new ClassPathResource("house/checks.csv").getInputStream()) {
            return parse(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @throws Refused naming the line that cannot be read */
    public static List<Check> parse(String csv) {
        if (csv.length() > LONGEST) {
            throw Refused.because(WebReason.PASTE_LONG, csv.length(), LONGEST);
        }
        CSVFormat format = CSVFormat.DEFAULT.builder().setHeader().setSkipHeaderRecord(true).setTrim(true).setIgnoreEmptyLines(true).get();
        try (CSVParser parser = CSVParser.parse(new StringReader(csv), format)) {
            for (String column : COLUMNS) {
                if (!parser.getHeaderNames().contains(column)) {
                    throw Refused.because(WebReason.CHECK_COLUMN, column);
                }
            }
            List<Check> checks = new ArrayList<>();
            for (CSVRecord record : parser) {
                checks.add(line(record));
            }
            return checks;
        } catch (IOException | UncheckedIOException broken) {
            throw Refused.because(WebReason.PASTE_BROKEN);
        }
    }

    private static Check line(CSVRecord record) {
        try {
            return row(record.get("symptom"), record.get("element"), SheetCell.read(record.get("check")), record.get("low"),
                    record.get("likely"),
                    record.get("high"));
        } catch (Refused refused) {
            throw Refused.because(WebReason.CHECK_LINE, record.getRecordNumber() + 1, refused.reason());
        } catch (IllegalArgumentException shortLine) {
            throw Refused.because(WebReason.CHECK_SHORT, record.getRecordNumber() + 1);
        }
    }

    /** One row as typed. @throws Refused naming the field that cannot be read */
    public static Check row(String about, String element, String what, String low, String likely, String high) {
        if (!subjects().contains(about)) {
            throw Refused.because(WebReason.CHECK_SYMPTOM, about).at("about");
        }
        return Check.of(about, element, what.strip(), cost(low, "low"), cost(likely, "likely"), cost(high, "high"));
    }

    private static java.math.BigDecimal cost(String typed, String field) {
        try {
            return TypedNumber.parse(typed).value();
        } catch (Refused refused) {
            throw refused.at(field);
        }
    }

    /** What a row can be about: symptoms, then the systems of the steps. */
    public static List<String> subjects() {
        return Stream.concat(Stream.of(Symptom.values()).map(Enum::name), Catalogue.systems().stream()).toList();
    }

    public static String write(List<Check> checks) {
        StringBuilder csv = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(csv, CSVFormat.DEFAULT.builder().setHeader(COLUMNS.toArray(String[]::new))
                .setRecordSeparator("\n").get())) {
            for (Check check : checks) {
                printer.printRecord(check.about(), check.kind().map(Enum::name).orElse(""), SheetCell.written(check.what()),
                        check.low().toPlainString(),
                        check.likely().toPlainString(), check.high().toPlainString());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return csv.toString();
    }
}
