package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.MessageDigest;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Route;
import tallledger.core.ledger.Attachment;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.CanonicalJson;
import tallledger.core.ledger.Entry;
import tallledger.core.seal.Seal;
import tallledger.core.sound.SoundAnalysis;
import tallledger.core.sound.SoundFindings;
import tallledger.core.sound.WavFile;
import tallledger.core.survey.BookEvent;
import tallledger.core.survey.Recording;
import tallledger.core.survey.RunRecord;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.verdict.Finding;
import tallledger.practice.SimulatedSound;
import tallledger.web.housebook.SheetCell;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.sealed.ArchiveCheck;
import tallledger.web.sealed.ArchiveWriter;
import tallledger.web.sealed.Closing;
import tallledger.web.store.AttachmentRow;
import tallledger.web.store.Attachments;
import tallledger.web.store.Books;
import tallledger.web.store.Submission;
import tallledger.web.store.WriteRefusedException;
import tools.jackson.databind.json.JsonMapper;

/** A survey closed, sealed and handed over; and every kind of tampering found, and placed, alike by the three that check it. */
class HandoverTest {

    @TempDir
    static Path data;
    private static App app;
    private static long survey;
    private static byte[] whole;
    private static String photo;
    private static String sound;

    @BeforeAll
    static void closeOne() throws Exception {
        app = App.on(data.resolve("data"));
        survey = Scenes.readySurvey(app);
        ByteArrayOutputStream picture = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", picture);
        AttachmentRow row = AttachmentRow.of("image/png", picture.toByteArray());
        photo = row.sha256();
        StoredSurvey now = survey();
        Authorship by = Authorship.of(Instant.now(), "Q. Tester, buyer");
        app.bean(Books.class).append(survey, SurveyEntries.camera(by, BookEvent.Camera.What.STARTED), Submission.fresh(now.head()));
        app.bean(Attachments.class)
                .keep(survey, List.of(row), SurveyEntries.photo(by, "", List.of(new Attachment("photograph", row.sha256(), row.type())), 40,
                        30, "=the plate"), Submission.fresh(now.head() + 1));
        app.bean(Books.class).append(survey,
                SurveyEntries.remark(by, "\u03a7\u03b1\u03af\u03c1\u03b5 \u0416 \u4e2d \u201cquoted\u201d \\ \u0001".replace("\u0001", "")),
                Submission.fresh(now.head() + 2));
        sound(by);
        app.bean(Closing.class).close(survey(), "Q. Tester, buyer", Submission.fresh(survey().head()));
        whole = zip();
    }

    private static void sound(Authorship by) {
        AttachmentRow row = AttachmentRow.of(Recording.TYPE, SimulatedSound.usual().ofRoom(9));
        sound = row.sha256();
        StoredSurvey now = survey();
        app.bean(Attachments.class).keep(survey, List.of(row), SurveyEntries.sound(by, now.core(), "", row.as(Recording.SOUND),
                row.bytes().length, BigDecimal.TEN, "near", Recording.Treated.NOT,
                SoundFindings.ofRoom(SoundAnalysis.of(WavFile.parse(row.bytes()), List.of(), List.of(), 0.02, Optional.empty()))),
                Submission.fresh(now.head()));
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    private static StoredSurvey survey() {
        return app.bean(SurveyLibrary.class).survey(survey);
    }

    private static PDDocument report(long of, String how) throws Exception {
        return Loader.loadPDF(new URI(app.url("/surveys/" + of + "/verdict.pdf" + how)).toURL().openStream().readAllBytes());
    }

    private static byte[] zip() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        app.bean(ArchiveWriter.class).write(survey(), out);
        return out.toByteArray();
    }

