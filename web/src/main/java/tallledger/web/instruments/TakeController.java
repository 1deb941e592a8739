package tallledger.web.instruments;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.instrument.Instrument;
import tallledger.core.reason.Refused;
import tallledger.core.survey.Task;
import tallledger.web.record.Shelves;
import tallledger.web.record.StoredSurvey;
import tallledger.web.words.Words;

/** A reading taken from an instrument into its field; nothing is recorded by it. */
@Controller
class TakeController {

    private static final MediaType TEXT = new MediaType("text", "plain", StandardCharsets.UTF_8);

    private final Shelves shelves;
    private final Instruments instruments;
    private final Words words;

    TakeController(Shelves shelves, Instruments instruments, Words words) {
        this.shelves = shelves;
        this.instruments = instruments;
        this.words = words;
    }

    @GetMapping("/surveys/{id}/take")
    ResponseEntity<String> take(@PathVariable long id, @RequestParam String step, @RequestParam String field) {
        StoredSurvey survey = shelves.survey(id);
        Optional<Task> task = survey.core().task(step);
        Optional<Instrument> instrument = task.flatMap(t -> instruments.with(survey, t, field));
        if (instrument.isEmpty()) {
            return ResponseEntity.notFound().build();
        }
        try {
            return answer(200, instrument.get().read(new Instrument.Asked(step, field)));
        } catch (Refused refused) {
            return answer(422, words.say(refused.reason()));
        }
    }

    private static ResponseEntity<String> answer(int status, String text) {
        return ResponseEntity.status(status).contentType(TEXT).cacheControl(CacheControl.noStore()).body(text);
    }
}
