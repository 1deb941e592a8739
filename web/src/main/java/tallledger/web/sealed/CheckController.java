package tallledger.web.sealed;

import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
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
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import tallledger.core.reason.Reason;
import tallledger.core.seal.Found;
import tallledger.core.seal.SealCheck;
import tallledger.web.record.ShelfQuery;
import tallledger.web.record.Shelves;
import tallledger.web.record.Survey;
import tallledger.web.words.WebReason;

/** Check a file: a survey as it was handed over, checked in words. Nothing of it is kept. */
@Controller
class CheckController {

    private final Shelves shelves;
    private final Handover handover;
    private final boolean demo;

    CheckController(Shelves shelves, Handover handover, @Value("${tallledger.demo}") boolean demo) {
        this.shelves = shelves;
        this.handover = handover;
        this.demo = demo;
    }

    @GetMapping("/check")
    String ask(Model model) {
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
    String check(@RequestParam Optional<MultipartFile> file, Model model, HttpServletResponse response) throws IOException {
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
        } finally {
            Files.deleteIfExists(kept);
        }
        return "sealed/check";
    }
}
