package tallledger.core.verdict;

import static tallledger.core.Machines.lever;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tallledger.core.ByHand;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Route;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.family.MachinePart;
import tallledger.core.kit.KitItem;
import tallledger.core.kit.Lift;
import tallledger.core.ledger.Authorship;
import tallledger.core.machine.Claim;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.AxisId;
import tallledger.core.rules.Rules;
import tallledger.core.safety.Mounted;
import tallledger.core.survey.Scope;
import tallledger.core.survey.Survey;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.unit.LengthUnit;

/**
 * One survey with something of everything in it, and every sentence, finding and claim it comes to, with its figures and its entries,
 * by a list gone through by hand.
 */
class StatementByHandTest {

    private final MachineDescription machine = Machines.lathe("31.5 63 125 250 500 ?",
            List.of(new Claim(Claim.Attribute.SPEED_COUNT, "6", Claim.Source.PLATE, ""),
                    new Claim(Claim.Attribute.SLOWEST_SPEED, "31.5", Claim.Source.PLATE, ""),
                    new Claim(Claim.Attribute.FASTEST_SPEED, "1200", Claim.Source.SELLER, ""),
                    new Claim(Claim.Attribute.REVERSES, "no", Claim.Source.SELLER, ""),
                    new Claim(Claim.Attribute.TRAVEL, "1000 mm", Claim.Source.SELLER, "", AxisId.read("carriage")),
                    new Claim(Claim.Attribute.TRAVEL, "250 mm", Claim.Source.SELLER, "", AxisId.read("cross-slide")),
                    new Claim(Claim.Attribute.CONDITION, "good", Claim.Source.SELLER, "")),
            List.of(),
            lever("range", "A B C"), lever("gear", "1 2"), Stage.direction(Shifting.STOP_TO_SHIFT));

    private final SurveyBook book = new SurveyBook(machine, Scope.WHOLE, 0);

    private void run(String range, String gear, String way, String rpm, Set<Symptom> symptoms, ShiftFeel feel, boolean quiet) {
        book.run(List.of(range, gear, way), rpm, false, feel, quiet, symptoms.toArray(Symptom[]::new));
    }

    /** The spindle drive alone: a repair, a speed too close to call, one beyond the chuck's mark, a sweep, and claims of it. */
    @Test
    void aSpindleDriveAloneIsAsItsListSays() {
        MachineDescription sliding = Machines.lathe("40 300 350 2200",
                List.of(new Claim(Claim.Attribute.SPEED_COUNT, "5", Claim.Source.PLATE, ""),
                        new Claim(Claim.Attribute.FASTEST_SPEED, "2200", Claim.Source.PLATE, ""),
                        new Claim(Claim.Attribute.REVERSES, "yes", Claim.Source.SELLER, "")),
                List.of(),
                lever("range", "L H"), Stage.sliding("variator", StageKind.VARIATOR, Optional.empty()));
        SurveyBook book = new SurveyBook(sliding, Scope.SPINDLE_DRIVE, 0);
        book.write(SurveyEntries.startConfirmed(Authorship.of(book.now(), SurveyBook.ME), SurveyBook.BASIS, List.of(),
                Mounted.parse(Mounted.Kind.CHUCK, "200", "1000", "", "", LengthUnit.MM)));
        List<Route> routes = sliding.train().routes();
        book.run(sliding.train().settings(routes.get(0)), "40.8", false);
        book.run(sliding.train().settings(routes.get(1)), "306.0", false);
        book.run(sliding.train().settings(routes.get(3)), "371", false);
        book.run(sliding.train().settings(routes.get(2)), "", false);
        book.write(SurveyEntries.repaired(Authorship.of(book.now(), SurveyBook.ME), new MachinePart.Position("range", "H"), "new key"));
        listed("statement-drive", book.survey());
    }

    @Test
    void everySentenceFindingAndClaimIsAsTheListSays() {
        run("A", "1", "forward", "31.9", Set.of(), ShiftFeel.ENGAGES_CLEAN, true);
        run("A", "1", "reverse", "31.8", Set.of(), null, false);
        run("A", "2", "forward", "64.2", Set.of(), ShiftFeel.NEEDS_ROCKING, false);
        run("B", "1", "forward", "132.4", Set.of(), null, false);
        run("B", "2", "forward", "271", Set.of(), ShiftFeel.CLASHES, false);
        run("C", "1", "forward", "507", Set.of(Symptom.GROWLS, Symptom.WHINES), null, false);
        run("C", "2", "forward", "1003", Set.of(), null, false);
        book.write(SurveyEntries.passedOver(Authorship.of(book.now(), SurveyBook.ME), List.of("B", "2", "reverse"), "no time"));
        book.write(SurveyEntries.check(Authorship.of(book.now(), SurveyBook.ME), SurveyBook.BASIS, Rules.shipped(), DriveCheck.JOG, true,
                "", ""));
        book.write(SurveyEntries.check(Authorship.of(book.now(), SurveyBook.ME), SurveyBook.BASIS, Rules.shipped(), DriveCheck.BRAKE, true,
                "6.5",
                ""));
        book.step("lamp", true);
        book.step("isolator", false);
        book.step("travel.carriage", false, "value", "996 mm");
        book.step("travel.cross-slide", false, "value", "252 mm");
        book.step("backlash.carriage", false, "minus", "0.10 0.12 0.14", "middle", "0.20 0.21 0.22", "plus", "0.10 0.11 0.12");
        book.step("nose-runout", false, "value", "0.014");
        book.step("bar-runout", false, "value", "0.150");
        book.step("emergency-stop", false, "log", "runs 0\nstop-pressed 3\nstops 5");
        book.write(SurveyEntries.stepPassedOver(Authorship.of(book.now(), SurveyBook.ME), book.ledger().step("coolant").orElseThrow(),
                "tank empty"));
        book.write(SurveyEntries.kit(Authorship.of(book.now(), SurveyBook.ME),
                KitItem.parse("chuck", KitItem.State.SEEN, "the seller", "", "", "",
                        "")));
        book.write(SurveyEntries.kit(Authorship.of(book.now(), SurveyBook.ME),
                KitItem.parse("steady", KitItem.State.MISSING, "the seller", "", "180", "", "")));
        book.write(SurveyEntries.lift(Authorship.of(book.now(), SurveyBook.ME), Lift.parse("1850", "120", "90", "2000", "the keeper")));
        book.step("plates", true);
        book.write(SurveyEntries.strike(Authorship.of(book.now(), SurveyBook.ME), book.entries(), book.entries().size(), "wrong machine"));
        book.write(SurveyEntries.repaired(Authorship.of(book.now(), SurveyBook.ME), MachinePart.System.of("lamp"), "new bulb"));
        book.write(SurveyEntries.remark(Authorship.of(book.now(), SurveyBook.ME), "clean shop"));

        listed("statement", book.survey());
    }

    private static void listed(String name, Survey survey) {
        ByHand.check(name, Stream.of(ConditionStatement.of(survey).sentences().stream().map(s -> "SAYS " + s.heading() + " " + s.words()
                + " " + s.entries()),
                Finding.of(survey).stream()
                        .map(f -> "FINDS " + f.severity() + " " + f.about() + " " + f.what() + f.explained().map(e -> " BUT " + e.because())
                                .orElse("") + " " + f.entries()),
                ClaimVerdict.of(survey).stream().map(c -> "CLAIM " + c.claim().attribute() + " " + c.claim().value() + " " + c.standing()
                        + " " + c.because() + " " + c.entries()))
                .flatMap(s -> s));
    }
}
