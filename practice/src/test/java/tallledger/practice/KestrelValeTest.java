package tallledger.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.RunPlan;
import tallledger.core.coverage.RunPlanner;
import tallledger.core.coverage.School;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.DriveTrain;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plate.PlateCheck;
import tallledger.core.plate.PlateRemark;
import tallledger.core.rules.Rules;

/** The shortlist counted by hand. */
class KestrelValeTest {

    private static MachineDescription machine(String name) {
        return KestrelVale.shortlist().stream().map(SimulatedMachine::description).filter(m -> m.identity().name().equals(name)).findFirst()
                .orElseThrow();
    }

    /** Speeds and sweeps by hand; the fewest runs are at least the positions of the largest stage. */
    @ParameterizedTest
    @CsvSource({"Aldwark 410,12,0,4", "Dunmarsh P20,6,0,3", "Castervale H1,9,0,3", "Hexthorne VC,4,2,3", "Brinmoor T1,4,2,3",
            "Aldwark 90,12,6,3",
            "Brinmoor K3,4,2,3", "Castervale U2,18,0,3", "Dunmarsh R50,21,0,7", "Eskholt C300,2,0,2", "Farrowby RT,1,0,1",
            "Gransdale CL,2,1,3"})
    void speedsSweepsAndFewestRuns(String name, int speeds, int sweeps, int bound) {
        MachineDescription machine = machine(name);
        assertThat(machine.speeds().counted()).hasSize(speeds);
        assertThat(machine.speeds().speeds().size() - speeds).isEqualTo(sweeps);
        RunPlan plan = new RunPlanner(machine.speeds(), Elements.of(machine.train()), Rules.shipped()).plan(School.EVERY_GEAR, 0);
        assertThat(plan.lowerBound()).isEqualTo(bound);
        assertThat(plan.runs()).hasSizeGreaterThanOrEqualTo(bound);
        assertThat(plan.provenFewest()).isTrue();
        long proven = plan.runs().stream().mapToLong(r -> Elements.of(machine.train()).mask(r.route())).reduce(0, (a, b) -> a | b);
        assertThat(proven).isEqualTo(Elements.of(machine.train()).reachable());
    }

    @Test
    void onlyTheLathesPlateIsMisread() {
        for (SimulatedMachine simulated : KestrelVale.shortlist()) {
            PlateCheck check = PlateCheck.of(simulated.description().plate(), OptionalInt.empty());
            boolean lathe = simulated.description().identity().name().equals("Aldwark 410");
            assertThat(check.remarks().stream().anyMatch(r -> r.kind() == PlateRemark.Kind.SUSPECT))
                    .as(simulated.description().identity().name()).isEqualTo(lathe);
        }
    }

    /** Every feed of the drill's plate is as its makers laddered it but one: two digits swapped at II 4. */
    @Test
    void theDrillsFeedPlateHidesOneSlip() {
        PlateCheck feeds = PlateCheck.ofFeeds(machine("Dunmarsh R50").feeds().orElseThrow().plate());
        assertThat(feeds.remarks()).filteredOn(r -> r.kind() == PlateRemark.Kind.SUSPECT).singleElement()
                .satisfies(r -> assertThat(r.cells().get(0)).containsExactly("II", "4"));
    }

    @Test
    void driveChecksFollowTheDrive() {
        assertThat(DriveCheck.of(machine("Brinmoor K3").train())).contains(DriveCheck.NEUTRAL).doesNotContain(DriveCheck.SHIFT_UP);
        assertThat(DriveCheck.of(machine("Hexthorne VC").train())).contains(DriveCheck.SHIFT_UP, DriveCheck.SHIFT_DOWN)
                .doesNotContain(DriveCheck.NEUTRAL);
    }

