package tallledger.web.record;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import tallledger.core.drive.Numbering;
import tallledger.core.gauge.Grade;
import tallledger.core.house.House;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plate.PlateCell;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.survey.JudgedBy;
import tallledger.core.survey.Scope;
import tallledger.core.survey.Stray;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.survey.ToldRatio;
import tallledger.web.words.WebReason;
import tallledger.web.words.Words;

/** Machines and surveys, read from their books. A fold is kept as long as its books have not grown. */
@Component
public class Shelves {

    private static final Logger LOG = LoggerFactory.getLogger(Shelves.class);
    private static final String DESCRIBED = "DESCRIBED";
    static final String PUT_AWAY = "PUT_AWAY";
    static final String TAKEN_OUT = "TAKEN_OUT";
    private static final int LONGEST_WHY = 200;

    private record Folded<T>(int head, T value) {
    }

    private record Fold(JudgedBy judgedBy, int rules, List<Stray> strays, Optional<Chain.Break> otherDescription,
            tallledger.core.survey.Survey core) {
    }

    /** A machine on the shelf; or what is left of one that cannot be read. */
    public record Place(long book, String title, Optional<Summary> summary, Optional<Reason> unreadable) {
    }

    /**
     * One page of the shelf.
     *
     * @param found      machines that are as asked
     * @param number     of the page, from 1
     * @param all        machines there are
     * @param unreadable what is left of those that cannot be read
     * @param waiting    machines whose line is still being made
     */
    public record Page(List<Summary> lines, int found, int number, int pages, int all, List<Place> unreadable, int waiting) {
    }

    /** So many entries are kept folded; the books of a long shelf are read again as they are opened. */
    private static final int MOST_ENTRIES = 30_000;
    private static final int MOST_MACHINES = 300;
    /** So long a reader waits for lines to be made. */
    private static final Duration PATIENCE = Duration.ofMillis(250);
    /** Books fetched in one go, so that a long shelf is not in memory at once. */
    private static final int A_FETCH = 40;

    private final Books books;
    private final Houses houses;
    private final ShelfLines lines;
    private final Background background;
    private final Words words;
    private final Clock clock;
    private final AtomicBoolean making = new AtomicBoolean();
    private final BoundedCache<Long, Folded<StoredMachine>> machines = new BoundedCache<>(MOST_MACHINES, m -> 1);
    private final BoundedCache<Long, Folded<Fold>> folds = new BoundedCache<>(MOST_ENTRIES, fold -> fold.head);

    Shelves(Books books, Houses houses, ShelfLines lines, Store store, Background background, Words words, Clock clock) {
        this.background = background;
        this.books = books;
        this.houses = houses;
        this.lines = lines;
        this.words = words;
        this.clock = clock;
        books.whenGrown(lines::grown);
        store.whenUndone(() -> {
            machines.clear();
            folds.clear();
        });
    }

    /**
     * A page of the shelf; one machine that cannot be read hides no other. Where many lines are to be made, the rest follows in the
     * background.
     */
    public Page shelf(ShelfQuery query) {
        long until = System.nanoTime() + PATIENCE.toNanos();
        for (List<Long> some = lines.take(A_FETCH); !some.isEmpty(); some = System.nanoTime() < until ? lines.take(A_FETCH) : List.of()) {
            make(some);
        }
        Page page = lines.page(query, lines.waiting());
        if (lines.waiting() > 0 && page.waiting() == 0) {
            // A line that could not be read is made anew at once.
            make(lines.take(A_FETCH));
            page = lines.page(query, lines.waiting());
        }
        if (lines.waiting() > 0) {
            makeTheRest();
        }
        return page;
    }

    private void makeTheRest() {
        if (making.compareAndSet(false, true)) {
            background.begin("shelf lines", () -> {
                try {
                    for (List<Long> some = lines.take(A_FETCH); !some.isEmpty() && !background.closing(); some = lines.take(A_FETCH)) {
                        make(some);
                    }
                } finally {
                    making.set(false);
                }
            });
        }
    }

    /**
     * Every line of the shelf made anew from the books; while it goes on, what was there stands.
     *
     * @param watch told how many are made, and how many there are; what it throws ends it, and what was not reached stands as it did
     */
    public void makeAnew(BiConsumer<Integer, Integer> watch) {
        machines.clear();
        folds.clear();
        List<Long> all = lines.all();
        for (int from = 0; from < all.size(); from += A_FETCH) {
            watch.accept(from, all.size());
            List<Long> some = all.subList(from, Math.min(from + A_FETCH, all.size()));
            lines.settled(some);
            make(some);
        }
    }

