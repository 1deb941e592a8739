package tallledger.web.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.LongPredicate;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tallledger.core.reason.Reason;
import tallledger.web.words.WebReason;

/**
 * The last entry of every book and what it is called, kept in a plain file beside the database: {@code book sequence hash title}, a
 * line each write, the newest counts; of the title the first digits of its SHA-256. A database that comes back shorter than this (cut,
 * restored, empty) is found at the start; nothing is written until somebody has been told. One that holds more than this, or calls a
 * book otherwise, is said as well. The line is written after the entry and not forced to the device, so after a power cut it may lag
 * behind by the last few entries, never run ahead. Before an entry is written a line says which it will be: where the process was killed
 * between the two, what the database holds is known all the same.
 */
@Component
public class Heads {

    private static final Logger LOG = LoggerFactory.getLogger(Heads.class);
    public static final String FILE = "heads.txt";
    /** Before the lines noted while a backup was made: the copy may hold so much, and need not. */
    private static final String MEANWHILE = "meanwhile\n";

    /** Before a line of what is about to be written. */
    private static final String BEGUN = "~ ";

    /** The last entry of a book, as this file has it. */
    private record Head(int sequence, String hash, String title) {
    }

    /**
     * What the database lacks.
     *
     * @param book  its number
     * @param title what it is called, where the database still knows it
     * @param had   entries it had
     * @param has   entries it has; as many as it had where another entry stands in its place
     */
    public record Missing(long book, String title, int had, int has) {

        public Reason says() {
            return has == 0 ? Reason.of(WebReason.HEADS_BOOK, book, had)
                    : has < had ? Reason.of(WebReason.HEADS_SHORTER, title, book, has,
                            had)
                            : Reason.of(WebReason.HEADS_OTHER, title, book, had);
        }
    }

    private final Path file;
    private volatile List<Missing> missing = List.of();
    private volatile List<Reason> more = List.of();
    /** Books of which more is said; what is written in them meanwhile is noted once somebody has been told. */
    private volatile LongPredicate doubted = book -> false;

    Heads(@Value("${tallledger.data}") Path data) {
        file = data.resolve(FILE);
    }

    /** Entries and books this file knows and the database does not, until somebody has been told. */
    public List<Missing> missing() {
        return missing;
    }

    /** What the database holds and this file does not know, until somebody has been told; it stands in nobody's way. */
    public List<Reason> more() {
        return more;
    }

    /** Compares at the start. */
    void compare(List<BookRow> books, LedgerMapper mapper) {
        Map<Long, BookRow> there = books.stream().collect(Collectors.toMap(BookRow::getId, b -> b));
        Map<Long, String> hashes = mapper.heads().stream().collect(Collectors.toMap(HeadRow::book, HeadRow::hash));
        List<Missing> lacking = new ArrayList<>();
        String text = text();
        Map<Long, Head> noted = read(text.split(MEANWHILE)[0]);
        noted.forEach((id, head) -> {
            BookRow book = there.get(id);
            int has = book == null ? 0 : book.getHead();
            String hash = has == head.sequence() ? hashes.get(id) : has > head.sequence() ? mapper.hash(id, head.sequence()) : "";
            if (!head.hash().equals(hash)) {
                lacking.add(new Missing(id, book == null ? "" : book.getTitle(), head.sequence(), Math.min(has, head.sequence())));
            }
        });
        missing = List.copyOf(lacking);
        Map<Long, Head> atMost = read(text);
        Set<String> begun = text.lines().filter(l -> l.startsWith(BEGUN)).map(l -> l.substring(BEGUN.length())).collect(Collectors.toSet());
        books.stream().filter(b -> hashes.containsKey(b.getId())
                && begun.contains(line(b.getId(), b.getHead(), hashes.get(b.getId()), b.getTitle()).strip()))
                .forEach(b -> atMost.put(b.getId(), new Head(b.getHead(), hashes.get(b.getId()), digits(b.getTitle()))));
        more = more(books, atMost);
        Set<Long> known = books.stream().filter(b -> more(List.of(b), atMost).isEmpty()).map(BookRow::getId).collect(Collectors.toSet());
        doubted = book -> there.containsKey(book) && !known.contains(book);
        more.forEach(m -> LOG.warn("The database holds what was not noted as it was written: {}", m));
        lacking.forEach(m -> LOG.warn("The database lacks entries it had: book {} has {} of {}. Nothing is written until that page is "
                + "answered.", m.book(), m.has(), m.had()));
        if (lacking.isEmpty() && more.isEmpty()) {
            write(books, mapper);
        }
    }

