package tallledger.web.entries;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.ledger.Draft;
import tallledger.core.survey.SurveyEntries;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.SurveyWriter;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;
import tallledger.web.words.Words;

/** The ledger itself: every entry in its order, struck ones readable, and the place to strike or remark. */
@Controller
@RequestMapping("/surveys/{id}/entries")
class EntriesController {

    private final SurveyLibrary library;
    private final SurveyWriter entries;
    private final AuthorCookie writer;
    private final Clock clock;
    private final Words words;

    EntriesController(SurveyLibrary library, SurveyWriter entries, AuthorCookie writer, Clock clock, Words words) {
        this.library = library;
        this.entries = entries;
        this.writer = writer;
        this.clock = clock;
        this.words = words;
    }

    @GetMapping
    String show(@PathVariable long id, @RequestParam Optional<Integer> strike, @RequestParam MultiValueMap<String, String> fields,
            Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.blank();
        strike.ifPresent(target -> typed.set("target", String.valueOf(target)));
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        FormInput asked = FormInput.of(fields);
        String at = strike.filter(n -> !asked.has("at")).map(String::valueOf).orElse(asked.get("at"));
        return page(survey, typed, Submission.fresh(survey.head()),
                new EntriesPage.EntriesQuery(at, asked.get("from"), asked.get("kind"), asked.get("by")), model);
    }

    @PostMapping("/strike")
    String strike(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
            HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        return write(survey, typed, model, response, "reason", () -> SurveyEntries.strike(survey.by(clock, typed.get("author")),
                survey.entries(), typed.wholeOr("target", 0), typed.get("reason")));
    }

    @PostMapping("/remark")
    String remark(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
            HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        return write(survey, typed, model, response, "text",
                () -> SurveyEntries.remark(survey.by(clock, typed.get("author")), typed.get("text")));
    }

    private String write(StoredSurvey survey, FormInput typed, Model model, HttpServletResponse response, String field,
            Supplier<Draft> read) {
        return entries.write(survey, typed, response, () -> typed.attempt(field, read),
                (now, said, submission) -> page(now, said, submission, new EntriesPage.EntriesQuery(said.get("target"), "", "", ""), model),
                entry -> "redirect:/surveys/" + survey.id() + "/entries");
    }

    private String page(StoredSurvey survey, FormInput typed, Submission submission, EntriesPage.EntriesQuery asked, Model model) {
        model.addAttribute("survey", survey);
        model.addAttribute("asked", asked);
        model.addAttribute("page", EntriesPage.of(survey, asked, words));
        model.addAttribute("broken", survey.broken().orElse(null));
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        return "entries/entries";
    }
}
