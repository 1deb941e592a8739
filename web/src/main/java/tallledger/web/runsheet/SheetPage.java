package tallledger.web.runsheet;

import java.math.BigDecimal;
import java.math.MathContext;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import tallledger.core.coverage.HouseTimes;
import tallledger.core.coverage.School;
import tallledger.core.cutting.CutMade;
import tallledger.core.drive.Route;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.RecordField;
import tallledger.core.family.Step;
import tallledger.core.family.Traits;
import tallledger.core.house.House;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plan.Beside;
import tallledger.core.plan.SecondRuns;
import tallledger.core.plan.SheetPlan;
import tallledger.core.reading.Method;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.survey.Films;
import tallledger.core.survey.Run;
import tallledger.core.survey.RunGate;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.StartCheck;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;
import tallledger.core.survey.Task;
import tallledger.core.survey.TaskResult;
import tallledger.core.survey.TaskStatus;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Unit;
import tallledger.web.forms.FilmPages;
import tallledger.web.forms.FormInput;
import tallledger.web.housebook.Houses;
import tallledger.web.instruments.Instruments;
import tallledger.web.library.Plans;
import tallledger.web.library.StoredSurvey;
import tallledger.web.machine.EquipmentQuestion;
import tallledger.web.machine.LeverQuestion;
import tallledger.web.store.Submission;
import tallledger.web.words.Words;

/** Lays out the run sheet: what is open, the spine, the margin. */
@Component
public class SheetPage {

    private static final int A_MINUTE = 60;
    private static final int HUNDRED = 100;

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

    /**
     * Every step as it would stand open, for a device that goes on without a connection: nothing is refused here, why it would be stands
     * beside it.
     */
    List<PocketStep> pocket(StoredSurvey survey, RunSheetView shell, String author) {
        return TaskStatus.byPhase(survey.core()).values().stream().flatMap(List::stream).map(TaskStatus::task).map(task -> {
            FormInput typed = FormInput.blank();
            typed.set("author", author);
            typed.set(EquipmentController.SEEN, "yes");
            OpenTask open = task(survey, task, typed);
            RunSheetView view = new RunSheetView(task.key(), Optional.empty(), open, Set.of(), Optional.empty(), shell.stopUse(),
                    shell.done(), new RunSheetView.Spine(List.of(), shell.spine().counts()), shell.margin());
            return PocketStep.of(survey, task, typed, view, refusal(survey.core(), task));
        }).toList();
    }

    /** The run sheet with nothing open. */
    RunSheetView shell(StoredSurvey survey) {
        SheetPlan plan = plans.sheet(survey);
        return new RunSheetView("", Optional.empty(), finished(survey, plan), Set.of(), Optional.empty(), stopUse(survey.core()),
                done(survey, Optional.empty()),
                new RunSheetView.Spine(PhaseView.of(survey, "", words), survey.folded().coverage().counts()),
                margin(survey, plan, ""));
    }

    RunSheetView.Start pocketStart(StoredSurvey survey, FormInput typed) {
        MountedForm.remember(survey.steps(), typed);
        return start(survey);
    }

    boolean isStartDue(StoredSurvey survey) {
        return StartCheck.isDue(survey.entries(), survey.rules(), clock.instant());
    }

    /** @param done entry that was recorded just now */
    public String show(StoredSurvey survey, Optional<String> asked, Optional<Integer> done, FormInput typed, Submission submission,
            Model model) {
        return show(survey, asked, done, typed, submission, List.of(), model);
    }

    /** @param others what others are at */
    String show(StoredSurvey survey, Optional<String> asked, Optional<Integer> done, FormInput typed, Submission submission,
            List<Task> others, Model model) {
        model.addAttribute("survey", survey);
        SoundChoices.begin(survey, typed);
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("view", Boolean.TRUE.equals(model.getAttribute(FilmPages.FRAMED)) ? inFilm(survey, asked, done, typed)
                : view(survey, asked, done, typed, others));
        return "runsheet/sheet";
    }

    private RunSheetView view(StoredSurvey survey, Optional<String> asked, Optional<Integer> done, FormInput typed,
            List<Task> others) {
        SheetPlan plan = plans.sheet(survey);
        Optional<Task> wanted = asked.flatMap(survey.core()::task);
        Beside beside = Beside.of(survey.core(), plan, others);
        Optional<Task> open = wanted.or(beside::next);
        String key = open.map(Task::key).orElse("");
        RunSheetView.StopUse stopUse = stopUse(survey.core());
        OpenTask itself = open.map(task -> task(survey, task, typed)).orElseGet(() -> finished(survey, plan));
        Optional<Reason> gate = open.flatMap(task -> refusal(survey.core(), task));
        OpenTask task = gate.<OpenTask>map(because -> new OpenTask.RefusedTask(itself, because, stopUse.named())).orElse(itself);
        MountedForm.remember(survey.steps(), typed);
        return new RunSheetView(key, wanted.isPresent() ? Optional.empty() : Optional.ofNullable(beside.why()), task,
                open.map(t -> instruments.fields(survey, t)).orElse(Set.of()),
                Optional.of(start(survey)).filter(start -> isStartDue(survey, open, gate, typed)), stopUse, done(survey, done),
                new RunSheetView.Spine(PhaseView.of(survey, key, words), survey.folded().coverage().counts()),
                margin(survey, plan, key));
    }

