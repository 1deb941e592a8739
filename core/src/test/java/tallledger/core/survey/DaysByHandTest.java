package tallledger.core.survey;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import tallledger.core.ByHand;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.blame.Blame;
import tallledger.core.coverage.School;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Route;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.family.Family;
import tallledger.core.family.MachinePart;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plan.BeyondProof;
import tallledger.core.plan.SheetPlan;
import tallledger.core.plan.SurveyPlan;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rules;
import tallledger.core.safety.Mounted;
import tallledger.core.unit.LengthUnit;

/** A day at a machine, entry by entry: what comes next and why, what is planned, what it would take, what may not be run. */
class DaysByHandTest {

    private static final String ME = SurveyBook.ME;

    private final List<String> lines = new ArrayList<>();
    private final MachineDescription machine = CatalogueTest.machine(Family.LATHE, Family.LATHE.traits().usual(), Machines.TWELVE,
            Machines.lever("range", "A B C"), Machines.lever("gear", "1 2 3 4"));
    private SurveyBook book;

    private void open(Scope scope) {
        book = new SurveyBook(machine, scope, 50);
        told(book.entries().get(0));
    }

    private void write(Draft draft) {
        told(book.write(draft));
    }

    private void run(String range, String gear, String rpm, Symptom... symptoms) {
        told(book.run(List.of(range, gear), rpm, false, symptoms));
    }

    private void step(String id, boolean flagged, String... fieldsAndValues) {
        told(book.step(id, flagged, fieldsAndValues));
    }

    /** What the survey says after an entry. */
    private void told(Entry entry) {
        Survey whole = book.survey();
        SpindleSurvey survey = whole.drive();
        StepLedger ledger = whole.steps();
        SheetPlan plan = SheetPlan.of(whole, book.now());
        SurveyPlan spindle = plan.spindle();
        lines.add(String.join(" | ", entry.sequence() + " " + entry.kind() + " " + entry.step() + " -> " + next(plan),
                String.format(Locale.ROOT, "spent %.1f open %.1f chosen %d", plan.minutesSpent(), plan.minutesOpen(), plan.chosen().size()),
                spindle.school() + " " + spindle.minutesLeft().map(Object::toString).orElse("-") + " runs "
                        + names(spindle.plan().runs().stream().map(r -> r.route()).toList())
                        + " beyond " + BeyondProof.of(whole, spindle.plan().beyondProof()).stream().map(DaysByHandTest::said).toList(),
                spindle.blame().map(DaysByHandTest::blame).orElse("no blame"),
                "causes " + spindle.causes().stream().map(c -> c.kind().name()).toList(),
                "repeats " + ledger.repeats() + names(survey.repeats()) + " refused " + names(RunGate.refused(whole)).stream().sorted()
                        .toList()
                        + " start due " + StartCheck.isDue(book.entries(), Rules.shipped(), book.now()) + " judged "
                        + JudgedBy.descriptions(book.entries()).stream().map(j -> j.version() + " " + j.hash()).toList()));
    }

    private String next(SheetPlan plan) {
        return "next " + plan.next().map(t -> t.route().map(machine.train()::name).orElse(t.key())).orElse("nothing") + " because "
                + said(plan.why());
    }

    private List<String> names(Collection<Route> routes) {
        return routes.stream().map(machine.train()::name).toList();
    }

    private static String blame(Blame blame) {
        return blame.hunt() + " " + blame.suspects().stream().limit(2)
                .map(s -> s.element().stageName() + s.element().label() + String.format(Locale.ROOT, " %.3f", s.probability())).toList()
                + String.format(Locale.ROOT, " none %.3f", blame.noFault());
    }

    private static String said(Object o) {
        return o instanceof Reason r ? r.code() + r.arguments().stream().map(DaysByHandTest::said).toList()
                : o instanceof Double d
                        ? String.format(Locale.ROOT, "%.3f", d)
                        : o instanceof List<?> list ? list.stream().map(DaysByHandTest::said).toList().toString() : String.valueOf(o);
    }

