package tallledger.web.shelfindex;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import tallledger.core.reason.Reason;
import tallledger.web.store.BackgroundThreads;
import tallledger.web.store.BookKind;
import tallledger.web.store.BookRow;
import tallledger.web.store.Books;
import tallledger.web.words.WebReason;

/** Goes through every book once after the start, in the background, so that a broken one is known before anybody opens it. */
@Component
public class StartCheckUp {

    private static final Logger LOG = LoggerFactory.getLogger(StartCheckUp.class);

    private final Books books;
    private final ShelfIndex shelf;
    private final BackgroundThreads background;
    private final List<Reason> unreadable = new CopyOnWriteArrayList<>();

    StartCheckUp(Books books, ShelfIndex shelf, BackgroundThreads background) {
        this.shelf = shelf;
        this.books = books;
        this.background = background;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        background.begin("chain check", this::check);
    }

    /** What of the books cannot be read, as far as they have been gone through; one hides no other. */
    public List<Reason> unreadable() {
        return unreadable;
    }

    private void check() {
        for (BookRow book : books.all()) {
            if (background.closing()) {
                return;
            }
            try {
                books.check(book).ifPresent(b -> {
                    LOG.warn("The chain of book {} ({}) is broken at entry {}: it opens for reading and takes no entry.", book.getId(),
                            book.getTitle(), b.sequence());
                    doubt(book);
                });
            } catch (RuntimeException damaged) {
                if (!background.closing()) {
                    LOG.warn("Book {} ({}) cannot be read from the disk: {}", book.getId(), book.getTitle(), damaged.getMessage());
                    unreadable.add(Reason.of(WebReason.BOOK_UNREADABLE, book.getTitle(), book.getId()));
                    doubt(book);
                }
            }
        }
    }

    private void doubt(BookRow book) {
        shelf.doubt(book.getKind() == BookKind.MACHINE ? book.getId() : Optional.ofNullable(book.getMachineId()).orElse(book.getId()));
    }
}
