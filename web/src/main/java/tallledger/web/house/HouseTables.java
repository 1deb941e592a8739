package tallledger.web.house;

import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.ledger.By;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import tallledger.core.blame.Check;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.StageKind;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;
import tallledger.core.survey.Catalogue;
import tallledger.web.record.BookKind;
import tallledger.web.record.BookRow;
import tallledger.web.record.Books;
import tallledger.web.record.MovedOn;
import tallledger.web.record.Submission;

/** The house's own tables; a changed table is a new entry in the house's book, so older ones stay readable. */
@Component
public class HouseTables {

    static final int LONGEST = 60_000;
    private static final String CHECKS = "CHECKS";

    private record Table(int head, String csv, List<Check> checks) {
    }

    private final Books books;
    private final Clock clock;
    private volatile Table kept;

    HouseTables(Books books, Clock clock) {
        this.books = books;
        this.clock = clock;
    }

    /** The checks in force. */
    public List<Check> checks() {
        return table().checks;
    }

    /** The same as the CSV somebody last saved, or as shipped. */
    String csv() {
        return table().csv;
    }

    /** The newest table that can be read, kept as long as no newer one is saved. */
    private Table table() {
        Optional<BookRow> book = book();
        int head = book.map(BookRow::getHead).orElse(0);
        if (kept == null || kept.head != head) {
            List<Entry> saved = new ArrayList<>(book.map(books::entries).orElse(List.of()));
            Collections.reverse(saved);
            kept = saved.stream().filter(e -> e.kind().equals(CHECKS)).flatMap(e -> read(head, e).stream()).findFirst()
                    .orElseGet(() -> new Table(head, shipped(), parse(shipped())));
        }
        return kept;
    }

    private static Optional<Table> read(int head, Entry entry) {
        try {
            String csv = entry.payload().text("csv");
            return Optional.of(new Table(head, csv, parse(csv)));
        } catch (IllegalArgumentException unread) {
            return Optional.empty();
        }
    }

    /** How many times it was changed, and so what a form shown now has seen. */
    int head() {
        return book().map(BookRow::getHead).orElse(0);
    }

    List<Entry> history() {
        return book().map(books::entries).orElse(List.of());
    }

    void save(String csv, String author, Submission submission) {
        List<Check> checks = parse(csv);
        Draft draft = Draft.of(By.of(clock.instant(), clock.getZone(), author), CHECKS, "", Map.of("csv", csv, "rows", checks.size()));
        Optional<BookRow> book = book();
        if (book.isPresent()) {
            books.append(book.get().getId(), draft, submission);
        } else {
            long opened = books.openOnly(BookKind.HOUSE, "House tables", draft, submission);
            if (books.acknowledged(opened, submission).isEmpty()) {
                throw new MovedOn(0, books.book(opened).getHead());
            }
        }
    }

    private Optional<BookRow> book() {
        return books.openedBy(BookKind.HOUSE.name());
    }

    /** @throws Refused naming the line that cannot be read */
    static List<Check> parse(String csv) {
        if (csv.length() > LONGEST) {
            throw Refused.because("paste.long", csv.length(), LONGEST);
        }
        CSVFormat format = CSVFormat.DEFAULT.builder().setHeader().setSkipHeaderRecord(true).setTrim(true).setIgnoreEmptyLines(true).get();
        try (CSVParser parser = CSVParser.parse(new StringReader(csv), format)) {
            for (String column : List.of("symptom", "element", "check", "low", "likely", "high")) {
                if (!parser.getHeaderNames().contains(column)) {
                    throw Refused.because("check.column", column);
                }
            }
            List<Check> checks = new ArrayList<>();
            for (CSVRecord record : parser) {
                checks.add(check(record));
            }
            return checks;
        } catch (IOException | UncheckedIOException broken) {
            throw Refused.because("paste.broken");
        }
    }

    private static Check check(CSVRecord record) {
        try {
            String about = record.get("symptom");
            if (Stream.of(Symptom.values()).noneMatch(s -> s.name().equals(about)) && !Catalogue.systems().contains(about)) {
                throw Refused.because("check.symptom", about);
            }
            Optional<StageKind> kind = record.get("element").isEmpty() ? Optional.empty() : Optional.of(Stream.of(StageKind.values())
                    .filter(k -> k.name().equals(record.get("element"))).findFirst()
                    .orElseThrow(() -> Refused.because("check.element", record.get("element"))));
            return new Check(about, kind, record.get("check"), TypedNumber.parse(record.get("low")).value(),
                    TypedNumber.parse(record.get("likely")).value(), TypedNumber.parse(record.get("high")).value());
        } catch (Refused refused) {
            throw Refused.because("check.line", record.getRecordNumber() + 1, refused.reason());
        } catch (IllegalArgumentException shortLine) {
            throw Refused.because("check.short", record.getRecordNumber() + 1);
        }
    }

    private static String shipped() {
        try (InputStream in = new ClassPathResource("house/checks.csv").getInputStream()) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
