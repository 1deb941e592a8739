package tallledger.core.survey;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tallledger.core.ByHand;
import tallledger.core.Machines;
import tallledger.core.coverage.School;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.gauge.Gauge;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.Family;
import tallledger.core.machine.FitOut;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reading.LengthUnit;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.Reason;
import tallledger.core.safety.Mounted;

/** A day at a machine, entry by entry: what comes next and why, what is planned, what it would take, what may not be run. */
class DaysByHandTest {

    private static final String ME = "Q. Tester";

    private final List<Entry> entries = new ArrayList<>();
    private final List<String> lines = new ArrayList<>();
    private Instant now = Instant.parse("2026-05-09T08:00:00Z");
    private final MachineDescription machine = CatalogueTest.machine(Family.LATHE, FitOut.usual(Family.LATHE), Machines.TWELVE, Machines.lever("range", "A B C"), Machines.lever("gear", "1 2 3 4"));

    private void write(Draft draft) {
        entries.add(Entry.following(entries.isEmpty() ? Optional.empty() : Optional.of(entries.get(entries.size() - 1)), draft));
        now = now.plusSeconds(50);
        SpindleSurvey survey = SpindleSurvey.fold(machine, entries);
        StepLedger ledger = StepLedger.fold(machine, entries);
        SheetPlan plan = SheetPlan.of(survey, ledger, now);
        SurveyPlan spindle = plan.spindle();
        lines.add(entries.size() + " " + draft.kind() + " " + draft.step() + " -> next " + plan.next().map(k -> machine.train().routeByKey(k).map(machine.train()::name).orElse(k)).orElse("nothing") + " because " + said(plan.why())
                + String.format(Locale.ROOT, " | spent %.1f open %.1f chosen %d", plan.minutesSpent(), plan.minutesOpen(), plan.chosen().size()) + " | " + spindle.school() + " " + spindle.minutesLeft().map(Object::toString).orElse("-")
                + " runs " + spindle.plan().runs().stream().map(r -> machine.train().name(r.route())).toList() + " beyond " + BeyondProof.of(survey, ledger, spindle.plan().beyondProof()).stream().map(DaysByHandTest::said).toList()
                + " | " + spindle.blame().map(b -> b.hunt() + " " + b.suspects().stream().limit(2).map(s -> s.element().stageName() + s.element().label() + String.format(Locale.ROOT, " %.3f", s.probability())).toList()
                        + String.format(Locale.ROOT, " none %.3f", b.noFault())).orElse("no blame") + " | causes " + spindle.causes().stream().map(c -> c.kind().name()).toList()
                + " | repeats " + ledger.repeats() + survey.repeats().stream().map(machine.train()::name).toList() + " refused " + RunGate.refused(survey, ledger).stream().map(machine.train()::name).sorted().toList()
                + " start due " + StartCheck.isDue(entries, now) + " judged " + JudgedBy.newestFirst(entries).stream().map(j -> j.version() + " " + j.hash()).toList());
    }

    private static String said(Object o) {
        return o instanceof Reason r ? r.code() + r.arguments().stream().map(DaysByHandTest::said).toList() : o instanceof Double d ? String.format(Locale.ROOT, "%.3f", d)
                : o instanceof List<?> list ? list.stream().map(DaysByHandTest::said).toList().toString() : String.valueOf(o);
    }

    private void run(String range, String gear, String rpm, Symptom... symptoms) {
        run(range, gear, rpm, false, symptoms);
    }

    private void run(String range, String gear, String rpm, boolean loaded, Symptom... symptoms) {
        Optional<SpeedReading> reading = Optional.of(rpm).filter(r -> !r.isEmpty()).map(r -> SpeedReading.byTachometer(r, Gauge.HOUSE_TACHOMETER));
        write(SurveyEntries.run(now, ME, new RunRecord(List.of(range, gear), reading, Set.of(symptoms), Optional.<ShiftFeel>empty(), false, loaded, false, "")));
    }

