package tallledger.web.sealed;

import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.seal.Found;
import tallledger.core.seal.SealCheck;
import tallledger.web.imported.ImportedSurveys;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.shelfindex.ShelfIndex;
import tallledger.web.shelfindex.ShelfQuery;
import tallledger.web.store.AttachmentRow;
import tallledger.web.store.Unfinished;
import tallledger.web.store.UnreadableBookException;
import tallledger.web.store.WriteRefusedException;
import tallledger.web.words.WebReason;
import tallledger.web.works.BackgroundJobs;
import tallledger.web.works.Progress;

/** Check a file: a survey as it was handed over, checked in words. Nothing of it is kept. */
@Controller
class CheckController {

    private final ShelfIndex shelf;
    private final SurveyLibrary library;
    private final ArchiveWriter handover;
    private final ImportedSurveys handed;
    private final ImportedReadings reads;
    private final BackgroundJobs works;
    private final boolean demo;
    private final Unfinished unfinished;
    /** A file of fewer bytes is checked within a second. */
    private static final long QUICKLY_CHECKED = 2_000_000;
    /** Share of the work after which it is checked. */
    private static final double CHECKED = 0.8;
    private static final int MOST_OUTCOMES = 24;
    /** Of the checks of large files, by their numbers; the oldest is forgotten. */
    private final Map<String, CheckOutcome> outcomes = new LinkedHashMap<>() {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, CheckOutcome> eldest) {
            return size() > MOST_OUTCOMES;
        }
    };
    /** What is kept goes through the memory once. */
    private static final long MOST_KEPT = 200_000_000;

    CheckController(ShelfIndex shelf, SurveyLibrary library, ArchiveWriter handover, ImportedSurveys handed, ImportedReadings reads,
            BackgroundJobs works,
            Unfinished unfinished,
            @Value("${tallledger.demo}") boolean demo) {
        this.handed = handed;
        this.unfinished = unfinished;
        this.works = works;
        this.reads = reads;
        this.shelf = shelf;
        this.library = library;
        this.handover = handover;
        this.demo = demo;
    }

    /**
     * What a check came to.
     *
     * @param wrong       why the file was not kept
     * @param wrongAuthor what is wrong with who keeps it
     */
    private record CheckOutcome(Found.CheckedArchive checked, Optional<Reason> wrong, Optional<Reason> wrongAuthor, Optional<String> kept) {

        boolean isRefused() {
            return wrong.isPresent() || wrongAuthor.isPresent();
        }
    }

    /** Kept to be read where that is asked for, whatever the check comes to; what cannot be read is not kept. */
    private CheckOutcome outcome(Path zip, boolean keep, String author, Progress progress) throws IOException {
        Found.CheckedArchive checked =
                ArchiveCheck.check(zip, share -> progress.at(share * (keep ? CHECKED : 1), Reason.of(WebReason.WORK_CHECKS)));
        if (!keep) {
            return new CheckOutcome(checked, Optional.empty(), Optional.empty(), Optional.empty());
        }
        try {
            if (Files.size(zip) > MOST_KEPT) {
                throw Refused.because(WebReason.HANDED_LARGE, Files.size(zip) / 1_000_000, MOST_KEPT / 1_000_000);
            }
            progress.at(CHECKED, Reason.of(WebReason.WORK_KEEPS));
            byte[] bytes = Files.readAllBytes(zip);
            ImportedReadings.ImportedPage read = reads.read(AttachmentRow.of("application/zip", bytes).sha256(), zip, checked);
            String sha256 = handed.keep(bytes, checked.title(), author);
            reads.kept(sha256, read);
            return new CheckOutcome(checked, Optional.empty(), Optional.empty(), Optional.of(sha256));
        } catch (Refused refused) {
            return refused.field().isPresent()
                    ? new CheckOutcome(checked, Optional.empty(), Optional.of(refused.reason()), Optional.empty())
                    : new CheckOutcome(checked, Optional.of(refused.reason()), Optional.empty(), Optional.empty());
        } catch (IOException | UnreadableBookException unread) {
            return new CheckOutcome(checked, Optional.of(Reason.of(WebReason.HANDED_UNREADABLE)), Optional.empty(), Optional.empty());
        }
    }

    private String told(CheckOutcome outcome, Model model, HttpServletResponse response) {
        model.addAttribute("checked", outcome.checked);
        model.addAttribute("print", outcome.checked.key().orElse(null));
        if (outcome.kept.isPresent()) {
            return "redirect:/handed/" + outcome.kept.get();
        }
        outcome.wrong.ifPresent(because -> model.addAttribute("wrong", because));
        outcome.wrongAuthor.ifPresent(because -> model.addAttribute("wrongAuthor", because));
        response.setStatus(outcome.isRefused() ? 422 : HttpServletResponse.SC_OK);
        return "sealed/check";
    }

    /** A survey of elsewhere, to be read: with what its check comes to, and nothing to press. */
    @GetMapping("/handed/{sha256}")
    String read(@PathVariable String sha256, Model model) throws IOException {
        model.addAllAttributes(reads.of(sha256));
        return "verdict/print";
    }

    @GetMapping("/handed/{sha256}/photos/{photograph}")
    ResponseEntity<byte[]> photograph(@PathVariable String sha256, @PathVariable String photograph) throws IOException {
        return reads.photograph(sha256, photograph).map(p -> ResponseEntity.ok().contentType(MediaType.parseMediaType(p.type()))
                .body(p.bytes())).orElseGet(() -> ResponseEntity.notFound().build());
    }

    /** The page that checks, as this application has it: the one in a zip is only as honest as who sent it. */
    @GetMapping("/check/verify.html")
    ResponseEntity<byte[]> page() throws IOException {
        return ResponseEntity.ok().contentType(MediaType.TEXT_HTML).header(HttpHeaders.CONTENT_DISPOSITION,
                "attachment; filename=\"verify.html\"").body(ArchiveWriter.page().getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping("/check")
    String ask(@RequestParam(defaultValue = "") String of, Model model, HttpServletResponse response) {
        model.addAttribute("handed", handed.newest());
        model.addAttribute("author", "");
        model.addAttribute("demo", demo);
        Optional<CheckOutcome> outcome;
        synchronized (outcomes) {
            outcome = Optional.ofNullable(outcomes.get(of));
        }
        return outcome.map(o -> told(o, model, response)).orElse("sealed/check");
    }

    /** Of the demo's closed survey, with one reading made a little better than it was: to try the check on. */
    @GetMapping("/check/tampered.zip")
    ResponseEntity<byte[]> tampered() throws IOException {
        Optional<StoredSurvey> closed = demo ? shelf.page(ShelfQuery.of("p20", "", "", "SURVEYED", "NAME", "")).lines().stream()
                .flatMap(l -> l.survey().stream()).map(library::survey)
                .filter(s -> s.core().closed().isPresent()).findFirst() : Optional.empty();
        if (closed.isEmpty()) {
            return ResponseEntity.notFound().build();
        }
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        handover.write(closed.get(), whole);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(whole.toByteArray()));
                ZipOutputStream zip = new ZipOutputStream(out)) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                zip.putNextEntry(new ZipEntry(e.getName()));
                byte[] bytes = in.readAllBytes();
                zip.write(e.getName().equals(SealCheck.LEDGER) ? new String(bytes, StandardCharsets.UTF_8).replace("0.142",
                        "0.042").getBytes(StandardCharsets.UTF_8) : bytes);
                zip.closeEntry();
            }
        }
        return ResponseEntity.ok().contentType(MediaType.parseMediaType("application/zip"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"tampered.zip\"").body(out.toByteArray());
    }

    @PostMapping("/check")
    String check(@RequestParam Optional<MultipartFile> file, @RequestParam(defaultValue = "") String keep,
            @RequestParam(defaultValue = "") String author, Model model, HttpServletResponse response)
            throws IOException {
        model.addAttribute("handed", handed.newest());
        model.addAttribute("author", author);
        model.addAttribute("demo", demo);
        if (file.filter(f -> !f.isEmpty()).isEmpty()) {
            response.setStatus(422);
            model.addAttribute("wrong", Reason.of(WebReason.CHECK_FILE_NONE));
            return "sealed/check";
        }
        Path zip = unfinished.file(".zip");
        file.get().transferTo(zip);
        if (Files.size(zip) > QUICKLY_CHECKED) {
            return "redirect:/works/" + begun(zip, String.valueOf(file.get().getOriginalFilename()), !keep.isEmpty(), author).id();
        }
        try {
            return told(outcome(zip, !keep.isEmpty(), author, Progress.unwatched()), model, response);
        } finally {
            Files.deleteIfExists(zip);
        }
    }

    /** A large one is work that says how far it is; what it came to is told on a page of its own. */
    private BackgroundJobs.BackgroundJob begun(Path zip, String name, boolean keep, String author) throws IOException {
        String number = UUID.randomUUID().toString();
        try {
            return works.begin("check " + number, Reason.of(WebReason.WORK_CHECK, name.length() > 80 ? name.substring(0, 80) : name),
                    "/check", progress -> {
                        try {
                            CheckOutcome outcome = outcome(zip, keep, author, progress);
                            synchronized (outcomes) {
                                outcomes.put(number, outcome);
                            }
                            return new BackgroundJobs.Output.Page(
                                    outcome.kept.map(kept -> "/handed/" + kept).orElse("/check?of=" + number));
                        } finally {
                            Files.deleteIfExists(zip);
                        }
                    });
        } catch (WriteRefusedException many) {
            Files.deleteIfExists(zip);
            throw many;
        }
    }
}