    private static Map<String, byte[]> files(byte[] zip) throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                files.put(e.getName(), in.readAllBytes());
            }
        }
        return files;
    }

    private static byte[] zipped(Map<String, byte[]> files) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> f : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(f.getKey()));
                zip.write(f.getValue());
                zip.closeEntry();
            }
        }
        return out.toByteArray();
    }

    private static String sha256(byte[] bytes) throws Exception {
        return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    }

    private static List<String> java(byte[] zip) throws IOException {
        Path file = Files.createTempFile(data, "handed", ".zip");
        Files.write(file, zip);
        return ArchiveCheck.check(file, share -> {}).found().stream().map(f -> (f.what() + " " + f.where()).strip()).sorted().toList();
    }

    @Test
    void whatWasClosedHoldsAndTakesNoEntry() throws Exception {
        assertThat(java(whole)).isEmpty();
        assertThat(zip()).as("made again it is the same bytes").isEqualTo(whole);
        assertThat(files(whole)).containsKeys("ledger.json", "report.pdf", "readings.csv", "steps.csv", "kit.csv", "films.csv",
                "film-1.vtt", "machine.json", "schema.json", "seal.json", "verify.html", "photos/" + photo + ".png",
                "sounds/" + sound + ".wav");
        assertThat(files(whole).get("schema.json")).isEqualTo(Files.readAllBytes(Path.of("../docs/ledger.schema.json")));
        assertThat(new String(files(whole).get("film-1.vtt"), StandardCharsets.UTF_8)).startsWith("WEBVTT\n\n00:00:00.000 --> ");
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> app.bean(Books.class)
                .append(survey, SurveyEntries.remark(Authorship.of(Instant.now(), "Q"), "late"), Submission.fresh(survey().head())))
                .isInstanceOfSatisfying(WriteRefusedException.class, not -> assertThat(not.reason().code()).isEqualTo("store.closed"));
        long next = app.bean(SurveyBooks.class).nextVolume(survey(), "Q. Tester", Submission.fresh(0));
        assertThat(app.bean(SurveyLibrary.class).survey(next).entries().get(0).payload().part("after").text("hash"))
                .isEqualTo(survey().entries().get(survey().head() - 1).hash());
        assertThat(Files.getPosixFilePermissions(data.resolve("data/seal.key"))).extracting(Enum::name)
                .containsExactlyInAnyOrder("OWNER_READ", "OWNER_WRITE");
        assertThat(new Http(app).get("/house/keys").body())
                .contains(Seal.from(JsonMapper.builder().build().readValue(files(whole).get("seal.json"), Map.class)).fingerprint()
                        .words());
    }

    /** Each kind of tampering with what must be found; the zip as handed over first. */
    private static Map<String, byte[]> tampered() throws Exception {
        Map<String, byte[]> all = new LinkedHashMap<>();
        all.put("whole|", whole);
        all.put("cut short|ZIP_BROKEN", java.util.Arrays.copyOf(whole, whole.length - 300));
        all.put("no zip|ZIP_BROKEN", "not a zip".getBytes(StandardCharsets.UTF_8));
        all.put("packed again|", zipped(files(whole)));
        all.put("a figure changed|ENTRY_CHANGED SURVEY 3",
                with("ledger.json", t -> t.replace("\"what\":\"STARTED\"", "\"what\":\"STOPPED\"")));
        all.put("an author changed|ENTRY_CHANGED SURVEY 5", with("ledger.json", t -> t.replaceFirst("(\"name\":\")Q. "
                + "Tester(\",\"role\":\"buyer\"},\"format\":2,\"hash\":\"" + hash(5) + ")", "$1R. Tester$2")));
        all.put("an entry dropped|ENTRY_MISSING SURVEY 5", with("ledger.json", t -> t.replace(entry(t, 5) + ",", "")));
        all.put("two entries swapped|ENTRY_MISSING SURVEY 4",
                with("ledger.json", t -> t.replace(entry(t, 4) + "," + entry(t, 5), entry(t, 5) + "," + entry(t, 4))));
        all.put("an entry added|ENTRY_MISSING SURVEY 6",
                with("ledger.json", t -> t.replace(entry(t, 5) + ",", entry(t, 5) + "," + entry(t, 5) + ",")));
        String behind = CanonicalJson.write(Entry.following(Optional.of(survey().entries().get(survey().head() - 1)),
                SurveyEntries.remark(Authorship.of(Instant.now(), "Q"), "all was well")).handedOver());
        all.put("an entry behind the closing|ENTRY_AFTER SURVEY 8",
                with("ledger.json", t -> t.replace(entry(t, survey().head()), entry(t, survey().head()) + "," + behind)));
        all.put("the machine's description changed|ENTRY_CHANGED MACHINE 1",
                with("ledger.json", t -> t.replaceFirst("\"maker\":\"Aldwark\"", "\"maker\":\"Brinmoor\"")));
        all.put("spaces in it|LEDGER_FORM", with("ledger.json", t -> t.replaceFirst(",", ", ")));
        all.put("a key twice|LEDGER_FORM", with("ledger.json", t -> t.replaceFirst("\"format\":1,", "\"format\":1,\"format\":1,")));
        all.put("other encoding|LEDGER_UNREADABLE", with("ledger.json", t -> t, StandardCharsets.UTF_16LE));
        all.put("of a newer form|LEDGER_NEWER", with("ledger.json", t -> t.replaceFirst("\"format\":1,", "\"format\":2,")));
        all.put("nonsense|LEDGER_UNREADABLE", with("ledger.json", t -> "{\"books\":7"));
        all.put("no ledger|LEDGER_MISSING", without("ledger.json"));
        all.put("a photograph swapped|PHOTO_OTHER", with("photos/" + photo + ".png", t -> t + "x", StandardCharsets.ISO_8859_1));
        all.put("a photograph gone|PHOTO_MISSING", without("photos/" + photo + ".png"));
        all.put("a recording swapped|SOUND_OTHER", with("sounds/" + sound + ".wav", t -> t + "x", StandardCharsets.ISO_8859_1));
        all.put("a recording gone|SOUND_MISSING", without("sounds/" + sound + ".wav"));
        all.put("a reading in the table changed|FILE_CHANGED readings.csv", with("readings.csv", t -> t + "1"));
        all.put("the report changed|FILE_CHANGED report.pdf", with("report.pdf", t -> t + " ", StandardCharsets.ISO_8859_1));
        all.put("a file added|FILE_EXTRA more.txt", plus("more.txt", "more"));
        all.put("a name that climbs|NAME_UNSAFE ../more.txt", plus("../more.txt", "more"));
        all.put("the seal gone|SEAL_MISSING", without("seal.json"));
        all.put("another closed it|SEAL_CLOSING",
                with("seal.json", t -> t.replace("\"closedBy\":\"Q. Tester, buyer\"", "\"closedBy\":\"A. Nother\"")));
        all.put("closed at another time|SIGNATURE_WRONG", with("seal.json", t -> t.replaceFirst("\"closedAt\":\"20", "\"closedAt\":\"19")));
        all.put("the seal is none|SEAL_UNREADABLE", with("seal.json", t -> "[]"));
        all.put("sealed by another key|KEY_OTHER", resealed());
        all.put("a bomb by what it says|TOO_LARGE", sized("steps.csv", 2_000_000_000));
        all.put("a directory that says less than stands behind the file|ZIP_LOCAL", sized("steps.csv", 10));
        all.put("a name twice|NAME_TWICE readings.csv", twice());
        containers(all);
        readings(all);
        for (String inherited : List.of("constructor", "__proto__", "toString")) {
            all.put("a file called " + inherited + "|FILE_EXTRA " + inherited, plus(inherited, "more"));
            all.put("the seal names " + inherited + "|FILE_MISSING " + inherited,
                    with("seal.json", t -> t.replace("\"files\":{", "\"files\":{\"" + inherited + "\":\"" + "0".repeat(64) + "\",")));
        }
        all.put("the books it rests on gone|DESCRIPTION_OTHER SURVEY 1",
                with("ledger.json", t -> "{\"books\":[" + t.substring(t.lastIndexOf("{\"entries\":["))));
        all.put("the survey's book gone|LEDGER_UNREADABLE",
                with("ledger.json", t -> t.substring(0, t.lastIndexOf(",{\"entries\":[")) + "],\"format\":1,\"title\":\"none\"}"));
        return all;
    }

    /** Containers that lie: another program sees another survey in them, or one that is not there. */
    private static void containers(Map<String, byte[]> all) throws Exception {
        Map<String, byte[]> files = files(whole);
        Map<String, byte[]> other = files(with("ledger.json", t -> t.replace("\"what\":\"STARTED\"", "\"what\":\"STOPPED\"")));
        byte[] hidden = ForgedZip.of(Map.of("ledger.json", other.get("ledger.json"))).written();
        all.put("put together anew|", ForgedZip.of(files).written());
        all.put("another zip in its comment|ZIP_GAP", forged(z -> z.comment = hidden));
        all.put("a second end in its comment|ZIP_GAP", forged(z -> z.comment = plus(ForgedZip.end(0, 0, 0), new byte[2])));
        all.put("a whole zip before it|ZIP_GAP", plus(hidden, whole));
        all.put("a whole zip behind it|ZIP_GAP", plus(whole, hidden));
        all.put("a byte behind it|ZIP_AFTER", plus(whole, new byte[1]));
        all.put("a line behind it|ZIP_AFTER", plus(whole, "\n".getBytes(StandardCharsets.UTF_8)));
        all.put("a comment|ZIP_AFTER", forged(z -> z.comment = "as agreed".getBytes(StandardCharsets.UTF_8)));
        all.put("bytes before the first file|ZIP_GAP file 1", forged(z -> z.parts.get(0).before = new byte[16]));
        all.put("bytes between two files|ZIP_GAP file 3", forged(z -> z.parts.get(2).before = new byte[16]));
        all.put("bytes before the directory|ZIP_GAP", forged(z -> z.between = new byte[16]));
        all.put("a file that no directory names|ZIP_GAP", forged(z -> {
            z.parts.add(1, new ForgedZip.Part("ledger.json", other.get("ledger.json")));
            z.parts.get(1).hidden = true;
        }));
        all.put("another name before the content|ZIP_LOCAL file 1", forged(z -> z.parts.get(0).local = bytes("ledgex.json")));
        all.put("a longer name before the content|ZIP_LOCAL file 1", forged(z -> z.parts.get(0).local = bytes("ledger.json/../x")));
        all.put("another size before the content|ZIP_LOCAL file 1", forged(z -> z.parts.get(0).localSize++));
        all.put("another sum before the content|ZIP_LOCAL file 1", forged(z -> z.parts.get(0).localCrc++));
        all.put("other flags before the content|ZIP_LOCAL file 1", forged(z -> z.parts.get(0).localFlags = 0));
        all.put("a wrong sum|ZIP_BROKEN ledger.json", forged(z -> {
            z.parts.get(0).crc++;
            z.parts.get(0).localCrc++;
        }));
        all.put("a link|ZIP_KIND file 1", forged(z -> z.parts.get(0).attributes = 0xa1ff << 16));
        all.put("a device|ZIP_KIND file 1", forged(z -> z.parts.get(0).attributes = 0x2000 << 16));
        all.put("a folder|ZIP_KIND", forged(z -> z.parts.add(new ForgedZip.Part("photos/", new byte[0]))));
        all.put("a folder by its attribute|ZIP_KIND file 1", forged(z -> z.parts.get(0).attributes = 0x10));
        all.put("plain by its attribute|", forged(z -> z.parts.get(0).attributes = 0x81a4 << 16));
        all.put("encrypted|ZIP_KIND file 1", forged(z -> z.parts.get(0).flags = z.parts.get(0).localFlags = 0x0801));
        all.put("packed in another way|ZIP_KIND file 1", forged(z -> z.parts.get(0).method = 12));
        all.put("a name of its own for some programs|ZIP_KIND file 1",
                forged(z -> z.parts.get(0).extra = new byte[] {0x75, 0x70, 1, 0, 1}));
        all.put("a field before the content only|ZIP_LOCAL file 1", forged(z -> {
            z.parts.get(0).localExtra = new byte[] {0x75, 0x70, 0, 0};
            z.parts.get(0).content = java.util.Arrays.copyOf(z.parts.get(0).content, z.parts.get(0).content.length - 4);
        }));
        all.put("a comment of a file|ZIP_KIND file 1", forged(z -> z.parts.get(0).comment = bytes("as agreed")));
        all.put("sizes beyond all|ZIP_KIND file 1", forged(z -> z.parts.get(0).size = -1));
        all.put("sizes beyond all in a field of 2 to the 62|ZIP_KIND file 1", forged(z -> {
            z.parts.get(0).size = -1;
            z.parts.get(0).extra = new byte[] {1, 0, 8, 0, 0, 0, 0, 0, 0, 0, 0, 0x40};
        }));
        all.put("more files than it has|ZIP_BROKEN", forged(z -> z.more = 1));
        all.put("fewer files than it has|ZIP_GAP", forged(z -> z.more = -1));
        all.put("more files than there can be|TOO_LARGE", forged(z -> z.more = 6_000));
        all.put("a directory elsewhere|ZIP_GAP", forged(z -> z.directoryAt = -46));
        all.put("a directory beyond its end|ZIP_BROKEN", forged(z -> z.directoryAt = 46));
        all.put("a name that is no text|NAME_UNSAFE file 1", forged(z -> z.parts.get(0).local = z.parts.get(0).central = new byte[] {
                'l', (byte) 0xff}));
        all.put("a name in another alphabet|NAME_UNSAFE", forged(z -> {
            ForgedZip.Part more = new ForgedZip.Part("\u00e9.txt", new byte[0]);
            more.flags = more.localFlags = 0;
            z.parts.add(more);
        }));
        all.put("a name written backwards|NAME_UNSAFE ?fdp.exe", plus("\u202efdp.exe", "x"));
        all.put("a name over two lines|NAME_UNSAFE HOLDS?Key", plus("HOLDS\nKey", "x"));
        all.put("a name without end|NAME_UNSAFE " + "n".repeat(200), plus("n".repeat(9_000), "x"));
        all.put("names that climb, a thousand|NAME_UNSAFE ../0", forged(z -> {
            for (int i = 0; i < 1_000; i++) {
                z.parts.add(new ForgedZip.Part("../" + i, new byte[0]));
            }
        }));
        all.put("the page that checks changed|FILE_CHANGED verify.html", with("verify.html", t -> t.replace("not what was", "what was")));
    }

    /** What two readers of JSON would read differently. */
    private static void readings(Map<String, byte[]> all) throws Exception {
        String count = "\"count\":" + survey().entries().size();
        all.put("a seal's count with a nought|SEAL_UNREADABLE", with("seal.json", t -> t.replace(count, count + ".0")));
        all.put("a seal's count as a power|SEAL_UNREADABLE", with("seal.json", t -> t.replace(count, count + "e0")));
        all.put("a seal with more in it|SEAL_FORM", with("seal.json", t -> t.replace("{\"closedAt\"", "{\"also\":1,\"closedAt\"")));
        all.put("a seal spaced out|SEAL_FORM", with("seal.json", t -> t.replace("{\"closedAt\"", "{ \"closedAt\"")));
        for (String field : List.of("lastHash", "count", "closedBy", "closedAt", "publicKey", "files", "signature", "format")) {
            all.put("a seal without " + field + "|SEAL_UNREADABLE", with("seal.json", t -> t.replace("\"" + field + "\":", "\"x" + field
                    + "\":")));
        }
        all.put("a seal of no format|SEAL_UNREADABLE", with("seal.json", t -> t.replace("\"format\":1", "\"format\":true")));
        all.put("a seal whose files are a list|SEAL_UNREADABLE", with("seal.json", t -> t.replaceFirst("\"files\":\\{[^}]*}",
                "\"files\":[]")));
        all.put("a signature with a blank|SIGNATURE_WRONG", with("seal.json", t -> t.replace("\"signature\":\"", "\"signature\":\" ")));
        all.put("a signature without its end|SIGNATURE_WRONG", with("seal.json", t -> t.replace("==\"}", "\"}")));
        all.put("a sequence with a nought|LEDGER_UNREADABLE", with("ledger.json", t -> t.replaceFirst("\"sequence\":3,",
                "\"sequence\":3.0,")));
        all.put("a number below nought|ENTRY_MISSING", with("ledger.json", t -> t.replaceFirst("\"sequence\":1,", "\"sequence\":-0,")));
        all.put("a format with a nought|LEDGER_UNREADABLE", with("ledger.json", t -> t.replaceFirst("\"format\":1,", "\"format\":1.0,")));
        all.put("a number too long|LEDGER_UNREADABLE", with("ledger.json", t -> t.replaceFirst("\"sequence\":3,",
                "\"sequence\":9007199254740993,")));
        all.put("half a sign|LEDGER_UNREADABLE", with("ledger.json", t -> t.replaceFirst("\"title\":\"", "\"title\":\"\\\\ud800")));
        all.put("nested without end|LEDGER_UNREADABLE", with("ledger.json", t -> t.replaceFirst("\"title\":", "\"more\":"
                + "[".repeat(5_000) + "]".repeat(5_000) + ",\"title\":")));
        all.put("a book twice|LEDGER_UNREADABLE", with("ledger.json", t -> t.replaceFirst("\\{\"books\":\\[",
                "{\"books\":[{\"entries\":[],\"kind\":\"SURVEY\"},")));
        all.put("a book of no kind|LEDGER_UNREADABLE", with("ledger.json", t -> t.replaceFirst("\"kind\":\"HOUSE\"}", "\"kind\":[1,2]}")));
        all.put("a mark before it|LEDGER_FORM", with("ledger.json", t -> "\ufeff" + t));
        all.put("an author who is a list|ENTRY_CHANGED SURVEY", with("ledger.json", t -> t.substring(0, t.lastIndexOf("\"author\":{"))
                + "\"author\":[1],\"was\":{"
                + t.substring(t.lastIndexOf("\"author\":{") + 10)));
        all.put("a title that is a list|LEDGER_FORM", with("ledger.json", t -> t.replaceFirst("\"title\":\"",
                "\"title\":[1, 2],\"t\":\"")));
        all.put("a key that every object has|FILE_CHANGED ledger.json", with("ledger.json", t -> t.replaceFirst("\"title\":",
                "\"__proto__\":{},\"title\":")));
    }

    private static byte[] forged(java.util.function.Consumer<ForgedZip> change) throws Exception {
        return ForgedZip.of(files(whole)).with(change).written();
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] plus(byte[] first, byte[] second) {
        byte[] both = java.util.Arrays.copyOf(first, first.length + second.length);
        System.arraycopy(second, 0, both, first.length, second.length);
        return both;
    }

    private interface Change {
        String of(String text) throws Exception;
    }

    private static byte[] with(String name, Change change) throws Exception {
        return with(name, change, StandardCharsets.UTF_8);
    }

    private static byte[] with(String name, Change change, java.nio.charset.Charset as) throws Exception {
        Map<String, byte[]> files = files(whole);
        java.nio.charset.Charset from = as == StandardCharsets.ISO_8859_1 ? as : StandardCharsets.UTF_8;
        String before = new String(files.get(name), from);
        String after = change.of(before);
        assertThat(as != StandardCharsets.UTF_16LE && after.equals(before)).as("the change to " + name + " changes something").isFalse();
        files.put(name, after.getBytes(as));
        return zipped(files);
    }

    private static byte[] without(String name) throws Exception {
        Map<String, byte[]> files = files(whole);
        files.remove(name);
        return zipped(files);
    }

    private static byte[] plus(String name, String text) throws Exception {
        Map<String, byte[]> files = files(whole);
        files.put(name, text.getBytes(StandardCharsets.UTF_8));
        return zipped(files);
    }

    /** Two files of one name: a name of the same length written over in the zip itself. */
    private static byte[] twice() throws Exception {
        byte[] zip = plus("readingz.csv", "more");
        String text = new String(zip, StandardCharsets.ISO_8859_1).replace("readingz.csv", "readings.csv");
        return text.getBytes(StandardCharsets.ISO_8859_1);
    }

    /** What the directory says a file unpacks to, written over. */
    private static byte[] sized(String name, int size) throws Exception {
        byte[] zip = zipped(files(whole));
        String text = new String(zip, StandardCharsets.ISO_8859_1);
        for (int at = text.indexOf("PK\u0001\u0002"); at >= 0; at = text.indexOf("PK\u0001\u0002", at + 4)) {
            if (text.startsWith(name, at + 46)) {
                for (int i = 0; i < 4; i++) {
                    zip[at + 24 + i] = (byte) (size >> 8 * i);
                }
            }
        }
        return zip;
    }

    private static byte[] resealed() throws Exception {
        Map<String, byte[]> files = files(whole);
        Seal seal = Seal.from(JsonMapper.builder().build().readValue(files.get("seal.json"), Map.class));
        KeyPair pair = KeyPairGenerator.getInstance("Ed25519").generateKeyPair();
        files.put("seal.json", Seal.of(seal.lastHash(), seal.count(), seal.closedBy(), seal.closedAt(), seal.files(), pair.getPublic(),
                pair.getPrivate()).written().getBytes(StandardCharsets.UTF_8));
        return zipped(files);
    }

    private static String hash(int entry) {
        return survey().entries().get(entry - 1).hash();
    }

    private static String entry(String ledger, int which) {
        String text = CanonicalJson.write(survey().entries().get(which - 1).handedOver());
        assertThat(ledger).contains(text);
        return text;
    }

    /** In Java, in the page inside the zip opened from the disk, and in the application: the same findings at the same places. */
    @Test
    void everyTamperingIsFoundAlikeByAllThree() throws Exception {
        Path page = data.resolve("verify.html");
        Files.write(page, files(whole).get("verify.html"));
        Browser browser = Browser.open();
        Page inZip = browser.page();
        inZip.navigate(page.toUri().toString());
        List<String> differ = new ArrayList<>();
        Map<String, byte[]> archives = tampered();
        assertThat(archives.size()).isGreaterThanOrEqualTo(100);
        for (Map.Entry<String, byte[]> t : archives.entrySet()) {
            String name = t.getKey().split("\\|")[0];
            String due = t.getKey().substring(name.length() + 1);
            Path file = data.resolve(name.replaceAll("\\W+", "-") + ".zip");
            Files.write(file, t.getValue());
            List<String> java = java(t.getValue());
            if (due.isEmpty() ? !java.isEmpty() : java.stream().noneMatch(f -> f.startsWith(due))) {
                differ.add(name + ": Java found " + java + ", due is " + due);
            }
            inZip.evaluate("() => { delete document.body.dataset.done; }");
            inZip.setInputFiles("#file", file);
            inZip.waitForFunction("() => document.body.dataset.done === 'yes'");
            String found = (String) inZip.evaluate("() => document.body.dataset.found");
            if (!found.equals(String.join("\n", java))) {
                differ.add(name + ": the page found " + found.replace('\n', ',') + ", Java " + java);
            }
        }
        assertThat(differ).isEmpty();
        assertThat(browser.complaints()).isEmpty();
        inZip.navigate(app.url("/check"));
        inZip.setInputFiles("#file", data.resolve("a-figure-changed.zip"));
        inZip.click("button:has-text('Check it')");
        assertThat(browser.text()).contains("This is not what was handed over", "An entry was changed after it was written: SURVEY 3.",
                "A file was changed: ledger.json.");
        inZip.setInputFiles("#file", data.resolve("whole.zip"));
        inZip.click("button:has-text('Check it')");
        assertThat(browser.text()).contains("All of it holds", "Closed by Q. Tester, buyer").doesNotContain("Not checked");
    }

    /** The browser's own arithmetic, as where it offers none: the signature and hashes hold without it. */
    @Test
    void thePageChecksWhereTheBrowserOffersNoArithmetic() throws Exception {
        Path page = data.resolve("plain.html");
        Files.writeString(page, new String(files(whole).get("verify.html"), StandardCharsets.UTF_8)
                .replace("globalThis.crypto && crypto.subtle", "false"));
        Files.write(data.resolve("w.zip"), whole);
        Page inZip = Browser.open().page();
        inZip.navigate(page.toUri().toString());
        inZip.setInputFiles("#file", data.resolve("w.zip"));
        inZip.waitForFunction("() => document.body.dataset.done === 'yes'");
        assertThat(inZip.evaluate("() => document.body.dataset.found")).isEqualTo("");
        for (String text : List.of("", "abc", "a".repeat(55), "a".repeat(56), "a".repeat(64), "a".repeat(1000))) {
            assertThat(inZip.evaluate("t => hex(sha256(bytesOf(t)))", text)).isEqualTo(sha256(text.getBytes(StandardCharsets.UTF_8)));
            assertThat(inZip.evaluate("t => hex(sha512(bytesOf(t)))", text))
                    .isEqualTo(HexFormat.of()
                            .formatHex(MessageDigest.getInstance("SHA-512").digest(text.getBytes(StandardCharsets.UTF_8))));
        }
    }

    /**
     * Closed by its form: what is open is said, the tick is asked for, pressed twice it is closed once, and the zip comes from its page.
     */
    @Test
    void aSurveyIsClosedByItsForm() throws Exception {
        long other = Scenes.readySurvey(app);
        Http http = new Http(app);
        String page = "/surveys/" + other + "/close";
        String shown = "/surveys/" + other + "/handover";
        assertThat(http.get(page).headers().firstValue("Location")).hasValueSatisfying(to -> assertThat(to).endsWith(shown));
        assertThat(http.get(shown).body()).contains("Not proven by any run", "Close and seal it");
        Map<String, String> form = http.form(shown, page);
        assertThat(http.post(page, form, "author", "Q. Tester").body()).contains("Tick that you have read what is open");
        for (int press = 0; press < 2; press++) {
            assertThat(http.post(page, form, "author", "Q. Tester", "read", "yes").statusCode()).isEqualTo(302);
        }
        assertThat(app.bean(SurveyLibrary.class).survey(other).entries()).hasSize(3);
        assertThat(http.get(shown).body()).contains("Closed and sealed", "Make the zip").doesNotContain("unsealed");
        assertThat(app.status("/surveys/" + other + "/survey.zip")).isEqualTo(200);
        assertThat(http.get("/surveys/" + other + "/verdict/record").body()).contains("and the survey is closed");
        assertThat(http.get("/check").statusCode()).isEqualTo(200);
    }

    /** With its length, so that what comes cut is seen to be; made beside the data, and nothing of it stays there. */
    @Test
    void aSurveyIsSentWholeOrSeenToBeCut() throws Exception {
        HttpResponse<String> answer = new Http(app).get("/surveys/" + survey + "/survey.zip");
        assertThat(answer.headers().firstValueAsLong("content-length")).hasValue(zip().length);
        try (var left = Files.list(data.resolve("data"))) {
            assertThat(left.map(p -> p.getFileName().toString())).noneMatch(name -> name.matches("unfinished.*zip"));
        }
    }

    /** Taken in elsewhere: read by the same fold, with its seal's verdict; once however often; what is no survey is not kept. */
    @Test
    void whatWasHandedOverIsReadElsewhere() throws Exception {
        try (App other = App.empty()) {
            Browser browser = Browser.open();
            Page page = browser.page();
            Files.write(data.resolve("in.zip"), whole);
            Files.writeString(data.resolve("none.zip"), "no zip");
            for (int press = 0; press < 2; press++) {
                page.navigate(other.url("/check"));
                page.setInputFiles("#file", data.resolve("in.zip"));
                page.locator("details:has(summary:has-text('Keep it here'))").evaluate("fold => { fold.open = true; }");
                page.fill("#author", "Q. Buyer");
                page.click("text=Check it and keep it");
                page.waitForURL("**/handed/**");
            }
            assertThat(page.innerText("body").replace('\u00a0', ' '))
                    .contains("Survey of Aldwark 410", "nothing changed since it was closed", "No spindle speed was run", "Key: ")
                    .doesNotContain("Unknown");
            assertThat((Integer) page.evaluate("() => document.querySelector('.cover img').naturalWidth")).as("it shows").isEqualTo(40);
            assertThat(browser.complaints()).isEmpty();
            assertThat(page.locator(".photo img").count()).as("once is enough").isZero();
            page.navigate(other.url("/check"));
            assertThat(page.locator("a[href^='/handed/']").count()).isEqualTo(1);
            page.setInputFiles("#file", data.resolve("none.zip"));
            page.locator("details:has(summary:has-text('Keep it here'))").evaluate("fold => { fold.open = true; }");
            page.fill("#author", "Q. Buyer");
            page.click("text=Check it and keep it");
            assertThat(browser.text()).contains("not kept");
            assertThat(other.status("/handed/" + "0".repeat(64))).isEqualTo(404);
            Path bent = data.resolve("bent.zip");
            // A hash of any length goes into no code that a telephone reads.
            String hash = survey().entries().get(survey().entries().size() - 1).hash();
            for (Change bending : List.<Change>of(t -> t.replace(hash, "x".repeat(9_000)),
                    t -> t.replace("\"what\":\"STARTED\"", "\"what\":7"))) {
                page.navigate(other.url("/check"));
                page.locator("details:has(summary:has-text('Keep it here'))").evaluate("fold => { fold.open = true; }");
                Files.write(bent, with("ledger.json", bending));
                page.setInputFiles("#file", bent);
                page.fill("#author", "Q. Buyer");
                page.click("text=Check it and keep it");
                page.waitForURL("**/handed/**");
                assertThat(page.locator(".qr").count()).isEqualTo(2);
            }
            assertThat(page.innerText("body")).contains("this is not what was handed over",
                    "An entry was changed after it was written: SURVEY 3");
        }
    }

    /** Greek and Cyrillic stand in it, "ff" can be copied, and a sign no font holds is named; what a buyer reckons is left out. */
    @Test
    void theReportCanBeSearchedAndCopied() throws Exception {
        try (PDDocument report = Loader.loadPDF(files(whole).get("report.pdf"))) {
            String text = new PDFTextStripper().getText(report).replaceAll("\\s+", " ");
            assertThat(text).contains("\u03a7\u03b1\u03af\u03c1\u03b5 \u0416", "offered by", "U+4E2D", "closed and sealed",
                    "Made at entry 7", "Films of the visit", "Film 1, from", "4 at 0:00:", "Key: ")
                    .doesNotContain("Unknown", "Entries struck");
            assertThat(report.getDocumentCatalog().getStructureTreeRoot()).as("tagged").isNotNull();
            assertThat(report.getDocumentCatalog().getDocumentOutline().getOpenCount()).as("bookmarks").isGreaterThan(4);
            assertThat(new String(report.getDocumentCatalog().getMetadata().toByteArray(), StandardCharsets.UTF_8))
                    .contains("<pdfaid:part>2</pdfaid:part>", "<pdfaid:conformance>A</pdfaid:conformance>");
            assertThat(report.getPage(0).getMediaBox().getWidth()).isBetween(595f, 596f);
            assertThat(report.getDocumentInformation().getCreationDate().toInstant())
                    .isEqualTo(survey().entries().get(6).at().truncatedTo(ChronoUnit.SECONDS));
        }
    }

    /** With who struck it and why; on one page it would only be in the way. */
    @Test
    void whatWasStruckStandsInTheReport() throws Exception {
        long other = Scenes.readySurvey(app);
        Books books = app.bean(Books.class);
        StoredSurvey now = app.bean(SurveyLibrary.class).survey(other);
        Authorship by = Authorship.of(Instant.now(), "Q. Tester, buyer");
        books.append(other, SurveyEntries.remark(by, "the belt squeals"), Submission.fresh(now.head()));
        now = app.bean(SurveyLibrary.class).survey(other);
        books.append(other, SurveyEntries.strike(by, now.entries(), now.head(), "that was the next machine"), Submission.fresh(now.head()));
        for (String form : List.of("", "?form=short")) {
            try (PDDocument report = report(other, form)) {
                String text = new PDFTextStripper().getText(report).replaceAll("\\s+", " ");
                String struck = "Entry " + now.head() + ", struck by Q. Tester, buyer: that was the next machine";
                assertThat(text.contains(struck)).as(form).isEqualTo(form.isEmpty());
                assertThat(text).doesNotContain("Key: ", "the belt squeals", "Films of the visit");
            }
        }
    }

    /** Twelve speeds that growl and knock: the short form is one page all the same, and says how many it leaves out. */
    @Test
    void theShortFormIsOnePageHoweverMuchWasFound() throws Exception {
        long bad = Scenes.readySurvey(app);
        for (Route route : app.bean(SurveyLibrary.class).survey(bad).folded().steps()) {
            StoredSurvey now = app.bean(SurveyLibrary.class).survey(bad);
            RunRecord record = new RunRecord(now.folded().machine().train().settings(route), Optional.empty(),
                    Set.of(Symptom.GROWLS, Symptom.KNOCKS_ONCE_A_TURN), Optional.empty(), false, false, false, "");
            app.bean(Books.class).append(bad,
                    SurveyEntries.run(Authorship.of(Instant.now(), "Q. Tester"), now.basis(), now.folded(), record),
                    Submission.fresh(now.head()));
        }
        int found = Finding.of(app.bean(SurveyLibrary.class).survey(bad).core()).size();
        assertThat(found).isGreaterThan(16);
        try (PDDocument report = report(bad, "?form=short&size=Letter")) {
            assertThat(report.getNumberOfPages()).isEqualTo(1);
            assertThat(new PDFTextStripper().getText(report)).contains("And " + (found - 8) + " more, none of them worse",
                    "Standing of this record");
        }
    }

    /** On Letter paper; and as one page that fetches nothing. */
    @Test
    void theReportOnLetterPaperAndAsOnePage() throws Exception {
        try (PDDocument report = report(survey, "?size=Letter")) {
            assertThat(report.getPage(0).getMediaBox().getWidth()).isEqualTo(612f);
        }
        try (PDDocument report = report(survey, "?form=short")) {
            assertThat(report.getNumberOfPages()).isEqualTo(1);
            assertThat(new PDFTextStripper().getText(report)).contains("At a glance", "Findings", "closed and sealed")
                    .doesNotContain("Condition");
        }
        Files.writeString(data.resolve("report.html"), new Http(app).get("/surveys/" + survey + "/report.html").body());
        Browser browser = Browser.open();
        List<String> asked = new ArrayList<>();
        browser.page().onRequest(request -> asked.add(request.url()));
        browser.page().navigate(data.resolve("report.html").toUri().toString());
        assertThat(browser.page().innerText("body")).contains("Survey of Aldwark 410", "closed and sealed");
        assertThat(asked).filteredOn(url -> !url.startsWith("data:")).hasSize(1);
        assertThat((Integer) browser.page().evaluate("() => document.querySelector('.cover img').naturalWidth")).isEqualTo(40);
    }

    private static String csv(String text) throws IOException {
        return files(whole).entrySet().stream().filter(f -> f.getKey().equals(text))
                .map(f -> new String(f.getValue(), StandardCharsets.UTF_8)).collect(Collectors.joining());
    }

    @Test
    void cellsThatBeginLikeFormulasAreMadeHarmless() throws Exception {
        assertThat(csv("films.csv")).startsWith("film,from,until,entries,what");
        Map<String, String> cells = new TreeMap<>(
                new HashMap<>(Map.of("=1+1", "'=1+1", "+49 30", "+49 30", "-0.04", "-0.04", "@x", "'@x", "-2+3", "'-2+3",
                        "plain", "plain")));
        cells.forEach((cell, written) -> {
            assertThat(SheetCell.written(cell)).isEqualTo(written);
            assertThat(SheetCell.read(written)).isEqualTo(cell);
        });
    }
}
