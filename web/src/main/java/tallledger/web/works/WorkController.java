package tallledger.web.works;

import java.io.IOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.file.Files;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import tallledger.web.words.Words;

/** How far a piece of work is, told while one waits; stopped by a key; what it made, taken away. */
@Controller
@RequestMapping("/works/{id}")
class WorkController {

    private final BackgroundJobs works;
    private final Words words;

    WorkController(BackgroundJobs works, Words words) {
        this.works = works;
        this.words = words;
    }

    private BackgroundJobs.BackgroundJob work(String id) {
        return works.work(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    @GetMapping
    String show(@PathVariable String id, Model model) {
        BackgroundJobs.BackgroundJob work = work(id);
        if (work.stand() == BackgroundJobs.State.DONE && work.made().orElseThrow() instanceof BackgroundJobs.Output.Page page) {
            return "redirect:" + page.address();
        }
        if (work.stand() == BackgroundJobs.State.DONE && work.made().orElseThrow() instanceof BackgroundJobs.Output.File file) {
            model.addAttribute("file", file.name());
            model.addAttribute("megabytes", BigDecimal.valueOf(file.path().toFile().length(), 6).setScale(1, RoundingMode.UP)
                    .toPlainString());
        }
        model.addAttribute("work", work);
        model.addAttribute("called", words.say(work.title()));
        return "works/work";
    }

    /** For the page that waits. */
    @GetMapping("/stand")
    @ResponseBody
    Map<String, Object> stand(@PathVariable String id) {
        BackgroundJobs.BackgroundJob work = work(id);
        return Map.of("stand", work.stand().name(), "share", Math.round(100 * work.progress().share()), "doing",
                words.say(work.progress().doing()));
    }

    @PostMapping("/stop")
    String stop(@PathVariable String id) {
        BackgroundJobs.BackgroundJob work = work(id);
        works.stop(work);
        return "redirect:/works/" + id;
    }

    @GetMapping("/made")
    ResponseEntity<StreamingResponseBody> made(@PathVariable String id) throws IOException {
        Optional<BackgroundJobs.Output> made = work(id).made();
        if (made.isEmpty() || !(made.get() instanceof BackgroundJobs.Output.File file) || !Files.exists(file.path())) {
            return ResponseEntity.notFound().build();
        }
        return Download.of(file.path(), file.name(), file.type(), false);
    }
}
