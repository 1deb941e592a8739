package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Route;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Family;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plan.SheetPlan;
import tallledger.core.reason.Refused;
import tallledger.core.safety.Mounted;
import tallledger.core.unit.LengthUnit;

/** What may not be run, and why. */
class RunGateTest {

    private SurveyBook book = new SurveyBook(CatalogueTest.machine(Family.UNIVERSAL_MILL, Family.UNIVERSAL_MILL.traits().usual()),
            Scope.WHOLE, 60);

    private void of(MachineDescription machine) {
        book = new SurveyBook(machine, Scope.WHOLE, 60);
    }

    private void mounted(Mounted.Kind kind, String diameter, String rpm, String ms) {
        book.write(SurveyEntries.startConfirmed(Authorship.of(book.now(), SurveyBook.ME), SurveyBook.BASIS, List.of(),
                Mounted.parse(kind, diameter, rpm, ms, "", LengthUnit.MM)));
    }

    private List<String> refused() {
        return RunGate.refused(book.survey()).stream().map(book.machine().train()::name).sorted().toList();
    }

    private String why(String name) {
        Route route = book.machine().train().routes().stream().filter(r -> book.machine().train().name(r).equals(name)).findFirst()
                .orElseThrow();
        return RunGate.refusal(book.survey(), route).map(r -> r.code()).orElse("may run");
    }

    @Test
    void nothingIsRunWhileSomethingStopsUseAndTheStillStepsAreLeft() {
        book.step("emergency-stop", true, "log", "runs 0\nstop-pressed 3\nstops 5\nstop-released 9\nstarts-by-itself 10");
        assertThat(refused()).hasSize(4);
        assertThat(why("A")).isEqualTo("gate.stop-use");
        SheetPlan plan = SheetPlan.of(book.survey(), book.now());
        assertThat(plan.spindle().plan().runs()).isEmpty();
        StepLedger ledger = book.ledger();
        assertThat(plan.next().flatMap(Task::step)).get().satisfies(s -> assertThat(s.runs()).isFalse());
        long still = ledger.open().stream().filter(s -> !s.runs()).count();
        assertThat(RunGate.stopUse(book.survey()).arguments().get(1)).isEqualTo((int) still);
        assertThat(plan.chosen()).hasSize((int) still);
    }

    /** A feed turns something and is not done meanwhile; the stop itself is tested again by its own step. */
    @Test
    void noStepThatRunsIsDoneWhileSomethingStopsUseButItsOwnTest() {
        assertThat(RunGate.refusal(book.survey(), book.ledger().step("feed.table.minus").orElseThrow())).isEmpty();
        book.step("emergency-stop", true, "log", "runs 0\nstop-pressed 3\nstops 5\nstop-released 9\nstarts-by-itself 10");
        Survey survey = book.survey();
        StepLedger ledger = survey.steps();
        assertThat(RunGate.refusal(survey, ledger.step("feed.table.minus").orElseThrow())).get().extracting(r -> r.code())
                .isEqualTo("gate.stop-use");
        assertThatThrownBy(() -> RunGate.check(survey, ledger.step("direction").orElseThrow())).isInstanceOf(Refused.class);
        assertThat(RunGate.refusal(survey, ledger.step("emergency-stop").orElseThrow())).isEmpty();
        assertThat(RunGate.refusal(survey, ledger.step("travel.table").orElseThrow())).isEmpty();
    }

    /** Who stops and leaves the machine may start it again with the danger named; a new one stops it anew, and so does a pause. */
    @Test
    void withTheDangerNamedAtTheStartItRunsOnForTheSurvey() {
        book.step("emergency-stop", true, "log", "runs 0\nstop-pressed 3\nstops 5\nstop-released 9\nstarts-by-itself 10");
        int danger = book.ledger().stopUse().get(0).entry();
        assertThat(RunGate.mayName(book.survey())).as("nobody stopped it and left").isFalse();
        book.write(SurveyEntries.stopped(Authorship.of(book.now(), SurveyBook.ME)));
        assertThat(RunGate.mayName(book.survey())).isTrue();
        assertThat(why("A")).isEqualTo("gate.stop-use");
        start(List.of());
        assertThat(why("A")).isEqualTo("gate.stop-use");
        start(List.of(danger));
        assertThat(refused()).isEmpty();
        Survey survey = book.survey();
        assertThat(RunGate.refusal(survey, survey.steps().step("feed.table.minus").orElseThrow())).isEmpty();
        assertThat(RunGate.stopping(survey)).extracting(TaskResult::entry).containsExactly(danger);
        book.step("emergency-stop", true, "log", "runs 0\nstop-pressed 3\nstops 5\nstop-released 9\nstarts-by-itself 10");
        assertThat(why("A")).isEqualTo("gate.stop-use");
        start(List.of(danger, book.ledger().stopUse().get(0).entry()));
        assertThat(refused()).isEmpty();
        book.write(SurveyEntries.stopped(Authorship.of(book.now(), SurveyBook.ME)));
        assertThat(why("A")).isEqualTo("gate.stop-use");
        start(RunGate.stopping(book.survey()).stream().map(TaskResult::entry).toList());
        assertThat(refused()).isEmpty();
        book.pause(3600);
        book.step("lamp", false);
        assertThat(why("A")).as("an hour later nobody knows who is there").isEqualTo("gate.stop-use");
    }

    private void start(List<Integer> despite) {
        book.write(SurveyEntries.startConfirmed(Authorship.of(book.now(), SurveyBook.ME), SurveyBook.BASIS, List.of(),
                Mounted.parse(Mounted.Kind.NOTHING, "", "", "", "", LengthUnit.MM), despite));
    }

