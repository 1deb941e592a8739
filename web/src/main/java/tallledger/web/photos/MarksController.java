package tallledger.web.photos;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import tallledger.core.survey.Photo;
import tallledger.core.survey.SurveyEntries;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.SurveyWriter;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/** One photograph, and what is drawn over it. */
@Controller
@RequestMapping("/surveys/{id}/photos/{entry}/marks")
class MarksController {

    private final SurveyLibrary library;
    private final SurveyWriter entries;
    private final AuthorCookie writer;
    private final Clock clock;

    MarksController(SurveyLibrary library, SurveyWriter entries, AuthorCookie writer, Clock clock) {
        this.library = library;
        this.entries = entries;
        this.writer = writer;
        this.clock = clock;
    }

    @GetMapping
    String show(@PathVariable long id, @PathVariable int entry, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        return page(survey, entry, typed, Submission.fresh(survey.head()), model);
    }

    @PostMapping
    String draw(@PathVariable long id, @PathVariable int entry, @RequestParam MultiValueMap<String, String> fields, Model model,
            HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        photo(survey, entry);
        FormInput typed = FormInput.of(fields);
        return entries.write(survey, typed, response,
                () -> typed.attempt("marks", () -> SurveyEntries.photoMarked(survey.by(clock, typed.get("author")), survey.core(), entry,
                        typed.get("marks"))),
                (now, said, submission) -> page(now, entry, said, submission, model),
                written -> "redirect:/surveys/" + id + "/photos/" + entry + "/marks");
    }

    private static Photo photo(StoredSurvey survey, int entry) {
        Optional<Photo> photo = survey.core().photos().stream().filter(p -> p.entry() == entry).findFirst();
        return photo.orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    private static String page(StoredSurvey survey, int entry, FormInput typed, Submission submission, Model model) {
        Photo photo = photo(survey, entry);
        model.addAttribute("survey", survey);
        model.addAttribute("photo", photo);
        model.addAttribute("marks", MarkView.of(photo));
        model.addAttribute("wordHeight", MarkView.wordHeight(photo));
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        return "photos/marks";
    }
}
