package tallledger.web.live;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import tallledger.core.survey.Task;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.words.Words;

/** What an open page listens at (server-sent events). */
@Controller
class LiveController {

    private final SurveyLibrary library;
    private final Watchers watchers;
    private final AuthorCookie writer;
    private final Words words;

    LiveController(SurveyLibrary library, Watchers watchers, AuthorCookie writer, Words words) {
        this.library = library;
        this.watchers = watchers;
        this.writer = writer;
        this.words = words;
    }

    /** @param step key of the step the page has open; nothing else is told of it */
    @GetMapping(path = "/surveys/{id}/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    ResponseEntity<SseEmitter> listen(@PathVariable long id, @RequestParam(defaultValue = "") String step, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        Whose whose = Whose.of(request, writer, words.say("live.here"));
        Optional<Task> open = survey.core().task(step).filter(task -> whose.records());
        return watchers.open(id, new Watchers.Watcher(whose, open.map(Task::key).orElse(""),
                open.map(task -> words.name(task, survey.core().machine().train())).orElse("")), Map.of("head", survey.head()))
                .map(line -> ResponseEntity.ok().cacheControl(CacheControl.noStore()).body(line))
                .orElseGet(() -> ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE).build());
    }
}
