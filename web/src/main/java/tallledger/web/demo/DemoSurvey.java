package tallledger.web.demo;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import tallledger.core.coverage.School;
import tallledger.core.cutting.CutMade;
import tallledger.core.drive.Route;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.family.Phase;
import tallledger.core.family.Step;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Grade;
import tallledger.core.house.HouseGauge;
import tallledger.core.kit.KitItem;
import tallledger.core.kit.Lift;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.plan.SurveyPlan;
import tallledger.core.price.Background;
import tallledger.core.price.Stakes;
import tallledger.core.safety.Mounted;
import tallledger.core.sound.WavFile;
import tallledger.core.survey.BookEvent;
import tallledger.core.survey.Recording;
import tallledger.core.survey.Run;
import tallledger.core.survey.RunGate;
import tallledger.core.survey.Scope;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.unit.LengthUnit;
import tallledger.practice.SimulatedMachine;
import tallledger.practice.SimulatedSound;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.sound.SoundAnalyses;
import tallledger.web.store.AttachmentRow;
import tallledger.web.store.Attachments;
import tallledger.web.store.Books;
import tallledger.web.store.Submission;

/** A survey of a simulated machine, written entry by entry as a surveyor would, phase after phase. */
final class DemoSurvey {

    private static final int A_RUN = 52;
    /** Where the sheds stand. */
    private static final ZoneId SHED = ZoneId.of("Europe/London");

    private final SurveyLibrary library;
    private final SurveyBooks surveyBooks;
    private final Books books;
    private final SimulatedMachine simulated;
    private final String surveyor;
    private final Random random;
    private long id;
    private StoredSurvey now;
    private Instant at;
    private List<HouseGauge> carried = List.of();

    DemoSurvey(SurveyLibrary library, SurveyBooks surveyBooks, Books books, SimulatedMachine simulated, String surveyor, long seed) {
        this.library = library;
        this.surveyBooks = surveyBooks;
        this.books = books;
        this.simulated = simulated;
        this.surveyor = surveyor;
        this.random = new Random(seed);
    }

    DemoSurvey open(long machineId, Instant morning, String role) {
        StoredMachine machine = library.machine(machineId);
        at = morning;
        id = surveyBooks.open(machine, by(), role, Scope.WHOLE, judgedAs(machine), new Submission(UUID.randomUUID().toString(), 0));
        return this;
    }

    DemoSurvey plan(School school, String minutes) {
        write(20, SurveyEntries.planChosen(by(), school, minutes));
        return this;
    }

    DemoSurvey steps(Phase... phases) {
        Set<Phase> wanted = Set.of(phases);
        for (Step step : survey().steps().steps()) {
            if (wanted.contains(step.phase())) {
                step(step);
            }
        }
        return this;
    }

    /** With these gauges of the house in the bag. */
    DemoSurvey carrying(HouseGauge... gauges) {
        carried = List.of(gauges);
        return this;
    }

    DemoSurvey camera(BookEvent.Camera.What what) {
        write(5, SurveyEntries.camera(by(), what));
        return this;
    }

    DemoSurvey temperatures(String machine, String gauge) {
        write(30, SurveyEntries.temperatures(by(), machine, gauge, LengthUnit.MM));
        return this;
    }

    /** A test cut as it was made, as its form would say it. */
    DemoSurvey cut(String... fieldsAndValues) {
        Map<String, String> typed = new HashMap<>();
        for (int i = 0; i < fieldsAndValues.length; i += 2) {
            typed.put(fieldsAndValues[i], fieldsAndValues[i + 1]);
        }
        write(120, SurveyEntries.cut(by(), CutMade.typed(typed, LengthUnit.MM), LengthUnit.MM));
        return this;
    }

    DemoSurvey prices(String asking, String sound, Background background) {
        write(20, SurveyEntries.priced(by(), Stakes.typed(asking, sound, "£", background.name())));
        return this;
    }

    /** One step out of its turn. */
    DemoSurvey step(String id) {
        survey().steps().step(id).ifPresent(this::step);
        return this;
    }

    /** Starts the machine: what is on its spindle is said first. */
    DemoSurvey start(Mounted.Kind kind, String diameter, String rpm, String surface) {
        Mounted mounted = Mounted.parse(kind, diameter, rpm, surface, "", LengthUnit.MM);
        write(90, SurveyEntries.startConfirmed(by(), survey().basis(),
                simulated.description().family().traits().startChecks(simulated.description()), mounted));
        return this;
    }

