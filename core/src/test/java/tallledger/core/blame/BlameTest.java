package tallledger.core.blame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.EverySpeed;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Route;
import tallledger.core.drive.StageKind;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reason.Refused;

class BlameTest {

    private final MachineDescription machine = Machines.twelve();
    private final Elements elements = Elements.of(machine.train());

    private Route route(String name) {
        return machine.train().routes().stream().filter(r -> machine.train().name(r).equals(name)).findFirst().orElseThrow();
    }

    private Trial trial(String run) {
        boolean failed = run.endsWith("!");
        return new Trial(route(run.substring(0, 2)), failed ? Set.of(Symptom.GROWLS) : Set.of());
    }

    private Blame blame(Chances chances, String... runs) {
        List<Trial> trials = List.of(runs).stream().map(this::trial).toList();
        List<Route> untried = new ArrayList<>(EverySpeed.routes(machine.speeds()));
        trials.forEach(t -> untried.remove(t.route()));
        return Blame.of(elements, trials, untried, r -> 0, chances);
    }

    private static double of(Blame blame, String label) {
        return blame.suspects().stream().filter(s -> s.element().label().equals(label)).findFirst().orElseThrow().probability();
    }

    /** The worked case. Odds of gear 3 to no fault: 0.03/0.97 · 0.903² to 0.03², that is 0.02522 to 0.0009. */
    @Test
    void theWorkedBoxBlamesGearThree() {
        Blame blame = blame(Chances.withFalseAlarm(0.03), "A1", "B2", "C4", "B3!", "A3!");
        assertThat(of(blame, "3")).isCloseTo(0.959, offset(0.0015));
        assertThat(of(blame, "A")).isCloseTo(0.007, offset(0.0007));
        assertThat(of(blame, "B")).isCloseTo(0.007, offset(0.0007));
        assertThat(blame.noFault()).isCloseTo(0.034, offset(0.001));
        assertThat(blame.tellsMost()).get().extracting(t -> machine.train().name(t.route())).isEqualTo("C3");
        assertThat(blame.bestSets().get(0).elements()).extracting(Elements.Element::label).containsExactly("3");
        assertThat(blame.isClear()).isTrue();
    }

    @Test
    void aNoiseIsSoonerImaginedThanAGearThatWillNotEngage() {
        double imagined = blame(Chances.HOUSE, "A1", "B3!").noFault();
        Trial stuck = new Trial(route("B3"), Set.of(Symptom.WILL_NOT_ENGAGE));
        Blame real = Blame.of(elements, List.of(trial("A1"), stuck), List.of(), r -> 0, Chances.HOUSE);
        assertThat(imagined).isGreaterThan(0.4);
        assertThat(real.noFault()).isLessThan(0.2);
    }

    /** B and 3 were only ever used together: one group; a run with one and not the other parts them. */
    @Test
    void whatWasAlwaysUsedTogetherIsOneGroup() {
        Blame blame = blame(Chances.HOUSE, "A1", "B3!");
        Blame.Suspect first = blame.suspects().get(0);
        assertThat(first.group()).extracting(Elements.Element::label).containsExactly("B", "3");
        assertThat(first.parts()).get().extracting(machine.train()::name).isIn("A3", "B1");
        assertThat(of(blame, "B")).isCloseTo(of(blame, "3"), offset(1e-12));
    }

    @Test
    void nothingRunNothingBlamed() {
        Blame blame = blame(Chances.HOUSE);
        assertThat(blame.noFault()).isGreaterThan(0.75);
        assertThat(blame.isClear()).isFalse();
    }

    @Test
    void twoFaultsAreFoundAsASet() {
        Blame blame = blame(Chances.HOUSE, "A1", "C4", "B3!", "A3!", "C1", "C2!", "A2!", "B4", "C3!");
        assertThat(blame.bestSets().get(0).elements()).extracting(Elements.Element::label).containsExactly("2", "3");
    }

    @Test
    void checksComeCheapestFirstAndFreeOnesBeforeAll() {
        List<Check> table = List.of(check(StageKind.GEAR, "Draw the gear", "400"), check(StageKind.GEAR, "Look at the oil", "0"),
                check(null, "Empty drawbar rattling?", "0"), check(StageKind.BELT, "Tension the belt", "5"));
        assertThat(Check.cheapestFirst(table, Symptom.GROWLS, StageKind.GEAR)).extracting(Check::what)
                .containsExactly("Empty drawbar rattling?", "Look at the oil", "Draw the gear");
        assertThatThrownBy(() -> new Check(Symptom.HOT.name(), Optional.empty(), "x", BigDecimal.TEN, BigDecimal.ONE, BigDecimal.TEN))
                .isInstanceOf(Refused.class);
    }

    private static Check check(StageKind kind, String what, String cost) {
        BigDecimal c = new BigDecimal(cost);
        return new Check(Symptom.GROWLS.name(), Optional.ofNullable(kind), what, c, c, c);
    }
}
