package tallledger.web.runsheet;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.coverage.School;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.drive.StageKind;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.reading.Method;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.Reason;
import tallledger.core.survey.DriveCheck;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.StartCheck;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.survey.SurveyPlan;
import tallledger.web.forms.Typed;
import tallledger.web.forms.Writer;
import tallledger.web.record.Books;
import tallledger.web.record.Machine;
import tallledger.web.record.MovedOn;
import tallledger.web.record.Plans;
import tallledger.web.record.Shelves;
import tallledger.web.record.Submission;
import tallledger.web.record.Survey;

/** The Run sheet: one step at a time. */
@Controller
class RunSheetController {

    /** Jumping out and not engaging are keys of the shift already. */
    private static final List<Symptom> SYMPTOM_KEYS = Stream.of(Symptom.values())
            .filter(s -> Stream.of(ShiftFeel.values()).noneMatch(f -> f.symptom().filter(s::equals).isPresent())).toList();

    /** Steps that are drive checks are named "check-BRAKE". */
    private static final String CHECK = "check-";

    private final Shelves shelves;
    private final Books books;
    private final Writer writer;
    private final Clock clock;
    private final Plans plans;

    RunSheetController(Shelves shelves, Books books, Writer writer, Clock clock, Plans plans) {
        this.plans = plans;
        this.shelves = shelves;
        this.books = books;
        this.writer = writer;
        this.clock = clock;
    }

    @PostMapping("/machines/{id}/surveys")
    String open(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, HttpServletResponse response) {
        Machine machine = shelves.machine(id);
        Typed typed = Typed.of(fields);
        Submission submission = new Submission(typed.get("submission"), 0);
        Optional<Long> survey = typed.attempt("author", () -> shelves.openSurvey(machine, typed.get("author"),
                typed.get("role"), submission));
        if (survey.isEmpty()) {
            return "redirect:/machines/" + id + "?unnamed#open-survey";
        }
        writer.remember(response, typed.get("author"));
        return "redirect:/surveys/" + survey.get() + "/run";
    }

    @GetMapping("/surveys/{id}/run")
    String show(@PathVariable long id, @RequestParam Optional<String> step, @RequestParam Optional<Integer> done, Model model,
                HttpServletRequest request) {
        Survey survey = shelves.survey(id);
        Typed typed = Typed.blank();
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        return sheet(survey, step, done, typed, Submission.fresh(survey.head()), model);
    }

    @PostMapping("/surveys/{id}/run")
    String record(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
                  HttpServletResponse response) {
        Survey survey = shelves.survey(id);
        Typed typed = Typed.of(fields);
        Optional<Route> route = survey.folded().machine().train().routeByKey(typed.get("step"));
        if (route.isEmpty()) {
            typed.refuse("form", Reason.of("run.no-such-step"));
        }
        return write(survey, typed, model, response, () -> route
                .flatMap(r -> RunForm.read(typed, survey.folded().machine(), r))
                .map(record -> SurveyEntries.run(clock.instant(), typed.get("author"), record)));
    }

    @PostMapping("/surveys/{id}/start")
    String start(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
                 HttpServletResponse response) {
        Survey survey = shelves.survey(id);
        Typed typed = Typed.of(fields);
        List<StartCheck.Item> items = StartCheck.items(survey.folded().machine().identity().family());
        List<StartCheck.Item> unticked = items.stream().filter(item -> !typed.holds("safe", item.name())).toList();
        if (!unticked.isEmpty()) {
            typed.refuse("safe", Reason.of("start.unticked", unticked.size(), items.size()));
        }
        return write(survey, typed, model, response,
                () -> Optional.of(SurveyEntries.startConfirmed(clock.instant(), typed.get("author"), items)));
    }

    @PostMapping("/surveys/{id}/stop")
    String stop(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
                HttpServletResponse response) {
        Typed typed = Typed.of(fields);
        return write(shelves.survey(id), typed, model, response,
                () -> Optional.of(SurveyEntries.stopped(clock.instant(), typed.get("author"))));
    }

    @PostMapping("/surveys/{id}/pass")
    String passOver(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
                    HttpServletResponse response) {
        Survey survey = shelves.survey(id);
        Typed typed = Typed.of(fields);
        return write(survey, typed, model, response, () -> settings(survey, typed).flatMap(settings -> typed.attempt("reason",
                () -> SurveyEntries.passedOver(clock.instant(), typed.get("author"), settings, typed.get("reason")))));
    }

    @PostMapping("/surveys/{id}/plan")
    String plan(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
                HttpServletResponse response) {
        Typed typed = Typed.of(fields);
        return write(shelves.survey(id), typed, model, response, () -> typed.choice("school", School.class).flatMap(school ->
                typed.attempt("minutes", () -> SurveyEntries.planChosen(clock.instant(), typed.get("author"), school, typed.get("minutes")))));
    }

    @PostMapping("/surveys/{id}/check")
    String check(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
                 HttpServletResponse response) {
        Typed typed = Typed.of(fields);
        return write(shelves.survey(id), typed, model, response, () -> typed.choice("check", DriveCheck.class).flatMap(check ->
                typed.attempt("seconds", () -> SurveyEntries.check(clock.instant(), typed.get("author"), check,
                        typed.get("do").equals("good"), typed.get("seconds"), typed.get("remark")))));
    }

