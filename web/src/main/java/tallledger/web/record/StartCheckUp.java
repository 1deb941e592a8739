package tallledger.web.record;

import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Goes through every book once after the start, in the background, so that a broken one is known before anybody opens it. */
@Component
class StartCheckUp {

    private static final Logger LOG = LoggerFactory.getLogger(StartCheckUp.class);

    private final Books books;
    private final Shelves shelves;
    private final Background background;

    StartCheckUp(Books books, Shelves shelves, Background background) {
        this.shelves = shelves;
        this.books = books;
        this.background = background;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        background.begin("chain check", this::check);
    }

    private void check() {
        for (BookRow book : books.all()) {
            if (background.closing()) {
                return;
            }
            books.check(book).ifPresent(b -> {
                LOG.warn("The chain of book {} ({}) is broken at entry {}: it opens for reading and takes no entry.", book.getId(),
                        book.getTitle(), b.sequence());
                shelves.doubt(book.getKind() == BookKind.MACHINE ? book.getId() : Optional.ofNullable(book.getMachineId())
                        .orElse(book.getId()));
            });
        }
    }
}
