package tallledger.web.runsheet;

import java.math.BigDecimal;
import java.math.MathContext;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import tallledger.core.coverage.HouseTimes;
import tallledger.core.coverage.School;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.cutting.CutMade;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.drive.StageKind;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.RecordField;
import tallledger.core.family.Family;
import tallledger.core.family.Step;
import tallledger.core.house.House;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.reading.Method;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.safety.Mounted;
import tallledger.core.survey.Films;
import tallledger.core.survey.Run;
import tallledger.core.survey.RunGate;
import tallledger.core.survey.SecondRuns;
import tallledger.core.survey.SheetPlan;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.StartCheck;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Task;
import tallledger.core.survey.TaskResult;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Unit;
import tallledger.web.forms.FormInput;
import tallledger.web.instruments.Instruments;
import tallledger.web.record.Houses;
import tallledger.web.record.Plans;
import tallledger.web.record.StoredSurvey;
import tallledger.web.record.Submission;
import tallledger.web.words.Words;

/** Lays out the run sheet: the open speed or step, the spine, the margin. */
@Component
public class SheetPage {

    /** Jumping out and not engaging are keys of the shift already. */
    private static final List<Symptom> SYMPTOM_KEYS = Stream.of(Symptom.values())
            .filter(s -> Stream.of(ShiftFeel.values()).noneMatch(f -> f.symptom().filter(s::equals).isPresent())).toList();

    private static final Set<StageKind> SHIFTED = EnumSet.of(StageKind.GEAR, StageKind.BACK_GEAR, StageKind.COMMANDED);

    /** What can be on the spindle, and the fields its marks are typed into. */
    public record Mountable(Mounted.Kind kind, List<String> fields) {
    }

    /** What stops use, to be named at the start: the entry that found it, and its name with why. */
    public record Danger(int entry, Object name) {
    }

    private final Plans plans;
    private final Houses houses;
    private final Instruments instruments;
    private final Words words;
    private final Clock clock;

    SheetPage(Plans plans, Houses houses, Instruments instruments, Words words, Clock clock) {
        this.plans = plans;
        this.houses = houses;
        this.instruments = instruments;
        this.words = words;
        this.clock = clock;
    }

    public String show(StoredSurvey survey, Optional<String> asked, Optional<Integer> done, FormInput typed, Submission submission,
            Model model) {
        SheetPlan plan = plans.sheet(survey);
        Optional<Task> wanted = asked.flatMap(survey.core()::task);
        Optional<Task> open = wanted.or(plan::next);
        Optional<Route> route = open.flatMap(Task::route);
        Optional<Step> step = open.flatMap(Task::step);
        String key = open.map(Task::key).orElse("");
        model.addAttribute("why", wanted.isPresent() ? null : plan.why());
        model.addAttribute("key", key);
        model.addAttribute("phases", PhaseView.of(survey.core(), key, words));
        model.addAttribute("plan", PlanView.of(survey, plan, words));
        model.addAttribute("schools", School.values());
        model.addAttribute("survey", survey);
        model.addAttribute("films", Films.of(survey.entries(), survey.core().struck().keySet()));
        model.addAttribute("counts", survey.folded().coverage().counts());
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("takes", open.map(task -> instruments.fields(survey, task)).orElse(Set.of()));
        speed(survey, route, typed, model);
        step(survey, step, typed, model);
        Optional<Reason> gate = route.flatMap(r -> RunGate.refusal(survey.core(), r))
                .or(() -> step.flatMap(s -> RunGate.refusal(survey.core(), s)));
        model.addAttribute("gate", gate.orElse(null));
        List<TaskResult> stopping = RunGate.stopping(survey.core());
        boolean named = RunGate.unnamed(survey.core()).isEmpty();
        // The start checks are where what stops use is named: after the machine was stopped and left they are asked although nothing runs.
        boolean starts = (gate.isEmpty() || !named && RunGate.mayName(survey.core()))
                && (route.isPresent() || step.filter(Step::runs).isPresent());
        model.addAttribute("stopUse", stopping.isEmpty() ? null : named ? RunGate.despite(survey.core()) : RunGate.stopUse(survey.core()));
        model.addAttribute("stopping", stopping.stream().map(m -> new Danger(m.entry(), RunGate.named(survey.core(), m))).toList());
        model.addAttribute("named", named);
        model.addAttribute("silentIn", Math.round(1 / (1 - survey.rules().value(Rule.SHOWS))));
        model.addAttribute("second", plan.next().isPresent() || wanted.isPresent() ? null : second(survey, plan));
        start(survey, starts, typed, model);
        done(survey, done, model);
        return "runsheet/sheet";
    }

