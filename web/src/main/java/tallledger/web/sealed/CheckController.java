package tallledger.web.sealed;

import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
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
import tallledger.core.survey.Photo;
import tallledger.web.record.HandedRow;
import tallledger.web.record.HandedShelf;
import tallledger.web.record.ShelfQuery;
import tallledger.web.record.Shelves;
import tallledger.web.record.Survey;
import tallledger.web.record.Unreadable;
import tallledger.web.verdict.Reports;
import tallledger.web.words.WebReason;

/** Check a file: a survey as it was handed over, checked in words. Nothing of it is kept. */
@Controller
class CheckController {

    private final Shelves shelves;
    private final Handover handover;
    private final HandedShelf handed;
    private final Reports reports;
    private final boolean demo;
    /** What is kept goes through the memory once. */
    private static final long MOST_KEPT = 200_000_000;

    CheckController(Shelves shelves, Handover handover, HandedShelf handed, Reports reports, @Value("${tallledger.demo}") boolean demo) {
        this.handed = handed;
        this.reports = reports;
        this.shelves = shelves;
        this.handover = handover;
        this.demo = demo;
    }

    /** Kept to be read, whatever the check came to; what cannot be read is not kept. */
    private String keep(Path zip, Found.Checked checked, String author, Model model, HttpServletResponse response) throws IOException {
        try {
            if (Files.size(zip) > MOST_KEPT) {
                throw Refused.because(WebReason.HANDED_LARGE, Files.size(zip) / 1_000_000, MOST_KEPT / 1_000_000);
            }
            handed.survey(HandedOver.books(zip));
            return "redirect:/handed/" + handed.keep(Files.readAllBytes(zip), checked.title(), author);
        } catch (Refused refused) {
            model.addAttribute(refused.field().isPresent() ? "wrongAuthor" : "wrong", refused.reason());
        } catch (IOException | Unreadable unread) {
            model.addAttribute("wrong", Reason.of(WebReason.HANDED_UNREADABLE));
        }
        response.setStatus(422);
        return "sealed/check";
    }

    /** A survey of elsewhere, to be read: with what its check comes to, and nothing to press. */
    @GetMapping("/handed/{sha256}")
    String read(@PathVariable String sha256, Model model) throws IOException {
        HandedRow row = handed.handed(sha256);
        Path kept = Files.createTempFile("handed-over", ".zip");
        try {
            Files.write(kept, row.bytes());
            Survey survey = handed.survey(HandedOver.books(kept));
            Map<String, String> photographs = HandedOver.photographs(kept);
            model.addAllAttributes(reports.handed(survey));
            model.addAttribute("images", survey.core().photos().stream().filter(p -> photographs.containsKey(p.sha256())).collect(Collectors.toMap(Photo::entry, p -> photographs.get(p.sha256()))));
            Found.Checked checked = HandedOver.check(kept, share -> { });
            model.addAttribute("checked", checked);
            model.addAttribute("print", checked.seal().map(s -> s.fingerprint()).orElse(null));
            model.addAttribute("row", row);
        } finally {
            Files.deleteIfExists(kept);
        }
        return "verdict/print";
    }

    @GetMapping("/check")
    String ask(Model model) {
        model.addAttribute("handed", handed.newest());
        model.addAttribute("author", "");
        model.addAttribute("demo", demo);
        return "sealed/check";
    }

    /** Of the demo's closed survey, with one reading made a little better than it was: to try the check on. */
    @GetMapping("/check/tampered.zip")
    ResponseEntity<byte[]> tampered() throws IOException {
        Optional<Survey> closed = demo ? shelves.shelf(ShelfQuery.of("p20", "", "", "SURVEYED", "NAME", "")).lines().stream().flatMap(l -> l.survey().stream()).map(shelves::survey)
                .filter(s -> s.core().closed().isPresent()).findFirst() : Optional.empty();
        if (closed.isEmpty()) {
            return ResponseEntity.notFound().build();
        }
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        handover.write(closed.get(), whole);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(whole.toByteArray())); ZipOutputStream zip = new ZipOutputStream(out)) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                zip.putNextEntry(new ZipEntry(e.getName()));
                byte[] bytes = in.readAllBytes();
                zip.write(e.getName().equals(SealCheck.LEDGER) ? new String(bytes, StandardCharsets.UTF_8).replace("0.142", "0.042").getBytes(StandardCharsets.UTF_8) : bytes);
                zip.closeEntry();
            }
        }
        return ResponseEntity.ok().contentType(MediaType.parseMediaType("application/zip")).header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"tampered.zip\"").body(out.toByteArray());
    }

    @PostMapping("/check")
    String check(@RequestParam Optional<MultipartFile> file, @RequestParam(defaultValue = "") String keep, @RequestParam(defaultValue = "") String author, Model model, HttpServletResponse response)
            throws IOException {
        model.addAttribute("handed", handed.newest());
        model.addAttribute("author", author);
        model.addAttribute("demo", demo);
        if (file.filter(f -> !f.isEmpty()).isEmpty()) {
            response.setStatus(422);
            model.addAttribute("wrong", Reason.of(WebReason.CHECK_FILE_NONE));
            return "sealed/check";
        }
        Path kept = Files.createTempFile("handed-over", ".zip");
        try {
            file.get().transferTo(kept);
            Found.Checked checked = HandedOver.check(kept, share -> { });
            model.addAttribute("checked", checked);
            model.addAttribute("print", checked.seal().map(s -> s.fingerprint()).orElse(null));
            if (!keep.isEmpty()) {
                return keep(kept, checked, author, model, response);
            }
        } finally {
            Files.deleteIfExists(kept);
        }
        return "sealed/check";
    }
}
