package tallledger.web.runsheet;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.coverage.School;
import tallledger.core.drive.Route;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.family.StartItem;
import tallledger.core.family.Step;
import tallledger.core.gauge.Grade;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.reason.Reason;
import tallledger.core.survey.RunGate;
import tallledger.core.survey.Scope;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.survey.Task;
import tallledger.core.survey.TaskResult;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FilmForm;
import tallledger.web.forms.FormInput;
import tallledger.web.housebook.Houses;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.live.Watchers;
import tallledger.web.live.Whose;
import tallledger.web.store.Submission;
import tallledger.web.words.WebReason;

/** The Run sheet: one step at a time. */
@Controller
class RunSheetController {

    private final SurveyLibrary library;
    private final SurveyBooks surveyBooks;
    private final Houses houses;
    private final AuthorCookie writer;
    private final Clock clock;
    private final SheetPage page;
    private final SheetWriter sheet;
    private final Watchers watchers;

    RunSheetController(SurveyLibrary library, SurveyBooks surveyBooks, Houses houses, AuthorCookie writer, Clock clock, SheetPage page,
            SheetWriter sheet, Watchers watchers) {
        this.watchers = watchers;
        this.library = library;
        this.surveyBooks = surveyBooks;
        this.houses = houses;
        this.writer = writer;
        this.clock = clock;
        this.page = page;
        this.sheet = sheet;
    }

    @PostMapping("/machines/{id}/surveys")
    String open(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, HttpServletResponse response) {
        StoredMachine machine = library.machine(id);
        FormInput typed = FormInput.of(fields);
        Submission submission = new Submission(typed.get("submission"), 0);
        Optional<Long> survey = typed.attempt("author", () -> surveyBooks.open(machine, typed.get("author"),
                typed.get("role"), typed.get("scope").equals(Scope.SPINDLE_DRIVE.name()) ? Scope.SPINDLE_DRIVE : Scope.WHOLE,
                typed.has("judgedAs") ? typed.choice("judgedAs", Grade.class).orElse(Grade.WORKABLE) : Grade.WORKABLE, submission));
        if (survey.isEmpty()) {
            return "redirect:/machines/" + id + "?unnamed#open-survey";
        }
        writer.remember(response, typed.get("author"), submission);
        return "redirect:/surveys/" + survey.get() + "/run";
    }

    @GetMapping("/surveys/{id}/run")
    String show(@PathVariable long id, @RequestParam Optional<String> step, @RequestParam Optional<Integer> done,
            @RequestParam(name = EquipmentController.SEEN) Optional<String> seen, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        seen.ifPresent(s -> typed.set(EquipmentController.SEEN, s));
        Whose whose = Whose.of(request, writer, "");
        List<Task> others = watchers.others(id, whose).stream().flatMap(w -> survey.core().task(w.step()).stream()).toList();
        return page.show(survey, step, done, typed, Submission.fresh(survey.head()), others, model);
    }

    @PostMapping("/surveys/{id}/run")
    String record(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
            HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        Optional<Route> route = survey.folded().machine().train().routeByKey(typed.get("step"));
        if (route.isEmpty()) {
            typed.refuse("form", Reason.of(WebReason.RUN_NO_SUCH_STEP));
        }
        return sheet.write(survey, typed, model, response, () -> route
                .flatMap(r -> RunForm.read(typed, survey.folded().machine(), houses.newest(), r))
                .flatMap(record -> typed.attempt("form", () -> {
                    Optional<FilmMoment> seen = FilmForm.moment(typed);
                    if (seen.isEmpty()) {
                        RunGate.check(survey.core(), route.get());
                    }
                    return SurveyEntries.run(survey.by(clock, typed.get("author")), survey.basis(), survey.folded(), record, seen);
                })));
    }