    /** Runs worth making again once all is done, as many as the minutes that are left allow. */
    private SecondRuns second(StoredSurvey survey, SheetPlan plan) {
        SpindleSurvey drive = survey.folded();
        if (plan.spindle().blame().isPresent() || !RunGate.unnamed(survey.core()).isEmpty()) {
            return null;
        }
        SecondRuns second = SecondRuns.of(drive);
        HouseTimes times = HouseTimes.of(survey.rules());
        double left = plan.spindle().minutesLeft().map(m -> m.doubleValue() * 60).orElse(Double.MAX_VALUE);
        List<Run> fit = new ArrayList<>();
        for (Run run : second.runs()) {
            left -= times.run(drive.table().speedOf(run.route()).flatMap(s -> s.expected()).orElse(Double.MAX_VALUE), false)
                    + drive.standing().map(s -> times.move(drive.machine().train(), s, run.route())).orElse(0.0);
            if (left >= 0) {
                fit.add(run);
            }
        }
        return fit.isEmpty() ? null : new SecondRuns(second.once(), fit);
    }

    private void speed(StoredSurvey survey, Optional<Route> route, FormInput typed, Model model) {
        SpindleSurvey folded = survey.folded();
        model.addAttribute("sheet", route.map(r -> SheetView.of(folded, r)).orElse(null));
        model.addAttribute("symptoms", SYMPTOM_KEYS.stream().filter(s -> isPossible(s, folded.machine().train())).toList());
        model.addAttribute("methods", GaugeChoice.speeds(houses.newest(), today(), words));
        model.addAttribute("method", typed.has("method") ? typed.get("method") : lastMethod(folded, houses.newest()));
        model.addAttribute("shiftFeels", shifts(folded.machine().train()) ? List.of(ShiftFeel.values()) : List.of());
    }

    private void step(StoredSurvey survey, Optional<Step> step, FormInput typed, Model model) {
        Optional<DriveCheck> check = step.flatMap(s -> s.recording().driveCheck());
        model.addAttribute("check", check.orElse(null));
        model.addAttribute("brake", survey.rules().graded(Rule.SPINDLE_STOP));
        Map<String, String> sofar = new HashMap<>();
        Optional<CutMade> cut = step.flatMap(s -> survey.steps().cut(s)).map(NotedEntry::what);
        model.addAttribute("cut",
                step.flatMap(s -> survey.steps().cut(s))
                        .map(c -> new NotedEntry<>(InUnit.of(c.what().says(), survey.core().machine().unit()), c.entry())).orElse(null));
        step.ifPresent(s -> s.recording().fields().forEach(f -> {
            if (!typed.isSent(f.name())) {
                typed.set(f.name(), cut.flatMap(c -> of(c, f, survey.core().machine().unit())).orElseGet(() -> s.recording().start(f,
                        survey.rules())));
            }
            sofar.put(f.name(), typed.get(f.name()));
        }));
        model.addAttribute("warm", survey.steps().temperatures(clock.instant()).orElse(null));
        Optional<Rule> kind = step.flatMap(s -> s.recording().usualGauge());
        model.addAttribute("gauges",
                kind.map(k -> GaugeChoice.of(k, houses.newest(), survey.rules(), survey.core().machine().unit(), today(), words))
                        .orElse(List.of()));
        if (kind.isPresent() && !typed.isSent("gauge")) {
            typed.set("gauge", GaugeChoice.last(survey.steps(), kind.get(), houses.newest()));
        }
        model.addAttribute("task", step.filter(s -> check.isEmpty()).map(s -> TaskView.of(survey.core(), s, sofar, words)).orElse(null));
        model.addAttribute("photos", step.map(s -> survey.core().photosOf(s.id().written())).orElse(List.of()));
    }

