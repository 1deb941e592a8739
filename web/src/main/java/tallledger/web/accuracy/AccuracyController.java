package tallledger.web.accuracy;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.survey.SurveyEntries;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.SurveyWriter;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;
import tallledger.web.words.Marks;
import tallledger.web.words.Words;

/** The Accuracy screen: the acceptance chart, a row a line, each with a key to its step. */
@Controller
class AccuracyController {

    private final SurveyLibrary library;
    private final SurveyWriter entries;
    private final AuthorCookie writer;
    private final Clock clock;
    private final Words words;
    private final Marks marks;

    AccuracyController(SurveyLibrary library, SurveyWriter entries, AuthorCookie writer, Clock clock, Words words, Marks marks) {
        this.library = library;
        this.entries = entries;
        this.writer = writer;
        this.clock = clock;
        this.words = words;
        this.marks = marks;
    }

    @GetMapping("/surveys/{id}/accuracy")
    String show(@PathVariable long id, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        survey.steps().temperatures(clock.instant()).ifPresent(t -> {
            typed.set("machine", t.machine().typed());
            typed.set("gauge", t.gauge().typed());
        });
        return page(survey, typed, Submission.fresh(survey.head()), model);
    }

    /** How warm machine and gauges are, once a sitting. */
    @PostMapping("/surveys/{id}/temperatures")
    String temperatures(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
            HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        return entries.write(survey, typed, response,
                () -> typed.attempt("machine", () -> SurveyEntries.temperatures(survey.by(clock, typed.get("author")), typed.get("machine"),
                        typed.get("gauge"), survey.folded().machine().unit())),
                (now, said, submission) -> page(now, said, submission, model), entry -> "redirect:/surveys/" + id + "/accuracy");
    }

    private String page(StoredSurvey survey, FormInput typed, Submission submission, Model model) {
        model.addAttribute("survey", survey);
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("warm", survey.steps().temperatures(clock.instant()).orElse(null));
        model.addAttribute("chart", AccuracyView.of(survey.core(), words, marks));
        model.addAttribute("judgedAs", survey.rules().judgedAs());
        return "accuracy/accuracy";
    }
}
