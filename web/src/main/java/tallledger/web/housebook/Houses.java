package tallledger.web.housebook;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import tallledger.core.house.House;
import tallledger.core.house.HouseBook;
import tallledger.core.house.HouseChange;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.web.store.BookKind;
import tallledger.web.store.BookRow;
import tallledger.web.store.Books;
import tallledger.web.store.StaleFormException;
import tallledger.web.store.Store;
import tallledger.web.store.Submission;
import tallledger.web.store.WriteRefusedException;

/** The house's book: there is one. A change is a new entry in it, so that every version a survey was judged by stays. */
@Component
public class Houses {

    private static final String APPLICATION = "Tall Ledger";

    /** The book as read; nobody else writes it, so it is read again only after a change. */
    private record KeptBook(Optional<Long> id, int head, HouseBook book, Optional<Chain.Break> broken) {
    }

    private final Books books;
    private final Clock clock;
    private final House shipped = House.shipped(ChecksTable.shipped(), RepairsTable.shipped());
    private volatile KeptBook kept;
    private int written;

    Houses(Books books, Store store, Clock clock) {
        this.books = books;
        this.clock = clock;
        store.whenUndone(this::forget);
    }

    private synchronized void forget() {
        written++;
        kept = null;
    }

    private KeptBook kept() {
        KeptBook known = kept;
        if (known == null) {
            int before = writtenSoFar();
            Optional<BookRow> row = books.openedBy(BookKind.HOUSE.name());
            known = new KeptBook(row.map(BookRow::getId), row.map(BookRow::getHead).orElse(0),
                    HouseBook.of(row.map(books::entries).orElse(List.of()), shipped), row.flatMap(books::broken));
            keep(known, before);
        }
        return known;
    }

    private synchronized int writtenSoFar() {
        return written;
    }

    /** What was read while somebody wrote may be of before. */
    private synchronized void keep(KeptBook known, int before) {
        kept = before == written ? known : null;
    }

    public HouseBook book() {
        return kept().book;
    }

    /** Where its chain breaks; empty while it holds. */
    public Optional<Chain.Break> broken() {
        return kept().broken;
    }

    /** As it stands now. */
    public House newest() {
        return book().newest();
    }

    /** Sequence of its last entry: what a form shown now has seen. */
    public int head() {
        return kept().head;
    }

    /**
     * Writes down what this release came with, where that is not in the book yet: whatever a later release ships, a version stays what it
     * was. Done before anything names a version.
     */
    public House issued() {
        if (!book().isIssued()) {
            books.together(this::issue);
            forget();
        }
        return newest();
    }

    private boolean issue() {
        forget();
        KeptBook now = kept();
        if (!now.book.isIssued()) {
            Draft draft = HouseChange.Issued.now(shipped.checks(), shipped.repairs()).draft(Authorship.of(clock.instant(), clock.getZone(),
                    APPLICATION));
            if (now.id.isPresent()) {
                books.append(now.id.get(), draft, Submission.fresh(now.head));
            } else {
                books.openOnly(BookKind.HOUSE, "House", draft, new Submission(UUID.randomUUID().toString(), 0));
            }
        }
        return true;
    }

    /** The entry a submission wrote, if it did. */
    public Optional<Entry> acknowledged(Submission submission) {
        return kept().id.flatMap(id -> books.acknowledged(id, submission));
    }

    /**
     * @throws StaleFormException where the book has entries the form had not seen
     * @throws WriteRefusedException where the store cannot keep it
     */
    public Entry change(HouseChange change, String author, Submission submission) {
        issued();
        int seen = submission.seen() == 0 ? House.FIRST : submission.seen();
        try {
            return books.append(kept().id.orElseThrow(), change.draft(Authorship.of(clock.instant(), clock.getZone(), author)),
                    new Submission(submission.key(), seen));
        } finally {
            forget();
        }
    }

    /** The book's entries up to a version: what a survey judged by it rests on. */
    public List<Entry> entriesUpTo(int version) {
        return books.openedBy(BookKind.HOUSE.name()).map(books::entries).orElse(List.of()).stream().filter(e -> e.sequence() <= version)
                .toList();
    }
}
