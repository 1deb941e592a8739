package tallledger.web.record;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plate.PlateCell;
import tallledger.core.survey.Scope;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.SurveyEntries;

/** Machines and surveys, read from their books. A fold is kept as long as its books have not grown. */
@Component
public class Shelves {

    private static final String DESCRIBED = "DESCRIBED";

    private record Folded<T>(int head, int version, T value) {
    }

    private record Fold(SpindleSurvey spindle, StepLedger steps) {
    }

    private final Books books;
    private final Clock clock;
    private final Map<Long, Folded<Machine>> machines = new ConcurrentHashMap<>();
    private final Map<Long, Folded<Fold>> folds = new ConcurrentHashMap<>();

    Shelves(Books books, Clock clock) {
        this.books = books;
        this.clock = clock;
    }

    /** Every machine with its surveys, newest survey first. */
    public Map<Machine, List<Survey>> everything() {
        List<BookRow> all = books.all();
        books.warm(all);
        Map<Machine, List<Survey>> shelf = new java.util.LinkedHashMap<>();
        all.stream().filter(b -> b.getKind().equals("MACHINE")).forEach(book -> {
            Machine machine = machine(book);
            shelf.put(machine, all.stream().filter(b -> book.getId().equals(b.getMachineId()))
                    .map(b -> survey(b, machine)).sorted(java.util.Comparator.comparing(Survey::id).reversed()).toList());
        });
        return shelf;
    }

    public Machine machine(long id) {
        BookRow book = books.book(id);
        if (!book.getKind().equals("MACHINE")) {
            throw new NoSuchBook(id);
        }
        return machine(book);
    }

    public Survey survey(long id) {
        BookRow book = books.book(id);
        if (!book.getKind().equals("SURVEY")) {
            throw new NoSuchBook(id);
        }
        return survey(book, machine(book.getMachineId()));
    }

    public List<Survey> surveysOf(Machine machine) {
        return books.ofMachine(machine.id()).stream().filter(b -> b.getKind().equals("SURVEY"))
                .map(b -> survey(b, machine)).toList();
    }

    public long addMachine(MachineDescription description, String author, Submission submission) {
        return books.open("MACHINE", Optional.empty(), description.identity().name(), described(description, author), submission);
    }

    public void describeAnew(long machineId, MachineDescription description, String author, Submission submission) {
        books.append(machineId, described(description, author), submission);
    }

    /** Writes a new version in which one plate cell means something else than it shows. */
    @Transactional
    public void acceptReading(Machine machine, List<String> at, String means, String author, Submission submission) {
        PlateCell cell = machine.description().plate().cell(at);
        String shown = cell.typed().contains(PlateCell.MEANS) ? cell.typed().substring(0, cell.typed().indexOf(PlateCell.MEANS)) : cell.typed();
        PlateCell corrected = PlateCell.parse(shown + PlateCell.MEANS + means);
        describeAnew(machine.id(), machine.description().withCell(at, corrected), author, submission);
    }

    /** The same from within a survey, which judges by it from here on: two entries, one in each book, or neither. */
    @Transactional
    public void acceptReadingIn(Survey survey, List<String> at, String means, String author, Submission submission) {
        if (books.written(survey.id(), submission).isPresent()) {
            return;
        }
        acceptReading(survey.machine(), at, means, author, new Submission(submission.key(), survey.machine().version()));
        Machine now = machine(survey.machine().id());
        books.append(survey.id(), SurveyEntries.adopted(clock.instant(), author, now.version(), hash(now)), submission);
    }

    public long openSurvey(Machine machine, String author, String role, Scope scope, Submission submission) {
        return books.open("SURVEY", Optional.of(machine.id()), machine.name(),
                SurveyEntries.opened(clock.instant(), author, machine.version(), hash(machine), role, scope), submission);
    }

    /** The hash of the description a machine stands at. */
    public static String hash(Machine machine) {
        return machine.entries().get(machine.version() - 1).hash();
    }

    private Draft described(MachineDescription description, String author) {
        return new Draft(clock.instant(), author, DESCRIBED, "", description.toPayload(), Optional.empty());
    }

    private Machine machine(BookRow book) {
        Folded<Machine> have = machines.get(book.getId());
        if (have != null && have.head == book.getHead()) {
            return have.value;
        }
        List<Entry> entries = books.entries(book);
        Machine machine = new Machine(book.getId(), entries.size(),
                MachineDescription.from(entries.get(entries.size() - 1).payload()), entries);
        machines.put(book.getId(), new Folded<>(entries.size(), entries.size(), machine));
        return machine;
    }

    private Survey survey(BookRow book, Machine machine) {
        Folded<Fold> have = folds.get(book.getId());
        if (have == null || have.head != book.getHead()) {
            List<Entry> entries = books.entries(book);
            int version = SpindleSurvey.machineVersion(entries);
            MachineDescription judgedBy = machine.version(version);
            StepLedger steps = have != null && have.version == version ? have.value.steps.grown(judgedBy, entries) : StepLedger.fold(judgedBy, entries);
            have = new Folded<>(entries.size(), version, new Fold(SpindleSurvey.fold(judgedBy, entries), steps));
            folds.put(book.getId(), have);
        }
        return new Survey(book.getId(), machine, have.version, have.value.spindle, have.value.steps);
    }
}