    @Test
    void everyDayGoesAsTheListSays() {
        open(Scope.WHOLE);
        step("desk-claims", false);
        write(SurveyEntries.later(Authorship.of(book.now(), ME), "desk-power"));
        write(SurveyEntries.stepPassedOver(Authorship.of(book.now(), ME), book.ledger().step("desk-papers").orElseThrow(), "none"));
        step("serial", false, "text", "4711");
        write(SurveyEntries.planChosen(Authorship.of(book.now(), ME), School.EVERY_GEAR, ""));
        write(SurveyEntries.startConfirmed(Authorship.of(book.now(), ME), SurveyBook.BASIS, machine.family().traits().startChecks(machine),
                Mounted.parse(Mounted.Kind.CHUCK, "200", "600", "", "", LengthUnit.MM)));
        run("A", "1", "31.9");
        run("A", "3", "64.2", Symptom.GROWLS);
        run("B", "2", "181");
        run("B", "3", "252", Symptom.GROWLS);
        run("A", "3", "64.0", Symptom.GROWLS);
        write(SurveyEntries.repaired(Authorship.of(book.now(), ME), new MachinePart.Position("gear", "3"), "bearing"));
        run("A", "3", "64.1");
        run("B", "3", "268");
        told(book.run(List.of("B", "3"), "266", true));
        write(SurveyEntries.passedOver(Authorship.of(book.now(), ME), List.of("B", "1"), "enough"));
        write(SurveyEntries.adopted(Authorship.of(book.now(), ME), 2, "h2"));
        book.pause(40 * 60);
        write(SurveyEntries.stopped(Authorship.of(book.now(), ME)));
        write(SurveyEntries.strike(Authorship.of(book.now(), ME), book.entries(), 15, "misread"));
        step("isolator", true);
        step("isolator", false);
        write(SurveyEntries.startConfirmed(Authorship.of(book.now(), ME), SurveyBook.BASIS, machine.family().traits().startChecks(machine),
                Mounted.parse(Mounted.Kind.NOTHING, "", "", "", "", LengthUnit.MM)));
        run("C", "4", "");
        run("B", "4", "355");
        run("C", "4", "1421");
        run("C", "1", "506", Symptom.HOT);
        step("lamp", true);
        write(SurveyEntries.repaired(Authorship.of(book.now(), ME), MachinePart.System.of("lamp"), "bulb"));
        write(SurveyEntries.planChosen(Authorship.of(book.now(), ME), School.MY_MINUTES, "12"));
        book.pause(300);
        step("lamp", false);
        write(SurveyEntries.planChosen(Authorship.of(book.now(), ME), School.EVERY_SPEED, ""));
        write(SurveyEntries.strike(Authorship.of(book.now(), ME), book.entries(), 18, "not agreed"));
        ByHand.check("days", lines.stream());
    }

    /** The spindle drive alone: everything a fifth too fast, a gear that growls until it is clear, a speed put off, readings under load. */
    @Test
    void everySpindleDayGoesAsTheListSays() {
        open(Scope.SPINDLE_DRIVE);
        run("A", "1", "37.8");
        run("A", "2", "54.1");
        write(SurveyEntries.later(Authorship.of(book.now(), ME), machine.train().routes().get(2).key()));
        run("A", "4", "108.2");
        told(book.run(List.of("A", "4"), "105", true));
        run("B", "4", "425");
        write(SurveyEntries.planChosen(Authorship.of(book.now(), ME), School.EVERY_GEAR, ""));
        run("B", "3", "301", Symptom.GROWLS);
        run("A", "3", "75.7", Symptom.GROWLS);
        run("C", "3", "1201", Symptom.GROWLS);
        run("C", "3", "1202", Symptom.GROWLS);
        run("B", "3", "300", Symptom.GROWLS);
        run("C", "1", "");
        run("C", "2", "852");
        write(SurveyEntries.check(Authorship.of(book.now(), ME), SurveyBook.BASIS, Rules.shipped(), DriveCheck.BRAKE, true, "5.5", ""));
        write(SurveyEntries.repaired(Authorship.of(book.now(), ME), new MachinePart.Position("gear", "3"), "bearing"));
        write(SurveyEntries.planChosen(Authorship.of(book.now(), ME), School.EVERY_SPEED, ""));
        run("A", "3", "75.9");
        ByHand.check("spindle-day", lines.stream());
    }
}