    /** What the test cut says of a field of a step measured on it, in the unit of the machine. */
    private static Optional<String> of(CutMade cut, RecordField field, LengthUnit machine) {
        return switch (field.name()) {
            case "feed" -> Optional.of(typed(cut.feed().mm(), FieldUnit.LENGTH, machine));
            case "past" -> Optional.of(typed(cut.past(), FieldUnit.SURFACE, machine));
            case "spindle" -> Optional.of(cut.rpm().typed());
            default -> Optional.empty();
        };
    }

    /** A metric figure as it is typed into such a field, with its unit. */
    private static String typed(BigDecimal value, FieldUnit field, LengthUnit machine) {
        Unit metric = field.unit(LengthUnit.MM);
        Unit unit = field.unit(machine);
        BigDecimal figure = unit == metric ? value : metric.to(unit, value).round(new MathContext(4));
        return figure.stripTrailingZeros().toPlainString() + " " + unit.symbol();
    }

    /** @param starts whether something is to turn, and may */
    private void start(StoredSurvey survey, boolean starts, FormInput typed, Model model) {
        Family family = survey.folded().machine().identity().family();
        // A form that comes back with something to mend is shown, or what was typed in it would be gone.
        boolean mending = !typed.isClean() && !typed.isSent("starting");
        model.addAttribute("startDue", starts && !mending && StartCheck.isDue(survey.entries(), survey.rules(), clock.instant()));
        model.addAttribute("pauseMinutes", survey.rules().time(Rule.CONFIRMED_FOR).toMinutes());
        model.addAttribute("unmarkedShare", survey.rules().number(Rule.UNMARKED_SPEED));
        model.addAttribute("startItems", survey.folded().machine().family().traits().startChecks(survey.folded().machine()));
        model.addAttribute("mountables", family.traits().mountables().stream().map(k -> new Mountable(k, MountedForm.fields(k))).toList());
        MountedForm.remember(survey.steps(), typed);
        model.addAttribute("mounted", survey.steps().mounted().orElse(null));
    }

    private void done(StoredSurvey survey, Optional<Integer> done, Model model) {
        model.addAttribute("done", done.flatMap(d -> survey.folded().runs().stream().filter(r -> r.entry() == d).findFirst()).orElse(null));
        Optional<StepResult> result = done.flatMap(d -> survey.steps().all().stream().filter(r -> r.entry() == d).findFirst());
        model.addAttribute("doneStep", result.orElse(null));
        model.addAttribute("donePicture", result.flatMap(r -> RecordingPictures.of(r, survey.rules(), words)).orElse(null));
    }

    /** The instrument in the surveyor's hand: the one used last. */
    private static String lastMethod(SpindleSurvey survey, House house) {
        Optional<SpeedReading> last = survey.runs().stream().flatMap(r -> r.record().reading().stream()).filter(r -> r.method().isShown())
                .reduce((a, b) -> b);
        String own = last.flatMap(r -> SpeedReading.usual(r.method()).map(kind -> GaugeChoice.id(r.readWith(), house.gauges(kind))))
                .orElse("");
        return last.map(SpeedReading::method).orElse(Method.CONTACT_TACHOMETER).name() + (own.isEmpty() ? "" : ":" + own);
    }

    private LocalDate today() {
        return LocalDate.now(clock);
    }

    /** Only what is shifted is felt to: a belt is laid over by hand, and a wheel of one speed has no lever. */
    private static boolean shifts(DriveTrain train) {
        return train.stages().stream().anyMatch(s -> s.isChoice() && SHIFTED.contains(s.kind()));
    }

    /** A dead spot needs something that slides, hunting a commanded range. */
    private static boolean isPossible(Symptom symptom, DriveTrain train) {
        return switch (symptom) {
            case DEAD_SPOT -> train.stages().stream().anyMatch(s -> s.kind().slides());
            case HUNTS -> train.stages().stream().anyMatch(s -> s.kind() == StageKind.COMMANDED);
            default -> true;
        };
    }
}
