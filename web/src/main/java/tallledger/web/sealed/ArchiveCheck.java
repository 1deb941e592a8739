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
import java.util.Arrays;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoubleConsumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
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

/**
 * Checks a survey as it was handed over, without any database: reads the zip's directory, hashes each file, goes through each book entry
 * by entry, holds all against the seal. The same findings, in the same words for where, as {@code verify.js} comes to; a test holds the
 * two against each other.
 */
public final class ArchiveCheck {

    /**
     * What is read to be shown goes through the memory: a ledger of some 160 000 entries where there is enough of it, photographs of so
     * many bytes each and together.
     */
    private static final int MOST_READ = (int) Math.min(80_000_000, Runtime.getRuntime().maxMemory() / 20);
    private static final int A_PHOTOGRAPH = 15_000_000;
    private static final long MOST_SHOWN = 60_000_000;
    private static final TypeReference<Map<String, Object>> TREE = new TypeReference<>() {
    };
    private static final Pattern PHOTO = Pattern.compile("photos/([0-9a-f]{64})\\.(?:png|jpg)");
    private static final byte[] PNG = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'};
    private static final byte[] JPEG = {(byte) 0xff, (byte) 0xd8, (byte) 0xff};

    private final List<Found> found = new ArrayList<>();
    private final Map<String, String> hashes = new LinkedHashMap<>();

    private ArchiveCheck() {
    }

    /** @param progress share of its files read so far */
    public static Found.CheckedArchive check(Path file, DoubleConsumer progress) {
        return new ArchiveCheck().checked(file, progress);
    }