    /** Beside a film: nothing is started there, and what no film shows is not looked for. */
    private RunSheetView inFilm(StoredSurvey survey, Optional<String> asked, Optional<Integer> done, FormInput typed) {
        SheetPlan plan = plans.sheet(survey);
        Optional<Task> wanted = asked.flatMap(survey.core()::task);
        Optional<Task> open = wanted.or(() -> FilmTasks.next(survey.core(), plan));
        String key = open.map(Task::key).orElse("");
        typed.set(EquipmentController.SEEN, "yes");
        OpenTask itself = open.map(task -> task(survey, task, typed)).orElseGet(() -> finished(survey, plan));
        itself = itself instanceof OpenTask.SpeedTask speed ? speed.asFilmed() : itself;
        Optional<Reason> refused = open.flatMap(Task::step).flatMap(FilmTasks::refusal);
        OpenTask shown = refused.isPresent() ? new OpenTask.RefusedTask(itself,
                refused.get(), true) : itself;
        return new RunSheetView(key, Optional.empty(), shown, Set.of(), Optional.empty(), new RunSheetView.StopUse(Optional.empty(),
                List.of(), true), done(survey, done),
                new RunSheetView.Spine(PhaseView.of(survey, key, words), survey.folded().coverage().counts()), margin(survey, plan, key));
    }

    private RunSheetView.SheetMargin margin(StoredSurvey survey, SheetPlan plan, String key) {
        return new RunSheetView.SheetMargin(PlanView.of(survey, plan, words), List.of(School.values()),
                Films.of(survey.entries(), survey.core().struck().keySet()).running(), survey.steps().mounted(),
                survey.core().photosOf(key), survey.core().clipsOf(key), HUNDRED * survey.rules().number(Rule.PICTURE_SIDE).intValue(),
                SoundChoices.of(survey, key, words));
    }

    private static Optional<Reason> refusal(Survey survey, Task task) {
        return task.route().flatMap(r -> RunGate.refusal(survey, r)).or(() -> task.step().flatMap(s -> RunGate.refusal(survey, s)));
    }

    private OpenTask task(StoredSurvey survey, Task task, FormInput typed) {
        return task.route().<OpenTask>map(route -> speed(survey, route, typed))
                .or(() -> task.step().map(step -> step.recording().driveCheck()
                        .<OpenTask>map(check -> check(survey, step, check, typed)).orElseGet(() -> catalogueStep(survey, step, typed))))
                .orElseThrow();
    }

    private OpenTask speed(StoredSurvey survey, Route route, FormInput typed) {
        return OpenTask.SpeedTask.of(SheetView.of(survey.folded(), route), survey.core().machine().train(),
                GaugeChoice.speeds(houses.newest(), today(), words),
                typed.has("method") ? typed.get("method") : lastMethod(survey.folded(), houses.newest()),
                isCounted(survey.folded()), LeverQuestion.of(survey));
    }

    private static OpenTask check(StoredSurvey survey, Step step, DriveCheck check, FormInput typed) {
        begin(survey, step, Optional.empty(), typed);
        return new OpenTask.CheckTask(check, survey.rules().graded(Rule.SPINDLE_STOP));
    }

    private OpenTask catalogueStep(StoredSurvey survey, Step step, FormInput typed) {
        LengthUnit unit = survey.core().machine().unit();
        Optional<NotedEntry<CutMade>> cut = survey.steps().cut(step);
        Map<String, String> sofar = begin(survey, step, cut.map(NotedEntry::what), typed);
        Optional<Rule> gauge = step.recording().usualGauge();
        List<GaugeChoice> gauges = gauge.map(kind -> GaugeChoice.of(kind, houses.newest(), survey.rules(), unit, today(), words))
                .orElse(List.of());
        if (gauge.isPresent() && !typed.isSent("gauge")) {
            typed.set("gauge", GaugeChoice.last(survey.steps(), gauge.get(), houses.newest()));
        }
        return new OpenTask.CatalogueTask(TaskView.of(survey.core(), step, sofar, words),
                cut.map(c -> new NotedEntry<>(InUnit.of(c.what().says(), unit), c.entry())),
                survey.steps().temperatures(clock.instant()), gauges,
                typed.has(EquipmentController.SEEN) ? Optional.empty() : EquipmentQuestion.of(survey, step, typed));
    }

