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
import tallledger.core.instrument.TakenReading;
import tallledger.core.reason.Refused;
import tallledger.core.survey.Task;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.words.Words;

/** A reading taken from an instrument into its field; nothing is recorded by it. */
@Controller
class TakeController {

    private static final MediaType TEXT = new MediaType("text", "plain", StandardCharsets.UTF_8);

    private final SurveyLibrary library;
    private final Instruments instruments;
    private final Words words;

    TakeController(SurveyLibrary library, Instruments instruments, Words words) {
        this.library = library;
        this.instruments = instruments;
        this.words = words;
    }

    @GetMapping("/surveys/{id}/take")
    ResponseEntity<?> take(@PathVariable long id, @RequestParam String step, @RequestParam String field) {
        StoredSurvey survey = library.survey(id);
        Optional<Task> task = survey.core().task(step);
        Optional<Instrument> instrument = task.flatMap(t -> instruments.with(survey, t, field));
        if (instrument.isEmpty()) {
            return ResponseEntity.notFound().build();
        }
        try {
            TakenReading taken = TakenReading.of(instrument.get().read(new Instrument.ReadingFor(step, field)));
            return ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON).cacheControl(CacheControl.noStore()).body(taken);
        } catch (Refused refused) {
            return ResponseEntity.status(422).contentType(TEXT).cacheControl(CacheControl.noStore()).body(words.say(refused.reason()));
        }
    }
}
