package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.coverage.Outcome;
import tallledger.core.coverage.School;
import tallledger.core.drive.Route;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Catalogue;
import tallledger.core.family.Family;
import tallledger.core.family.FitOut;
import tallledger.core.family.MachinePart;
import tallledger.core.family.Step;
import tallledger.core.family.StepId;
import tallledger.core.gauge.Grade;
import tallledger.core.house.House;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.Axis;
import tallledger.core.motion.AxisId;
import tallledger.core.motion.FeedPlate;
import tallledger.core.plan.SheetPlan;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.safety.Mounted;
import tallledger.core.survey.StepLedger.AskedNeed;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Shown;
import tallledger.core.verdict.ConditionStatement;
import tallledger.core.verdict.Finding;

class StepLedgerTest {

    private static final String ME = "Q. Tester";

    private final MachineDescription machine = CatalogueTest.machine(Family.UNIVERSAL_MILL, Family.UNIVERSAL_MILL.traits().usual());
    private final List<Entry> entries = new ArrayList<>();
    private Instant now = Instant.parse("2026-05-09T08:00:00Z");

    @BeforeEach
    void open() {
        write(SurveyEntries.opened(Authorship.of(now, ME), 1, "h", SurveyBook.HOUSE, "buyer", Scope.WHOLE, Grade.WORKABLE));
    }

    private int write(Draft draft) {
        Optional<Entry> last = entries.isEmpty() ? Optional.empty() : Optional.of(entries.get(entries.size() - 1));
        entries.add(Entry.following(last, draft));
        now = now.plusSeconds(60);
        return entries.size();
    }

    private StepLedger ledger() {
        return Survey.fold(machine, House.shipped(List.of()), entries).steps();
    }

    private Survey survey() {
        return Survey.fold(machine, House.shipped(List.of()), entries);
    }

    private SpindleSurvey spindle() {
        return Survey.fold(machine, House.shipped(List.of()), entries).drive();
    }

    private int step(String id, boolean flagged, String... fieldsAndValues) {
        Map<String, String> typed = new HashMap<>();
        for (int i = 0; i < fieldsAndValues.length; i += 2) {
            typed.put(fieldsAndValues[i], fieldsAndValues[i + 1]);
        }
        StepLedger ledger = ledger();
        Step step = ledger.step(id).orElseThrow();
        List<String> confirmed = ledger.asked(step).stream().filter(AskedNeed::changed).map(a -> a.need().written()).toList();
        return write(
                SurveyEntries.step(Authorship.of(now, ME), ledger, step, typed, Basis.of(LengthUnit.MM, 1, 1), flagged, confirmed, ""));
    }

    private List<String> askedAfresh(String id) {
        StepLedger ledger = ledger();
        return ledger.asked(ledger.step(id).orElseThrow()).stream().filter(AskedNeed::changed).map(a -> a.need().kind().name()).toList();
    }

    @Test
    void onlyWhatChangedSinceTheLastStepIsConfirmedAfresh() {
        assertThat(askedAfresh("castings")).containsExactly("POWER_ISOLATED");
        step("castings", false);
        assertThat(askedAfresh("covers")).isEmpty();
        write(SurveyEntries.startConfirmed(Authorship.of(now, ME), List.of()));
        assertThat(askedAfresh("covers")).as("power came on between").containsExactly("POWER_ISOLATED");
        assertThat(askedAfresh("feed.table.minus")).containsExactly("LOCK_FREE", "ENDS_KNOWN", "WAY_CLEAR");
        step("feed.table.minus", false, "distance", "100", "seconds", "60");
        assertThat(askedAfresh("feed.saddle.minus")).as("another axis has its own lock").contains("LOCK_FREE");
        step("lock.table", false);
        assertThat(askedAfresh("feed.table.minus")).as("the lock was on since").containsExactly("LOCK_FREE");
    }