    private static List<Reason> more(List<BookRow> books, Map<Long, Head> noted) {
        if (noted.isEmpty()) {
            return books.isEmpty() ? List.of() : List.of(Reason.of(WebReason.HEADS_NONE, books.size()));
        }
        List<Reason> more = new ArrayList<>();
        for (BookRow book : books) {
            Head head = noted.get(book.getId());
            if (head == null && book.getHead() > 0) {
                more.add(Reason.of(WebReason.HEADS_NEW, book.getTitle(), book.getId(), book.getHead()));
            } else if (head != null && book.getHead() > head.sequence) {
                more.add(Reason.of(WebReason.HEADS_MORE, book.getTitle(), book.getId(), head.sequence, book.getHead()));
            }
            if (head != null && !head.title.isEmpty() && !head.title.equals(digits(book.getTitle()))) {
                more.add(Reason.of(WebReason.HEADS_TITLE, book.getTitle(), book.getId()));
            }
        }
        return List.copyOf(more);
    }

    /** Somebody has read what is missing: from here on the database counts as it is. What was known stays in a file of its own. */
    void told(List<BookRow> books, LedgerMapper mapper) {
        try {
            if (Files.exists(file)) {
                Files.copy(file, file.resolveSibling("heads-before-" + System.currentTimeMillis() + ".txt"));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        write(books, mapper);
        missing = List.of();
        more = List.of();
        doubted = book -> false;
    }

    /** An entry is about to be written. */
    void begin(BookRow book, int sequence, String hash) {
        add(book, BEGUN + line(book.getId(), sequence, hash, book.getTitle()));
    }

    /** One more entry. */
    void note(BookRow book, int sequence, String hash) {
        add(book, line(book.getId(), sequence, hash, book.getTitle()));
    }

    private void add(BookRow book, String line) {
        if (doubted.test(book.getId())) {
            // Noted, it would be known at the next start, and nobody would have been told.
            return;
        }
        try {
            Files.writeString(file, line, StandardCharsets.UTF_8, StandardOpenOption.CREATE, StandardOpenOption.APPEND);
        } catch (IOException e) {
            LOG.warn("The file of heads could not be written: {}", e.getMessage());
        }
    }

    private void write(List<BookRow> books, LedgerMapper mapper) {
        try {
            Map<Long, String> titles = books.stream().collect(Collectors.toMap(BookRow::getId, BookRow::getTitle));
            Path fresh = file.resolveSibling(FILE + ".new");
            Files.writeString(fresh, mapper.heads().stream().map(h -> line(h.book(), h.sequence(), h.hash(), titles.get(h.book())))
                    .collect(Collectors.joining()));
            Files.move(fresh, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException e) {
            LOG.warn("The file of heads could not be written: {}", e.getMessage());
        }
    }

    private static String line(long book, int sequence, String hash, String title) {
        return book + " " + sequence + " " + hash + " " + digits(title) + "\n";
    }

    private static String digits(String title) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(title.getBytes(StandardCharsets.UTF_8)), 0, 8);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    /**
     * The file as it goes into a backup.
     *
     * @param before as it was when the database began to be copied
     * @param after  as it was then
     */
    public static String inABackup(String before, String after) {
        return before.equals(after) ? before : before + MEANWHILE + after;
    }

    private String text() {
        try {
            return Files.exists(file) ? Files.readString(file, StandardCharsets.ISO_8859_1) : "";
        } catch (IOException e) {
            LOG.warn("The file of heads cannot be read: {}", e.getMessage());
            return "";
        }
    }

    /** A line cut short by a power cut is left out; earlier versions noted no title. */
    private static Map<Long, Head> read(String text) {
        Map<Long, Head> heads = new TreeMap<>();
        text.lines().map(l -> l.split(" ")).filter(p -> (p.length == 3 || p.length == 4)
                && p[0].matches("\\d{1,18}") && p[1].matches("\\d{1,9}") && p[2].matches("[0-9a-f]{64}"))
                .forEach(p -> heads.put(Long.parseLong(p[0]), new Head(Integer.parseInt(p[1]), p[2],
                        p.length == 4 && p[3].length() == 16 ? p[3] : "")));
        return heads;
    }
}