    @PostMapping("/surveys/{id}/adopt")
    String adopt(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model,
                 HttpServletResponse response) {
        Survey survey = shelves.survey(id);
        Typed typed = Typed.of(fields);
        return write(survey, typed, model, response, () -> Optional.of(SurveyEntries.adopted(clock.instant(),
                typed.get("author"), survey.machine().version(), Shelves.hash(survey.machine()))));
    }

    private Optional<List<String>> settings(Survey survey, Typed typed) {
        Optional<Route> route = survey.folded().machine().train().routeByKey(typed.get("step"));
        if (route.isEmpty()) {
            typed.refuse("form", Reason.of("run.no-such-step"));
        }
        return route.map(r -> survey.folded().machine().train().settings(r));
    }

    /** Appends what the form says; whatever goes wrong, the sheet comes back with all that was typed. */
    private String write(Survey survey, Typed typed, Model model, HttpServletResponse response, Supplier<Optional<Draft>> read) {
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        Optional<Entry> already = books.written(survey.id(), submission);
        if (already.isPresent()) {
            return next(survey, already.get());
        }
        if (!typed.has("author")) {
            typed.refuse("author", Reason.of("author.missing"));
        }
        Optional<Draft> draft = typed.attempt("author", read).flatMap(d -> d);
        if (draft.isEmpty() || !typed.isClean()) {
            response.setStatus(422);
            return sheet(survey, Optional.of(typed.get("step")), Optional.empty(), typed, submission, model);
        }
        try {
            Entry entry = books.append(survey.id(), draft.get(), submission);
            writer.remember(response, typed.get("author"));
            return next(survey, entry);
        } catch (MovedOn moved) {
            response.setStatus(409);
            typed.refuse("form", Reason.of("survey.moved-on", moved.seen() + 1, moved.head()));
            Survey now = shelves.survey(survey.id());
            return sheet(now, Optional.of(typed.get("step")), Optional.empty(), typed, new Submission(submission.key(), now.head()), model);
        }
    }

    /** The instrument in the surveyor's hand: the one used last. */
    private static String lastMethod(SpindleSurvey survey) {
        return survey.runs().stream().flatMap(r -> r.record().reading().stream()).map(SpeedReading::method).filter(Method::isShown)
                .reduce((a, b) -> b).orElse(Method.CONTACT_TACHOMETER).name();
    }

    /** A dead spot needs something that slides, hunting a commanded range. */
    private static boolean isPossible(Symptom symptom, DriveTrain train) {
        return switch (symptom) {
            case DEAD_SPOT -> train.stages().stream().anyMatch(s -> s.kind().slides());
            case HUNTS -> train.stages().stream().anyMatch(s -> s.kind() == StageKind.COMMANDED);
            default -> true;
        };
    }

    private static String next(Survey survey, Entry entry) {
        return "redirect:/surveys/" + survey.id() + "/run?done=" + entry.sequence();
    }

    private String sheet(Survey survey, Optional<String> step, Optional<Integer> done, Typed typed, Submission submission, Model model) {
        var folded = survey.folded();
        SurveyPlan plan = plans.of(survey);
        Optional<DriveCheck> check = step.filter(s -> s.startsWith(CHECK)).flatMap(s -> DriveCheck.of(folded.machine().train()).stream()
                .filter(c -> s.equals(CHECK + c.name())).findFirst());
        Optional<Route> asked = step.flatMap(key -> folded.machine().train().routeByKey(key))
                .filter(route -> folded.table().speedOf(route).isPresent());
        Optional<Route> chosen = check.isPresent() ? Optional.empty() : asked.or(plan::next);
        model.addAttribute("why", asked.isPresent() || check.isPresent() ? null : plan.why());
        model.addAttribute("check", check.or(() -> chosen.isEmpty() ? folded.uncheckedDrive().stream().findFirst() : Optional.empty()).orElse(null));
        model.addAttribute("checks", CheckStep.of(folded));
        model.addAttribute("plan", PlanView.of(folded, plan));
        model.addAttribute("schools", School.values());
        model.addAttribute("survey", survey);
        model.addAttribute("steps", StepView.of(folded));
        model.addAttribute("sheet", chosen.map(route -> SheetView.of(folded, route)).orElse(null));
        model.addAttribute("startDue", StartCheck.isDue(survey.entries(), clock.instant()));
        model.addAttribute("pauseMinutes", StartCheck.GOOD_FOR.toMinutes());
        model.addAttribute("brake", GradedLimit.SPINDLE_STOP);
        model.addAttribute("startItems", StartCheck.items(folded.machine().identity().family()));
        model.addAttribute("symptoms", SYMPTOM_KEYS.stream().filter(s -> isPossible(s, folded.machine().train())).toList());
        model.addAttribute("methods", Stream.of(Method.values()).filter(Method::isShown).toList());
        model.addAttribute("method", typed.has("method") ? typed.get("method") : lastMethod(folded));
        model.addAttribute("shiftFeels", ShiftFeel.values());
        model.addAttribute("counts", folded.coverage().counts());
        model.addAttribute("done", done.flatMap(d -> folded.runs().stream().filter(r -> r.entry() == d).findFirst()).orElse(null));
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        return "runsheet/sheet";
    }
}