    @Test
    void anAxisComesToRestBeforeItIsReversed() {
        step("feed.table.minus", false, "distance", "100", "seconds", "60");
        assertThat(askedAfresh("feed.table.plus")).containsExactly("AT_REST");
        assertThat(askedAfresh("feed.saddle.minus")).doesNotContain("AT_REST");
        step("feed.table.plus", false, "distance", "100", "seconds", "60");
        assertThat(askedAfresh("rapid.table.minus")).contains("AT_REST");
    }

    @Test
    void aStepIsRefusedWhileSomethingChangedIsNotConfirmed() {
        StepLedger ledger = ledger();
        Step step = ledger.step("castings").orElseThrow();
        assertThatThrownBy(
                () -> SurveyEntries.step(Authorship.of(now, ME), ledger, step, Map.of(), Basis.of(LengthUnit.MM, 1, 1), false, List.of(),
                        ""))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("confirmed"));
    }

    @Test
    void measuredStepsAreGradedAndBadNumbersNameTheirField() {
        step("play.table", false, "value", "0.025 mm");
        assertThat(ledger().latest().get(StepId.read("play.table")).judgement().grade()).contains(Grade.SOUND);
        step("play.table", false, "value", "0.2 mm");
        assertThat(ledger().latest().get(StepId.read("play.table")).outcome()).isEqualTo(Outcome.FAILED);
        assertThatThrownBy(() -> step("play.table", false, "value", "-0.02"))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("value"));
        assertThatThrownBy(() -> step("feed.table.minus", false, "distance", "100", "seconds", "0"))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("seconds"));
        assertThatThrownBy(() -> step("feed.table.minus", false, "distance", "100", "seconds", "10800"))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("seconds"));
    }

    @Test
    void aScaledLimitFollowsTheLengthMeasured() {
        // 0.02 over 150 is 0.04 per 300: outside sound (0.030), within workable (0.050).
        step("tram", false, "value", "0.020 mm", "over", "150 mm");
        assertThat(ledger().latest().get(StepId.read("tram")).judgement().grade()).contains(Grade.WORKABLE);
        assertThat(ledger().latest().get(StepId.read("tram")).judgement().because().get(0).arguments())
                .contains(Reason.named("figure.unit", new Shown(new BigDecimal("0.0400"), new BigDecimal("0.0017")), "mm"));
    }

    @Test
    void thePlanGoesOnWhereTheSurveyorIs() {
        assertThat(next()).isEqualTo("desk-claims");
        step("lock.saddle", false);
        assertThat(next()).isEqualTo("travel.table");
        write(SurveyEntries.later(Authorship.of(now, ME), "travel.table"));
        assertThat(next()).isEqualTo("lock.table");
        write(SurveyEntries.stepPassedOver(Authorship.of(now, ME), ledger().step("lock.table").orElseThrow(), "handle gone"));
        assertThat(next()).isEqualTo("hand-wheel.table");
        assertThat(ledger().open()).extracting(step -> step.id().written()).contains("travel.table")
                .doesNotContain("lock.table", "lock.saddle");
        assertThatThrownBy(() -> SurveyEntries.stepPassedOver(Authorship.of(now, ME), ledger().steps().get(0), " "))
                .isInstanceOf(Refused.class);
    }

    private String next() {
        return SheetPlan.of(survey(), now).next().map(Task::key).orElse("");
    }

    @Test
    void whatWasPutOffComesLast() {
        write(SurveyEntries.later(Authorship.of(now, ME), "desk-claims"));
        for (Step step : ledger().steps()) {
            if (!step.id().written().equals("desk-claims")) {
                write(SurveyEntries.stepPassedOver(Authorship.of(now, ME), step, "short visit"));
            }
        }
        spindle().steps().forEach(r -> write(SurveyEntries.passedOver(Authorship.of(now, ME), machine.train().settings(r), "short visit")));
        SheetPlan plan = SheetPlan.of(survey(), now);
        assertThat(plan.next().map(Task::key)).contains("desk-claims");
        assertThat(plan.why().code()).isEqualTo("next.later");
    }

    @Test
    void aRepairAsksForEveryStepOfItsSystemAgainAndClosesTheFault() {
        step("trip.table.minus", true, "log", "feed-on 0\ntrips 2\nstays-off 6");
        step("trip.table.plus", false, "log", "feed-on 0\ntrips 2\nstays-off 6");
        step("trip.saddle.minus", false, "log", "feed-on 0\ntrips 2\nstays-off 6");
        assertThat(faults()).containsExactly("trip.table.minus OPEN");
        write(SurveyEntries.repaired(Authorship.of(now, ME), new MachinePart.System("trip", AxisId.read("table")), "dog tightened"));
        assertThat(ledger().repeats()).extracting(StepId::written).containsExactly("trip.table.minus", "trip.table.plus");
        assertThat(next()).isEqualTo("trip.table.minus");
        assertThat(faults()).containsExactly("trip.table.minus REPAIRED");
        step("trip.table.minus", false, "log", "feed-on 0\ntrips 2\nstays-off 6");
        assertThat(faults()).containsExactly("trip.table.minus RETESTED_GOOD");
        assertThat(next()).isEqualTo("trip.table.plus");
        assertThat(Fault.of(survey()).get(0).history()).containsExactly(2, 5, 6);
        assertThat(Finding.of(survey())).isEmpty();
    }

    @Test
    void aFaultThatComesOutGoodByItselfIsNotCalledRepaired() {
        step("lamp", true);
        step("lamp", false);
        assertThat(faults()).containsExactly("lamp DID_NOT_RECUR");
        step("lamp", true);
        assertThat(faults()).containsExactly("lamp OPEN");
    }

    private List<String> faults() {
        return Fault.of(survey()).stream().map(f -> f.task().key() + " " + f.state()).toList();
    }

    @Test
    void aStruckStepCountsForNothing() {
        int entry = step("lamp", true);
        write(SurveyEntries.strike(Authorship.of(now, ME), entries, entry, "wrong lamp"));
        assertThat(ledger().latest()).doesNotContainKey(StepId.of("lamp"));
        assertThat(faults()).isEmpty();
        assertThat(Survey.fold(machine, House.shipped(List.of()), entries.subList(0, 1)).grown(entries).steps().latest())
                .isEqualTo(ledger().latest());
    }

    @Test
    void inMyMinutesThePlanLeavesOutWhatDoesNotFit() {
        write(SurveyEntries.planChosen(Authorship.of(now, ME), School.MY_MINUTES, "20"));
        SheetPlan plan = SheetPlan.of(survey(), now);
        assertThat(plan.chosen()).hasSizeLessThan(ledger().open().size()).contains(StepId.of("isolator"))
                .doesNotContain(StepId.of("bearing-rise"));
        assertThat(plan.minutesOpen()).isGreaterThan(100);
    }

    @Test
    void aRunBeyondTheMarkIsRefusedAndNotPlanned() {
        Mounted chuck = Mounted.parse(Mounted.Kind.CHUCK, "200", "150", "", "", LengthUnit.MM);
        write(SurveyEntries.startConfirmed(Authorship.of(now, ME), SurveyBook.BASIS, List.of(), chuck));
        Set<Route> refused = RunGate.refused(survey());
        assertThat(refused).extracting(machine.train()::name).containsExactlyInAnyOrder("B", "B reverse");
        assertThatThrownBy(() -> RunGate.check(survey(), refused.iterator().next())).isInstanceOf(Refused.class);
        assertThat(SheetPlan.of(survey(), now).spindle().plan().runs()).noneMatch(r -> refused.contains(r.route()));
    }

    @Test
    void anOwnScriptIsKeptWithItsRecord() {
        step("own-cycle.1", false, "title", "vice", "script", "opens\nholds 0-2 s", "log", "opens 0\nholds 1.5");
        assertThat(ledger().latest().get(StepId.read("own-cycle.1")).outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(ledger().open()).noneMatch(s -> s.code().equals("own-cycle"));
        assertThat(Catalogue.extra(StepId.read("cycle.neutral"), Rules.shipped())).isPresent();
        assertThat(Catalogue.extra(StepId.read("cycle.dance"), Rules.shipped())).isEmpty();
    }

    @Test
    void aRestartingGuardIsStopUseInPlainWords() {
        step("cycle.guard", false, "log", "runs 0\nguard-opened 3\nstops 5\nguard-closed 9\nstarts-by-itself 10");
        Finding finding = Finding.of(survey()).get(0);
        assertThat(finding.severity()).isEqualTo(Severity.STOP_USE);
        assertThat(finding.what().arguments().get(1).toString()).startsWith("[cycle.hazard");
    }

    @Test
    void theStatementCountsWhatWasDoneAndNamesWhatWasNot() {
        step("lamp", true);
        step("isolator", false);
        write(SurveyEntries.stepPassedOver(Authorship.of(now, ME), ledger().step("coolant").orElseThrow(), "tank empty"));
        var sentences = ConditionStatement.of(survey()).sentences();
        assertThat(sentences).filteredOn(s -> s.words().code().equals("statement.steps")).singleElement().satisfies(s -> {
            assertThat(s.words().arguments()).containsExactly(2, 111, 1, 1, 0, 0, 1, 108, 0);
            assertThat(s.entries()).containsExactly(2, 3);
        });
        assertThat(sentences).extracting(s -> s.words().code()).contains("statement.step-bad", "statement.step-passed",
                "statement.steps-open");
    }

    /** Words of a plate and a size nobody claimed are neither good nor bad: what was read is said as it was read. */
    @Test
    void whatWasOnlyReadIsNotSaidToBeGood() {
        step("lamp", false);
        step("motor-plate", false, "text", "3 kW, 1 440 rpm");
        var sentences = ConditionStatement.of(survey()).sentences();
        assertThat(sentences).filteredOn(s -> s.words().code().equals("statement.good")).singleElement()
                .satisfies(s -> assertThat(s.entries()).containsExactly(2));
        assertThat(sentences).filteredOn(s -> s.words().code().equals("statement.read")).singleElement().satisfies(s -> {
            assertThat(s.entries()).containsExactly(3);
            assertThat(s.words().toString()).contains("3 kW, 1 440 rpm");
        });
        assertThat(sentences).filteredOn(s -> s.words().code().equals("statement.steps")).singleElement()
                .satisfies(s -> assertThat(s.words().arguments()).startsWith(2, 111, 1, 0).endsWith(1));
    }

    /** What was confirmed was confirmed of a running day: once the machine was stopped and left, somebody else may have been at it. */
    @Test
    void afterTheMachineWasStoppedEverythingIsConfirmedAfresh() {
        step("travel.table", false, "value", "900");
        assertThat(askedAfresh("travel.table")).isEmpty();
        write(SurveyEntries.stopped(Authorship.of(now, ME)));
        assertThat(askedAfresh("travel.table")).containsExactly("LOCK_FREE", "WAY_CLEAR");
    }

    @Test
    void afterHalfAnHourEverythingIsConfirmedAfreshToo() {
        step("travel.table", false, "value", "900");
        now = now.plusSeconds(29 * 60);
        write(SurveyEntries.remark(Authorship.of(now, ME), "tea"));
        assertThat(askedAfresh("travel.table")).isEmpty();
        now = now.plusSeconds(31 * 60);
        write(SurveyEntries.remark(Authorship.of(now, ME), "back"));
        assertThat(askedAfresh("travel.table")).containsExactly("LOCK_FREE", "WAY_CLEAR");
    }

    /** Every position proven elsewhere spares a feed; one of them on a failed feed does not. */
    @Test
    void aFeedIsInferredOnlyWhileNoneOfItsPositionsFailed() {
        MachineDescription plain = CatalogueTest.machine(Family.RADIAL_DRILL, Family.RADIAL_DRILL.traits().usual());
        MachineDescription drill = new MachineDescription(plain.identity(), List.of(), plain.train(), plain.plate(), Optional.empty(),
                Optional.of(new FeedPlate(
                        Machines.plate(List.of(Machines.plateLever("range", "I II"), Machines.plateLever("knob", "1 2 3")),
                                "0.1 0.14 0.2 0.28 0.4 0.56"),
                        LengthUnit.MM, Axis.Per.REV)),
                plain.fitOut());
        feed(drill, "feed-plate.I.1", "10 mm", "100");
        feed(drill, "feed-plate.I.3", "20 mm", "100");
        assertThat(Survey.fold(drill, House.shipped(List.of()), entries).steps().open()).extracting(step -> step.id().written())
                .contains("feed-plate.II.1", "feed-plate.II.3");
        feed(drill, "feed-plate.II.2", "40 mm", "100");
        assertThat(Survey.fold(drill, House.shipped(List.of()), entries).steps().open()).extracting(step -> step.id().written())
                .doesNotContain("feed-plate.II.1", "feed-plate.II.3", "feed-plate.I.2");
        feed(drill, "feed-plate.II.3", "30 mm", "100");
        assertThat(Survey.fold(drill, House.shipped(List.of()), entries).steps().latest().get(StepId.read("feed-plate.II.3")).isBad())
                .isTrue();
        assertThat(Survey.fold(drill, House.shipped(List.of()), entries).steps().open()).extracting(step -> step.id().written())
                .contains("feed-plate.II.1").doesNotContain("feed-plate.I.2");
    }

    private void feed(MachineDescription drill, String id, String distance, String turns) {
        StepLedger ledger = Survey.fold(drill, House.shipped(List.of()), entries).steps();
        Step step = ledger.step(id).orElseThrow();
        List<String> confirmed = ledger.asked(step).stream().filter(AskedNeed::changed).map(a -> a.need().written()).toList();
        write(SurveyEntries.step(Authorship.of(now, ME), ledger, step, Map.of("distance", distance, "turns", turns),
                Basis.of(LengthUnit.MM, 1, 1),
                false, confirmed, ""));
    }

    @Test
    void pausesOfOverHalfAnHourAreNoWork() {
        now = now.plusSeconds(600);
        write(SurveyEntries.remark(Authorship.of(now, ME), "ten minutes more"));
        now = now.plusSeconds(3600);
        write(SurveyEntries.remark(Authorship.of(now, ME), "after dinner"));
        assertThat(SheetPlan.of(survey(), now).minutesSpent()).isEqualTo(11 + 0);
        assertThat(SheetPlan.of(survey(), now).minutesOpen()).isGreaterThan(Step.minutes(ledger().open()));
    }

    /** A record of before axes had identities names its way in words. */
    @Test
    void aRecordByItsFormerNameIsStillRead() {
        step("feed.table.minus", false, "distance", "100", "seconds", "60");
        Entry now = entries.get(1);
        Map<String, Object> payload = new HashMap<>(now.draft().payload());
        payload.put("step", "feed.table.left");
        entries.set(1, Entry.following(Optional.of(entries.get(0)), Draft.of(now.by(), now.kind(), "feed.table.left", payload)));
        assertThat(survey().strays()).isEmpty();
        assertThat(ledger().latest()).containsKey(StepId.read("feed.table.minus"));
    }

    @Test
    void aStepTheMachineNoLongerHasIsSaidAndNotDropped() {
        step("rapid.table.minus", false, "distance", "400", "seconds", "10");
        MachineDescription without = CatalogueTest.machine(Family.UNIVERSAL_MILL,
                new FitOut(List.of(), Set.of(), machine.fitOut().supply(), Optional.empty()));
        Survey changed = Survey.fold(without, House.shipped(List.of()), entries);
        assertThat(changed.steps().latest()).isEmpty();
        assertThat(ConditionStatement.of(changed).sentences()).filteredOn(s -> s.words().code().equals("statement.stray"))
                .singleElement().satisfies(s -> assertThat(s.entries()).containsExactly(2));
    }
}
