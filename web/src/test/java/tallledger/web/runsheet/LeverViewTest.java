package tallledger.web.runsheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import tallledger.core.drive.Route;
import tallledger.core.machine.MachineDescription;
import tallledger.practice.KestrelVale;

/** Levers drawn as they stand. */
class LeverViewTest {

    private static Route route(MachineDescription machine, String name) {
        return machine.train().routes().stream().filter(r -> machine.train().name(r).equals(name)).findFirst().orElseThrow();
    }

    @Test
    void onlyWhatMovesIsMarked() {
        MachineDescription lathe = KestrelVale.aldwark410().description();
        List<LeverView> levers = LeverView.of(lathe, route(lathe, "B3"), Optional.of(route(lathe, "B2")));
        assertThat(levers).extracting(LeverView::name).containsExactly("range", "gear", "direction");
        assertThat(levers).extracting(LeverView::moved).containsExactly(false, true, false);
        assertThat(levers.get(1).label()).isEqualTo("3");
        assertThat(levers.get(1).mustStop()).isTrue();
    }

    @Test
    void firstOfAllEverythingIsSet() {
        MachineDescription lathe = KestrelVale.aldwark410().description();
        assertThat(LeverView.of(lathe, route(lathe, "A1"), Optional.empty())).allMatch(LeverView::moved);
    }

    /** A gate of four: 1 above 2 on the first bar, 3 above 4 on the second. */
    @Test
    void aGateStandsInPairs() {
        MachineDescription lathe = KestrelVale.aldwark410().description();
        LeverView gate = LeverView.of(lathe, route(lathe, "A3"), Optional.empty()).get(1);
        assertThat(gate.places().get(0).x()).isEqualTo(gate.places().get(1).x());
        assertThat(gate.places().get(2).x()).isEqualTo(gate.places().get(3).x()).isGreaterThan(gate.places().get(0).x());
        assertThat(gate.places().get(0).y()).isEqualTo(gate.places().get(2).y()).isLessThan(gate.places().get(1).y());
        assertThat(gate.knob().label()).isEqualTo("3");
    }

    /** A dial of seven: the first at the top, all at one distance from the middle, clockwise. */
    @Test
    void aDialStandsInACircle() {
        MachineDescription drill = KestrelVale.dunmarshR50().description();
        LeverView dial = LeverView.of(drill, route(drill, "A2"), Optional.empty()).get(1);
        double middle = dial.width() / 2.0;
        assertThat(dial.places()).hasSize(7)
                .allSatisfy(p -> assertThat(Math.hypot(p.x() - middle, p.y() - middle)).isCloseTo(24, offset(1e-9)));
        assertThat(dial.places().get(0).y()).isLessThan(dial.places().get(1).y());
        assertThat(dial.places().get(1).x()).isGreaterThan(middle);
    }
}
