package tallledger.core.seal;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tallledger.core.ledger.CanonicalJson;
import tallledger.core.ledger.Entry;

/**
 * One book of a ledger file, checked entry by entry as it is read, so that a long one need not be in memory: numbered from 1 without a
 * gap, each naming the hash of the one before, each hash that of its content. The first fault is said; after it nothing in this book can
 * be relied on.
 */
public final class BookCheck {

    private static final int PAST = 80;

    private String name;
    private Optional<Found.What> fault = Optional.empty();
    private int faultAt;
    private final Map<Integer, String> hashes = new HashMap<>();
    private final Map<String, Set<String>> attached = new HashMap<>();
    private final List<NamedBook> named = new ArrayList<>();
    private String previous = Entry.BEFORE_FIRST;
    private int count;
    private Map<String, Object> last = Map.of();

    /** A version of another book that an entry names with its hash. */
    private record NamedBook(String book, int version, String hash, int entry) {
    }

    /** @param name such as SURVEY */
    public BookCheck(String name) {
        this.name = name;
    }

    /** Its kind, where that is read after its entries. */
    public void called(String kind) {
        name = kind;
    }

    /** The next entry, with its hash among its fields. */
    public void take(Map<String, Object> entry) {
        count++;
        if (fault.isEmpty()) {
            fault = !Integer.valueOf(count).equals(entry.get("sequence")) ? Optional.of(Found.What.ENTRY_MISSING)
                    : !previous.equals(entry.get("previous")) ? Optional.of(Found.What.ENTRY_UNLINKED)
                            : !hash(entry).equals(entry.get("hash")) ? Optional.of(Found.What.ENTRY_CHANGED)
                                    : isClosed() ? Optional.of(Found.What.ENTRY_AFTER) : Optional.empty();
            faultAt = count;
        }
        previous = text(entry.get("hash"));
        hashes.put(count, previous);
        last = entry;
        names(entry);
    }

    /** SHA-256 of all fields but the hash. */
    private static String hash(Map<String, Object> entry) {
        Map<String, Object> content = new HashMap<>(entry);
        content.remove("hash");
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256")
                    .digest(CanonicalJson.write(content).getBytes(StandardCharsets.UTF_8)));
        } catch (IllegalArgumentException noCanonicalForm) {
            return "";
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    private void names(Map<String, Object> entry) {
        if (entry.get("attachments") instanceof List<?> attachments) {
            attachments.stream().filter(Map.class::isInstance).map(a -> (Map<?, ?>) a).filter(a -> !text(a.get("sha256")).isEmpty())
                    .forEach(a -> attached.computeIfAbsent(text(a.get("use")), use -> new LinkedHashSet<>()).add(text(a.get("sha256"))));
        }
        if (entry.get("payload") instanceof Map<?, ?> p) {
            named("MACHINE", p.get("machineVersion"), p.get("machineHash"));
            named("HOUSE", p.get("rules"), p.get("rulesHash"));
        }
    }

    private void named(String book, Object version, Object hash) {
        if (version instanceof Integer v && hash instanceof String h && !h.isEmpty()) {
            named.add(new NamedBook(book, v, h, count));
        }
    }

    /** What was wrong in it. */
    public List<Found> found() {
        return fault.map(what -> new Found(what, name + " " + faultAt)).stream().toList();
    }

    /** Versions of other books that its entries name and that are others there, or not there. */
    public List<Found> against(Map<String, BookCheck> books) {
        return named.stream().filter(n -> !books.containsKey(n.book) || !n.hash.equals(books.get(n.book).hashes.get(n.version))).limit(PAST)
                .map(n -> new Found(Found.What.DESCRIPTION_OTHER, name + " " + n.entry)).toList();
    }

    /** Hashes of what its entries name as attached. @param use such as "photograph" */
    public Set<String> attached(String use) {
        return attached.getOrDefault(use, Set.of());
    }

    public int count() {
        return count;
    }

    public String lastHash() {
        return previous;
    }

    /** Whether its last entry closes it. */
    public boolean isClosed() {
        return "CLOSED".equals(last.get("kind"));
    }

    /** Of its last entry: who wrote it, as name and role. */
    public String lastBy() {
        return last.get("author") instanceof Map<?, ?> a ? written(text(a.get("name")), text(a.get("role"))) : text(last.get("author"));
    }

    private static String written(String name, String role) {
        return role.isEmpty() ? name : name + ", " + role;
    }

    public String lastAt() {
        return text(last.get("at"));
    }

    /** Empty where something else stands there. */
    private static String text(Object field) {
        return field instanceof String text ? text : "";
    }

    /** The key its closing entry names, by its fingerprint; empty text where it names none. */
    public String key() {
        return last.get("payload") instanceof Map<?, ?> p && p.get("key") instanceof String key ? key : "";
    }
}
