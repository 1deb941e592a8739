package tallledger.web.record;

import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/** Goes through every book once after the start, in the background, so that a broken one is known before anybody opens it. */
@Component
class StartCheckUp {

    private static final Logger LOG = LoggerFactory.getLogger(StartCheckUp.class);

    private final Books books;
    private final Shelves shelves;

    StartCheckUp(Books books, Shelves shelves) {
        this.shelves = shelves;
        this.books = books;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        Thread check = new Thread(this::check, "chain check");
        check.setDaemon(true);
        check.setPriority(Thread.MIN_PRIORITY);
        check.start();
    }

    private void check() {
        try {
            for (BookRow book : books.all()) {
                books.check(book).ifPresent(b -> {
                    LOG.warn("The chain of book {} ({}) is broken at entry {}: it opens for reading and takes no entry.", book.getId(), book.getTitle(), b.sequence());
                    shelves.doubt(book.getKind() == BookKind.MACHINE ? book.getId() : Optional.ofNullable(book.getMachineId()).orElse(book.getId()));
                });
            }
        } catch (DataAccessException closing) {
            LOG.debug("The check at the start was cut short: {}", closing.getMessage());
        }
    }
}