    /**
     * The entries of each book, to be read; one that makes no sense keeps its place.
     *
     * @throws IOException where there is no ledger that can be read
     * @throws Refused where it is larger than can be shown
     */
    static Map<String, List<Entry>> books(Path file) throws IOException {
        try (Container zip = Container.open(file); InputStream in = zip.in(SealCheck.LEDGER)) {
            byte[] ledger = in.readNBytes(MOST_READ + 1);
            if (ledger.length > MOST_READ) {
                throw Refused.because(WebReason.HANDED_LARGE, zip.size(SealCheck.LEDGER) / 1_000_000, MOST_READ / 1_000_000);
            }
            Reader text = reader(new ByteArrayInputStream(ledger));
            Map<String, List<Entry>> books = new LinkedHashMap<>();
            for (Object book : (List<?>) PlainJson.WHOLE.readValue(text, TREE).get("books")) {
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

    /** @param type by its first bytes, whatever it is called */
    record Photograph(String type, byte[] bytes) {
    }

    /** Photographs in it by their hash, as they can be shown. */
    static Map<String, Photograph> photographs(Path file) throws IOException {
        Map<String, Photograph> photographs = new LinkedHashMap<>();
        long left = MOST_SHOWN;
        try (Container zip = Container.open(file)) {
            for (String name : zip.names()) {
                Matcher photo = PHOTO.matcher(name);
                if (!photo.matches() || zip.size(name) > Math.min(left, A_PHOTOGRAPH)) {
                    continue;
                }
                try (InputStream in = zip.in(name)) {
                    byte[] bytes = in.readAllBytes();
                    left -= bytes.length;
                    type(bytes).ifPresent(type -> photographs.put(photo.group(1), new Photograph(type, bytes)));
                } catch (IOException torn) {
                    // The check says so; what else is in it can be read.
                    continue;
                }
            }
        }
        return photographs;
    }

    private static Optional<String> type(byte[] bytes) {
        return begins(bytes, PNG) ? Optional.of("image/png") : begins(bytes, JPEG) ? Optional.of("image/jpeg") : Optional.empty();
    }

    private static boolean begins(byte[] bytes, byte[] with) {
        return bytes.length >= with.length && Arrays.equals(bytes, 0, with.length, with, 0, with.length);
    }

    private Found.CheckedArchive nothing() {
        return new Found.CheckedArchive(List.copyOf(found), Optional.empty(), "", 0, false, List.of());
    }

    private Found.CheckedArchive checked(Path file, DoubleConsumer progress) {
        try (Container zip = Container.open(file)) {
            found.addAll(zip.found());
            if (!zip.isWhole()) {
                return nothing();
            }
            Set<String> files = zip.names();
            int done = 0;
            for (String name : files) {
                hash(zip, name).ifPresentOrElse(hash -> hashes.put(name, hash), () -> found.add(new Found(What.ZIP_BROKEN, name)));
                progress.accept(++done / (double) files.size());
            }
            if (!files.contains(SealCheck.LEDGER)) {
                found.add(new Found(What.LEDGER_MISSING, SealCheck.LEDGER));
                return nothing();
            }
            Optional<Ledger> ledger = hashes.containsKey(SealCheck.LEDGER) ? ledger(zip)
                    : unreadable(What.LEDGER_UNREADABLE, SealCheck.LEDGER);
            if (ledger.isEmpty()) {
                return nothing();
            }
            if (!ledger.get().canonical.equals(hashes.get(SealCheck.LEDGER))) {
                found.add(new Found(What.LEDGER_FORM, SealCheck.LEDGER));
            }
            Optional<Seal> seal = hashes.containsKey(SealCheck.SEAL) ? seal(zip) : Optional.empty();
            boolean bent = files.contains(SealCheck.SEAL) && seal.isEmpty();
            Found.CheckedArchive whole = SealCheck.of(ledger.get().books, hashes, seal, ledger.get().title);
            whole.found().stream().filter(f -> !bent || f.what() != What.SEAL_MISSING).forEach(found::add);
            if (bent) {
                found.add(new Found(What.SEAL_UNREADABLE, SealCheck.SEAL));
            }
            return new Found.CheckedArchive(List.copyOf(found), seal, whole.title(), whole.entries(), whole.closed(), whole.unheld());
        } catch (IOException | RuntimeException broken) {
            // Whatever somebody made of it: it is not what was handed over.
            found.add(new Found(What.ZIP_BROKEN, ""));
            return nothing();
        }
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    /** Empty where it cannot be unpacked, or is more or less than its directory says: a bomb, or a file that was written over. */
    private static Optional<String> hash(Container zip, String name) {
        MessageDigest digest = sha256();
        byte[] part = new byte[64 * 1024];
        try (InputStream in = zip.in(name)) {
            for (int n = in.read(part); n >= 0; n = in.read(part)) {
                digest.update(part, 0, n);
            }
        } catch (IOException torn) {
            return Optional.empty();
        }
        return Optional.of(HexFormat.of().formatHex(digest.digest()));
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

    private Optional<Ledger> ledger(Container zip) throws IOException {
        LedgerReader reading = new LedgerReader();
        try (Reader text = reader(zip.in(SealCheck.LEDGER)); JsonParser json = PlainJson.PARTS.createParser(text)) {
            reading.read(json);
        } catch (JacksonException | IOException | IllegalArgumentException bent) {
            return unreadable(What.LEDGER_UNREADABLE, SealCheck.LEDGER);
        }
        if (reading.format > ArchiveWriter.FORMAT || reading.hasBooks && reading.format != ArchiveWriter.FORMAT) {
            return unreadable(What.LEDGER_NEWER, SealCheck.LEDGER);
        }
        return reading.hasBooks ? Optional.of(new Ledger(reading.books, reading.title, HexFormat.of().formatHex(reading.digest.digest())))
                : unreadable(What.LEDGER_UNREADABLE, SealCheck.LEDGER);
    }

    /** Empty where it is none. What else somebody wrote into it is not signed, and said. */
    private Optional<Seal> seal(Container zip) {
        try (Reader text = reader(zip.in(SealCheck.SEAL))) {
            Seal seal = Seal.from(PlainJson.plain(PlainJson.WHOLE.readValue(text, TREE)));
            if (!hashes.get(SealCheck.SEAL).equals(sha256(seal.written()))) {
                found.add(new Found(What.SEAL_FORM, SealCheck.SEAL));
            }
            return Optional.of(seal);
        } catch (JacksonException | IOException | IllegalArgumentException bent) {
            return Optional.empty();
        }
    }

    private static String sha256(String text) {
        return HexFormat.of().formatHex(sha256().digest(text.getBytes(StandardCharsets.UTF_8)));
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
                    Object value = PlainJson.plain(PlainJson.PARTS.readValue(json, Object.class));
                    hasBooks &= !name.equals("books");
                    format = name.equals("format") ? value instanceof Integer n ? n : -1 : format;
                    title = name.equals("title") ? value instanceof String text ? text : "" : title;
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
                    Object value = PlainJson.plain(PlainJson.PARTS.readValue(json, Object.class));
                    require(!name.equals("kind") || value instanceof String);
                    kind = name.equals("kind") ? (String) value : kind;
                    digest(value);
                }
            }
            require(hasEntries);
            book.called(kind);
            require(books.put(kind, book) == null);
        }

        private void entries(JsonParser json, BookCheck book) throws IOException {
            digest("[");
            boolean begun = false;
            while (json.nextToken() == JsonToken.START_OBJECT) {
                Map<String, Object> entry = PlainJson.plain(PlainJson.PARTS.readValue(json, TREE));
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