    @Test
    void everyMachineCanBeRunThroughOnEveryRoute() {
        for (SimulatedMachine simulated : KestrelVale.shortlist()) {
            DriveTrain train = simulated.description().train();
            Random random = new Random(5);
            simulated.description().speeds().speeds().forEach(speed -> speed.routes().forEach(route -> {
                var run = simulated.run(route, random);
                boolean told = run.reading().isPresent() || run.swept() || !run.symptoms().isEmpty();
                assertThat(told).as(simulated.description().identity().name() + " " + train.name(route)).isTrue();
            }));
        }
    }

    /**
     * A fault that shows nine times in ten, among noises imagined one time in ten, is found far more often than not and seldom mistaken.
     */
    @Test
    void hiddenFaultsAreFoundAndSoundBoxesSpared() {
        MachineDescription machine = machine("Aldwark 410");
        Elements elements = Elements.of(machine.train());
        Random random = new Random(99);
        var choices = elements.all().stream().filter(elements::isChoice).filter(e -> !e.stageName().equals("direction")).toList();
        int right = 0;
        int wrong = 0;
        int accused = 0;
        for (int i = 0; i < 120; i++) {
            Elements.Element fault = choices.get(i % choices.size());
            var found = HiddenFaultTrials.hunt(machine, School.EVERY_SPEED, Optional.of(fault), random);
            right += found.blamed().filter(fault::equals).isPresent() ? 1 : 0;
            wrong += found.blamed().filter(b -> !b.equals(fault)).isPresent() ? 1 : 0;
            accused += HiddenFaultTrials.hunt(machine, School.EVERY_SPEED, Optional.empty(), random).blamed().isPresent() ? 1 : 0;
        }
        assertThat(right).isGreaterThan(105);
        assertThat(wrong).isLessThan(6);
        assertThat(accused).isLessThan(6);
    }

    /** The same faults by ear alone, and with each run recorded: a knock is found in fewer runs, and no sound box pays for it. */
    @Test
    void aRecordedKnockIsFoundInFewerRuns() {
        SimulatedMachine mill = KestrelVale.castervaleH1();
        List<Elements.Element> choices = Elements.of(mill.description().train()).all().stream()
                .filter(Elements.of(mill.description().train())::isChoice).toList();
        TrialRecorder recorder = new TrialRecorder(mill, Symptom.KNOCKS_ONCE_A_TURN);
        int[] right = new int[2];
        int[] runs = new int[2];
        int[] accused = new int[2];
        for (int with = 0; with < 2; with++) {
            Random random = new Random(7);
            Optional<TrialRecorder> by = with == 0 ? Optional.empty() : Optional.of(recorder);
            for (int i = 0; i < 24; i++) {
                Elements.Element fault = choices.get(i % choices.size());
                var found = HiddenFaultTrials.hunt(mill.description(), School.EVERY_SPEED, Optional.of(fault), random, by);
                right[with] += found.blamed().filter(fault::equals).isPresent() ? 1 : 0;
                runs[with] += found.runs();
                accused[with] += HiddenFaultTrials.hunt(mill.description(), School.EVERY_SPEED, Optional.empty(), random, by).blamed()
                        .isPresent() ? 1 : 0;
            }
        }
        assertThat(right[1]).isGreaterThanOrEqualTo(22);
        assertThat(runs[1]).as("runs with recordings, against by ear").isLessThan(runs[0] - 24);
        assertThat(accused[1]).isLessThan(3);
    }

    @Test
    void theShortlistHasItsTwelveMachinesEachOnce() {
        Map<String, Long> names = KestrelVale.shortlist().stream().collect(java.util.stream.Collectors.groupingBy(
                s -> s.description().identity().name(), java.util.stream.Collectors.counting()));
        assertThat(names).hasSize(12).allSatisfy((name, count) -> assertThat(count).isEqualTo(1));
        assertThat(IntStream.range(0, 12).mapToObj(i -> KestrelVale.shortlist().get(i).description().identity().family()).distinct()
                .count()).isEqualTo(10);
    }
}