    private synchronized void make(List<Long> ids) {
        if (ids.isEmpty()) {
            return;
        }
        try {
            lines.keep(read(ids));
        } catch (RuntimeException failed) {
            lines.givenBack(ids);
            throw failed;
        }
    }

    private List<ShelfLines.Made> read(List<Long> ids) {
        List<BookRow> some = books.ofMachines(ids);
        Map<Long, BookRow> newest = new HashMap<>();
        some.stream().filter(b -> b.getKind() == BookKind.SURVEY).forEach(b -> newest.put(b.getMachineId(), b));
        List<BookRow> machineBooks = some.stream().filter(b -> b.getKind() == BookKind.MACHINE).toList();
        books.warm(Stream.concat(machineBooks.stream(), newest.values().stream()).toList());
        return machineBooks.stream().map(book -> made(book, Optional.ofNullable(newest.get(book.getId())))).toList();
    }

    private ShelfLines.Made made(BookRow book, Optional<BookRow> newest) {
        try {
            StoredMachine machine = machine(book);
            Optional<StoredSurvey> survey = newest.map(b -> survey(b, machine));
            Place place = new Place(book.getId(), machine.name(), Optional.of(Summary.of(machine, survey, words)), Optional.empty());
            return new ShelfLines.Made(place, lines.restsOn(last(machine.entries()), newest.map(BookRow::getId).orElse(null),
                    survey.map(s -> last(s.entries())).orElse(null)));
        } catch (Unreadable lost) {
            return lost(book, lost.reason());
        } catch (DataAccessException store) {
            throw store;
        } catch (RuntimeException broken) {
            // One that cannot be read at all hides no other.
            LOG.warn("Machine {} cannot be shown on the shelf: {}", book.getId(), broken.toString());
            return lost(book, Reason.of(CommonReason.STRAY_UNREADABLE));
        }
    }

    private static ShelfLines.Made lost(BookRow book, Reason because) {
        return new ShelfLines.Made(new Place(book.getId(), book.getTitle(), Optional.empty(), Optional.of(because)), "");
    }

    private static String last(List<Entry> entries) {
        return entries.get(entries.size() - 1).hash();
    }

    /** A record of this machine was found broken: what the shelf says of it is looked at anew. */
    void doubt(long machine) {
        lines.doubt(machine);
    }

    public StoredMachine machine(long id) {
        BookRow book = books.book(id);
        if (book.getKind() != BookKind.MACHINE) {
            throw new UnknownBookException(id);
        }
        return machine(book);
    }

    public StoredSurvey survey(long id) {
        BookRow book = books.book(id);
        if (book.getKind() != BookKind.SURVEY) {
            throw new UnknownBookException(id);
        }
        return survey(book, machine(book.getMachineId()));
    }

    public List<StoredSurvey> surveysOf(StoredMachine machine) {
        // One of which nothing is left is told of once, when the store is found to lack it; here it hides no other.
        return books.ofMachine(machine.id()).stream().filter(b -> b.getKind() == BookKind.SURVEY && b.getHead() > 0)
                .map(b -> survey(b, machine)).toList();
    }

    public long addMachine(MachineDescription description, String author, Submission submission) {
        return books.open(BookKind.MACHINE, Optional.empty(), description.identity().name(), described(description, author), submission);
    }

    public void describeAnew(long machineId, MachineDescription description, String author, Submission submission) {
        books.append(machineId, described(description, author), submission);
    }

    /**
     * Puts a machine away, out of sight of the shelf: its books stay as they are.
     *
     * @throws Refused where nobody says why
     */
    public void putAway(long machineId, String why, String author, Submission submission) {
        if (why.isBlank()) {
            throw Refused.because(WebReason.AWAY_WHY).at("why");
        }
        if (why.strip().length() > LONGEST_WHY) {
            throw Refused.because(CommonReason.TEXT_LONG, why.strip().length(), LONGEST_WHY).at("why");
        }
        books.append(machineId, Draft.of(Authorship.of(clock.instant(), clock.getZone(), author), PUT_AWAY, "", Map.of("why", why.strip())),
                submission);
    }

    /** Takes it out again. */
    public void takeOut(long machineId, String author, Submission submission) {
        books.append(machineId, Draft.of(Authorship.of(clock.instant(), clock.getZone(), author), TAKEN_OUT, "", Map.of()), submission);
    }

    /** Writes a new version in which one plate cell means something else than it shows. */
    public void acceptReading(StoredMachine machine, List<String> at, String means, String author, Submission submission) {
        PlateCell cell = machine.description().plate().cell(at);
        String shown = cell.typed().contains(PlateCell.MEANS) ? cell.typed().substring(0, cell.typed().indexOf(PlateCell.MEANS))
                : cell.typed();
        PlateCell corrected = PlateCell.parse(shown + PlateCell.MEANS + means);
        describeAnew(machine.id(), machine.description().withCell(at, corrected), author, submission);
    }

