package tallledger.web.imported;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tallledger.core.house.House;
import tallledger.core.house.HouseBook;
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.LedgerReason;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.survey.JudgedBy;
import tallledger.web.housebook.ChecksTable;
import tallledger.web.housebook.RepairsTable;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.StoredSurvey;
import tallledger.web.store.AttachmentRow;
import tallledger.web.store.Store;
import tallledger.web.store.UnknownBookException;
import tallledger.web.store.UnreadableBookException;

/** Surveys of elsewhere: kept whole as they were handed over, read by the same fold as our own, written to by nobody. */
@Component
public class ImportedSurveys {

    private static final int SHOWN = 50;
    private static final int LONGEST = 200;

    private final ImportedMapper mapper;
    private final Store store;
    private final Clock clock;

    ImportedSurveys(ImportedMapper mapper, Store store, Clock clock) {
        this.mapper = mapper;
        this.store = store;
        this.clock = clock;
    }

    /**
     * Keeps a zip; the same once more is there already.
     *
     * @return its hash, by which it is found
     */
    public String keep(byte[] zip, String title, String author) {
        if (author.isBlank()) {
            throw Refused.because(LedgerReason.AUTHOR_MISSING).at("author");
        }
        String sha256 = AttachmentRow.of("application/zip", zip).sha256();
        return store.write(zip.length, () -> {
            if (mapper.count(sha256) == 0) {
                mapper.insert(new ImportedRow(sha256, cut(title, LONGEST), clock.instant().toString(), cut(author.strip(), 80), zip));
            }
            return sha256;
        });
    }

    private static String cut(String text, int longest) {
        return text.length() > longest ? text.substring(0, longest) : text;
    }

    /** The newest, without their bytes. */
    public List<ImportedRow> newest() {
        return mapper.newest(SHOWN);
    }

    /** One by its hash, without its bytes. @throws UnknownBookException where there is none */
    public ImportedRow listed(String sha256) {
        return Optional.ofNullable(mapper.listed(sha256)).orElseThrow(() -> new UnknownBookException(0));
    }

    /** One by its hash. @throws UnknownBookException where there is none, or it is not any more what it was */
    public ImportedRow handed(String sha256) {
        return Optional.of(sha256).filter(s -> s.matches("[0-9a-f]{64}")).map(mapper::handed)
                .filter(h -> AttachmentRow.of("", h.bytes()).sha256().equals(sha256)).orElseThrow(() -> new UnknownBookException(0));
    }

    /**
     * Its survey, judged by the description and the rules it came with.
     *
     * @param books entries by kind of book
     * @throws Unreadable where no description of its machine can be read
     */
    public StoredSurvey survey(Map<String, List<Entry>> books) {
        List<Entry> entries = books.getOrDefault("SURVEY", List.of());
        List<Entry> versions = books.getOrDefault("MACHINE", List.of());
        int version = JudgedBy.descriptions(entries).stream().mapToInt(JudgedBy::version).max().orElse(0);
        Optional<MachineDescription> description = versions.stream().filter(e -> e.sequence() <= Math.max(version, 1))
                .flatMap(e -> read(e).stream()).reduce((a, b) -> b);
        if (entries.isEmpty() || description.isEmpty()) {
            throw new UnreadableBookException(0, Reason.of(tallledger.core.reason.CommonReason.STRAY_UNREADABLE));
        }
        HouseBook house = HouseBook.of(books.getOrDefault("HOUSE", List.of()), House.shipped(ChecksTable.shipped(),
                RepairsTable.shipped()));
        int rules = JudgedBy.rules(entries).stream().mapToInt(JudgedBy::version).max().orElse(House.FIRST);
        List<Entry> shown = new ArrayList<>(versions);
        StoredMachine machine = new StoredMachine(0, Math.max(version, 1), description.get(), shown, Map.of(), Chain.firstBreak(versions));
        return new StoredSurvey(0, machine, Math.max(version, 1),
                tallledger.core.survey.Survey.fold(description.get(), house.at(rules), entries),
                rules, List.of(), Chain.firstBreak(entries), Chain.firstBreak(versions));
    }

    private static Optional<MachineDescription> read(Entry entry) {
        try {
            return entry.damage().isPresent() ? Optional.empty() : Optional.of(MachineDescription.from(entry.payload()));
        } catch (RuntimeException unread) {
            return Optional.empty();
        }
    }
}
