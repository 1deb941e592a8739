package tallledger.web.record;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;

/**
 * The books of the ledger: reads them, appends to them.
 *
 * <p>Entries never change once written, so those read are kept in memory and only the newer ones are fetched.
 */
@Component
public class Books {

    private final LedgerMapper mapper;
    private final EntryCodec codec;
    private final Map<Long, List<Entry>> known = new ConcurrentHashMap<>();

    Books(LedgerMapper mapper, EntryCodec codec) {
        this.mapper = mapper;
        this.codec = codec;
    }

    public BookRow book(long id) {
        BookRow row = mapper.book(id);
        if (row == null) {
            throw new NoSuchBook(id);
        }
        return row;
    }

    public List<BookRow> all() {
        return mapper.books();
    }

    /** A machine's own book and its surveys. */
    public List<BookRow> ofMachine(long machineId) {
        return mapper.booksOfMachine(machineId);
    }

    public List<Entry> entries(BookRow book) {
        List<Entry> have = known.getOrDefault(book.getId(), List.of());
        if (have.size() >= book.getHead()) {
            return have;
        }
        List<Entry> all = new ArrayList<>(have);
        mapper.entries(book.getId(), have.size()).forEach(row -> all.add(codec.entry(row)));
        List<Entry> fixed = List.copyOf(all);
        known.put(book.getId(), fixed);
        return fixed;
    }

    /** Fetches the entries of many books in one go. */
    public void warm(List<BookRow> books) {
        List<Long> missing = books.stream()
                .filter(book -> known.getOrDefault(book.getId(), List.of()).size() < book.getHead()).map(BookRow::getId).toList();
        if (missing.isEmpty()) {
            return;
        }
        Map<Long, List<Entry>> fetched = new java.util.HashMap<>();
        mapper.entriesOf(missing).forEach(row ->
                fetched.computeIfAbsent(row.bookId(), id -> new ArrayList<>()).add(codec.entry(row)));
        fetched.forEach((id, entries) -> known.put(id, List.copyOf(entries)));
    }

    /** Opens a book with its first entry; the same submission again gives the same book. */
    @Transactional
    public long open(String kind, Optional<Long> machineId, String title, Draft first, Submission submission) {
        Long already = mapper.bookBySubmission(submission.key());
        if (already != null) {
            return already;
        }
        BookRow book = new BookRow();
        book.setKind(kind);
        book.setMachineId(machineId.orElse(null));
        book.setTitle(title);
        book.setOpenedAt(first.at().toString());
        mapper.insertBook(book);
        mapper.insertEntry(codec.row(book.getId(), Entry.following(Optional.empty(), first), submission.key()));
        return book.getId();
    }

    /**
     * Appends one entry; the same submission again gives the entry it wrote the first time.
     *
     * @throws MovedOn when the book has entries the form had not seen
     */
    @Transactional
    public Entry append(long bookId, Draft draft, Submission submission) {
        Optional<Entry> already = written(bookId, submission);
        if (already.isPresent()) {
            return already.get();
        }
        BookRow book = book(bookId);
        if (book.getHead() != submission.seen()) {
            // Between the two looks the same form may have been written by its other press.
            return written(bookId, submission).orElseThrow(() -> new MovedOn(submission.seen(), book.getHead()));
        }
        List<Entry> entries = entries(book);
        Entry entry = Entry.following(Optional.of(entries.get(entries.size() - 1)), draft);
        try {
            mapper.insertEntry(codec.row(bookId, entry, submission.key()));
        } catch (DuplicateKeyException raced) {
            // The same form pressed twice at once is no conflict: the other press wrote it.
            return written(bookId, submission).orElseThrow(() -> new MovedOn(submission.seen(), submission.seen() + 1));
        }
        return entry;
    }

    /** The entry a submission wrote, if it did. */
    public Optional<Entry> written(long bookId, Submission submission) {
        return Optional.ofNullable(mapper.bySubmission(bookId, submission.key())).map(codec::entry);
    }
}
