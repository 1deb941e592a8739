package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.coverage.Outcome;
import tallledger.core.coverage.School;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.family.Family;
import tallledger.core.family.MachinePart;
import tallledger.core.family.StartItem;
import tallledger.core.gauge.Grade;
import tallledger.core.house.House;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Payload;
import tallledger.core.machine.Claim;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plan.SurveyPlan;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.verdict.ClaimVerdict;
import tallledger.core.verdict.ConditionStatement;
import tallledger.core.verdict.Finding;

class SpindleSurveyTest {

    private static final Instant START = Instant.parse("2026-05-09T08:30:00Z");

    private final MachineDescription machine = Machines.lathe(Machines.TWELVE,
            List.of(new Claim(Claim.Attribute.SPEED_COUNT, "12", Claim.Source.SELLER, ""),
                    new Claim(Claim.Attribute.SLOWEST_SPEED, "31.5", Claim.Source.PLATE, ""),
                    new Claim(Claim.Attribute.FASTEST_SPEED, "1500", Claim.Source.ADVERTISEMENT, "")),
            List.of(),
            Machines.lever("range", "A B C"), Machines.lever("gear", "1 2 3 4"));
    private final List<Entry> entries = new ArrayList<>();
    private Instant now = START;

    SpindleSurveyTest() {
        write(SurveyEntries.opened(Authorship.of(now, "Q. Tester"), 1, "hash", SurveyBook.HOUSE, "buyer", Scope.SPINDLE_DRIVE,
                Grade.WORKABLE));
    }

    private void write(Draft draft) {
        entries.add(Entry.following(entries.isEmpty() ? Optional.empty() : Optional.of(entries.get(entries.size() - 1)), draft));
        now = now.plusSeconds(40);
    }

    private void run(String range, String gear, String reading, Symptom... symptoms) {
        Set<Symptom> set = EnumSet.noneOf(Symptom.class);
        set.addAll(List.of(symptoms));
        Optional<SpeedReading> read = reading.isEmpty() ? Optional.empty() : Optional.of(SpeedReading.byTachometer(reading));
        write(SurveyEntries.run(Authorship.of(now, "Q. Tester"), SurveyBook.BASIS,
                Survey.fold(machine, SurveyBook.HOUSE, List.of()).drive(),
                new RunRecord(List.of(range, gear), read, set, Optional.empty(), false, false, false, "")));
    }

    private Survey survey() {
        return Survey.fold(machine, House.shipped(List.of()), entries);
    }

    private String next() {
        return SurveyPlan.of(survey(), now).next().map(machine.train()::name).orElse("none");
    }

    @Test
    void proposesTheSlowestFirstAndThenTheNext() {
        assertThat(next()).isEqualTo("A1");
        run("A", "1", "31.6");
        assertThat(next()).isEqualTo("A2");
    }

    @Test
    void theLatestRunOfARouteCounts() {
        run("A", "1", "40.0");
        assertThat(survey().drive().counting(Outcome.FAILED)).hasSize(1);
        run("A", "1", "31.6");
        assertThat(survey().drive().counting(Outcome.FAILED)).isEmpty();
        assertThat(survey().drive().runs()).hasSize(2);
    }

    @Test
    void aStruckReadingCountsForNothingAndStaysReadable() {
        run("A", "1", "310");
        write(SurveyEntries.strike(Authorship.of(now, "Q. Tester"), entries, 2, "point forgotten"));
        Survey survey = survey();
        assertThat(survey.drive().latest()).isEmpty();
        assertThat(survey.struck()).containsOnlyKeys(2);
        assertThat(survey.entries()).hasSize(3);
        assertThat(next()).isEqualTo("A1");
    }

    @Test
    void strikesAreRefusedWhereTheyMakeNoSense() {
        run("A", "1", "31.6");
        assertRefused(() -> SurveyEntries.strike(Authorship.of(now, "Q"), entries, 1, "no"), "strike.kind");
        assertRefused(() -> SurveyEntries.strike(Authorship.of(now, "Q"), entries, 9, "no"), "strike.none");
        assertRefused(() -> SurveyEntries.strike(Authorship.of(now, "Q"), entries, 2, " "), "reason.missing");
        write(SurveyEntries.strike(Authorship.of(now, "Q"), entries, 2, "yes"));
        assertRefused(() -> SurveyEntries.strike(Authorship.of(now, "Q"), entries, 2, "again"), "strike.already");
    }

    /** After A1 at 31.5 with A2, A3, A4 and B1 passed over, B2 at 180 is over 4 × 31.5, so nothing may follow but what is slower. */
    @Test
    void passingOverDoesNotBreakTheColdSpindleRule() {
        run("A", "1", "31.6");
        for (String[] at : new String[][] {{"A", "2"}, {"A", "3"}, {"A", "4"}, {"B", "1"}}) {
            write(SurveyEntries.passedOver(Authorship.of(now, "Q. Tester"), List.of(at), "no time"));
        }
        Survey survey = survey();
        assertThat(survey.drive().isTooFastYet(SurveyPlan.of(survey, now).next().orElseThrow())).isTrue();
        assertThat(survey.drive().passed()).hasSize(4);
    }

