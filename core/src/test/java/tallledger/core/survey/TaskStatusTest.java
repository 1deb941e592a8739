package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import tallledger.core.SurveyBook;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.Route;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.family.Family;
import tallledger.core.family.MachinePart;
import tallledger.core.family.Phase;
import tallledger.core.gauge.Grade;
import tallledger.core.ledger.Authorship;
import tallledger.core.machine.MachineDescription;
import tallledger.core.measuring.SpindleCheck;
import tallledger.core.motion.AxisId;
import tallledger.core.rules.Rules;

/** A speed, a step and a check at the spindle stand in the same words. */
class TaskStatusTest {

    private final MachineDescription machine = CatalogueTest.machine(Family.UNIVERSAL_MILL, Family.UNIVERSAL_MILL.traits().usual());
    private final SurveyBook book = new SurveyBook(machine, Scope.WHOLE, 30);

    private TaskStatus of(String key) {
        return TaskStatus.byPhase(book.survey()).values().stream().flatMap(List::stream).filter(s -> s.task().key().equals(key)).findFirst()
                .orElseThrow();
    }

    private Route slowest() {
        return book.spindle().steps().get(0);
    }

    @Test
    void everythingIsOpenAtFirstAndEachTaskStandsOnce() {
        Map<Phase, List<TaskStatus>> phases = TaskStatus.byPhase(book.survey());
        List<TaskStatus> all = phases.values().stream().flatMap(List::stream).toList();
        assertThat(all).hasSize(book.spindle().steps().size() + book.ledger().inScope().size()).allMatch(TaskStatus::isOpen);
        assertThat(all).extracting(s -> s.task().key()).doesNotHaveDuplicates();
        phases.forEach((phase, standings) -> assertThat(standings).allMatch(s -> s.task().phase() == phase));
        assertThat(phases.keySet()).containsExactlyElementsOf(phases.keySet().stream().sorted().toList());
    }

    /** Each task is counted once, by what counts of it. */
    @Test
    void theTallyAddsUp() {
        BigDecimal plate = machine.speeds().nominal(slowest()).orElseThrow();
        int all = book.spindle().steps().size() + book.ledger().inScope().size();
        assertThat(TaskStatus.tally(TaskStatus.byPhase(book.survey()))).isEqualTo(new TaskStatus.Tally(all, 0, 0, 0, 0, 0, all));
        book.run(machine.train().settings(slowest()), plate.toPlainString() + ".0", false);
        book.step("serial", false, "text", "U2-771");
        book.step("castings", true, "text", "cracked foot");
        book.write(SurveyEntries.stepPassedOver(Authorship.of(book.now(), SurveyBook.ME), book.ledger().step("covers").orElseThrow(),
                "locked"));
        TaskStatus.Tally tally = TaskStatus.tally(TaskStatus.byPhase(book.survey()));
        assertThat(tally.all()).isEqualTo(all);
        assertThat(List.of(tally.good(), tally.bad(), tally.undecided(), tally.passed())).containsExactly(2, 1, 0, 1);
        assertThat(tally.inferred()).as("what one run proves of others, and a good step spares")
                .isEqualTo(book.spindle().coverage().counts().inferred()
                        + (int) book.ledger().inScope().stream().filter(book.ledger()::isSpared).count());
        assertThat(tally.open()).isEqualTo(all - 4 - tally.inferred());
        assertThat(tally.good() + tally.bad() + tally.undecided() + tally.inferred() + tally.passed() + tally.open()).isEqualTo(all);
    }

    @Test
    void aRunAStepAndACheckAreEachDone() {
        BigDecimal plate = machine.speeds().nominal(slowest()).orElseThrow();
        book.run(machine.train().settings(slowest()), plate.toPlainString() + ".0", false);
        book.step("serial", false, "text", "U2-771");
        book.write(SurveyEntries.check(Authorship.of(book.now(), SurveyBook.ME), SurveyBook.BASIS, Rules.shipped(), DriveCheck.BRAKE, true,
                "4.1",
                ""));
        for (String key : List.of(slowest().key(), "serial", SpindleCheck.id(DriveCheck.BRAKE))) {
            assertThat(of(key).outcome()).as(key).contains(Outcome.PROVEN);
            assertThat(of(key).entries()).as(key).hasSize(1);
            assertThat(of(key).isOpen()).isFalse();
        }
        assertThat(of(SpindleCheck.id(DriveCheck.BRAKE)).grade()).contains(Grade.REBUILT);
    }

    @Test
    void passedOverPutOffAndToBeDoneAgain() {
        book.write(SurveyEntries.stepPassedOver(Authorship.of(book.now(), SurveyBook.ME), book.ledger().step("serial").orElseThrow(),
                "painted over"));
        book.write(SurveyEntries.passedOver(Authorship.of(book.now(), SurveyBook.ME), machine.train().settings(slowest()), "no time"));
        book.write(SurveyEntries.later(Authorship.of(book.now(), SurveyBook.ME), "castings"));
        assertThat(of("serial").passed()).get().extracting(n -> n.what()).isEqualTo("painted over");
        assertThat(of(slowest().key()).passed()).get().extracting(n -> n.what()).isEqualTo("no time");
        assertThat(of("castings").later()).isTrue();
        assertThat(of("castings").isOpen()).isTrue();
        book.step("travel.table", true, "value", "880");
        book.write(SurveyEntries.repaired(Authorship.of(book.now(), SurveyBook.ME), new MachinePart.System("slide", AxisId.read("table")),
                "gib reset"));
        assertThat(of("travel.table").again()).isTrue();
        assertThat(of("travel.table").outcome()).isEqualTo(Optional.empty());
        assertThat(of("travel.table").entries()).as("what was written stays").hasSize(1);
    }

    /** In a survey of the drive alone its checks stand with its speeds. */
    @Test
    void theDrivesChecksStandWithItsSpeeds() {
        SurveyBook drive = new SurveyBook(machine, Scope.SPINDLE_DRIVE, 30);
        Map<Phase, List<TaskStatus>> phases = TaskStatus.byPhase(drive.survey());
        assertThat(phases).containsOnlyKeys(Phase.SPINDLE);
        assertThat(phases.get(Phase.SPINDLE)).extracting(s -> s.task().key()).contains(slowest().key(), SpindleCheck.id(DriveCheck.BRAKE))
                .doesNotContain("serial");
    }
}