    /** The same from within a survey, which judges by it from here on: two entries, one in each book, or neither. */
    public void acceptReadingIn(StoredSurvey survey, List<String> at, String means, String author, Submission submission) {
        inBoth(survey, author, submission, under -> acceptReading(survey.machine(), at, means, author, under));
    }

    /** The levers labelled as they were found to be, from within a survey, which judges by it from here on. */
    public void renumberIn(StoredSurvey survey, Numbering numbering, String author, Submission submission) {
        inBoth(survey, author, submission,
                under -> describeAnew(survey.machine().id(), survey.machine().description().with(numbering), author, under));
    }

    /** Describes a ratio that readings told, and lets the survey judge by it. */
    public void takeRatioIn(StoredSurvey survey, ToldRatio told, BigDecimal slower, String author, Submission submission) {
        inBoth(survey, author, submission, under -> describeAnew(survey.machine().id(), survey.machine().description()
                .with(told.stage(), told.position(), told.against(), slower), author, under));
    }

    private void inBoth(StoredSurvey survey, String author, Submission submission, Consumer<Submission> describe) {
        if (books.acknowledged(survey.id(), submission).isPresent()) {
            return;
        }
        Supplier<Entry> both = () -> {
            describe.accept(new Submission(submission.key(), survey.machine().head()));
            StoredMachine now = machine(survey.machine().id());
            return books.append(survey.id(), SurveyEntries.adopted(survey.by(clock, author), now.version(), now.hash()), submission);
        };
        books.together(both);
    }

    public long openSurvey(StoredMachine machine, String author, String role, Scope scope, Submission submission) {
        return openSurvey(machine, author, role, scope, Grade.WORKABLE, submission);
    }

    public long openSurvey(StoredMachine machine, String author, String role, Scope scope, Grade judgedAs, Submission submission) {
        return openSurvey(machine, Authorship.of(clock.instant(), clock.getZone(), author), role, scope, judgedAs, submission);
    }

    /** At a time of its own. */
    public long openSurvey(StoredMachine machine, Authorship by, String role, Scope scope, Grade judgedAs, Submission submission) {
        return books.open(BookKind.SURVEY, Optional.of(machine.id()), machine.name(),
                SurveyEntries.opened(by, machine.version(), machine.hash(), houses.issued(), role, scope, judgedAs), submission);
    }

    /** Goes on with a closed survey: a new book, whose first entry names the last hash of the one before. */
    public long nextVolume(StoredSurvey closed, String author, Submission submission) {
        Draft opened = SurveyEntries.opened(Authorship.of(clock.instant(), clock.getZone(), author), closed.machine().version(),
                closed.machine().hash(), houses.issued(), "", closed.steps().scope(), closed.rules().judgedAs());
        Map<String, Object> payload = new HashMap<>(opened.payload());
        payload.put("after", Map.of("survey", closed.id(), "hash", last(closed.entries())));
        return books.open(BookKind.SURVEY, Optional.of(closed.machine().id()), closed.machine().name(),
                Draft.of(opened.by(), opened.kind(), opened.step(), payload), submission);
    }

    private Draft described(MachineDescription description, String author) {
        return Draft.of(Authorship.of(clock.instant(), clock.getZone(), author), DESCRIBED, "", description.toPayload());
    }

    private StoredMachine machine(BookRow book) {
        Optional<Folded<StoredMachine>> have = machines.get(book.getId()).filter(m -> m.head == book.getHead());
        if (have.isPresent()) {
            return have.get().value;
        }
        List<Entry> entries = books.entries(book);
        Map<Integer, Reason> strays = new HashMap<>();
        Optional<MachineDescription> newest = Optional.empty();
        int version = 0;
        for (Entry entry : entries) {
            if (entry.kind().equals(PUT_AWAY) || entry.kind().equals(TAKEN_OUT)) {
                continue;
            }
            Optional<MachineDescription> read = read(entry, strays);
            if (read.isPresent()) {
                newest = read;
                version = entry.sequence();
            }
        }
        int which = version;
        StoredMachine machine = newest.map(description -> new StoredMachine(book.getId(), which, description, entries, Map.copyOf(strays),
                books.broken(book)))
                .orElseThrow(() -> new Unreadable(book.getId(),
                        strays.values().stream().findFirst().orElse(Reason.of(CommonReason.STRAY_UNREADABLE))));
        machines.put(book.getId(), new Folded<>(machine.head(), machine));
        return machine;
    }

