package tallledger.web.sealed;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import tallledger.core.reason.Reason;
import tallledger.core.seal.Fingerprint;
import tallledger.core.survey.BookEvent;
import tallledger.core.survey.Films;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.verdict.ConditionStatement;
import tallledger.core.verdict.Heading;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.SurveyWriter;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;
import tallledger.web.store.Unfinished;
import tallledger.web.store.WriteRefusedException;
import tallledger.web.words.WebReason;
import tallledger.web.works.BackgroundJobs;
import tallledger.web.works.Download;

/** A survey closed and sealed, handed over, gone on with in its next volume; and the films of the visit. */
@Controller
class CloseController {

    private final SurveyLibrary library;
    private final SurveyBooks surveyBooks;
    private final BackgroundJobs works;
    private final Closing closing;
    private final ArchiveWriter handover;
    private final Tables tables;
    private final SurveyWriter entries;
    private final AuthorCookie writer;
    private final Clock clock;
    private final Unfinished unfinished;

    CloseController(SurveyLibrary library, SurveyBooks surveyBooks, Closing closing, ArchiveWriter handover, Tables tables,
            SurveyWriter entries, AuthorCookie writer,
            Clock clock,
            BackgroundJobs works, Unfinished unfinished) {
        this.unfinished = unfinished;
        this.works = works;
        this.library = library;
        this.surveyBooks = surveyBooks;
        this.closing = closing;
        this.handover = handover;
        this.tables = tables;
        this.entries = entries;
        this.writer = writer;
        this.clock = clock;
    }

    /** All that can be handed over, in one place; what is open is said before anybody closes. */
    @GetMapping("/surveys/{id}/handover")
    String handOver(@PathVariable long id, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        return page(survey, typed, Submission.fresh(survey.head()), model);
    }

    /** A form refused there and asked for again. */
    @GetMapping({"/surveys/{id}/close", "/surveys/{id}/camera"})
    String again(@PathVariable long id) {
        return "redirect:/surveys/" + id + "/handover";
    }

    @PostMapping("/surveys/{id}/close")
    String close(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        return entries.write(survey, typed, response, () -> {
            if (!typed.holds("read", "yes")) {
                typed.refuse("read", Reason.of(WebReason.CLOSE_UNREAD));
            }
            return Optional.of(SurveyEntries.closed(survey.by(clock, typed.get("author")), ""));
        }, (now, said, submission) -> page(now, said, submission, model), entry -> "redirect:/surveys/" + id + "/handover",
                (book, draft, submission) -> closing.close(survey, typed.get("author"), submission));
    }

    private static String page(StoredSurvey survey, FormInput typed, Submission submission, Model model) {
        ConditionStatement statement = ConditionStatement.of(survey.core());
        model.addAttribute("survey", survey);
        model.addAttribute("open", statement.sections().getOrDefault(Heading.NOT_TESTED, List.of()));
        model.addAttribute("record", statement.sections().getOrDefault(Heading.RECORD, List.of()));
        model.addAttribute("closed", survey.core().closed().orElse(null));
        model.addAttribute("words", survey.core().closed().flatMap(c -> c.payload().optionalText("key")).flatMap(Fingerprint::read)
                .map(Fingerprint::words).orElse(""));
        model.addAttribute("films", Films.of(survey.entries(), survey.core().struck().keySet()));
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        return "sealed/handover";
    }

    /** The whole survey as one zip; made whole before anything of it is sent. */
    @GetMapping("/surveys/{id}/survey.zip")
    ResponseEntity<StreamingResponseBody> zip(@PathVariable long id) throws IOException {
        StoredSurvey survey = library.survey(id);
        handover.ready(survey);
        Path zip = unfinished.file(".zip");
        try {
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(zip))) {
                handover.write(survey, out);
            }
        } catch (IOException noRoom) {
            Files.deleteIfExists(zip);
            throw new WriteRefusedException(Reason.of(WebReason.WORK_FAILED), noRoom);
        } catch (RuntimeException failed) {
            Files.deleteIfExists(zip);
            throw failed;
        }
        return Download.of(zip, "survey-" + id + "-to-entry-" + survey.head() + ".zip", MediaType.parseMediaType("application/zip"), true);
    }

    /** The same as work: there at once where it is quick; with many entries it says how far it is, and can be stopped. */
    @PostMapping("/surveys/{id}/survey.zip")
    String ready(@PathVariable long id, @RequestParam(defaultValue = "") String pictures) {
        StoredSurvey survey = library.survey(id);
        handover.ready(survey);
        boolean withPictures = pictures.equals("yes");
        return works.answer(works.begin("zip " + id + " " + survey.head() + " " + withPictures,
                Reason.of(WebReason.WORK_ZIP, survey.machine().name()), "/surveys/" + id + "/handover",
                progress -> works.file("survey-" + id + "-to-entry-" + survey.head() + ".zip", MediaType.parseMediaType("application/zip"),
                        out -> handover.write(survey, out, withPictures, progress))));
    }

    /** The next volume of a closed survey: it names the seal before it. */
    @PostMapping("/surveys/{id}/volume")
    String volume(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        long next = surveyBooks.nextVolume(survey, typed.get("author").isBlank() ? survey.lastAuthor() : typed.get("author"), submission);
        writer.remember(response, typed.get("author"), submission);
        return "redirect:/surveys/" + next + "/run";
    }

    /** The camera is started, stopped, or found to run ahead. */
    @PostMapping("/surveys/{id}/camera")
    String camera(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        boolean shift = typed.get("what").equals(BookEvent.Camera.What.SHIFTED.name());
        return entries.write(survey, typed, response,
                () -> shift ? typed.attempt("seconds", () -> SurveyEntries.cameraShifted(survey.by(clock, typed.get("author")),
                        typed.get("seconds")))
                        : typed.choice("what", BookEvent.Camera.What.class)
                                .map(what -> SurveyEntries.camera(survey.by(clock, typed.get("author")), what)),
                (now, said, submission) -> page(now, said, submission, model), entry -> typed.get("back").equals("run")
                        ? "redirect:/surveys/" + id + "/run"
                        : "redirect:/surveys/" + id + "/handover#films");
    }

    /** Chapters of a film, to lie beside it. */
    @GetMapping("/surveys/{id}/film-{film}.vtt")
    ResponseEntity<String> chapters(@PathVariable long id, @PathVariable int film) {
        StoredSurvey survey = library.survey(id);
        Films films = Films.of(survey.entries(), survey.core().struck().keySet());
        return film < 1 || film > films.films().size() ? ResponseEntity.notFound().build()
                : ResponseEntity.ok()
                        .contentType(MediaType.parseMediaType("text/vtt;charset=UTF-8")).body(tables.chapters(survey, films, film));
    }
}
