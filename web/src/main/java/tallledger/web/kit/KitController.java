package tallledger.web.kit;

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
import tallledger.core.kit.KitItem;
import tallledger.core.kit.Lift;
import tallledger.core.ledger.Draft;
import tallledger.core.survey.SurveyEntries;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.SurveyWriter;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/** Kit and papers: promised, seen, missing, awaited; and the weight against the lift. */
@Controller
@RequestMapping("/surveys/{id}/kit")
class KitController {

    private final SurveyLibrary library;
    private final SurveyWriter entries;
    private final AuthorCookie writer;
    private final Clock clock;
    private final KitPage page;

    KitController(SurveyLibrary library, SurveyWriter entries, AuthorCookie writer, Clock clock, KitPage page) {
        this.page = page;
        this.library = library;
        this.entries = entries;
        this.writer = writer;
        this.clock = clock;
    }

    @GetMapping
    String show(@PathVariable long id, @RequestParam Optional<String> item, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        item.ifPresent(name -> {
            typed.set("name", name);
            survey.steps().kit().named(name).ifPresent(known -> write(known, typed));
        });
        survey.steps().lift().ifPresent(lift -> lift.what().toPayload().forEach((field, value) -> typed.set(field, (String) value)));
        return page.show(survey, typed, Submission.fresh(survey.head()), model);
    }

    private static void write(KitItem item, FormInput typed) {
        item.toPayload().forEach((field, value) -> typed.set(field, (String) value));
    }

    @PostMapping
    String item(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        return write(survey, typed, model, response, () -> typed.choice("state", KitItem.State.class).flatMap(state -> typed.attempt("name",
                () -> SurveyEntries.kit(survey.by(clock, typed.get("author")),
                        KitItem.parse(typed.get("name"), state, typed.get("promised"), typed.get("choice"),
                                typed.get("cost"), typed.get("until"), typed.get("note"), typed.get("count"), typed.get("warranty"))))));
    }

    /** One key: the item as it stands, with only its state changed. */
    @PostMapping("/mark")
    String mark(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        return write(survey, typed, model, response, () -> typed.choice("state", KitItem.State.class)
                .flatMap(state -> typed.attempt("name", () -> {
                    KitItem known = survey.steps().kit().named(typed.get("name"))
                            .orElseGet(() -> KitItem.parse(typed.get("name"), state, "", "", "", "", ""));
                    return SurveyEntries.kit(survey.by(clock, typed.get("author")),
                            known.in(state));
                })));
    }

    @PostMapping("/lift")
    String lift(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        return write(survey, typed, model, response,
                () -> typed.attempt("machine", () -> SurveyEntries.lift(survey.by(clock, typed.get("author")),
                        Lift.parse(typed.get("machine"), typed.get("skid"), typed.get("extras"), typed.get("carries"), typed.get("saidBy"),
                                survey.core().machine().unit()))));
    }

    private String write(StoredSurvey survey, FormInput typed, Model model, HttpServletResponse response, Supplier<Optional<Draft>> read) {
        return entries.write(survey, typed, response, read, (now, said, submission) -> page.show(now, said, submission, model),
                entry -> "redirect:/surveys/" + survey.id() + "/kit");
    }
}