    /** A version of the description; one that cannot be read is listed with its reason. */
    private static Optional<MachineDescription> read(Entry entry, Map<Integer, Reason> strays) {
        try {
            if (entry.damage().isPresent()) {
                strays.put(entry.sequence(), entry.damage().get());
                return Optional.empty();
            }
            MachineDescription description = MachineDescription.from(entry.payload());
            description.speeds();
            return Optional.of(description);
        } catch (Refused refused) {
            strays.put(entry.sequence(), Reason.of(CommonReason.STRAY_REFUSED, refused.reason()));
        } catch (RuntimeException unread) {
            strays.put(entry.sequence(), Reason.of(CommonReason.STRAY_UNREADABLE));
        }
        return Optional.empty();
    }

    private StoredSurvey survey(BookRow book, StoredMachine machine) {
        Folded<Fold> have = folds.get(book.getId()).orElse(null);
        List<Entry> entries = books.entries(book);
        if (entries.isEmpty()) {
            throw new Unreadable(book.getId(), Reason.of(CommonReason.STRAY_UNREADABLE));
        }
        int head = entries.get(entries.size() - 1).sequence();
        if (have == null || have.head != head) {
            // A fold of a longer book than there is now is no beginning of this one.
            have = new Folded<>(head, fold(machine, entries, Optional.ofNullable(have).filter(f -> f.head < head).map(Folded::value)));
            folds.put(book.getId(), have);
        }
        Fold fold = have.value;
        return new StoredSurvey(book.getId(), machine, fold.judgedBy.version(), fold.core, houses.newest().version(), fold.strays,
                books.broken(book), fold.otherDescription.or(() -> underneath(machine, fold)));
    }

    /** A break in the machine's book or the house's up to the version it judges by. */
    private Optional<Chain.Break> underneath(StoredMachine machine, Fold fold) {
        return machine.broken().filter(b -> b.sequence() <= fold.judgedBy.version())
                .map(b -> new Chain.Break(b.sequence(), Reason.of(WebReason.CHAIN_OTHER_MACHINE, b.because())))
                .or(() -> houses.broken().filter(b -> b.sequence() <= fold.rules)
                        .map(b -> new Chain.Break(b.sequence(), Reason.of(WebReason.CHAIN_OTHER_HOUSE, b.because()))));
    }

    private Fold fold(StoredMachine machine, List<Entry> entries, Optional<Fold> before) {
        List<Stray> strays = new ArrayList<>();
        JudgedBy judgedBy = null;
        for (JudgedBy candidate : JudgedBy.descriptions(entries)) {
            if (machine.version(candidate.version()).isPresent()) {
                judgedBy = candidate;
                break;
            }
            strays.add(new Stray(candidate.entry(), Reason.of(WebReason.STRAY_VERSION, candidate.version())));
        }
        // Where no version it names can be read, the newest that can stands in, and every naming is a stray.
        JudgedBy by = judgedBy != null ? judgedBy : new JudgedBy(machine.version(), machine.hash(), entries.get(0));
        MachineDescription description = machine.version(by.version()).orElseThrow();
        Optional<Chain.Break> other = by.hash().equals(machine.entry(by.version()).orElseThrow().hash()) ? Optional.empty()
                : Optional.of(new Chain.Break(by.entry().sequence(), Reason.of(WebReason.CHAIN_OTHER_DESCRIPTION, by.version())));
        Optional<JudgedBy> rules = rules(entries, strays);
        House house = houses.book().at(rules.map(JudgedBy::version).orElse(House.FIRST));
        Optional<Chain.Break> otherRules = rules.filter(r -> !r.hash().equals(house.hash()))
                .map(r -> new Chain.Break(r.entry().sequence(), Reason.of(WebReason.CHAIN_OTHER_RULES, r.version())));
        tallledger.core.survey.Survey core = before.map(b -> b.judgedBy.version() == by.version() && b.rules == house.version()
                ? b.core.grown(entries)
                : b.core.by(description, house, entries)).orElseGet(() -> tallledger.core.survey.Survey.fold(description, house, entries));
        return new Fold(by, house.version(), List.copyOf(strays), other.or(() -> otherRules), core);
    }

    /** The newest naming of rules that the house's book has; a naming of others is a stray. */
    private Optional<JudgedBy> rules(List<Entry> entries, List<Stray> strays) {
        for (JudgedBy candidate : JudgedBy.rules(entries)) {
            if (houses.book().versions().containsKey(candidate.version())) {
                return Optional.of(candidate);
            }
            strays.add(new Stray(candidate.entry(), Reason.of(WebReason.STRAY_RULES, candidate.version())));
        }
        return Optional.empty();
    }
}
