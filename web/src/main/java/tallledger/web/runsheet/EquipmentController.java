package tallledger.web.runsheet;

import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriUtils;
import tallledger.core.ledger.LedgerReason;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.machine.EquipmentQuestion;
import tallledger.web.store.Books;
import tallledger.web.store.StaleFormException;
import tallledger.web.store.Submission;
import tallledger.web.store.WriteRefusedException;
import tallledger.web.words.WebReason;

/** The answer to {@link EquipmentQuestion}: the machine is described so, and the survey judges by that. */
@Controller
class EquipmentController {

    /** Of the address: it was looked at, and is as usual. */
    static final String SEEN = "equipment";

    private final SurveyLibrary library;
    private final SurveyBooks surveyBooks;
    private final Books books;
    private final AuthorCookie writer;
    private final SheetPage page;

    EquipmentController(SurveyLibrary library, SurveyBooks surveyBooks, Books books, AuthorCookie writer, SheetPage page) {
        this.library = library;
        this.surveyBooks = surveyBooks;
        this.books = books;
        this.writer = writer;
        this.page = page;
    }

    /** Where everything is as usual nothing is written: there is nothing new to judge by. */
    @PostMapping("/surveys/{id}/equipment")
    String answer(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        if (!typed.has("author")) {
            typed.refuse("equipment", Reason.of(LedgerReason.AUTHOR_MISSING));
        }
        if (books.acknowledged(id, submission).isPresent()) {
            return next(id, typed);
        }
        Optional<MachineDescription> described = EquipmentQuestion.answered(survey, typed);
        if (described.isEmpty() && typed.isClean()) {
            typed.refuse("form", Reason.of(WebReason.EQUIPMENT_DESCRIBED));
        }
        if (!typed.isClean()) {
            return again(survey, typed, submission, 422, model, response);
        }
        try {
            described.filter(d -> !d.equals(survey.folded().machine()))
                    .ifPresent(d -> surveyBooks.describeIn(survey, d, typed.get("author"), submission));
            writer.remember(response, typed.get("author"), submission);
            return next(id, typed);
        } catch (StaleFormException moved) {
            StoredSurvey now = library.survey(id);
            typed.refuse("form", Reason.of(WebReason.SURVEY_MOVED_ON, moved.seen() + 1, moved.head(), moved.head() - moved.seen()));
            return again(now, typed, new Submission(submission.key(), now.head()), 409, model, response);
        } catch (WriteRefusedException not) {
            typed.refuse("form", not.reason());
            return again(survey, typed, submission, 503, model, response);
        } catch (Refused not) {
            typed.refuse("equipment", not.reason());
            return again(survey, typed, submission, 422, model, response);
        }
    }

    /** Back to the step, where the machine still has it. */
    private String next(long id, FormInput typed) {
        return "redirect:/surveys/" + id + "/run?" + library.survey(id).steps().step(typed.get("step"))
                .map(step -> "step=" + UriUtils.encode(step.id().written(), StandardCharsets.UTF_8) + "&").orElse("") + SEEN + "=seen";
    }

    private String again(StoredSurvey survey, FormInput typed, Submission submission, int status, Model model,
            HttpServletResponse response) {
        response.setStatus(status);
        return page.show(survey, Optional.of(typed.get("step")), Optional.empty(), typed, submission, model);
    }
}
