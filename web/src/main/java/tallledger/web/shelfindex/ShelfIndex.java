package tallledger.web.shelfindex;

import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BiConsumer;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.BackgroundThreads;
import tallledger.web.store.BookKind;
import tallledger.web.store.BookRow;
import tallledger.web.store.Books;
import tallledger.web.store.UnreadableBookException;
import tallledger.web.words.Words;
/** The shelf: a line of each machine, made again from the books as far as they have grown. */
@Component
public class ShelfIndex {

    private static final Logger LOG = LoggerFactory.getLogger(ShelfIndex.class);

    /** A machine on the shelf; or what is left of one that cannot be read. */
    public record ShelfPlace(long book, String title, Optional<Summary> summary, Optional<Reason> unreadable) {
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
    public record ShelfPage(List<Summary> lines, int found, int number, int pages, int all, List<ShelfPlace> unreadable, int waiting) {
    }

    /** So long a reader waits for lines to be made. */
    private static final Duration PATIENCE = Duration.ofMillis(250);
    /** Books fetched in one go, so that a long shelf is not in memory at once. */
    private static final int A_FETCH = 40;

    private final Books books;
    private final SurveyLibrary library;
    private final ShelfLines lines;
    private final BackgroundThreads background;
    private final Words words;
    private final AtomicBoolean making = new AtomicBoolean();

    ShelfIndex(Books books, SurveyLibrary library, ShelfLines lines, BackgroundThreads background, Words words) {
        this.books = books;
        this.library = library;
        this.lines = lines;
        this.background = background;
        this.words = words;
        books.whenGrown(lines::grown);
    }

    /**
     * A page of the shelf; one machine that cannot be read hides no other. Where many lines are to be made, the rest follows in the
     * background.
     */
    public ShelfPage page(ShelfQuery query) {
        long until = System.nanoTime() + PATIENCE.toNanos();
        for (List<Long> some = lines.take(A_FETCH); !some.isEmpty(); some = System.nanoTime() < until ? lines.take(A_FETCH) : List.of()) {
            make(some);
        }
        ShelfPage page = lines.page(query, lines.waiting());
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
        library.forget();
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

    private List<ShelfLines.MadeLine> read(List<Long> ids) {
        List<BookRow> some = books.ofMachines(ids);
        Map<Long, BookRow> newest = new HashMap<>();
        some.stream().filter(b -> b.getKind() == BookKind.SURVEY).forEach(b -> newest.put(b.getMachineId(), b));
        List<BookRow> machineBooks = some.stream().filter(b -> b.getKind() == BookKind.MACHINE).toList();
        books.warm(Stream.concat(machineBooks.stream(), newest.values().stream()).toList());
        return machineBooks.stream().map(book -> made(book, Optional.ofNullable(newest.get(book.getId())))).toList();
    }

    private ShelfLines.MadeLine made(BookRow book, Optional<BookRow> newest) {
        try {
            StoredMachine machine = library.machine(book);
            Optional<StoredSurvey> survey = newest.map(b -> library.survey(b, machine));
            ShelfPlace place =
                    new ShelfPlace(book.getId(), machine.name(), Optional.of(Summary.of(machine, survey, words)), Optional.empty());
            return new ShelfLines.MadeLine(place, lines.restsOn(last(machine.entries()), newest.map(BookRow::getId).orElse(null),
                    survey.map(s -> last(s.entries())).orElse(null)));
        } catch (UnreadableBookException lost) {
            return lost(book, lost.reason());
        } catch (DataAccessException store) {
            throw store;
        } catch (RuntimeException broken) {
            // One that cannot be read at all hides no other.
            LOG.warn("Machine {} cannot be shown on the shelf: {}", book.getId(), broken.toString());
            return lost(book, Reason.of(CommonReason.STRAY_UNREADABLE));
        }
    }

    private static ShelfLines.MadeLine lost(BookRow book, Reason because) {
        return new ShelfLines.MadeLine(new ShelfPlace(book.getId(), book.getTitle(), Optional.empty(), Optional.of(because)), "");
    }

    private static String last(List<Entry> entries) {
        return entries.get(entries.size() - 1).hash();
    }

    /** A record of this machine was found broken: what the shelf says of it is looked at anew. */
    void doubt(long machine) {
        lines.doubt(machine);
    }
}