    /** 6 % of 63 is 3.78: 66.5 ± 0.34 straddles 66.78, so it is undecided; 70 is outside. */
    @Test
    void aReadingTooCloseToItsLimitIsUndecided() {
        run("A", "3", "66.5");
        assertThat(survey().drive().counting(Outcome.UNDECIDED)).hasSize(1);
        run("A", "3", "70.0");
        assertThat(survey().drive().counting(Outcome.FAILED)).hasSize(1);
    }

    @Test
    void contradictionsInOneRunAreRefused() {
        assertRefused(() -> new RunRecord(List.of("A", "1"), Optional.empty(), Set.of(Symptom.GROWLS), Optional.empty(), true, false, false,
                ""), "run.quiet-and-noisy");
        assertRefused(() -> new RunRecord(List.of("A", "1"), Optional.of(SpeedReading.byTachometer("31.5")), Set.of(),
                Optional.of(ShiftFeel.WILL_NOT_ENGAGE), false, false, false, ""), "run.read-without-drive");
    }

    @Test
    void aRunSurvivesItsPayload() {
        RunRecord record = new RunRecord(List.of("B", "3"), Optional.of(SpeedReading.byTaps("10", "19.05")), Set.of(Symptom.GROWLS),
                Optional.of(ShiftFeel.CLASHES), false, true, false, "by the <belt>");
        assertThat(RunRecord.from(new Payload(record.toPayload()))).isEqualTo(record);
    }

    /** Gear 3 growls at A3 and B3. Repaired: those two must be run again, and nothing else; C3 is inferred once gear 3 is proven. */
    @Test
    void afterARepairOnlyWhatFailedIsRepeated() {
        run("A", "1", "31.6");
        run("A", "3", "63.3", Symptom.GROWLS);
        run("B", "3", "252", Symptom.GROWLS);
        run("C", "1", "505");
        write(SurveyEntries.repaired(Authorship.of(now, "Q. Tester"), new MachinePart.Position("gear", "3"), "new gear pair"));
        assertThat(survey().drive().repeats().stream().map(machine.train()::name)).containsExactly("A3", "B3");
        assertThat(SurveyPlan.of(survey(), now).why().code()).isEqualTo("next.repeat");
        run("A", "3", "63.3");
        run("B", "3", "252");
        assertThat(survey().drive().repeats()).isEmpty();
        assertThat(survey().drive().counting(Outcome.FAILED)).isEmpty();
        assertThat(survey().drive().coverage().counts().inferred()).isEqualTo(2);
    }

    @Test
    void theChosenSchoolPlansAndAFailureAsksForTheRunThatTellsMost() {
        write(SurveyEntries.planChosen(Authorship.of(now, "Q. Tester"), School.EVERY_GEAR, ""));
        assertThat(SurveyPlan.of(survey(), now).plan().runs()).hasSize(5);
        run("A", "1", "31.6");
        run("A", "3", "63.3", Symptom.GROWLS);
        SurveyPlan plan = SurveyPlan.of(survey(), now);
        assertThat(plan.why().code()).isEqualTo("next.tells");
        assertThat(plan.next()).map(machine.train()::name).get().isNotEqualTo("A3");
    }

    /** The slowest will not engage and the spindle never turned: the only one as slow is its reverse, so that is next. */
    @Test
    void aFirstSpeedThatWillNotEngageStillLeavesAPlan() {
        MachineDescription reversing = Machines.lathe("50 100 200", Machines.lever("gear", "1 2 3"),
                Stage.direction(Shifting.STOP_TO_SHIFT));
        write(SurveyEntries.run(Authorship.of(now, "Q. Tester"), SurveyBook.BASIS,
                Survey.fold(machine, SurveyBook.HOUSE, List.of()).drive(),
                new RunRecord(List.of("1", "forward"), Optional.empty(), Set.of(),
                        Optional.of(ShiftFeel.WILL_NOT_ENGAGE), false, false, false, "")));
        for (School school : School.values()) {
            write(SurveyEntries.planChosen(Authorship.of(now, "Q. Tester"), school, school == School.MY_MINUTES ? "20" : ""));
            SurveyPlan plan = SurveyPlan.of(Survey.fold(reversing, House.shipped(List.of()), entries), now);
            assertThat(plan.next()).as(school.name()).isPresent();
        }
    }

    @Test
    void minutesLeftRunDown() {
        write(SurveyEntries.planChosen(Authorship.of(now, "Q. Tester"), School.MY_MINUTES, "3"));
        assertThat(SurveyPlan.of(survey(), now.plusSeconds(50)).minutesLeft()).get()
                .satisfies(m -> assertThat(m).isEqualByComparingTo("1.5"));
        assertThat(SurveyPlan.of(survey(), now.plusSeconds(600)).plan().runs()).isEmpty();
        assertRefused(() -> SurveyEntries.planChosen(Authorship.of(now, "Q"), School.MY_MINUTES, "0"), "number.not-positive");
        assertRefused(() -> SurveyEntries.planChosen(Authorship.of(now, "Q"), School.MY_MINUTES, "5000"), "plan.minutes");
    }

