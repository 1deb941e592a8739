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
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.Machines;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.EverySpeed;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.drive.StageKind;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

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

    private Blame blame(Rules rules, String... runs) {
        List<Trial> trials = List.of(runs).stream().map(this::trial).toList();
        List<Route> allowed = new ArrayList<>(EverySpeed.routes(machine.speeds()));
        return Blame.of(elements, trials, allowed, r -> 0, rules);
    }

    /** The same false chance for every symptom, as the worked case has it. */
    private static final Rules EVEN = Rules.shipped().with(Rule.IMAGINED_NOISE, List.of(new BigDecimal("0.03")));

    private static double of(Blame blame, String label) {
        return blame.suspects().stream().filter(s -> s.element().label().equals(label)).findFirst().orElseThrow().probability();
    }

    /** The worked case. Odds of gear 3 to no fault: 0.03/0.97 · 0.903² to 0.03², that is 0.02522 to 0.0009. */
    @Test
    void theWorkedBoxBlamesGearThree() {
        Blame blame = blame(EVEN, "A1", "B2", "C4", "B3!", "A3!");
        assertThat(of(blame, "3")).isCloseTo(0.959, offset(0.0015));
        assertThat(of(blame, "A")).isCloseTo(0.007, offset(0.0007));
        assertThat(of(blame, "B")).isCloseTo(0.007, offset(0.0007));
        assertThat(blame.noFault()).isCloseTo(0.034, offset(0.001));
        assertThat(blame.tellsMost()).get().extracting(t -> machine.train().name(t.route())).isEqualTo("C3");
        assertThat(blame.bestSets().get(0).elements()).extracting(Elements.Element::label).containsExactly("3");
        assertThat(blame.isClear()).isTrue();
    }

    /** The levers alone, as the worked figures have it: a motor on every route is an eighth element. */
    private static final DriveTrain LEVERS = new DriveTrain(List.of(Machines.lever("range", "A B C"), Machines.lever("gear", "1 2 3 4")),
            List.of());

    private static double noFault(Set<Symptom> heard, String... runs) {
        Route b3 = LEVERS.routes().stream().filter(r -> LEVERS.name(r).equals("B3")).findFirst().orElseThrow();
        List<Trial> trials = List.of(runs).stream().map(run -> new Trial(b3, run.endsWith("!") ? heard : Set.of())).toList();
        return Blame.of(Elements.of(LEVERS), trials, List.of(), r -> 0, Rules.shipped()).noFault();
    }

    /** Repeats of a route are evidence of their own, though not independent: B3 alone with f = 0.10, worked out by the rule. */
    @ParameterizedTest
    @CsvSource({"B3!, 0.548", "B3! B3!, 0.434", "B3! B3 B3!, 0.305", "B3! B3 B3, 0.850", "B3! B3! B3!, 0.434"})
    void repeatsOfARouteCount(String runs, double noFault) {
        assertThat(noFault(Set.of(Symptom.GROWLS), runs.split(" "))).isCloseTo(noFault, offset(0.0006));
    }

    /** Of two symptoms on a route the one more easily imagined decides. */
    @Test
    void theGreatestFalseChanceOfWhatWasHeardOnARouteCounts() {
        assertThat(noFault(Set.of(Symptom.GROWLS, Symptom.WILL_NOT_ENGAGE), "B3!")).isCloseTo(0.548, offset(0.0006));
    }

    /** The hunt ends at nine in ten, at no fault above 0.99, or after sixteen runs. */
    @Test
    void theHuntHasAnEnd() {
        assertThat(blame(Rules.shipped(), "A1", "B3!").hunt()).isEqualTo(Blame.Hunt.GOES_ON);
        assertThat(blame(EVEN, "A1", "B2", "C4", "B3!", "A3!").hunt()).isEqualTo(Blame.Hunt.CLEAR);
        assertThat(blame(Rules.shipped(), "B3!", "B3", "B3", "B3", "A1", "A2", "A4", "C1", "C3").hunt()).isEqualTo(Blame.Hunt.NO_FAULT);
        String[] undecided = "B3! B3! A3 A3 B1 B1 B2 B2 A2 A2 A1 A1 C1 C1 C2".split(" ");
        assertThat(blame(Rules.shipped(), undecided).suspects().get(0).probability()).isLessThan(0.9);
        String[] longer = java.util.Arrays.copyOf(undecided, 16);
        longer[15] = "C2";
        assertThat(blame(Rules.shipped(), undecided).hunt()).isEqualTo(Blame.Hunt.GOES_ON);
        assertThat(blame(Rules.shipped(), longer).hunt()).isEqualTo(Blame.Hunt.LIKELIEST_NOT_PROVEN);
    }

    /** A route run before is offered where it tells at least a quarter more than any that was not. */
    @Test
    void aRepeatIsOfferedWhereItTellsMore() {
        Blame early = blame(Rules.shipped(), "A1", "B3!");
        assertThat(early.tellsMost()).get().extracting(Blame.Telling::isRepeat).isEqualTo(false);
        List<Trial> one = List.of(trial("B3!"));
        Blame nothingElse = Blame.of(elements, one, List.of(route("B3")), r -> 0, Rules.shipped());
        assertThat(nothingElse.tellsMost()).get().satisfies(t -> {
            assertThat(t.isRepeat()).isTrue();
            assertThat(t.gain()).isPositive();
        });
    }

    @Test
    void aNoiseIsSoonerImaginedThanAGearThatWillNotEngage() {
        double imagined = blame(Rules.shipped(), "A1", "B3!").noFault();
        Trial stuck = new Trial(route("B3"), Set.of(Symptom.WILL_NOT_ENGAGE));
        Blame real = Blame.of(elements, List.of(trial("A1"), stuck), List.of(), r -> 0, Rules.shipped());
        assertThat(imagined).isGreaterThan(0.4);
        assertThat(real.noFault()).isLessThan(0.2);
    }

    /** B and 3 were only ever used together: one group; a run with one and not the other parts them. */
    @Test
    void whatWasAlwaysUsedTogetherIsOneGroup() {
        Blame blame = blame(Rules.shipped(), "A1", "B3!");
        Blame.Suspect first = blame.suspects().get(0);
        assertThat(first.group()).extracting(Elements.Element::label).containsExactly("B", "3");
        assertThat(first.parts()).get().extracting(machine.train()::name).isIn("A3", "B1");
        assertThat(of(blame, "B")).isCloseTo(of(blame, "3"), offset(1e-12));
    }

    @Test
    void nothingRunNothingBlamed() {
        Blame blame = blame(Rules.shipped());
        assertThat(blame.noFault()).isGreaterThan(0.75);
        assertThat(blame.isClear()).isFalse();
    }

    @Test
    void twoFaultsAreFoundAsASet() {
        Blame blame = blame(Rules.shipped(), "A1", "C4", "B3!", "A3!", "C1", "C2!", "A2!", "B4", "C3!");
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
