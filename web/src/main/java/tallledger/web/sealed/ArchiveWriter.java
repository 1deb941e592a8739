package tallledger.web.sealed;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.security.DigestOutputStream;
import java.security.KeyPair;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.ZoneOffset;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import tallledger.core.film.FilmFile;
import tallledger.core.ledger.CanonicalJson;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.reason.Reason;
import tallledger.core.seal.Fingerprint;
import tallledger.core.seal.Seal;
import tallledger.core.seal.SealCheck;
import tallledger.core.survey.FilmEvent;
import tallledger.core.survey.Films;
import tallledger.core.survey.JudgedBy;
import tallledger.core.survey.Photo;
import tallledger.core.survey.Recording;
import tallledger.web.drawings.DrawingFiles;
import tallledger.web.drawings.Drawings;
import tallledger.web.drawings.ExportedDrawing;
import tallledger.web.film.FilmChapters;
import tallledger.web.housebook.Houses;
import tallledger.web.keys.SealKey;
import tallledger.web.library.StoredSurvey;
import tallledger.web.store.AttachmentRow;
import tallledger.web.store.Attachments;
import tallledger.web.verdict.Reports;
import tallledger.web.words.WebReason;
import tallledger.web.works.Progress;

/**
 * A survey handed over as one zip (W 4.4): its entries with those of its machine and of the house as judged by, the report, photographs,
 * sound recordings, tables, and, where it is closed, the seal over all of it. Written as it is made; made again from the same
 * entries it is the same bytes.
 */
@Component
public class ArchiveWriter {

    static final int FORMAT = 1;
    /** Shares of the whole work by which photographs and report are in. */
    private static final double PHOTOGRAPHS = 0.2;
    private static final double REPORT = 0.9;
    private static final double REPORT_AND_PICTURES = 0.5;

    private final Houses houses;
    private final Attachments attachments;
    private final SealKey keys;
    private final Reports reports;
    private final Tables tables;
    private final Drawings drawings;
    private final DrawingFiles drawn;
    private final FilmChapters chapters;

    ArchiveWriter(Houses houses, Attachments attachments, SealKey keys, Reports reports, Tables tables, Drawings drawings,
            DrawingFiles drawn, FilmChapters chapters) {
        this.chapters = chapters;
        this.houses = houses;
        this.attachments = attachments;
        this.keys = keys;
        this.reports = reports;
        this.tables = tables;
        this.drawings = drawings;
        this.drawn = drawn;
    }

    /** Writes the content of one file. */
    private interface ArchiveContent {
        void write(OutputStream out) throws IOException;
    }

    /** A zip being written, with the hash of each file in it. */
    private static final class Zip {

        private final ZipOutputStream zip;
        private final Entry last;
        private final Map<String, String> hashes = new TreeMap<>();

        Zip(OutputStream out, Entry last) {
            this.zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
            this.last = last;
        }

        void add(String name, ArchiveContent content) throws IOException {
            ZipEntry entry = new ZipEntry(name);
            // The time of its last entry, so that the same survey is the same zip.
            entry.setTimeLocal(last.at().atZone(ZoneOffset.UTC).toLocalDateTime());
            zip.putNextEntry(entry);
            try {
                DigestOutputStream digest = new DigestOutputStream(zip, MessageDigest.getInstance("SHA-256"));
                content.write(digest);
                digest.flush();
                hashes.put(name, HexFormat.of().formatHex(digest.getMessageDigest().digest()));
            } catch (NoSuchAlgorithmException e) {
                throw new IllegalStateException("every Java has SHA-256", e);
            }
            zip.closeEntry();
        }

        void add(String name, String text) throws IOException {
            add(name, out -> out.write(text.getBytes(StandardCharsets.UTF_8)));
        }
    }

    /** Whether it can be: a key that cannot be read is said before anything is sent. @throws tallledger.web.store.WriteRefusedException */
    void ready(StoredSurvey survey) {
        if (survey.core().closed().isPresent()) {
            keys.known();
        }
    }

    public void write(StoredSurvey survey, OutputStream out) throws IOException {
        write(survey, out, false, Progress.unwatched());
    }

