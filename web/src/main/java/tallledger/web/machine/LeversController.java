package tallledger.web.machine;

import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Controller;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.housebook.Houses;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/** The answer to {@link LeverQuestion}: the machine is described with these levers, and the survey judges by that. */
@Controller
class LeversController {

    private final SurveyLibrary library;
    private final SurveyBooks surveyBooks;
    private final Houses houses;
    private final AuthorCookie writer;

    LeversController(SurveyLibrary library, SurveyBooks surveyBooks, Houses houses, AuthorCookie writer) {
        this.library = library;
        this.surveyBooks = surveyBooks;
        this.houses = houses;
        this.writer = writer;
    }

    /** One that is not offered, or not any more, changes nothing: the run sheet shows how the levers stand. */
    @PostMapping("/surveys/{id}/levers")
    String choose(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        LeverQuestion.answered(survey, typed.get(StartReading.LEVERS), houses.newest().rules()).ifPresent(described -> {
            surveyBooks.describeIn(survey, described, typed.get("author"), submission);
            writer.remember(response, typed.get("author"), submission);
        });
        return "redirect:/surveys/" + id + "/run?step=" + library.survey(id).folded().machine().train().routes().get(0).key();
    }
}
