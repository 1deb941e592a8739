package tallledger.web.machine;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.family.Family;
import tallledger.core.gauge.Grade;
import tallledger.core.ledger.LedgerReason;
import tallledger.core.machine.Claim;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reason.Reason;
import tallledger.core.survey.Scope;
import tallledger.core.unit.LengthUnit;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.housebook.Houses;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.Plans;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;
import tallledger.web.store.WriteRefusedException;

/** The Start screen: what everybody knows of a machine, one box for what is written or said of it, and its survey begins. */
@Controller
@RequestMapping("/start")
class StartController {

    private final SurveyLibrary library;
    private final MachineBooks machineBooks;
    private final SurveyBooks surveyBooks;
    private final Houses houses;
    private final AuthorCookie writer;
    private final MachineReckoning reckoning;
    private final Plans plans;

    StartController(SurveyLibrary library, MachineBooks machineBooks, SurveyBooks surveyBooks, Houses houses, AuthorCookie writer,
            MachineReckoning reckoning, Plans plans) {
        this.library = library;
        this.machineBooks = machineBooks;
        this.surveyBooks = surveyBooks;
        this.houses = houses;
        this.writer = writer;
        this.reckoning = reckoning;
        this.plans = plans;
    }

    @GetMapping
    String show(Model model, HttpServletRequest request) {
        FormInput typed = FormInput.blank();
        typed.set("family", Family.LATHE.name());
        typed.set("unit", LengthUnit.MM.name());
        typed.set("saidBy", Claim.Source.SELLER.name());
        typed.set("role", "buyer");
        typed.set("author", writer.known(request).orElse(""));
        return page(typed, StartReading.of(typed.withoutErrors()), Submission.fresh(0), model);
    }

    /** What is understood of the box as it stands. */
    @PostMapping("/read")
    String read(@RequestParam MultiValueMap<String, String> fields, Model model) {
        FormInput typed = FormInput.of(fields);
        panel(typed, StartReading.of(typed), model);
        return "machine/start :: panel";
    }

    /** The same for a browser without script, with the whole page. */
    @PostMapping("/look")
    String look(@RequestParam MultiValueMap<String, String> fields, Model model) {
        FormInput typed = FormInput.of(fields);
        return page(typed, StartReading.of(typed), new Submission(typed.get("submission"), 0), model);
    }

    @GetMapping("/**")
    String again() {
        return "redirect:/start";
    }

    @PostMapping
    String begin(@RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        FormInput typed = FormInput.of(fields);
        Submission submission = new Submission(typed.get("submission"), 0);
        if (!typed.has("author")) {
            typed.refuse("author", Reason.of(LedgerReason.AUTHOR_MISSING));
        }
        StartReading reading = StartReading.of(typed);
        Optional<MachineDescription> description = reading.description(typed, houses.newest().rules());
        if (description.isEmpty()) {
            response.setStatus(422);
            return page(typed, reading, submission, model);
        }
        try {
            long machine = machineBooks.add(description.get(), typed.get("author"), submission);
            long survey = surveyBooks.open(library.machine(machine), typed.get("author"), typed.get("role"), Scope.WHOLE, Grade.WORKABLE,
                    submission.other("survey"));
            writer.remember(response, typed.get("author"), submission);
            return "redirect:/surveys/" + survey + "/run" + (typed.holds("first", "speeds") ? firstSpeed(library.survey(survey)) : "");
        } catch (WriteRefusedException not) {
            response.setStatus(503);
            typed.refuse("form", not.reason());
            return page(typed, reading, submission, model);
        }
    }

    /** The speed that the plan runs first; a survey of which no speed is known begins as its sheet says. */
    private String firstSpeed(StoredSurvey survey) {
        return plans.of(survey).plan().runs().stream().findFirst().map(run -> "?step=" + run.route().key()).orElse("");
    }

    private String page(FormInput typed, StartReading reading, Submission submission, Model model) {
        model.addAttribute("submission", submission);
        panel(typed, reading, model);
        return "machine/start";
    }

    private void panel(FormInput typed, StartReading reading, Model model) {
        model.addAttribute("typed", typed);
        model.addAttribute("choices", FormChoices.ALL);
        model.addAttribute("reading", reading);
        model.addAttribute("plate", reading.chosen().map(i -> reading.levers().orElseThrow().offers().get(i)));
        model.addAttribute("soFar", reckoning.soFar(reading.typed(), Optional.empty()).map(s -> s.says(houses.newest().rules())));
    }
}
