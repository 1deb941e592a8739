package tallledger.web.record;

import java.util.List;
import org.springframework.stereotype.Component;
import tallledger.core.ledger.Entry;

/** The house's book as far as a survey is judged by it. */
@Component
public class ImportedBooks {

    private final Books books;

    ImportedBooks(Books books) {
        this.books = books;
    }

    /** Its entries up to a version. */
    public List<Entry> house(int version) {
        return books.openedBy(BookKind.HOUSE.name()).map(books::entries).orElse(List.of()).stream().filter(e -> e.sequence() <= version)
                .toList();
    }
}