    /**
     * The same, telling how far it is.
     *
     * @param withPictures each drawing as a picture too: they take longest
     * @throws Progress.Stopped where it is to stop
     */
    void write(StoredSurvey survey, OutputStream out, boolean withPictures, Progress progress) throws IOException {
        List<Entry> entries = survey.entries();
        Zip zip = new Zip(out, entries.get(entries.size() - 1));
        zip.add(SealCheck.LEDGER, o -> ledger(survey, o));
        int done = 0;
        for (Photo photo : survey.core().photos()) {
            progress.at(PHOTOGRAPHS * ++done / survey.core().photos().size(),
                    Reason.of(WebReason.WORK_PHOTOGRAPHS, done, survey.core().photos().size()));
            Optional<AttachmentRow> row = attachments.attachment(photo.sha256());
            String name = SealCheck.PHOTOS + photo.sha256()
                    + (row.filter(r -> r.type().equals("image/png")).isPresent() ? ".png" : ".jpg");
            if (row.isPresent() && !zip.hashes.containsKey(name)) {
                zip.add(name, o -> o.write(row.get().bytes()));
            }
        }
        for (Recording recording : survey.core().recordings()) {
            String name = SealCheck.SOUNDS + recording.sha256() + ".wav";
            Optional<AttachmentRow> row = zip.hashes.containsKey(name) ? Optional.empty() : attachments.attachment(recording.sha256());
            if (row.isPresent()) {
                zip.add(name, o -> o.write(row.get().bytes()));
            }
        }
        double report = withPictures ? REPORT_AND_PICTURES : REPORT;
        zip.add("report.pdf", o -> o.write(reports.pdf(survey, progress.part(PHOTOGRAPHS, report))));
        for (Map.Entry<String, String> table : tables.of(survey).entrySet()) {
            zip.add(table.getKey(), table.getValue());
        }
        List<ExportedDrawing> all = drawings.of(survey);
        for (int i = 0; i < all.size(); i++) {
            ExportedDrawing drawing = all.get(i);
            progress.at(report + (1 - report) * i / all.size(), Reason.of(WebReason.WORK_ZIP_FILE, drawing.title()));
            zip.add("drawings/" + drawing.name() + ".svg", drawn.svg(drawing));
            if (withPictures) {
                zip.add("drawings/" + drawing.name() + ".png", o -> o.write(drawn.png(drawing)));
            }
        }
        zip.add("machine.json", CanonicalJson.write(survey.folded().machine().toPayload()));
        zip.add("schema.json", resource("schema.json"));
        Films films = Films.of(entries, survey.core().struck().keySet());
        for (int film = 1; film <= films.films().size(); film++) {
            zip.add("film-" + film + ".vtt", tables.chapters(survey, films, film));
        }
        filmsOfOthers(survey, zip);
        zip.add(SealCheck.PAGE, page());
        Optional<Seal> seal = seal(survey, zip.hashes);
        if (seal.isPresent()) {
            zip.add(SealCheck.SEAL, seal.get().written());
        }
        zip.zip.finish();
    }

    /** What lies beside films that others made: chapters under the film's own hash, and what is said in it as it was taken in. */
    private void filmsOfOthers(StoredSurvey survey, Zip zip) throws IOException {
        for (NotedEntry<FilmFile> film : survey.core().footage().films()) {
            zip.add("films/" + film.what().sha256() + ".vtt", chapters.of(survey, film.what()));
        }
        for (NotedEntry<FilmEvent.NarrationKept> kept : survey.core().footage().narrations()) {
            String name = "narrations/" + kept.what().text().sha256() + ".txt";
            Optional<AttachmentRow> row = attachments.attachment(kept.what().text().sha256());
            if (row.isPresent() && !zip.hashes.containsKey(name)) {
                zip.add(name, o -> o.write(row.get().bytes()));
            }
        }
    }

    /** Sealed with the key it was closed with; a survey whose key is not here any more is handed over unsealed, and the check says so. */
    private Optional<Seal> seal(StoredSurvey survey, Map<String, String> hashes) {
        Optional<Entry> closed = survey.core().closed();
        Optional<KeyPair> pair = closed.flatMap(c -> keys.known()
                .filter(k -> Fingerprint.of(Seal.bytes(k.getPublic())).hex().equals(c.payload().optionalText("key").orElse(""))));
        return pair.map(k -> Seal.of(closed.get().hash(), closed.get().sequence(), closed.get().by().author().written(),
                closed.get().at().toString(), hashes, k.getPublic(), k.getPrivate()));
    }

    /** All books it rests on, canonical, entry after entry. */
    private void ledger(StoredSurvey survey, OutputStream out) throws IOException {
        int rules = JudgedBy.rules(survey.entries()).stream().mapToInt(JudgedBy::version).max().orElse(0);
        Map<String, List<Entry>> handed = new LinkedHashMap<>();
        handed.put("HOUSE", houses.entriesUpTo(rules));
        handed.put("MACHINE", survey.machine().entries().stream().filter(e -> e.sequence() <= survey.machineVersion()).toList());
        handed.put(SealCheck.SURVEY, survey.entries());
        out.write("{\"books\":[".getBytes(StandardCharsets.UTF_8));
        boolean first = true;
        for (Map.Entry<String, List<Entry>> book : handed.entrySet()) {
            out.write(((first ? "" : ",") + "{\"entries\":[").getBytes(StandardCharsets.UTF_8));
            first = false;
            boolean begun = false;
            for (Entry e : book.getValue()) {
                out.write(((begun ? "," : "") + CanonicalJson.write(e.handedOver())).getBytes(StandardCharsets.UTF_8));
                begun = true;
            }
            out.write(("],\"kind\":" + CanonicalJson.write(book.getKey()) + "}").getBytes(StandardCharsets.UTF_8));
        }
        out.write(("],\"format\":" + FORMAT + ",\"title\":" + CanonicalJson.write(survey.machine().name()) + "}")
                .getBytes(StandardCharsets.UTF_8));
    }

    /** The page that checks without this application: one file, its script inside. */
    static String page() throws IOException {
        return resource("verify.html").replace("/*WORDS*/", String.join(" ", Fingerprint.list()))
                .replace("/*SCRIPT*/", resource("verify.js"));
    }

    private static String resource(String name) throws IOException {
        try (var in = new ClassPathResource("handover/" + name).getInputStream()) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