    /** 7.5 s ± 0.2 is proven within 8 (sound), not within 5 (rebuilt); 13 s is outside 12. */
    @Test
    void theBrakeIsGraded() {
        write(SurveyEntries.check(Authorship.of(now, "Q. Tester"), SurveyBook.BASIS, Rules.shipped(), DriveCheck.BRAKE, true, "7.5", ""));
        assertThat(survey().drive().checks().get(DriveCheck.BRAKE).brake().orElseThrow().grade()).contains(Grade.SOUND);
        write(SurveyEntries.check(Authorship.of(now, "Q. Tester"), SurveyBook.BASIS, Rules.shipped(), DriveCheck.BRAKE, true, "13", ""));
        assertThat(Finding.of(survey())).singleElement().extracting(f -> f.what().code()).isEqualTo("finding.check-seconds.BRAKE");
        assertRefused(() -> SurveyEntries.check(Authorship.of(now, "Q"), SurveyBook.BASIS, Rules.shipped(), DriveCheck.BRAKE, true, "", ""),
                "check.seconds");
    }

    @Test
    void theStartCheckIsDueOncePerStart() {
        assertThat(StartCheck.isDue(entries, Rules.shipped(), now)).isTrue();
        write(SurveyEntries.startConfirmed(Authorship.of(now, "Q. Tester"), machine.family().traits().startChecks(machine)));
        assertThat(StartCheck.isDue(entries, Rules.shipped(), now)).isFalse();
        assertThat(StartCheck.isDue(entries, Rules.shipped(), now.plus(Duration.ofMinutes(31)))).isTrue();
        write(SurveyEntries.stopped(Authorship.of(now, "Q. Tester")));
        assertThat(StartCheck.isDue(entries, Rules.shipped(), now)).isTrue();
    }

    @Test
    void grindersAskForTheWheelAndDrillsForTheDrift() {
        assertThat(CatalogueTest.machine(Family.CYLINDRICAL_GRINDER, Family.CYLINDRICAL_GRINDER.traits().usual()).family().traits()
                .startChecks(CatalogueTest.machine(Family.CYLINDRICAL_GRINDER, Family.CYLINDRICAL_GRINDER.traits().usual())))
                .contains(StartItem.WHEEL_SOUND, StartItem.CLEAR_OF_WHEEL);
        assertThat(CatalogueTest.machine(Family.RADIAL_DRILL, Family.RADIAL_DRILL.traits().usual()).family().traits()
                .startChecks(CatalogueTest.machine(Family.RADIAL_DRILL, Family.RADIAL_DRILL.traits().usual())))
                .contains(StartItem.DRIFT_OUT).doesNotContain(StartItem.WHEEL_SOUND);
    }

    @Test
    void theStatementClaimsOnlyWhatEntriesBear() {
        run("A", "1", "31.6");
        run("A", "2", "45.3", Symptom.GROWLS);
        ConditionStatement statement = ConditionStatement.of(survey());
        assertThat(statement.sentences()).extracting(s -> s.words().code()).contains("statement.coverage", "statement.symptom.GROWLS",
                "statement.shift-not-noted", "statement.noise-not-noted", "statement.open");
        assertThat(statement.sentences().get(0).words().arguments()).containsExactly(2, 12, 1, 1, 0, 0, 10);
        assertThat(statement.sentences().get(0).entries()).containsExactly(2, 3);
        assertThat(statement.sentences()).allSatisfy(s -> assertThat(entries).extracting(Entry::sequence).containsAll(s.entries()));
    }

    @Test
    void nothingRunIsSaidAsThat() {
        assertThat(ConditionStatement.of(survey()).sentences().get(0).words().code()).isEqualTo("statement.none-run");
        assertThat(Finding.of(survey())).isEmpty();
    }

    @Test
    void claimsStandByTheEvidence() {
        run("A", "1", "31.6");
        run("C", "4", "1390");
        List<ClaimVerdict> verdicts = ClaimVerdict.of(survey());
        assertThat(verdicts).extracting(ClaimVerdict::standing).containsExactly(ClaimVerdict.Standing.UNTESTED,
                ClaimVerdict.Standing.UPHELD, ClaimVerdict.Standing.SHORT);
    }

    @Test
    void aMachineSurvivesItsPayload() {
        assertThat(MachineDescription.from(new Payload(machine.toPayload()))).isEqualTo(machine);
    }

    private static void assertRefused(org.assertj.core.api.ThrowableAssert.ThrowingCallable call, String code) {
        assertThatThrownBy(call).isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo(code));
    }
}
