package tallledger.web.store;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Component;
import tallledger.core.ledger.CanonicalJson;
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Reason;
import tallledger.core.survey.Kind;
import tallledger.web.cache.BoundedCache;
import tallledger.web.words.WebReason;

/**
 * The books of the ledger: reads them, appends to them.
 *
 * <p>Entries never change once written, so those read are kept in memory and only the newer ones are fetched; each is checked
 * against the chain as it is read. A book whose chain is broken opens for reading and takes no entry.
 */
@Component
public class Books {

    private static final Logger LOG = LoggerFactory.getLogger(Books.class);

    private static final int A_READ = 500;

    private record Known(List<Entry> entries, Optional<Chain.Break> broken) {
        static final Known NOTHING = new Known(List.of(), Optional.empty());

        Optional<Entry> newest() {
            return entries.isEmpty() ? Optional.empty() : Optional.of(entries.get(entries.size() - 1));
        }

        int last() {
            return newest().map(Entry::sequence).orElse(0);
        }
    }

    private final LedgerMapper mapper;
    private final EntryCodec codec;
    private final Store store;
    private final Heads heads;
    /** So many entries are kept in memory, of the books opened last. */
    private static final int MOST_ENTRIES = 60_000;

    private final List<Consumer<Long>> grown = new CopyOnWriteArrayList<>();
    private final List<BiConsumer<Long, Entry>> appended = new CopyOnWriteArrayList<>();
    private final BoundedCache<Long, Known> known = new BoundedCache<>(MOST_ENTRIES, book -> book.entries.size());

    Books(LedgerMapper mapper, EntryCodec codec, Store store, Heads heads) {
        this.mapper = mapper;
        this.codec = codec;
        this.store = store;
        this.heads = heads;
        store.whenUndone(known::clear);
        heads.compare(mapper.books(), mapper);
    }

    public BookRow book(long id) {
        BookRow row = mapper.book(id);
        if (row == null) {
            throw new UnknownBookException(id);
        }
        return row;
    }

    public List<BookRow> all() {
        return mapper.books();
    }

    /** How many machines there are. */
    public int machines() {
        return mapper.machines();
    }

    /** The hash of every book's last entry. */
    public Map<Long, String> lastHashes() {
        return mapper.heads().stream().collect(Collectors.toMap(HeadRow::book, HeadRow::hash));
    }

    /** A machine's own book and its surveys. */
    public List<BookRow> ofMachine(long machineId) {
        return mapper.booksOfMachine(machineId);
    }

    /** The same of many at once. */
    public List<BookRow> ofMachines(List<Long> machines) {
        return mapper.booksOfMachines(machines);
    }

    /** The book opened under a key, if one was. */
    public Optional<BookRow> openedBy(String key) {
        return Optional.ofNullable(mapper.bookOpenedBy(key)).map(mapper::book);
    }

    public List<Entry> entries(BookRow book) {
        return known(book).entries;
    }

    /** Where a book's chain breaks; empty while it holds. */
    public Optional<Chain.Break> broken(BookRow book) {
        return known(book).broken;
    }

    private Known known(BookRow book) {
        Known have = known.get(book.getId()).orElse(Known.NOTHING);
        if (have.last() >= book.getHead()) {
            return have;
        }
        return keep(book.getId(), have, mapper.entries(book.getId(), have.last()));
    }

    private Known keep(long id, Known have, List<EntryRow> rows) {
        List<Entry> more = rows.stream().map(codec::entry).toList();
        List<Entry> all = new ArrayList<>(have.entries);
        all.addAll(more);
        Optional<Chain.Break> broken = have.broken.isPresent() ? have.broken
                : Chain.firstBreak(have.newest(), more);
        if (have.broken.isEmpty()) {
            broken.ifPresent(b -> LOG.warn("The chain of book {} is broken at entry {}: it opens for reading and takes no entry.", id,
                    b.sequence()));
        }
        Known now = new Known(List.copyOf(all), broken);
        known.put(id, now);
        return now;
    }

    /** Fetches the entries of many books in one go. */
    public void warm(List<BookRow> books) {
        List<Long> missing = books.stream().filter(book -> !known.has(book.getId())).map(BookRow::getId).toList();
        if (missing.isEmpty()) {
            return;
        }
        Map<Long, List<EntryRow>> fetched = new HashMap<>();
        mapper.entriesOf(missing).forEach(row -> fetched.computeIfAbsent(row.bookId(), id -> new ArrayList<>()).add(row));
        fetched.forEach((id, rows) -> keep(id, Known.NOTHING, rows));
    }

    /** Opens a book with its first entry; the same submission again gives the same book. */
    public long open(BookKind kind, Optional<Long> machineId, String title, Draft first, Submission submission) {
        return open(kind, machineId, title, first, submission, submission.key());
    }

    /** Opens the only book of its kind, once for all: whoever comes second finds the first. */
    public long openOnly(BookKind kind, String title, Draft first, Submission submission) {
        return open(kind, Optional.empty(), title, first, submission, kind.name());
    }

