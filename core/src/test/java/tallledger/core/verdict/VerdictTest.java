package tallledger.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static tallledger.core.Machines.lever;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.MotorRating;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Step;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Grade;
import tallledger.core.gauge.Verdict;
import tallledger.core.house.House;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.Claim;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.AxisId;
import tallledger.core.reading.Power;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.survey.Basis;
import tallledger.core.survey.RunRecord;
import tallledger.core.survey.Scope;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.Survey;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.unit.LengthUnit;

class VerdictTest {

    private static final Instant AT = Instant.parse("2026-05-09T08:30:00Z");

    private final List<Entry> entries = new ArrayList<>();
    private final MachineDescription machine = Machines.lathe("100 200", List.of(
            new Claim(Claim.Attribute.REVERSES, "yes", Claim.Source.SELLER, ""),
            new Claim(Claim.Attribute.REVERSES, "no", Claim.Source.MANUAL, ""),
            new Claim(Claim.Attribute.SPEED_COUNT, "3", Claim.Source.ADVERTISEMENT, ""),
            new Claim(Claim.Attribute.SPEED_COUNT, "2", Claim.Source.PLATE, ""),
            new Claim(Claim.Attribute.CONDITION, "as new", Claim.Source.SELLER, "")), List.of(), lever("gear", "1 2"),
            Stage.direction(Shifting.STOP_TO_SHIFT));

    VerdictTest() {
        write(SurveyEntries.opened(Authorship.of(AT, "Q"), 1, "h", SurveyBook.HOUSE, "buyer", Scope.SPINDLE_DRIVE, Grade.WORKABLE));
    }

    private void write(Draft draft) {
        entries.add(Entry.following(entries.isEmpty() ? Optional.empty() : Optional.of(entries.get(entries.size() - 1)), draft));
    }

    private void run(String gear, String direction, String reading, Set<Symptom> symptoms, ShiftFeel shift, boolean quiet) {
        write(SurveyEntries.run(Authorship.of(AT, "Q"), SurveyBook.BASIS, Survey.fold(machine, SurveyBook.HOUSE, List.of()).drive(),
                new RunRecord(List.of(gear, direction), Optional.of(reading).filter(r -> !r.isEmpty())
                        .map(r -> SpeedReading.byTachometer(r)), symptoms, Optional.ofNullable(shift), quiet, false, false, "")));
    }

    private List<String> said() {
        return ConditionStatement.of(Survey.fold(machine, House.shipped(List.of()), entries)).sentences().stream()
                .map(s -> s.words().code()).toList();
    }

    @Test
    void twoSourcesThatDisagreeStandSideBySide() {
        run("1", "forward", "100", Set.of(), null, false);
        run("2", "forward", "200", Set.of(), null, false);
        run("1", "reverse", "101", Set.of(), null, false);
        assertThat(ClaimVerdict.of(Survey.fold(machine, House.shipped(List.of()), entries))).extracting(ClaimVerdict::standing)
                .containsExactly(
                        ClaimVerdict.Standing.UPHELD, ClaimVerdict.Standing.CONTRADICTED, ClaimVerdict.Standing.SHORT,
                        ClaimVerdict.Standing.UPHELD,
                        ClaimVerdict.Standing.UNTESTED);
    }

    @Test
    void quietIsSaidOnlyWhereAnEntrySaysIt() {
        run("1", "forward", "100", Set.of(), null, false);
        assertThat(said()).contains("statement.noise-not-noted").doesNotContain("statement.quiet");
        run("2", "forward", "200", Set.of(), null, true);
        assertThat(said()).contains("statement.quiet").doesNotContain("statement.noise-not-noted");
    }

    @Test
    void rockingAndClashingAreFindingsNotFailures() {
        run("1", "forward", "100", Set.of(), ShiftFeel.NEEDS_ROCKING, false);
        run("2", "forward", "200", Set.of(), ShiftFeel.CLASHES, false);
        Survey survey = Survey.fold(machine, House.shipped(List.of()), entries);
        assertThat(survey.drive().coverage().counts().proven()).isEqualTo(2);
        assertThat(Finding.of(survey)).extracting(Finding::severity).containsExactly(Severity.SOON, Severity.LIVE_WITH);
        assertThat(said()).contains("statement.shift.NEEDS_ROCKING", "statement.shift.CLASHES").doesNotContain("statement.shift-clean");
    }

    @ParameterizedTest
    @CsvSource({"JUMPS_OUT,BEFORE_USE", "SLIPS,BEFORE_USE", "HUNTS,BEFORE_USE", "GROWLS,SOON", "DEAD_SPOT,SOON", "WHINES,LIVE_WITH"})
    void worstFindingsComeFirst(Symptom symptom, Severity severity) {
        run("1", "forward", "", Set.of(symptom), null, false);
        assertThat(Finding.of(Survey.fold(machine, House.shipped(List.of()), entries))).singleElement().extracting(Finding::severity)
                .isEqualTo(severity);
    }

    @Test
    void reverseNotRunIsSaid() {
        assertThat(said()).contains("statement.reverse-not-run", "statement.unchecked");
        run("1", "reverse", "100", Set.of(), null, false);
        assertThat(said()).contains("statement.reverse").doesNotContain("statement.reverse-not-run");
    }

