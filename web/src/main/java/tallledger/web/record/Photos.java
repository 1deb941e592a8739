package tallledger.web.record;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;

/** Photographs in the store; the same picture twice is kept once, and each is checked against its hash when it is read. */
@Component
public class Photos {

    private static final Logger LOG = LoggerFactory.getLogger(Photos.class);

    private final PhotoMapper mapper;
    private final Books books;
    private final Store store;

    Photos(PhotoMapper mapper, Books books, Store store) {
        this.mapper = mapper;
        this.books = books;
        this.store = store;
    }

    /** Keeps a photograph and writes the entry that names it, both or neither. */
    public Entry keep(long survey, PhotoRow photo, Draft entry, Submission submission) {
        return store.write(photo.bytes().length + photo.small().length, () -> {
            if (mapper.count(photo.sha256()) == 0) {
                mapper.insert(photo);
            }
            return books.append(survey, entry, submission);
        });
    }

    /** A photograph by its hash; empty where it is not there, or is not any more what the ledger names. */
    public Optional<PhotoRow> photo(String sha256) {
        Optional<PhotoRow> row = Optional.ofNullable(mapper.photo(sha256));
        Optional<PhotoRow> whole = row.filter(r -> sha256(r.bytes()).equals(sha256));
        if (row.isPresent() && whole.isEmpty()) {
            LOG.warn("Photograph {} is not any more what the ledger names: it is not shown.", sha256);
        }
        return whole;
    }

    /** SHA-256, lower-case hex. */
    public static String sha256(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
