package tallledger.core.blame;

import static org.assertj.core.api.Assertions.assertThat;
import static tallledger.core.Machines.lever;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.blame.SpeedCause.Kind;
import tallledger.core.drive.Position;
import tallledger.core.drive.Route;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.drive.Transmission;
import tallledger.core.machine.MachineDescription;
import tallledger.core.rules.Rules;

class SpeedCausesTest {

    private final MachineDescription machine = Machines.twelve();

    private static List<SpeedCause> causes(MachineDescription machine, ToDoubleFunction<String> factor) {
        List<SpeedCauses.SpeedDeviation> readings = new ArrayList<>();
        for (Route route : machine.train().routes()) {
            double plate = machine.speeds().nominal(route).orElseThrow().doubleValue();
            readings.add(new SpeedCauses.SpeedDeviation(route, plate * factor.applyAsDouble(machine.train().name(route)), plate, false));
        }
        return SpeedCauses.of(machine.speeds(), readings, Rules.shipped());
    }

    @Test
    void nothingIsWrongWithGoodReadings() {
        assertThat(causes(machine, name -> 1.01)).isEmpty();
    }

    /** Every one of these lies within 2 % of its plate: no position is accused of anything. */
    @Test
    void readingsWithinTwoPerCentAccuseNoPosition() {
        MachineDescription machine = Machines.lathe("31.5 45 63 125 180 250 500 710 1000", Machines.lever("range", "A B C"),
                Machines.lever("gear", "1 2 3"));
        double[] read = {31.082, 44.214, 63.488, 125.598, 178.7, 251.534, 499.4, 699.27, 1014.056};
        List<SpeedCauses.SpeedDeviation> readings = new java.util.ArrayList<>();
        List<Route> routes = machine.train().routes();
        for (int i = 0; i < read.length; i++) {
            readings.add(new SpeedCauses.SpeedDeviation(routes.get(i), read[i], machine.speeds().nominal(routes.get(i)).orElseThrow()
                    .doubleValue(), false));
        }
        assertThat(SpeedCauses.of(machine.speeds(), readings, Rules.shipped())).isEmpty();
    }

    @Test
    void sixtyHertzOnAFiftyHertzPlate() {
        assertThat(causes(machine, name -> 1.205)).first().extracting(SpeedCause::kind).isEqualTo(Kind.SUPPLY);
        assertThat(causes(machine, name -> 0.833)).first().extracting(c -> c.because().code()).isEqualTo("cause.supply-low");
    }

    @Test
    void allALittleHighUnloadedIsNoFault() {
        assertThat(causes(machine, name -> 1.04)).singleElement().extracting(SpeedCause::kind).isEqualTo(Kind.UNLOADED);
    }

    @Test
    void anythingElseCommonLiesBeforeTheGears() {
        assertThat(causes(machine, name -> 0.7)).singleElement().extracting(SpeedCause::kind).isEqualTo(Kind.COMMON);
    }

    /** Grooves 80/160 and 120/120: factor 2 apart; everything at half its plate is the belt one groove down. */
    @Test
    void theBeltInAnotherGroove() {
        Stage belt = new Stage("belt", StageKind.BELT, Shifting.STOP_TO_SHIFT, List.of(
                new Position("L", new Transmission.Grooves(new BigDecimal("80"), new BigDecimal("160"))),
                new Position("H", new Transmission.Grooves(new BigDecimal("120"), new BigDecimal("120")))));
        MachineDescription belted = Machines.lathe("50 100 200 100 200 400", belt, lever("gear", "1 2 3"));
        assertThat(causes(belted, name -> 0.5)).first().satisfies(cause -> {
            assertThat(cause.kind()).isEqualTo(Kind.BELT_GROOVE);
            assertThat(cause.because().arguments()).startsWith("belt", "L", "H");
        });
    }

    @Test
    void onePositionIsNotWhatThePlateSays() {
        assertThat(causes(machine, name -> name.startsWith("B") ? 1.08 : 1.0)).anySatisfy(cause -> {
            assertThat(cause.kind()).isEqualTo(Kind.POSITION);
            assertThat(cause.because().arguments()).startsWith("range", "B");
            assertThat(cause.routes()).hasSize(4);
        });
    }

    /** The misread plate: everything 2.2 % high, and B3 at the 250 its gears give, against a plate of 280. */
    @Test
    void aMisreadPlateIsNamedThoughEverythingRunsHigh() {
        MachineDescription misread = Machines.lathe(Machines.TWELVE_MISREAD, lever("range", "A B C"), lever("gear", "1 2 3 4"));
        List<SpeedCause> found = causes(misread, name -> name.equals("B3") ? 250.0 / 280 * 1.022 : 1.022);
        assertThat(found).anySatisfy(cause -> {
            assertThat(cause.kind()).isEqualTo(Kind.PLATE);
            assertThat(cause.because().arguments().get(0)).isEqualTo("B3");
        }).anyMatch(cause -> cause.kind() == Kind.UNLOADED);
    }

    @Test
    void oneReadingAtAnotherSpeedIsAnotherLeverPosition() {
        assertThat(causes(machine, name -> name.equals("B2") ? 125.0 / 180 : 1)).anySatisfy(cause -> {
            assertThat(cause.kind()).isEqualTo(Kind.OTHER_POSITION);
            assertThat(cause.because().arguments()).startsWith("B2", "B1");
        });
    }

    /** Twice the plate is marks miscounted; it is A4's speed too, so both are offered. */
    @Test
    void whereTwoExplanationsFitBothAreOffered() {
        assertThat(causes(machine, name -> name.equals("A2") ? 2 : 1)).extracting(SpeedCause::kind)
                .contains(Kind.MULTIPLE, Kind.OTHER_POSITION);
    }

    /** 125 plate: 123 unloaded, 117 under load, a fall of 4.9 %. */
    @Test
    void lowAndFallingUnderLoadIsSlip() {
        Route b1 = machine.train().routes().stream().filter(r -> machine.train().name(r).equals("B1")).findFirst().orElseThrow();
        List<SpeedCause> found = SpeedCauses.of(machine.speeds(), List.of(new SpeedCauses.SpeedDeviation(b1, 123, 125, false),
                new SpeedCauses.SpeedDeviation(b1, 117, 125, true)), Rules.shipped());
        assertThat(found).singleElement().extracting(SpeedCause::kind).isEqualTo(Kind.SLIP);
    }
}