    @Test
    void checksAreSaidWithTheirOutcome() {
        write(SurveyEntries.check(Authorship.of(AT, "Q"), SurveyBook.BASIS, Rules.shipped(), DriveCheck.JOG, false, "", "runs on"));
        write(SurveyEntries.check(Authorship.of(AT, "Q"), SurveyBook.BASIS, Rules.shipped(), DriveCheck.BRAKE, true, "12.1", ""));
        assertThat(said()).contains("statement.check-bad.JOG", "statement.brake");
        assertThat(Finding.of(Survey.fold(machine, House.shipped(List.of()), entries))).extracting(Finding::severity)
                .containsExactly(Severity.LIVE_WITH);
    }

    /** 5 s limit with U 0.2: 4.8 is within rebuilt, 4.9 only within sound; 12.1 ± 0.2 straddles the widest, 12.3 is outside. */
    @ParameterizedTest
    @CsvSource({"4.8,REBUILT,WITHIN", "4.9,SOUND,WITHIN", "11,WORKABLE,WITHIN", "12.1,,TOO_CLOSE_TO_CALL", "12.3,,OUTSIDE"})
    void theGradeReachedIsTheBestProven(java.math.BigDecimal seconds, Grade grade, Verdict verdict) {
        Figure.Against reached = Rules.shipped().graded(Rule.SPINDLE_STOP).reached(seconds, 0.2);
        assertThat(reached.grade()).isEqualTo(Optional.ofNullable(grade));
        assertThat(reached.verdict()).isEqualTo(verdict);
    }

    /** Tied by choice, never by what letters are in its words. */
    @ParameterizedTest
    @CsvSource({"760 mm, UPHELD, WITHIN", "753 mm, UNTESTED, TOO_CLOSE_TO_CALL", "751.5 mm, UNTESTED, TOO_CLOSE_TO_CALL",
            "750 mm, SHORT, OUTSIDE", "810 mm, BETTER, WITHIN"})
    void aClaimedTravelIsJudgedByItsOwnStep(String measured, ClaimVerdict.Standing standing, Verdict verdict) {
        MachineDescription claimed = Machines.lathe("100 200",
                List.of(new Claim(Claim.Attribute.TRAVEL, "760 mm", Claim.Source.SELLER, "runs 760", AxisId.read("carriage")),
                        new Claim(Claim.Attribute.TRAVEL, "760 mm", Claim.Source.SELLER, "the carriage runs 760")),
                List.of(), lever("gear", "1 2"),
                Stage.direction(Shifting.STOP_TO_SHIFT));
        StepLedger before = Survey.fold(claimed, House.shipped(List.of()), entries).steps();
        Step travel = before.step("travel.carriage").orElseThrow();
        List<String> confirmed = before.asked(travel).stream().map(a -> a.need().written()).toList();
        write(SurveyEntries.step(Authorship.of(AT, "Q"), before, travel, Map.of("value", measured), Basis.of(LengthUnit.MM, 1, 1), false,
                confirmed,
                ""));
        List<ClaimVerdict> verdicts = ClaimVerdict.of(Survey.fold(claimed, House.shipped(List.of()), entries));
        assertThat(verdicts).extracting(ClaimVerdict::standing).containsExactly(standing, ClaimVerdict.Standing.UNTESTED);
        assertThat(verdicts.get(1).because().code()).isEqualTo("claim.travel-untied");
        assertThat(((Reason) verdicts.get(0).because().arguments().get(1)).code())
                .isEqualTo(Map.of(Verdict.WITHIN, "travel.enough", Verdict.TOO_CLOSE_TO_CALL,
                        "travel.close", Verdict.OUTSIDE, "travel.short").get(verdict));
    }

    /** 1.9 kW of which the spindle has 1.52: 40 mm in steel wants 2.0 at 160, 20 mm wants 1.0 at 315; by reckoning alone. */
    @ParameterizedTest
    @CsvSource({"40 mm, UNTESTED, cut.short", "20 mm, UNTESTED, cut.enough", "80 mm, UNTESTED, cut.no-speed"})
    void aClaimedDrillIsHeldAgainstTheSpindlesPower(String claimed, ClaimVerdict.Standing standing, String code) {
        MachineDescription plain = Machines.lathe("160 315",
                List.of(new Claim(Claim.Attribute.DRILLING_CAPACITY, claimed, Claim.Source.SELLER, "")), List.of(), lever("gear", "1 2"));
        MachineDescription machine = new MachineDescription(plain.identity(), plain.claims(), plain.train(), plain.plate(),
                Optional.of(new MotorRating(Power.parse("1.9"), MotorRating.Law.CONSTANT_POWER, new java.math.BigDecimal("0.8"))),
                Optional.empty(), plain.fitOut());
        assertThat(ClaimVerdict.of(new SurveyBook(machine, Scope.WHOLE, 60).survey())).singleElement().satisfies(v -> {
            assertThat(v.standing()).isEqualTo(standing);
            assertThat(v.because().toString()).contains(code);
        });
    }
}