    @Test
    void onceItIsPutRightAndTestedAgainItMayRun() {
        book.step("emergency-stop", true, "log", "runs 0\nstop-pressed 3\nstops 5\nstop-released 9\nstarts-by-itself 10");
        book.step("emergency-stop", false, "log", "runs 0\nstop-pressed 3\nstops 5\nstop-released 9\nstays-stopped 13\nstarted 15");
        assertThat(refused()).isEmpty();
    }

    /** Nobody knows how fast 2 turns, so nobody runs it with a chuck on; with nothing on it may. */
    @Test
    void aSpeedNobodyKnowsIsNotRunWithSomethingMarked() {
        of(Machines.lathe("100 ?", Machines.lever("gear", "1 2")));
        mounted(Mounted.Kind.CHUCK, "200", "500", "");
        assertThat(why("1")).isEqualTo("may run");
        assertThat(why("2")).isEqualTo("gate.unknown");
        mounted(Mounted.Kind.NOTHING, "", "", "");
        assertThat(why("2")).isEqualTo("may run");
    }

    /** The plate cannot be read at B 2, but the other cells say about 400: that is what the gate goes by. */
    @Test
    void anUnreadableSpeedIsGatedByTheDrivesOwnEstimate() {
        of(Machines.lathe("100 200 400 200 400 800 300 600 ?", Machines.lever("range", "A B C"), Machines.lever("gear", "1 2 3")));
        mounted(Mounted.Kind.CHUCK, "200", "900", "");
        assertThat(why("C3")).isNotIn("may run", "gate.unknown");
        assertThat(why("B3")).isEqualTo("may run");
    }

    /** What was read off the wheel counts, whatever is typed at the start: 300 mm at 2 000 rpm are 31.4 m/s. */
    @Test
    void theMarkReadOffTheWheelIsWhatTheGateUses() {
        of(CatalogueTest.machine(Family.CYLINDRICAL_GRINDER, Family.CYLINDRICAL_GRINDER.traits().usual()));
        book.step("wheel-mark", false, "across", "300 mm", "markedRpm", "150");
        mounted(Mounted.Kind.WHEEL, "300", "5000", "");
        assertThat(book.ledger().wheelMark()).get().satisfies(w -> assertThat(w.markedRpm().orElseThrow()).isEqualByComparingTo("150"));
        assertThat(why("A")).isEqualTo("may run");
        assertThat(why("B")).isNotEqualTo("may run");
        mounted(Mounted.Kind.NOTHING, "", "", "");
        assertThat(why("B")).as("the wheel is off").isEqualTo("may run");
    }

    /**
     * A person says of a growl that it stops use: nothing else is run, in speeds or in feeds, until that speed was run again and is quiet.
     */
    @Test
    void aRunsFindingThatAPersonSaysStopsUseStopsTheRunsToo() {
        List<String> slow = book.machine().train().routes().stream().filter(r -> book.machine().train().name(r).equals("A")).findFirst()
                .map(book.machine().train()::settings).orElseThrow();
        Entry growl = book.run(slow, "", false, Symptom.GROWLS);
        assertThat(refused()).isEmpty();
        Regrade regrade = Regrade.parse(growl.sequence(), Severity.STOP_USE, "it is breaking up", Regrade.Whose.FAULT, "", "", "");
        book.write(SurveyEntries.regraded(Authorship.of(growl.at(), SurveyBook.ME), regrade, Severity.SOON));
        assertThat(why("B")).isEqualTo("gate.stop-use");
        assertThat(why("A")).as("its own test").isEqualTo("may run");
        assertThat(RunGate.stopUse(book.survey()).toString()).contains("it is breaking up", "A");
        assertThat(RunGate.refusal(book.survey(), book.ledger().step("feed.table.minus").orElseThrow())).isPresent();
        assertThat(SheetPlan.of(book.survey(), book.now()).next().flatMap(Task::step))
                .hasValueSatisfying(s -> assertThat(s.runs()).isFalse());
        book.run(slow, "100", false);
        assertThat(refused()).isEmpty();
        assertThat(why("B")).isEqualTo("may run");
    }

    /** The growl is run again by itself, but never faster than the wheel may turn: the mark that was typed, or the one read off it. */
    @Test
    void aSpeedThatStopsUseIsHeldToTheMarkWhenItIsRunAgain() {
        of(CatalogueTest.machine(Family.CYLINDRICAL_GRINDER, Family.CYLINDRICAL_GRINDER.traits().usual()));
        List<String> fast = book.machine().train().routes().stream().filter(r -> book.machine().train().name(r).equals("B")).findFirst()
                .map(book.machine().train()::settings).orElseThrow();
        Entry growl = book.run(fast, "200", false, Symptom.GROWLS);
        Regrade regrade = Regrade.parse(growl.sequence(), Severity.STOP_USE, "it is breaking up", Regrade.Whose.FAULT, "", "", "");
        book.write(SurveyEntries.regraded(Authorship.of(growl.at(), SurveyBook.ME), regrade, Severity.SOON));
        assertThat(why("B")).isEqualTo("may run");
        mounted(Mounted.Kind.WHEEL, "300", "150", "");
        assertThat(why("B")).as("200 where the wheel is marked 150").isNotIn("may run", "gate.stop-use");
        mounted(Mounted.Kind.WHEEL, "300", "5000", "");
        assertThat(why("B")).isEqualTo("may run");
        book.step("wheel-mark", false, "across", "300 mm", "markedRpm", "150");
        assertThat(why("B")).as("what was read off it counts too").isNotIn("may run", "gate.stop-use");
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
