package tallledger.web.sealed;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.PushbackInputStream;
import java.io.Reader;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoubleConsumer;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import tallledger.core.ledger.CanonicalJson;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Refused;
import tallledger.core.seal.BookCheck;
import tallledger.core.seal.Found;
import tallledger.core.seal.Found.What;
import tallledger.core.seal.Seal;
import tallledger.core.seal.SealCheck;
import tallledger.web.words.WebReason;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Checks a survey as it was handed over, without any database: reads the zip's directory, hashes each file, goes through each book entry
 * by entry, holds all against the seal. The same findings, in the same words for where, as {@code verify.js} comes to; a test holds the
 * two against each other.
 */
public final class HandedOver {

    private static final int MOST_FILES = 5_000;
    private static final long MOST_BYTES = 700_000_000;
    /**
     * What is read to be shown goes through the memory: a ledger of some 160 000 entries where there is enough of it, photographs of so
     * many bytes each and together.
     */
    private static final int MOST_READ = (int) Math.min(80_000_000, Runtime.getRuntime().maxMemory() / 20);
    private static final int A_PHOTOGRAPH = 15_000_000;
    private static final long MOST_SHOWN = 60_000_000;
    private static final Pattern UNSAFE = Pattern.compile("^/|^[A-Za-z]:|\\\\|(^|/)\\.\\.(/|$)|[\\x00-\\x1f]");
    private static final TypeReference<Map<String, Object>> TREE = new TypeReference<>() { };
    private static final JsonMapper JSON = JsonMapper.builder().build();
    /** Reads one value of many. */
    private static final JsonMapper PARTS = JsonMapper.builder().disable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS).build();

    private final List<Found> found = new ArrayList<>();
    private final Map<String, String> hashes = new LinkedHashMap<>();

    private HandedOver() {
    }

    /** @param progress share of its files read so far */
    public static Found.Checked check(Path file, DoubleConsumer progress) {
        return new HandedOver().checked(file, progress);
    }

    /**
     * The entries of each book, to be read; one that makes no sense keeps its place.
     *
     * @throws IOException where there is no ledger that can be read
     * @throws Refused where it is larger than can be shown
     */
    static Map<String, List<Entry>> books(Path file) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8);
                InputStream in = zip.getInputStream(Optional.ofNullable(zip.getEntry(SealCheck.LEDGER))
                        .orElseThrow(() -> new IOException("no ledger")))) {
            byte[] ledger = in.readNBytes(MOST_READ + 1);
            if (ledger.length > MOST_READ) {
                throw Refused.because(WebReason.HANDED_LARGE, zip.getEntry(SealCheck.LEDGER).getSize() / 1_000_000, MOST_READ / 1_000_000);
            }
            Reader text = reader(new ByteArrayInputStream(ledger));
            Map<String, List<Entry>> books = new LinkedHashMap<>();
            for (Object book : (List<?>) JSON.readValue(text, TREE).get("books")) {
                List<Entry> entries = new ArrayList<>();
                for (Object entry : (List<?>) ((Map<?, ?>) book).get("entries")) {
                    entries.add(Entry.handedOver(fields(entry), entries.size() + 1));
                }
                books.put(String.valueOf(((Map<?, ?>) book).get("kind")), entries);
            }
            return books;
        } catch (JacksonException | ClassCastException | NullPointerException bent) {
            throw new IOException("no ledger", bent);
        }
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> fields(Object entry) {
        return (Map<String, Object>) entry;
    }

    /** Photographs in it by their hash, as a page can show them. */
    static Map<String, String> photographs(Path file) throws IOException {
        Map<String, String> photographs = new LinkedHashMap<>();
        try (ZipFile zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8)) {
            long left = MOST_SHOWN;
            for (ZipEntry e : zip.stream().filter(e -> e.getName().matches("photos/[0-9a-f]{64}\\.(png|jpg)")).toList()) {
                try (InputStream in = zip.getInputStream(e)) {
                    byte[] picture = in.readNBytes((int) Math.min(left + 1, A_PHOTOGRAPH + 1));
                    left -= picture.length;
                    if (left < 0 || picture.length > A_PHOTOGRAPH) {
                        continue;
                    }
                    photographs.put(e.getName().substring(7, 71), "data:image/" + (e.getName().endsWith("png") ? "png" : "jpeg")
                            + ";base64," + Base64.getEncoder().encodeToString(picture));
                }
            }
        }
        return photographs;
    }

    private Found.Checked nothing() {
        return new Found.Checked(List.copyOf(found), Optional.empty(), "", 0, false);
    }

    private Found.Checked checked(Path file, DoubleConsumer progress) {
        try (ZipFile zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8)) {
            Map<String, ZipEntry> files = named(zip);
            if (zip.size() > MOST_FILES || zip.stream().mapToLong(e -> Math.max(0, e.getSize())).sum() > MOST_BYTES) {
                found.add(new Found(What.TOO_LARGE, ""));
                return nothing();
            }
            int done = 0;
            for (Map.Entry<String, ZipEntry> f : files.entrySet()) {
                hash(zip, f.getValue()).ifPresentOrElse(hash -> hashes.put(f.getKey(), hash),
                        () -> found.add(new Found(What.ZIP_BROKEN, f.getKey())));
                progress.accept(++done / (double) files.size());
            }
            if (!files.containsKey(SealCheck.LEDGER)) {
                found.add(new Found(What.LEDGER_MISSING, SealCheck.LEDGER));
                return nothing();
            }
            Optional<Ledger> ledger = hashes.containsKey(SealCheck.LEDGER) ? ledger(zip, files.get(SealCheck.LEDGER))
                    : unreadable(What.LEDGER_UNREADABLE, SealCheck.LEDGER);
            if (ledger.isEmpty()) {
                return nothing();
            }
            if (!ledger.get().canonical.equals(hashes.get(SealCheck.LEDGER))) {
                found.add(new Found(What.LEDGER_FORM, SealCheck.LEDGER));
            }
            Optional<Seal> seal = files.containsKey(SealCheck.SEAL) ? seal(zip, files.get(SealCheck.SEAL)) : Optional.empty();
            boolean bent = files.containsKey(SealCheck.SEAL) && seal.isEmpty();
            Found.Checked whole = SealCheck.of(ledger.get().books, hashes, seal, ledger.get().title);
            whole.found().stream().filter(f -> !bent || f.what() != What.SEAL_MISSING).forEach(found::add);
            if (bent) {
                found.add(new Found(What.SEAL_UNREADABLE, SealCheck.SEAL));
            }
            return new Found.Checked(List.copyOf(found), seal, whole.title(), whole.entries(), whole.closed());
        } catch (IOException | IllegalArgumentException broken) {
            found.add(new Found(What.ZIP_BROKEN, ""));
            return nothing();
        }
    }

    private Map<String, ZipEntry> named(ZipFile zip) {
        Map<String, ZipEntry> files = new LinkedHashMap<>();
        // Of two files of one name nobody knows which counts: neither.
        Set<String> twice = new LinkedHashSet<>();
        zip.stream().forEach(entry -> {
            if (UNSAFE.matcher(entry.getName()).find()) {
                found.add(new Found(What.NAME_UNSAFE, entry.getName()));
            } else if (files.putIfAbsent(entry.getName(), entry) != null) {
                twice.add(entry.getName());
            }
        });
        twice.forEach(name -> {
            files.remove(name);
            found.add(new Found(What.NAME_TWICE, name));
        });
        return files;
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    /** Empty where it cannot be unpacked, or is more or less than its directory says: a bomb, or a file that was written over. */
    private static Optional<String> hash(ZipFile zip, ZipEntry entry) {
        MessageDigest digest = sha256();
        byte[] part = new byte[64 * 1024];
        long count = 0;
        try (InputStream in = zip.getInputStream(entry)) {
            for (int n = in.read(part); n >= 0; n = in.read(part)) {
                count += n;
                if (count > entry.getSize()) {
                    return Optional.empty();
                }
                digest.update(part, 0, n);
            }
        } catch (IOException torn) {
            return Optional.empty();
        }
        return count == entry.getSize() ? Optional.of(HexFormat.of().formatHex(digest.digest())) : Optional.empty();
    }

    /** @param canonical hash of its one form */
    private record Ledger(Map<String, BookCheck> books, String title, String canonical) {
    }

    private <T> Optional<T> unreadable(What what, String where) {
        found.add(new Found(what, where));
        return Optional.empty();
    }

    /** Text in UTF-8 and nothing else; a mark of byte order before it is passed over. */
    private static Reader reader(InputStream raw) throws IOException {
        PushbackInputStream in = new PushbackInputStream(raw, 3);
        byte[] mark = new byte[3];
        int n = in.readNBytes(mark, 0, 3);
        if (n < 3 || (mark[0] & 0xff) != 0xef || (mark[1] & 0xff) != 0xbb || (mark[2] & 0xff) != 0xbf) {
            in.unread(mark, 0, n);
        }
        return new InputStreamReader(in, StandardCharsets.UTF_8.newDecoder().onMalformedInput(CodingErrorAction.REPORT)
                .onUnmappableCharacter(CodingErrorAction.REPORT));
    }

    private Optional<Ledger> ledger(ZipFile zip, ZipEntry entry) throws IOException {
        LedgerReader reading = new LedgerReader();
        try (Reader text = reader(zip.getInputStream(entry)); JsonParser json = PARTS.createParser(text)) {
            reading.read(json);
        } catch (JacksonException | IOException | IllegalArgumentException bent) {
            return unreadable(What.LEDGER_UNREADABLE, SealCheck.LEDGER);
        }
        if (reading.format > Handover.FORMAT || reading.hasBooks && reading.format != Handover.FORMAT) {
            return unreadable(What.LEDGER_NEWER, SealCheck.LEDGER);
        }
        return reading.hasBooks ? Optional.of(new Ledger(reading.books, reading.title, HexFormat.of().formatHex(reading.digest.digest())))
                : unreadable(What.LEDGER_UNREADABLE, SealCheck.LEDGER);
    }

    private Optional<Seal> seal(ZipFile zip, ZipEntry entry) {
        try (Reader text = reader(zip.getInputStream(entry))) {
            return Optional.of(Seal.from(JSON.readValue(text, TREE)));
        } catch (JacksonException | IOException | IllegalArgumentException bent) {
            return Optional.empty();
        }
    }

    /** Goes through a ledger's text once; what is read is written into a digest in its one form as it passes. */
    private static final class LedgerReader {

        private final Map<String, BookCheck> books = new LinkedHashMap<>();
        private final MessageDigest digest = sha256();
        private String title = "";
        private long format = -1;
        private boolean hasBooks;

        private void digest(String text) {
            digest.update(text.getBytes(StandardCharsets.UTF_8));
        }

        private void digest(Object value) {
            try {
                digest(CanonicalJson.write(value));
            } catch (IllegalArgumentException noCanonicalForm) {
                digest("?");
            }
        }

        void read(JsonParser json) throws IOException {
            require(json.nextToken() == JsonToken.START_OBJECT);
            digest("{");
            String before = "";
            for (String name = json.nextName(); name != null; name = json.nextName()) {
                // Out of its order, or twice: not its one form.
                digest(name.compareTo(before) > 0 ? (before.isEmpty() ? "" : ",") : "?");
                digest((Object) name);
                digest(":");
                before = name;
                json.nextToken();
                if (name.equals("books") && json.currentToken() == JsonToken.START_ARRAY) {
                    hasBooks = true;
                    books.clear();
                    books(json);
                } else {
                    Object value = PARTS.readValue(json, Object.class);
                    hasBooks &= !name.equals("books");
                    format = name.equals("format") ? value instanceof Number n ? n.longValue() : -1 : format;
                    title = name.equals("title") ? String.valueOf(value) : title;
                    digest(value);
                }
            }
            digest("}");
            require(json.nextToken() == null);
        }

        private void books(JsonParser json) throws IOException {
            digest("[");
            boolean begun = false;
            while (json.nextToken() == JsonToken.START_OBJECT) {
                digest(begun ? ",{" : "{");
                begun = true;
                book(json);
                digest("}");
            }
            require(json.currentToken() == JsonToken.END_ARRAY);
            digest("]");
        }

        private void book(JsonParser json) throws IOException {
            BookCheck book = new BookCheck("undefined");
            String kind = "undefined";
            String before = "";
            boolean hasEntries = false;
            for (String name = json.nextName(); name != null; name = json.nextName()) {
                digest(name.compareTo(before) > 0 ? (before.isEmpty() ? "" : ",") : "?");
                digest((Object) name);
                digest(":");
                before = name;
                json.nextToken();
                if (name.equals("entries")) {
                    require(json.currentToken() == JsonToken.START_ARRAY);
                    hasEntries = true;
                    book = new BookCheck(kind);
                    entries(json, book);
                } else {
                    Object value = PARTS.readValue(json, Object.class);
                    kind = name.equals("kind") ? String.valueOf(value) : kind;
                    digest(value);
                }
            }
            require(hasEntries);
            book.called(kind);
            books.put(kind, book);
        }

        private void entries(JsonParser json, BookCheck book) throws IOException {
            digest("[");
            boolean begun = false;
            while (json.nextToken() == JsonToken.START_OBJECT) {
                Map<String, Object> entry = PARTS.readValue(json, TREE);
                digest(begun ? "," : "");
                begun = true;
                digest(entry);
                book.take(entry);
            }
            require(json.currentToken() == JsonToken.END_ARRAY);
            digest("]");
        }

        private static void require(boolean asItShouldBe) {
            if (!asItShouldBe) {
                throw new IllegalArgumentException("not a ledger");
            }
        }
    }
}
