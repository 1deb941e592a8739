package tallledger.web.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;

/**
 * Photographs, and whatever else is too large for an entry; the same bytes twice are kept once, and checked against their hash when read.
 */
@Component
public class Attachments {

    private static final Logger LOG = LoggerFactory.getLogger(Attachments.class);

    private final AttachmentMapper mapper;
    private final Books books;
    private final Store store;

    private final TransactionTemplate reading;
    /** Large ones that were read whole, and are what the ledger names. */
    private final Set<String> whole = ConcurrentHashMap.newKeySet();

    Attachments(AttachmentMapper mapper, Books books, Store store, PlatformTransactionManager transactions) {
        this.reading = new TransactionTemplate(transactions);
        reading.setReadOnly(true);
        this.mapper = mapper;
        this.books = books;
        this.store = store;
    }

    /** Keeps attachments and writes the entry that names them, all or nothing. */
    public Entry keep(long survey, List<AttachmentRow> attachments, Draft entry, Submission submission) {
        return store.write(attachments.stream().mapToLong(a -> a.bytes().length).sum(), () -> {
            attachments.stream().filter(a -> mapper.count(a.sha256()) == 0).forEach(mapper::insert);
            return books.append(survey, entry, submission);
        });
    }

    /**
     * Keeps one that is too large to be held in memory, and writes the entry that names it, all or nothing.
     *
     * @param bytes its file, whole
     */
    public Entry keep(long survey, Attachment film, Path bytes, Draft entry, Submission submission) {
        return store.write(bytes.toFile().length(), () -> {
            if (mapper.count(film.sha256()) == 0) {
                try (InputStream in = Files.newInputStream(bytes)) {
                    mapper.insertLarge(film.sha256(), film.type(), in);
                } catch (IOException gone) {
                    throw new UncheckedIOException(gone);
                }
            }
            return books.append(survey, entry, submission);
        });
    }

    /**
     * Whether one that is too large to be held in memory is what the ledger names. Read whole once while the application runs: the store
     * is its own as long as it does.
     */
    public boolean isWhole(String sha256) {
        return whole.contains(sha256) || size(sha256).isPresent() && Boolean.TRUE.equals(reading.execute(status -> hash(sha256)
                .equals(sha256))) && whole.add(sha256);
    }

    private String hash(String sha256) {
        try (InputStream in = mapper.stream(sha256).bytes()) {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            in.transferTo(new DigestOutputStream(OutputStream.nullOutputStream(), digest));
            return HexFormat.of().formatHex(digest.digest());
        } catch (IOException broken) {
            LOG.warn("Attachment {} cannot be read: {}", sha256, broken.getMessage());
            return "";
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    /** How many bytes one has; empty where it is not there. */
    public Optional<Long> size(String sha256) {
        return Optional.ofNullable(mapper.size(sha256));
    }

    /** Bytes from a place on, as many as are asked for and there. Whether all of it is what the ledger names says {@link #isWhole}. */
    public byte[] part(String sha256, long from, int most) {
        return reading.execute(status -> {
            try (InputStream in = mapper.stream(sha256).bytes()) {
                in.skipNBytes(from);
                return in.readNBytes(most);
            } catch (IOException broken) {
                throw new UncheckedIOException(broken);
            }
        });
    }

    /** Many at once, by their hashes; those that are not whole are left out. */
    public Map<String, AttachmentRow> attachments(List<String> hashes) {
        return hashes.isEmpty() ? Map.of()
                : mapper.attachments(hashes).stream().filter(AttachmentRow::isWhole)
                        .collect(Collectors.toMap(AttachmentRow::sha256, a -> a));
    }

    /** An attachment by its hash; empty where it is not there, or is not any more what the ledger names. */
    public Optional<AttachmentRow> attachment(String sha256) {
        Optional<AttachmentRow> row = Optional.ofNullable(mapper.attachment(sha256));
        Optional<AttachmentRow> whole = row.filter(AttachmentRow::isWhole);
        if (row.isPresent() && whole.isEmpty()) {
            LOG.warn("Attachment {} is not any more what the ledger names: it is not shown.", sha256);
        }
        return whole;
    }
}
