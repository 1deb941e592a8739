package tallledger.web.sealed;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import tallledger.core.reason.Reason;
import tallledger.core.seal.Found;
import tallledger.web.words.WebReason;

/** Check a file: a survey as it was handed over, checked in words. Nothing of it is kept. */
@Controller
class CheckController {

    @GetMapping("/check")
    String ask() {
        return "sealed/check";
    }

    @PostMapping("/check")
    String check(@RequestParam Optional<MultipartFile> file, Model model, HttpServletResponse response) throws IOException {
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