    DemoSurvey runs(int most) {
        for (int i = 0; i < most; i++) {
            StoredSurvey survey = survey();
            Optional<Route> next = SurveyPlan.of(survey.core(), at, RunGate.refused(survey.core()), List.of()).next();
            if (next.isEmpty()) {
                return this;
            }
            write(A_RUN, SurveyEntries.run(by(), survey.basis(), survey.folded(), simulated.run(next.get(), random)));
        }
        return this;
    }

    DemoSurvey pass(String step, String reason) {
        survey().steps().step(step).ifPresent(s -> write(10, SurveyEntries.stepPassedOver(by(), s, reason)));
        return this;
    }

    DemoSurvey kit(String name, KitItem.State state, String promised, String choice, String cost, String until, String note) {
        write(15, SurveyEntries.kit(by(), KitItem.parse(name, state, promised, choice, cost, until, note)));
        return this;
    }

    DemoSurvey lift(String machine, String skid, String extras, String carries, String saidBy) {
        write(20, SurveyEntries.lift(by(), Lift.parse(machine, skid, extras, carries, saidBy)));
        return this;
    }

    /** The room, and each speed that was read, as the simulated machine sounds. */
    DemoSurvey sounds(Attachments attachments, SoundAnalyses analyses) {
        sound(attachments, analyses, "", SimulatedSound.usual().ofRoom(id));
        for (Run run : List.copyOf(survey().folded().latest().values())) {
            if (run.reading().isPresent()) {
                double rpm = run.reading().get().rpm().doubleValue();
                sound(attachments, analyses, run.route().key(), SimulatedSound.usual().of(simulated, run.route(), rpm, run.entry()));
            }
        }
        return this;
    }

    private void sound(Attachments attachments, SoundAnalyses analyses, String task, byte[] wav) {
        AttachmentRow row = AttachmentRow.of(Recording.TYPE, wav);
        WavFile read = WavFile.parse(wav);
        Draft draft = SurveyEntries.sound(by(), survey().core(), task, row.as(Recording.SOUND), wav.length,
                BigDecimal.valueOf(read.seconds()).setScale(1, RoundingMode.HALF_UP),
                Recording.usualPlace(survey().core().machine().unit()), Recording.Treated.NOT,
                analyses.found(survey(), task, row.sha256(), read));
        attachments.keep(id, List.of(row), draft, new Submission(UUID.randomUUID().toString(), survey().head()));
        now = null;
        at = at.plusSeconds(A_RUN);
    }

    private void step(Step step) {
        Optional<DriveCheck> check = step.recording().driveCheck();
        if (check.isPresent()) {
            String seconds = check.get() == DriveCheck.BRAKE ? "4.1" : "";
            write(step.seconds(), SurveyEntries.check(by(), survey().basis(), survey().rules(), check.get(), true, seconds, ""));
            return;
        }
        StepLedger ledger = survey().steps();
        SimulatedMachine.Answer answer = simulated.answer(step, ledger.rules(), random);
        List<String> confirmed = ledger.asked(step).stream().filter(StepLedger.AskedNeed::changed).map(a -> a.need().written()).toList();
        write(step.seconds(), SurveyEntries.step(by(), ledger, step, answer.values(), survey().basis().with(with(step)), answer.flagged(),
                confirmed, answer.remark()));
    }

    private Optional<Gauge> with(Step step) {
        return step.recording().usualGauge().flatMap(kind -> carried.stream().filter(g -> g.kind() == kind).findFirst())
                .map(HouseGauge::gauge);
    }

    private Authorship by() {
        return Authorship.of(at, SHED, surveyor);
    }

    /** As it stands after the entry written last; folded once for each. */
    long id() {
        return id;
    }

    private StoredSurvey survey() {
        if (now == null) {
            now = library.survey(id);
        }
        return now;
    }

    private void write(int seconds, Draft draft) {
        books.append(id, draft, new Submission(UUID.randomUUID().toString(), survey().head()));
        now = null;
        at = at.plusSeconds(seconds);
    }

    /** What a rebuilder offers as rebuilt is judged as that. */
    private static Grade judgedAs(StoredMachine machine) {
        return machine.description().identity().offeredBy().equals("the rebuilder") ? Grade.REBUILT : Grade.WORKABLE;
    }
}
