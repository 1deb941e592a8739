package tallledger.core.verdict;

import static tallledger.core.Machines.lever;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tallledger.core.ByHand;
import tallledger.core.Machines;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.gauge.Gauge;
import tallledger.core.kit.KitItem;
import tallledger.core.kit.Lift;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.Claim;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reading.LengthUnit;
import tallledger.core.reading.SpeedReading;
import tallledger.core.survey.DriveCheck;
import tallledger.core.survey.RunRecord;
import tallledger.core.survey.Scope;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.Step;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.SurveyEntries;

/**
 * One survey with something of everything in it, and every sentence, finding and claim it comes to, with its figures and its entries,
 * by a list gone through by hand.
 */
class StatementByHandTest {

    private static final Instant AT = Instant.parse("2026-05-09T08:00:00Z");
    private static final String ME = "Q. Tester";

    private final List<Entry> entries = new ArrayList<>();
    private final MachineDescription machine = Machines.lathe("31.5 63 125 250 500 ?", List.of(new Claim(Claim.Attribute.SPEED_COUNT, "6", Claim.Source.PLATE, ""),
            new Claim(Claim.Attribute.SLOWEST_SPEED, "31.5", Claim.Source.PLATE, ""), new Claim(Claim.Attribute.FASTEST_SPEED, "1200", Claim.Source.SELLER, ""),
            new Claim(Claim.Attribute.REVERSES, "no", Claim.Source.SELLER, ""), new Claim(Claim.Attribute.TRAVEL, "1000 mm", Claim.Source.SELLER, "", "carriage"),
            new Claim(Claim.Attribute.TRAVEL, "250 mm", Claim.Source.SELLER, "", "cross-slide"), new Claim(Claim.Attribute.CONDITION, "good", Claim.Source.SELLER, "")), List.of(),
            lever("range", "A B C"), lever("gear", "1 2"), Stage.direction(Shifting.STOP_TO_SHIFT));

    private void write(Draft draft) {
        entries.add(Entry.following(entries.isEmpty() ? Optional.empty() : Optional.of(entries.get(entries.size() - 1)), draft));
    }

    private void run(String range, String gear, String way, String rpm, Set<Symptom> symptoms, ShiftFeel feel, boolean quiet) {
        Optional<SpeedReading> reading = Optional.of(rpm).filter(r -> !r.isEmpty()).map(r -> SpeedReading.byTachometer(r, Gauge.HOUSE_TACHOMETER));
        write(SurveyEntries.run(AT, ME, new RunRecord(List.of(range, gear, way), reading, symptoms, Optional.ofNullable(feel), quiet, false, false, "")));
    }

    private void step(String id, boolean flagged, String... fieldsAndValues) {
        Map<String, String> typed = new HashMap<>();
        for (int i = 0; i < fieldsAndValues.length; i += 2) {
            typed.put(fieldsAndValues[i], fieldsAndValues[i + 1]);
        }
        StepLedger ledger = StepLedger.fold(machine, entries);
        Step step = ledger.step(id).orElseThrow();
        List<String> confirmed = ledger.asked(step).stream().filter(StepLedger.Asked::changed).map(a -> SurveyEntries.written(a.need())).toList();
        write(SurveyEntries.step(AT, ME, ledger, step, typed, LengthUnit.MM, flagged, confirmed, flagged ? "seen" : ""));
    }

    @Test
    void everySentenceFindingAndClaimIsAsTheListSays() {
        write(SurveyEntries.opened(AT, ME, 1, "h", "buyer", Scope.WHOLE));
        run("A", "1", "forward", "31.9", Set.of(), ShiftFeel.ENGAGES_CLEAN, true);
        run("A", "1", "reverse", "31.8", Set.of(), null, false);
        run("A", "2", "forward", "64.2", Set.of(), ShiftFeel.NEEDS_ROCKING, false);
        run("B", "1", "forward", "132.4", Set.of(), null, false);
        run("B", "2", "forward", "271", Set.of(), ShiftFeel.CLASHES, false);
        run("C", "1", "forward", "507", Set.of(Symptom.GROWLS, Symptom.WHINES), null, false);
        run("C", "2", "forward", "1003", Set.of(), null, false);
        write(SurveyEntries.passedOver(AT, ME, List.of("B", "2", "reverse"), "no time"));
        write(SurveyEntries.check(AT, ME, DriveCheck.JOG, true, "", ""));
        write(SurveyEntries.check(AT, ME, DriveCheck.BRAKE, true, "6.5", ""));
        step("lamp", true);
        step("isolator", false);
        step("travel.carriage", false, "value", "996 mm");
        step("travel.cross-slide", false, "value", "252 mm");
        step("backlash.carriage", false, "minus", "0.10 0.12 0.14", "middle", "0.20 0.21 0.22", "plus", "0.10 0.11 0.12");
        step("nose-runout", false, "value", "0.014");
        step("bar-runout", false, "value", "0.150");
        step("emergency-stop", false, "log", "runs 0\nstop-pressed 3\nstops 5");
        write(SurveyEntries.stepPassedOver(AT, ME, StepLedger.fold(machine, entries).step("coolant").orElseThrow(), "tank empty"));
        write(SurveyEntries.kit(AT, ME, KitItem.parse("chuck", KitItem.State.SEEN, "the seller", "", "", "", "")));
        write(SurveyEntries.kit(AT, ME, KitItem.parse("steady", KitItem.State.MISSING, "the seller", "", "180", "", "")));
        write(SurveyEntries.lift(AT, ME, Lift.parse("1850", "120", "90", "2000", "the keeper")));
        step("plates", true);
        write(SurveyEntries.strike(AT, ME, entries, entries.size(), "wrong machine"));
        write(SurveyEntries.systemRepaired(AT, ME, "lamp", "new bulb"));
        write(SurveyEntries.remark(AT, ME, List.of(), "clean shop"));

        SpindleSurvey survey = SpindleSurvey.fold(machine, entries);
        StepLedger ledger = StepLedger.fold(machine, entries);
        ByHand.check("statement", Stream.of(ConditionStatement.of(survey, ledger).sentences().stream().map(s -> "SAYS " + s.words() + " " + s.entries()),
                Finding.of(survey, ledger).stream().map(f -> "FINDS " + f.severity() + " " + f.what() + " " + f.entries()),
                ClaimVerdict.of(survey, ledger).stream().map(c -> "CLAIM " + c.claim().attribute() + " " + c.claim().value() + " " + c.standing() + " " + c.because() + " " + c.entries()))
                .flatMap(s -> s));
    }
}