    private long open(BookKind kind, Optional<Long> machineId, String title, Draft first, Submission submission, String key) {
        return store.write(size(first), () -> {
            Long already = mapper.bookOpenedBy(key);
            if (already != null) {
                return already;
            }
            BookRow book = new BookRow();
            book.setKind(kind);
            book.setMachineId(machineId.orElse(null));
            book.setTitle(title);
            book.setOpenedAt(first.at().toString());
            book.setOpenedBy(key);
            mapper.insertBook(book);
            Entry entry = Entry.following(Optional.empty(), first);
            heads.begin(book, entry.sequence(), entry.hash());
            mapper.insertEntry(codec.row(book.getId(), entry, submission.key()));
            store.afterwards(() -> noted(book, entry));
            return book.getId();
        });
    }

    /**
     * Appends one entry; the same submission again gives the entry it wrote the first time.
     *
     * @throws StaleFormException when the book has entries the form had not seen
     * @throws WriteRefusedException when the book is broken, or the store cannot keep it
     */
    public Entry append(long bookId, Draft draft, Submission submission) {
        return store.write(size(draft), () -> {
            Optional<Entry> already = written(bookId, submission);
            if (already.isPresent()) {
                return already.get();
            }
            BookRow book = book(bookId);
            Known have = known(book);
            have.broken.ifPresent(b -> {
                throw new WriteRefusedException(Reason.of(WebReason.STORE_BROKEN, b.sequence(), b.because()));
            });
            Entry end = have.newest().orElseThrow(() -> new UnknownBookException(bookId));
            if (book.getKind() == BookKind.SURVEY && end.kind().equals(Kind.CLOSED.name())) {
                throw new WriteRefusedException(Reason.of(WebReason.STORE_CLOSED, end.by().author().written(), end.sequence()));
            }
            if (have.last() != submission.seen()) {
                throw new StaleFormException(submission.seen(), have.last());
            }
            Entry entry = Entry.following(Optional.of(end), draft);
            heads.begin(book, entry.sequence(), entry.hash());
            try {
                mapper.insertEntry(codec.row(bookId, entry, submission.key()));
            } catch (DuplicateKeyException raced) {
                // Only another process on the same store can get between: then the book moved on.
                throw new StaleFormException(submission.seen(), submission.seen() + 1);
            }
            store.afterwards(() -> noted(book, entry));
            return entry;
        });
    }

    /**
     * Whether somebody else has written at a step since a form was made. Keys of one device begin alike, so that what it wrote itself
     * does not count.
     */
    public boolean isWrittenByOthers(long bookId, String step, Submission submission) {
        return mapper.writtenByOthers(bookId, step, submission.seen(), submission.device()) > 0;
    }

    private void noted(BookRow book, Entry entry) {
        heads.note(book, entry.sequence(), entry.hash());
        Optional.ofNullable(book.getKind() == BookKind.MACHINE ? book.getId() : book.getMachineId())
                .ifPresent(machine -> grown.forEach(g -> g.accept(machine)));
        appended.forEach(a -> a.accept(book.getId(), entry));
    }

    /** What is told of each entry once it is on the device: its book, and itself. Whoever is told writes nothing, and is done at once. */
    public void whenAppended(BiConsumer<Long, Entry> told) {
        appended.add(told);
    }

    /** What is told of each entry written: the machine its book is of. */
    public void whenGrown(Consumer<Long> told) {
        grown.add(told);
    }

    private static long size(Draft draft) {
        return CanonicalJson.write(draft.payload()).length();
    }

    /** The entry a submission wrote, if it did, safe on the device: what a second press of the same form is told. */
    public Optional<Entry> acknowledged(long bookId, Submission submission) {
        Optional<Entry> found = written(bookId, submission);
        found.ifPresent(entry -> store.settle());
        return found;
    }

    private Optional<Entry> written(long bookId, Submission submission) {
        return Optional.ofNullable(mapper.bySubmission(bookId, submission.key())).map(codec::entry);
    }

    /** Several entries, in one book or several, all of them or none. */
    public <T> T together(Supplier<T> writes) {
        return store.write(0, writes);
    }

    /** Goes through a book without keeping it in memory. */
    public Optional<Chain.Break> check(BookRow book) {
        Optional<Entry> last = Optional.empty();
        int at = 0;
        while (at < book.getHead()) {
            List<Entry> some = mapper.some(book.getId(), at, A_READ).stream().map(codec::entry).toList();
            Optional<Chain.Break> broken = Chain.firstBreak(last, some);
            if (broken.isPresent() || some.isEmpty()) {
                return broken;
            }
            last = Optional.of(some.get(some.size() - 1));
            at = last.get().sequence();
        }
        return Optional.empty();
    }

    public Heads heads() {
        return heads;
    }

    /** What is missing has been read: the store counts as it is from here on. */
    public void told() {
        heads.told(mapper.books(), mapper);
    }
}
