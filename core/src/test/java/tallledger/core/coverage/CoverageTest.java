package tallledger.core.coverage;

import static org.assertj.core.api.Assertions.assertThat;
import static tallledger.core.Machines.lever;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.drive.Route;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Speed;
import tallledger.core.drive.SpeedTable;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.machine.MachineDescription;
import tallledger.core.rules.Rules;

class CoverageTest {

    private final MachineDescription machine = Machines.twelve();
    private final SpeedTable table = machine.speeds();
    private final Elements elements = Elements.of(machine.train());

    private Coverage coverage(String... runs) {
        Map<Route, Outcome> outcomes = new HashMap<>();
        for (String run : runs) {
            Outcome outcome = run.endsWith("!") ? Outcome.FAILED : run.endsWith("?") ? Outcome.UNDECIDED : Outcome.PROVEN;
            outcomes.put(route(run.substring(0, 2)), outcome);
        }
        return Coverage.of(table, elements, outcomes);
    }

    private Route route(String name) {
        return machine.train().routes().stream().filter(r -> machine.train().name(r).equals(name)).findFirst().orElseThrow();
    }

    private Mark mark(Coverage coverage, String name) {
        return coverage.mark(table.speedOf(route(name)).orElseThrow());
    }

    /** A sliding drive in two ranges: two sweeps, counted apart from the four ends. */
    @Test
    void sweepsAreCountedApart() {
        MachineDescription sliding = Machines.lathe("40 300 350 2200", lever("range", "L H"),
                Stage.sliding("variator", StageKind.VARIATOR, Optional.empty()));
        SpeedTable speeds = sliding.speeds();
        List<Route> sweeps = speeds.speeds().stream().filter(Speed::isSweep).map(s -> s.routes().get(0)).toList();
        assertThat(sweeps).hasSize(2);
        Coverage.Counts none = Coverage.of(speeds, Elements.of(sliding.train()), Map.of()).counts();
        Coverage.Counts one = Coverage.of(speeds, Elements.of(sliding.train()),
                Map.of(sweeps.get(0), Outcome.PROVEN, sweeps.get(1), Outcome.FAILED)).counts();
        assertThat(List.of(none.all(), none.run(), none.sweeps(), none.sweepsProven())).containsExactly(4, 0, 2, 0);
        assertThat(List.of(one.run(), one.sweeps(), one.sweepsProven())).containsExactly(0, 2, 1);
    }

    @Test
    void noisesAreWhatIsHeard() {
        assertThat(Stream.of(Symptom.values()).filter(Symptom::isNoise))
                .containsExactly(Symptom.KNOCKS_ONCE_A_TURN, Symptom.GROWLS, Symptom.WHINES, Symptom.SQUEALS, Symptom.RATTLES,
                        Symptom.RUNS_ROUGH);
        assertThat(Stream.of(Symptom.values()).filter(Symptom::stopsDrive)).containsExactly(Symptom.WILL_NOT_ENGAGE, Symptom.NO_DRIVE);
    }

    /** A1, B2, C3, C4 exercise every element; the other eight are inferred. */
    @Test
    void everyElementOnceInfersTheRest() {
        Coverage.Counts counts = coverage("A1", "B2", "C3", "C4").counts();
        assertThat(counts.run()).isEqualTo(4);
        assertThat(counts.inferred()).isEqualTo(8);
        assertThat(counts.open()).isZero();
    }

    /** One speed by two routes: what was run is marked as run, the other way round is not. */
    @Test
    void aMarkIsTheRoutesOwn() {
        MachineDescription twoWays = Machines.lathe("100 200 200 400", Machines.lever("range", "L H"), Machines.lever("gear", "1 2"));
        List<Route> two = twoWays.train().routes().stream().filter(r -> List.of("L2", "H1").contains(twoWays.train().name(r))).toList();
        assertThat(twoWays.speeds().speedOf(two.get(0))).isEqualTo(twoWays.speeds().speedOf(two.get(1)));
        Coverage coverage = Coverage.of(twoWays.speeds(), Elements.of(twoWays.train()), Map.of(two.get(0), Outcome.PROVEN));
        assertThat(coverage.mark(two.get(0))).isEqualTo(Mark.PROVEN);
        assertThat(coverage.mark(two.get(1))).isEqualTo(Mark.OPEN);
        assertThat(coverage.mark(twoWays.speeds().speedOf(two.get(0)).orElseThrow())).isEqualTo(Mark.PROVEN);
    }