    private void step(String id, boolean flagged, String... fieldsAndValues) {
        Map<String, String> typed = new HashMap<>();
        for (int i = 0; i < fieldsAndValues.length; i += 2) {
            typed.put(fieldsAndValues[i], fieldsAndValues[i + 1]);
        }
        StepLedger ledger = StepLedger.fold(machine, entries);
        Step step = ledger.step(id).orElseThrow();
        List<String> confirmed = ledger.asked(step).stream().filter(StepLedger.Asked::changed).map(a -> SurveyEntries.written(a.need())).toList();
        write(SurveyEntries.step(now, ME, ledger, step, typed, LengthUnit.MM, flagged, confirmed, ""));
    }

    @Test
    void everyDayGoesAsTheListSays() {
        write(SurveyEntries.opened(now, ME, 1, "h1", "buyer", Scope.WHOLE));
        step("desk-claims", false);
        write(SurveyEntries.later(now, ME, "desk-power"));
        write(SurveyEntries.stepPassedOver(now, ME, StepLedger.fold(machine, entries).step("desk-papers").orElseThrow(), "none"));
        step("serial", false, "text", "4711");
        write(SurveyEntries.planChosen(now, ME, School.EVERY_GEAR, ""));
        write(SurveyEntries.startConfirmed(now, ME, StartCheck.items(machine), Mounted.parse(Mounted.Kind.CHUCK, "200", "600", "", "", LengthUnit.MM)));
        run("A", "1", "31.9");
        run("A", "3", "64.2", Symptom.GROWLS);
        run("B", "2", "181");
        run("B", "3", "252", Symptom.GROWLS);
        run("A", "3", "64.0", Symptom.GROWLS);
        write(SurveyEntries.repaired(now, ME, "gear", "3", "bearing"));
        run("A", "3", "64.1");
        run("B", "3", "268");
        run("B", "3", "266", true);
        write(SurveyEntries.passedOver(now, ME, List.of("B", "1"), "enough"));
        write(SurveyEntries.adopted(now, ME, 2, "h2"));
        now = now.plusSeconds(40 * 60);
        write(SurveyEntries.stopped(now, ME));
        write(SurveyEntries.strike(now, ME, entries, 15, "misread"));
        step("isolator", true);
        step("isolator", false);
        write(SurveyEntries.startConfirmed(now, ME, StartCheck.items(machine), Mounted.parse(Mounted.Kind.NOTHING, "", "", "", "", LengthUnit.MM)));
        run("C", "4", "");
        run("B", "4", "355");
        run("C", "4", "1421");
        run("C", "1", "506", Symptom.HOT);
        step("lamp", true);
        write(SurveyEntries.systemRepaired(now, ME, "lamp", "bulb"));
        write(SurveyEntries.planChosen(now, ME, School.MY_MINUTES, "12"));
        now = now.plusSeconds(300);
        step("lamp", false);
        write(SurveyEntries.planChosen(now, ME, School.EVERY_SPEED, ""));
        write(SurveyEntries.strike(now, ME, entries, 18, "not agreed"));
        ByHand.check("days", lines.stream());
    }

    /** The spindle drive alone: everything a fifth too fast, a gear that growls until it is clear, a speed put off, readings under load. */
    @Test
    void everySpindleDayGoesAsTheListSays() {
        write(SurveyEntries.opened(now, ME, 1, "h1", "buyer", Scope.SPINDLE_DRIVE));
        run("A", "1", "37.8");
        run("A", "2", "54.1");
        write(SurveyEntries.later(now, ME, machine.train().routes().get(2).key()));
        run("A", "4", "108.2");
        run("A", "4", "105", true);
        run("B", "4", "425");
        write(SurveyEntries.planChosen(now, ME, School.EVERY_GEAR, ""));
        run("B", "3", "301", Symptom.GROWLS);
        run("A", "3", "75.7", Symptom.GROWLS);
        run("C", "3", "1201", Symptom.GROWLS);
        run("C", "3", "1202", Symptom.GROWLS);
        run("B", "3", "300", Symptom.GROWLS);
        run("C", "1", "");
        run("C", "2", "852");
        write(SurveyEntries.check(now, ME, DriveCheck.BRAKE, true, "5.5", ""));
        write(SurveyEntries.repaired(now, ME, "gear", "3", "bearing"));
        write(SurveyEntries.planChosen(now, ME, School.EVERY_SPEED, ""));
        run("A", "3", "75.9");
        ByHand.check("spindle-day", lines.stream());
    }
}