    /** What stands in a step's fields before anybody types: what the test cut says, or where such a record begins. */
    private static Map<String, String> begin(StoredSurvey survey, Step step, Optional<CutMade> cut, FormInput typed) {
        Map<String, String> sofar = new HashMap<>();
        step.recording().fields().forEach(f -> {
            if (!typed.isSent(f.name())) {
                typed.set(f.name(), cut.flatMap(c -> of(c, f, survey.core().machine().unit()))
                        .orElseGet(() -> step.recording().start(f, survey.rules())));
            }
            sofar.put(f.name(), typed.get(f.name()));
        });
        return sofar;
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

    private static RunSheetView.StopUse stopUse(Survey survey) {
        List<TaskResult> stopping = RunGate.stopping(survey);
        boolean named = RunGate.unnamed(survey).isEmpty();
        Optional<Reason> says = stopping.isEmpty() ? Optional.empty()
                : Optional.of(named ? RunGate.despite(survey) : RunGate.stopUse(survey));
        return new RunSheetView.StopUse(says,
                stopping.stream().map(m -> new RunSheetView.Danger(m.entry(), RunGate.named(survey, m))).toList(), named);
    }

    private static RunSheetView.Start start(StoredSurvey survey) {
        MachineDescription machine = survey.core().machine();
        Traits traits = machine.family().traits();
        return new RunSheetView.Start(traits.startChecks(machine),
                traits.mountables().stream().map(k -> new RunSheetView.Mountable(k, MountedForm.fields(k))).toList(),
                survey.rules().time(Rule.CONFIRMED_FOR).toMinutes(), survey.rules().number(Rule.UNMARKED_SPEED));
    }

    /**
     * Whether something is to turn and may, and nobody has looked yet. The start checks are also where what stops use is named: after the
     * machine was stopped and left they are asked although nothing runs. A form that comes back with something to mend is shown, or what
     * was typed in it would be gone.
     */
    private boolean isStartDue(StoredSurvey survey, Optional<Task> open, Optional<Reason> gate, FormInput typed) {
        boolean turns = open.filter(task -> task.route().isPresent() || task.step().filter(Step::runs).isPresent()).isPresent();
        boolean mayStart = gate.isEmpty() || !RunGate.unnamed(survey.core()).isEmpty() && RunGate.mayName(survey.core());
        boolean mending = !typed.isClean() && !typed.isSent("starting");
        return turns && mayStart && !mending && StartCheck.isDue(survey.entries(), survey.rules(), clock.instant());
    }

    private static OpenTask finished(StoredSurvey survey, SheetPlan plan) {
        return new OpenTask.FinishedTask(again(survey, plan), Math.round(1 / (1 - survey.rules().value(Rule.SHOWS))));
    }

    /** Runs worth making again once all is done, as many as the minutes that are left allow. */
    private static Optional<SecondRuns> again(StoredSurvey survey, SheetPlan plan) {
        SpindleSurvey drive = survey.folded();
        if (plan.spindle().blame().isPresent() || !RunGate.unnamed(survey.core()).isEmpty()) {
            return Optional.empty();
        }
        SecondRuns second = SecondRuns.of(drive);
        HouseTimes times = HouseTimes.of(survey.rules());
        double left = plan.spindle().minutesLeft().map(m -> m.doubleValue() * A_MINUTE).orElse(Double.MAX_VALUE);
        List<Run> fit = new ArrayList<>();
        for (Run run : second.runs()) {
            left -= times.run(drive.table().speedOf(run.route()).flatMap(s -> s.expected()).orElse(Double.MAX_VALUE), false)
                    + drive.standing().map(s -> times.move(drive.machine().train(), s, run.route())).orElse(0.0);
            if (left >= 0) {
                fit.add(run);
            }
        }
        return fit.isEmpty() ? Optional.empty() : Optional.of(new SecondRuns(second.once(), fit));
    }

    private RunSheetView.Done done(StoredSurvey survey, Optional<Integer> done) {
        Optional<StepResult> step = done.flatMap(d -> survey.steps().all().stream().filter(r -> r.entry() == d).findFirst());
        return new RunSheetView.Done(done.flatMap(d -> survey.folded().runs().stream().filter(r -> r.entry() == d).findFirst()), step,
                step.flatMap(r -> RecordingPictures.of(r, survey.rules(), words)));
    }

    /** The instrument in the surveyor's hand: the one used last. */
    private static String lastMethod(SpindleSurvey survey, House house) {
        Optional<SpeedReading> last = survey.runs().stream().flatMap(r -> r.record().reading().stream()).filter(r -> r.method().isShown())
                .reduce((a, b) -> b);
        String own = last.flatMap(r -> SpeedReading.usual(r.method()).map(kind -> GaugeChoice.id(r.readWith(), house.gauges(kind))))
                .orElse("");
        return last.map(SpeedReading::method).orElse(Method.CONTACT_TACHOMETER).name() + (own.isEmpty() ? "" : ":" + own);
    }

    private static boolean isCounted(SpindleSurvey survey) {
        return survey.runs().stream().flatMap(r -> r.record().reading().stream()).reduce((a, b) -> b).filter(r -> !r.method().isShown())
                .isPresent();
    }

    private LocalDate today() {
        return LocalDate.now(clock);
    }
}
