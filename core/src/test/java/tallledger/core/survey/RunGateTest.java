package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.drive.Route;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.Family;
import tallledger.core.machine.FitOut;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reading.LengthUnit;
import tallledger.core.safety.Mounted;

/** What may not be run, and why. */
class RunGateTest {

    private static final Instant AT = Instant.parse("2026-05-09T08:00:00Z");
    private static final String ME = "Q. Tester";

    private final List<Entry> entries = new ArrayList<>();
    private MachineDescription machine = CatalogueTest.machine(Family.UNIVERSAL_MILL, FitOut.usual(Family.UNIVERSAL_MILL));

    RunGateTest() {
        write(SurveyEntries.opened(AT, ME, 1, "h", "buyer", Scope.WHOLE));
    }

    private void write(Draft draft) {
        entries.add(Entry.following(entries.isEmpty() ? Optional.empty() : Optional.of(entries.get(entries.size() - 1)), draft));
    }

    private void step(String id, boolean flagged, String... fieldsAndValues) {
        Map<String, String> typed = new HashMap<>();
        for (int i = 0; i < fieldsAndValues.length; i += 2) {
            typed.put(fieldsAndValues[i], fieldsAndValues[i + 1]);
        }
        StepLedger ledger = StepLedger.fold(machine, entries);
        Step step = ledger.step(id).orElseThrow();
        List<String> confirmed = ledger.asked(step).stream().filter(StepLedger.Asked::changed).map(a -> SurveyEntries.written(a.need())).toList();
        write(SurveyEntries.step(AT, ME, ledger, step, typed, LengthUnit.MM, flagged, confirmed, ""));
    }

    private void mounted(Mounted.Kind kind, String diameter, String rpm, String ms) {
        write(SurveyEntries.startConfirmed(AT, ME, List.of(), Mounted.parse(kind, diameter, rpm, ms, "", LengthUnit.MM)));
    }

    private List<String> refused() {
        return RunGate.refused(SpindleSurvey.fold(machine, entries), StepLedger.fold(machine, entries)).stream().map(machine.train()::name).sorted().toList();
    }

    private String why(String name) {
        Route route = machine.train().routes().stream().filter(r -> machine.train().name(r).equals(name)).findFirst().orElseThrow();
        return RunGate.refusal(SpindleSurvey.fold(machine, entries), StepLedger.fold(machine, entries), route).map(r -> r.code()).orElse("may run");
    }

    @Test
    void nothingIsRunWhileSomethingStopsUseAndTheStillStepsAreLeft() {
        step("emergency-stop", true, "log", "runs 0\nstop-pressed 3\nstops 5\nstop-released 9\nstarts-by-itself 10");
        assertThat(refused()).hasSize(4);
        assertThat(why("A")).isEqualTo("gate.stop-use");
        SheetPlan plan = SheetPlan.of(SpindleSurvey.fold(machine, entries), StepLedger.fold(machine, entries), AT);
        assertThat(plan.spindle().plan().runs()).isEmpty();
        StepLedger ledger = StepLedger.fold(machine, entries);
        assertThat(plan.next().flatMap(ledger::step)).get().satisfies(s -> assertThat(s.runs()).isFalse());
        long still = ledger.open().stream().filter(s -> !s.runs()).count();
        assertThat(RunGate.stopUse(ledger).arguments().get(1)).isEqualTo((int) still);
        assertThat(plan.chosen()).hasSize((int) still);
    }

    @Test
    void onceItIsPutRightAndTestedAgainItMayRun() {
        step("emergency-stop", true, "log", "runs 0\nstop-pressed 3\nstops 5\nstop-released 9\nstarts-by-itself 10");
        step("emergency-stop", false, "log", "runs 0\nstop-pressed 3\nstops 5\nstop-released 9\nstays-stopped 13\nstarted 15");
        assertThat(refused()).isEmpty();
    }

    /** Nobody knows how fast 2 turns, so nobody runs it with a chuck on; with nothing on it may. */
    @Test
    void aSpeedNobodyKnowsIsNotRunWithSomethingMarked() {
        machine = Machines.lathe("100 ?", Machines.lever("gear", "1 2"));
        mounted(Mounted.Kind.CHUCK, "200", "500", "");
        assertThat(why("1")).isEqualTo("may run");
        assertThat(why("2")).isEqualTo("gate.unknown");
        mounted(Mounted.Kind.NOTHING, "", "", "");
        assertThat(why("2")).isEqualTo("may run");
    }

    /** The plate cannot be read at B 2, but the other cells say about 400: that is what the gate goes by. */
    @Test
    void anUnreadableSpeedIsGatedByTheDrivesOwnEstimate() {
        machine = Machines.lathe("100 200 400 200 400 800 300 600 ?", Machines.lever("range", "A B C"), Machines.lever("gear", "1 2 3"));
        mounted(Mounted.Kind.CHUCK, "200", "900", "");
        assertThat(why("C3")).isNotIn("may run", "gate.unknown");
        assertThat(why("B3")).isEqualTo("may run");
    }

    /** What was read off the wheel counts, whatever is typed at the start: 300 mm at 2 000 rpm are 31.4 m/s. */
    @Test
    void theMarkReadOffTheWheelIsWhatTheGateUses() {
        machine = CatalogueTest.machine(Family.CYLINDRICAL_GRINDER, FitOut.usual(Family.CYLINDRICAL_GRINDER));
        step("wheel-mark", false, "across", "300 mm", "markedRpm", "150");
        mounted(Mounted.Kind.WHEEL, "300", "5000", "");
        assertThat(StepLedger.fold(machine, entries).wheelMark()).get().satisfies(w -> assertThat(w.markedRpm().orElseThrow()).isEqualByComparingTo("150"));
        assertThat(why("A")).isEqualTo("may run");
        assertThat(why("B")).isNotEqualTo("may run");
        mounted(Mounted.Kind.NOTHING, "", "", "");
        assertThat(why("B")).as("the wheel is off").isEqualTo("may run");
    }

    /** Another mount comes without the marks of the one before. */
    @Test
    void theLastMountAloneCounts() {
        mounted(Mounted.Kind.CHUCK, "200", "150", "");
        assertThat(refused()).containsExactly("B", "B reverse");
        mounted(Mounted.Kind.NOTHING, "", "", "");
        assertThat(refused()).isEmpty();
    }
}