    @PostMapping("/surveys/{id}/start")
    String start(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
            HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        List<StartItem> items = survey.folded().machine().family().traits().startChecks(survey.folded().machine());
        List<StartItem> unticked = items.stream().filter(item -> !typed.holds("safe", item.name())).toList();
        if (!unticked.isEmpty()) {
            typed.refuse("safe", Reason.of(WebReason.START_UNTICKED, unticked.size(), items.size()));
        }
        // What stops use is named at each start, each by itself: its number is that of the entry that found it.
        List<Integer> known = RunGate.stopping(survey.core()).stream().map(TaskResult::entry)
                .filter(entry -> typed.holds("known", String.valueOf(entry))).toList();
        if (!RunGate.mayName(survey.core())) {
            typed.refuse("form", RunGate.stopUse(survey.core()));
        } else if (known.size() < RunGate.stopping(survey.core()).size()) {
            typed.refuse("known", Reason.of(WebReason.START_UNKNOWN));
        }
        return sheet.write(survey, typed, model, response,
                () -> MountedForm.read(typed, survey.folded().machine().identity()).map(mounted -> SurveyEntries
                        .startConfirmed(survey.by(clock, typed.get("author")), survey.basis(), items, mounted, known)));
    }

    @PostMapping("/surveys/{id}/stop")
    String stop(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
            HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        return sheet.write(survey, typed, model, response,
                () -> Optional.of(SurveyEntries.stopped(survey.by(clock, typed.get("author")))));
    }

    @PostMapping("/surveys/{id}/pass")
    String passOver(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
            HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        Optional<Step> step = survey.steps().step(typed.get("step"));
        return sheet.write(survey, typed, model, response, () -> step.isPresent()
                ? typed.attempt("reason", () -> SurveyEntries.stepPassedOver(survey.by(clock, typed.get("author")), step.get(),
                        typed.get("reason")))
                : settings(survey, typed).flatMap(settings -> typed.attempt("reason",
                        () -> SurveyEntries.passedOver(survey.by(clock, typed.get("author")), settings, typed.get("reason")))));
    }

    @PostMapping("/surveys/{id}/plan")
    String plan(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
            HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        return sheet.write(survey, typed, model, response,
                () -> typed.choice("school", School.class).flatMap(
                        school -> typed.attempt("minutes", () -> SurveyEntries.planChosen(survey.by(clock, typed.get("author")), school,
                                typed.get("minutes")))));
    }

    @PostMapping("/surveys/{id}/check")
    String check(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
            HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        return sheet.write(survey, typed, model, response, () -> typed.choice("check", DriveCheck.class)
                .filter(check -> ByEye.decided(typed)).flatMap(check -> typed.attempt("seconds", () -> {
                    survey.steps().step("check-" + check.name()).filter(s -> FilmForm.moment(typed).isEmpty())
                            .ifPresent(step -> RunGate.check(survey.core(), step));
                    return SurveyEntries.check(survey.by(clock, typed.get("author")), survey.basis(), survey.rules(), check,
                            typed.get("do").equals("good"), typed.get("seconds"), typed.get("remark"));
                })));
    }

    @PostMapping("/surveys/{id}/adopt")
    String adopt(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
            HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        return sheet.write(survey, typed, model, response,
                () -> Optional.of(SurveyEntries.adopted(survey.by(clock, typed.get("author")), survey.machine().version(),
                        survey.machine().hash())));
    }

    @PostMapping("/surveys/{id}/adopt-rules")
    String adoptRules(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
            HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        return sheet.write(survey, typed, model, response,
                () -> Optional.of(SurveyEntries.adopted(survey.by(clock, typed.get("author")), houses.issued())));
    }

    private Optional<List<String>> settings(StoredSurvey survey, FormInput typed) {
        Optional<Route> route = survey.folded().machine().train().routeByKey(typed.get("step"));
        if (route.isEmpty()) {
            typed.refuse("form", Reason.of(WebReason.RUN_NO_SUCH_STEP));
        }
        return route.map(r -> survey.folded().machine().train().settings(r));
    }
}