    /** B3 fails: what shares B or 3 with it is open again, the motor (on every route) does not count against the rest. */
    @Test
    void aFailureStopsInferenceOnlyWhereItCouldLie() {
        Coverage coverage = coverage("A1", "B2", "C3", "C4", "B3!");
        assertThat(mark(coverage, "B3")).isEqualTo(Mark.FAILED);
        assertThat(mark(coverage, "B1")).isEqualTo(Mark.OPEN);
        assertThat(mark(coverage, "A3")).isEqualTo(Mark.OPEN);
        assertThat(mark(coverage, "A2")).isEqualTo(Mark.INFERRED);
        assertThat(mark(coverage, "C3")).isEqualTo(Mark.PROVEN);
    }

    /** Gear 4 was only run unread, so A4 and B4 stay open; the other six that were not run are inferred. */
    @Test
    void anUnreadRunExercisesNothing() {
        Coverage coverage = coverage("A1", "B2", "C3", "C4?");
        assertThat(mark(coverage, "C4")).isEqualTo(Mark.UNDECIDED);
        assertThat(mark(coverage, "A4")).isEqualTo(Mark.OPEN);
        assertThat(coverage.counts()).isEqualTo(new Coverage.Counts(12, 4, 3, 0, 1, 6, 2, 0, 0));
    }

    /** One speed by two routes: failed comes before proven. */
    @Test
    void aSpeedTakesTheWorstOfItsRoutes() {
        MachineDescription reversing = Machines.lathe("100 200", lever("gear", "1 2"), Stage.direction(Shifting.STOP_TO_SHIFT));
        SpeedTable speeds = reversing.speeds();
        Speed first = speeds.counted().get(0);
        Coverage coverage = Coverage.of(speeds, Elements.of(reversing.train()),
                Map.of(first.routes().get(0), Outcome.PROVEN, first.routes().get(1), Outcome.FAILED));
        assertThat(coverage.mark(first)).isEqualTo(Mark.FAILED);
    }

    @Test
    void everySpeedGoesSlowToFastWithOneReverse() {
        MachineDescription reversing = Machines.lathe("200 100", lever("gear", "1 2"), Stage.direction(Shifting.STOP_TO_SHIFT));
        List<String> names = EverySpeed.routes(reversing.speeds()).stream().map(reversing.train()::name).toList();
        assertThat(names).containsExactly("2", "2 reverse", "1");
    }

    /** Four times exactly is allowed (31.5 → 125 is 3.97 times, 45 → 180 is 4); 31.5 → 180 is not. */
    @Test
    void theColdSpindleRuleAllowsFourTimes() {
        Speed b1 = table.speedOf(route("B1")).orElseThrow();
        Speed b2 = table.speedOf(route("B2")).orElseThrow();
        assertThat(ColdSpindle.of(table, Rules.shipped()).allows(OptionalDouble.of(31.5), b1)).isTrue();
        assertThat(ColdSpindle.of(table, Rules.shipped()).allows(OptionalDouble.of(31.5), b2)).isFalse();
        assertThat(ColdSpindle.of(table, Rules.shipped()).allows(OptionalDouble.of(45), b2)).isTrue();
        assertThat(ColdSpindle.of(table, Rules.shipped()).allows(OptionalDouble.empty(), b1)).isFalse();
    }

    @Test
    void theMachinesOwnNextSpeedMayBeFurtherAway() {
        SpeedTable far = Machines.lathe("50 400 1600", lever("gear", "1 2 3")).speeds();
        assertThat(ColdSpindle.of(far, Rules.shipped()).allows(OptionalDouble.of(50), far.speeds().get(1))).isTrue();
        assertThat(ColdSpindle.of(far, Rules.shipped()).allows(OptionalDouble.of(50), far.speeds().get(2))).isFalse();
    }
}
