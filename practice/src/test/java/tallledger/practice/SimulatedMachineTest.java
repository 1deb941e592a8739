package tallledger.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Route;
import tallledger.core.survey.RunRecord;

class SimulatedMachineTest {

    private static Route route(SimulatedMachine machine, String name) {
        return machine.description().train().routes().stream().filter(r -> machine.description().train().name(r).equals(name))
                .findFirst().orElseThrow();
    }

    /** B3 truly turns 250 × 1.022 unloaded, whatever its plate says; over many readings the mean finds it. */
    @Test
    void readsTheTruthNotThePlate() {
        SimulatedMachine lathe = KestrelVale.aldwark410();
        Route b3 = route(lathe, "B3");
        Random random = new Random(1);
        double mean = IntStream.range(0, 400).mapToObj(i -> lathe.run(b3, random))
                .flatMap(run -> run.reading().stream()).mapToDouble(r -> r.rpm().doubleValue()).average().orElseThrow();
        assertThat(mean).isCloseTo(255.5, offset(0.3));
    }

    @Test
    void aFaultShowsOnlyOnRoutesThatUseIt() {
        SimulatedMachine lathe = KestrelVale.aldwark410();
        Random random = new Random(2);
        assertThat(IntStream.range(0, 50).mapToObj(i -> lathe.run(route(lathe, "A1"), random))).allMatch(run -> run.symptoms().isEmpty());
        long growls = IntStream.range(0, 200).filter(i -> lathe.run(route(lathe, "C3"), random).symptoms().contains(Symptom.GROWLS))
                .count();
        assertThat(growls).isBetween(175L, 200L);
    }

    @Test
    void whatWillNotEngageIsNotRead() {
        SimulatedMachine mill = KestrelVale.castervaleH1();
        RunRecord run = mill.run(route(mill, "1·in·high"), new Random(3));
        assertThat(run.reading()).isEmpty();
        assertThat(run.symptoms()).containsExactly(Symptom.WILL_NOT_ENGAGE);
    }

    @Test
    void theSameSeedGivesTheSameSurvey() {
        SimulatedMachine drill = KestrelVale.dunmarshP20();
        List<Route> routes = drill.description().train().routes();
        Random one = new Random(4);
        Random two = new Random(4);
        assertThat(routes.stream().map(r -> drill.run(r, one)).toList()).isEqualTo(routes.stream().map(r -> drill.run(r, two)).toList());
    }

    @Test
    void aFaultThatNeverShowsIsNone() {
        assertThatThrownBy(() -> new HiddenFault("gear", "3", Symptom.HOT, 0)).isInstanceOf(IllegalArgumentException.class);
    }
}
