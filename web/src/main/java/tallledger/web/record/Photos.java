package tallledger.web.record;

import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;

/** Photographs in the store; the same picture twice is kept once. */
@Component
public class Photos {

    private final PhotoMapper mapper;
    private final Books books;

    Photos(PhotoMapper mapper, Books books) {
        this.mapper = mapper;
        this.books = books;
    }

    /** Keeps a photograph and writes the entry that names it, both or neither. */
    @Transactional
    public Entry keep(long survey, PhotoRow photo, Draft entry, Submission submission) {
        if (mapper.count(photo.sha256()) == 0) {
            mapper.insert(photo);
        }
        return books.append(survey, entry, submission);
    }

    public Optional<PhotoRow> photo(String sha256) {
        return Optional.ofNullable(mapper.photo(sha256));
    }
}
