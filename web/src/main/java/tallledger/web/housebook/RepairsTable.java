package tallledger.web.housebook;

import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.springframework.core.io.ClassPathResource;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.StageKind;
import tallledger.core.family.Catalogue;
import tallledger.core.price.Repair;
import tallledger.core.price.Spread;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;
import tallledger.web.words.WebReason;

/** The table of repairs as CSV, in and out. */
public final class RepairsTable {

    static final int LONGEST = 60_000;
    private static final List<String> COLUMNS = List.of("about", "element", "repair", "hours low", "hours likely", "hours high",
            "parts low", "parts likely", "parts high");

    private RepairsTable() {
    }

    /** The table the application comes with. */
    public static List<Repair> shipped() {
        try (InputStream in = new ClassPathResource("house/repairs.csv").getInputStream()) {
            return parse(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @throws Refused naming the line that cannot be read */
    public static List<Repair> parse(String csv) {
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
            List<Repair> repairs = new ArrayList<>();
            for (CSVRecord record : parser) {
                repairs.add(line(record));
            }
            return repairs;
        } catch (IOException | UncheckedIOException broken) {
            throw Refused.because(WebReason.PASTE_BROKEN);
        }
    }

    private static Repair line(CSVRecord record) {
        try {
            return row(record.get("about"), record.get("element"), SheetCell.read(record.get("repair")), List.of(record.get("hours low"),
                    record.get("hours likely"), record.get("hours high")),
                    List.of(record.get("parts low"), record.get("parts likely"),
                            record.get("parts high")));
        } catch (Refused refused) {
            throw Refused.because(WebReason.CHECK_LINE, record.getRecordNumber() + 1, refused.reason());
        } catch (IllegalArgumentException shortLine) {
            throw Refused.because(WebReason.CHECK_SHORT, record.getRecordNumber() + 1);
        }
    }

    /**
     * One row as typed.
     *
     * @param hours low, likely, high
     * @param parts likewise
     * @throws Refused naming the field that cannot be read
     */
    public static Repair row(String about, String element, String what, List<String> hours, List<String> parts) {
        if (!subjects().contains(about.strip())) {
            throw Refused.because(WebReason.CHECK_SYMPTOM, about).at("about");
        }
        if (!element.isEmpty() && Stream.of(StageKind.values()).noneMatch(k -> k.name().equals(element))) {
            throw Refused.because(WebReason.CHECK_SYMPTOM, element).at("element");
        }
        return new Repair(about.strip(), element, what.strip(), spread(hours, "hours"), spread(parts, "parts"));
    }

    private static Spread spread(List<String> three, String field) {
        try {
            List<BigDecimal> figures = three.stream().map(t -> TypedNumber.parse(t).value()).toList();
            return new Spread(figures.get(0), figures.get(1), figures.get(2));
        } catch (Refused refused) {
            throw refused.at(field);
        }
    }

    /** What a row can be about: parts of the drive, symptoms, systems, then steps by their codes. */
    public static List<String> subjects() {
        return Stream.of(Repair.ABOUT.stream(), Stream.of(Symptom.values()).map(Enum::name), Catalogue.systems().stream(),
                Catalogue.codes().stream()).flatMap(s -> s).distinct().toList();
    }

    public static String write(List<Repair> repairs) {
        StringBuilder csv = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(csv, CSVFormat.DEFAULT.builder().setHeader(COLUMNS.toArray(String[]::new))
                .setRecordSeparator("\n").get())) {
            for (Repair r : repairs) {
                printer.printRecord(r.about(), r.element(), SheetCell.written(r.what()), plain(r.hours().low()), plain(r.hours().likely()),
                        plain(r.hours().high()), plain(r.parts().low()), plain(r.parts().likely()), plain(r.parts().high()));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return csv.toString();
    }

    private static String plain(BigDecimal figure) {
        return figure.toPlainString();
    }
}
