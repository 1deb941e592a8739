package tallledger.web.library;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tallledger.core.house.House;
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.survey.JudgedBy;
import tallledger.core.survey.Stray;
import tallledger.web.cache.BoundedCache;
import tallledger.web.housebook.Houses;
import tallledger.web.store.BookKind;
import tallledger.web.store.BookRow;
import tallledger.web.store.Books;
import tallledger.web.store.Store;
import tallledger.web.store.UnknownBookException;
import tallledger.web.store.UnreadableBookException;
import tallledger.web.words.WebReason;
/** Machines and surveys, read from their books. A fold is kept as long as its books have not grown. */
@Component
public class SurveyLibrary {

    private record Folded<T>(int head, T value) {
    }

    private record FoldedSurvey(JudgedBy judgedBy, int rules, List<Stray> strays, Optional<Chain.Break> otherDescription,
            tallledger.core.survey.Survey core) {
    }

    /** So many entries are kept folded; the books of a long shelf are read again as they are opened. */
    private static final int MOST_ENTRIES = 30_000;
    private static final int MOST_MACHINES = 300;

    private final Books books;
    private final Houses houses;
    private final BoundedCache<Long, Folded<StoredMachine>> machines = new BoundedCache<>(MOST_MACHINES, m -> 1);
    private final BoundedCache<Long, Folded<FoldedSurvey>> folds = new BoundedCache<>(MOST_ENTRIES, fold -> fold.head);

    SurveyLibrary(Books books, Houses houses, Store store) {
        this.books = books;
        this.houses = houses;
        store.whenUndone(this::forget);
    }

    /** Everything is read from its book again. */
    public void forget() {
        machines.clear();
        folds.clear();
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

    /** Every survey there is, by its book. */
    public List<Long> surveysNewestFirst() {
        return books.all().stream().filter(b -> b.getKind() == BookKind.SURVEY).map(BookRow::getId).sorted(Comparator.reverseOrder())
                .toList();
    }

    public List<StoredSurvey> surveysOf(StoredMachine machine) {
        // One of which nothing is left is told of once, when the store is found to lack it; here it hides no other.
        return books.ofMachine(machine.id()).stream().filter(b -> b.getKind() == BookKind.SURVEY && b.getHead() > 0)
                .map(b -> survey(b, machine)).toList();
    }

    /** @throws Unreadable where no description of it can be read */
    public StoredMachine machine(BookRow book) {
        Optional<Folded<StoredMachine>> have = machines.get(book.getId()).filter(m -> m.head == book.getHead());
        if (have.isPresent()) {
            return have.get().value;
        }
        List<Entry> entries = books.entries(book);
        Map<Integer, Reason> strays = new HashMap<>();
        Optional<MachineDescription> newest = Optional.empty();
        int version = 0;
        for (Entry entry : entries) {
            if (entry.kind().equals(MachineBooks.PUT_AWAY) || entry.kind().equals(MachineBooks.TAKEN_OUT)) {
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
                .orElseThrow(() -> new UnreadableBookException(book.getId(),
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

    /** @throws Unreadable where it has no entry */
    public StoredSurvey survey(BookRow book, StoredMachine machine) {
        Folded<FoldedSurvey> have = folds.get(book.getId()).orElse(null);
        List<Entry> entries = books.entries(book);
        if (entries.isEmpty()) {
            throw new UnreadableBookException(book.getId(), Reason.of(CommonReason.STRAY_UNREADABLE));
        }
        int head = entries.get(entries.size() - 1).sequence();
        if (have == null || have.head != head) {
            // A fold of a longer book than there is now is no beginning of this one.
            have = new Folded<>(head, fold(machine, entries, Optional.ofNullable(have).filter(f -> f.head < head).map(Folded::value)));
            folds.put(book.getId(), have);
        }
        FoldedSurvey fold = have.value;
        return new StoredSurvey(book.getId(), machine, fold.judgedBy.version(), fold.core, houses.newest().version(), fold.strays,
                books.broken(book), fold.otherDescription.or(() -> underneath(machine, fold)));
    }

    /** A break in the machine's book or the house's up to the version it judges by. */
    private Optional<Chain.Break> underneath(StoredMachine machine, FoldedSurvey fold) {
        return machine.broken().filter(b -> b.sequence() <= fold.judgedBy.version())
                .map(b -> new Chain.Break(b.sequence(), Reason.of(WebReason.CHAIN_OTHER_MACHINE, b.because())))
                .or(() -> houses.broken().filter(b -> b.sequence() <= fold.rules)
                        .map(b -> new Chain.Break(b.sequence(), Reason.of(WebReason.CHAIN_OTHER_HOUSE, b.because()))));
    }

    private FoldedSurvey fold(StoredMachine machine, List<Entry> entries, Optional<FoldedSurvey> before) {
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
        return new FoldedSurvey(by, house.version(), List.copyOf(strays), other.or(() -> otherRules), core);
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
