package tallledger.core.drive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;
import static tallledger.core.Machines.gears;
import static tallledger.core.Machines.lever;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.drive.Speed.Kind;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reading.Power;

class SpeedTableTest {

    /** The plate's value wins over the drive's: it is what the seller promises. */
    @Test
    void thePlateNamesTheSpeedAndTheDriveFillsIn() {
        Stage gear = new Stage("gear", StageKind.GEAR, Shifting.STOP_TO_SHIFT, List.of(gears("1", 20, 80), gears("2", 40, 40)));
        SpeedTable table = Machines.lathe("350 ?", gear).speeds();
        assertThat(table.counted()).extracting(s -> s.nominal().orElseThrow().doubleValue()).containsExactly(350.0, 1440.0);
    }

    /** B3 cannot be read: its place in the order comes from the other eleven cells, 251. */
    @Test
    void anUnreadableSpeedIsPlacedByTheOtherCells() {
        SpeedTable table = Machines.lathe(Machines.TWELVE.replace("250", "?"), lever("range", "A B C"), lever("gear", "1 2 3 4")).speeds();
        Speed seventh = table.speeds().get(6);
        assertThat(seventh.kind()).isEqualTo(Kind.UNREADABLE);
        assertThat(seventh.nominal()).isEmpty();
        assertThat(seventh.expected().orElseThrow()).isCloseTo(251.3, offset(0.1));
    }

    @Test
    void aCombinationThePlateCrossesOutGivesNoSpeed() {
        SpeedTable table = Machines.lathe("100 x 200 400", lever("a", "1 2"), lever("b", "1 2")).speeds();
        assertThat(table.counted()).hasSize(3);
        assertThat(table.speedOf(table.train().routes().get(1))).isEmpty();
    }

    @Test
    void aSweepStandsAfterItsHighEndAndIsNotCounted() {
        Stage variator = Stage.sliding("variator", StageKind.VARIATOR, Optional.empty());
        SpeedTable table = Machines.lathe("40 300 250 2200", lever("range", "L H"), variator).speeds();
        assertThat(table.counted()).hasSize(4);
        assertThat(table.speeds()).extracting(Speed::isSweep).containsExactly(false, false, false, true, false, true);
        assertThat(table.train().name(table.speeds().get(3).routes().get(0))).isEqualTo("L·sweep");
    }

    @Test
    void aRouteIsFoundByItsSettingsAndItsKey() {
        MachineDescription machine = Machines.lathe("100 200", lever("gear", "1 2"), Stage.direction(Shifting.STOP_TO_SHIFT));
        Route reverse = machine.train().routeOf(List.of("2", "reverse")).orElseThrow();
        assertThat(machine.train().routeByKey(reverse.key())).contains(reverse);
        assertThat(machine.train().settings(reverse)).containsExactly("2", "reverse");
        assertThat(machine.train().plateKey(reverse)).containsExactly("2");
        assertThat(machine.train().routeOf(List.of("3", "forward"))).isEmpty();
    }

    /**
     * Inverter 0.5 to 1.6 on 1 400, back gear 1/4 or 1: ranges 175 to 560 and 700 to 2 240 leave a gap; with 1/2 instead, 350 to 1 120
     * overlaps 700 to 2 240. In the middle, √(700 · 1 120) = 885.4, the geared way runs at 1.265 times, the direct at 0.6325 of plate
     * frequency.
     */
    @Test
    void theSameSpeedByGearsIsStrongerThanByTheInverter() {
        Stage inverter = Stage.sliding("inverter", StageKind.INVERTER, Optional.of(new Span(0.5, 1.6)));
        Stage back = new Stage("back", StageKind.BACK_GEAR, Shifting.STOP_TO_SHIFT, List.of(gears("in", 30, 60), gears("out", 40, 40)));
        MotorRating motor = new MotorRating(Power.parse("2"), MotorRating.Law.CONSTANT_TORQUE, BigDecimal.ONE);
        DriveTrain train = new DriveTrain(List.of(Machines.motor("1400"), inverter, back), List.of());
        SpeedTable table = SpeedTable.of(train, Machines.plate(MachineDescription.leversOf(train), "? ? ? ?"));
        List<SameSpeed> same = SameSpeed.of(table, motor);
        assertThat(same).hasSize(1);
        assertThat(same.get(0).rpm()).isCloseTo(885.4, offset(0.1));
        assertThat(same.get(0).ways()).extracting(w -> train.name(w.sweep())).containsExactly("sweep·in", "sweep·out");
        assertThat(same.get(0).ways().get(0).power().kilowatts()).isCloseTo(2, offset(1e-9));
        assertThat(same.get(0).ways().get(1).power().kilowatts()).isCloseTo(2 * 0.6325, offset(1e-3));
    }

    @Test
    void aLeverNameIsBriefOnlyWhereEveryLabelIs() {
        MachineDescription brief = Machines.lathe("1 2 3 4", lever("a", "A B"), lever("b", "1 2"));
        assertThat(brief.train().name(brief.train().routes().get(3))).isEqualTo("B2");
        MachineDescription words = Machines.lathe("1 2 3 4", lever("a", "A B"), lever("b", "low high"));
        assertThat(words.train().name(words.train().routes().get(3))).isEqualTo("B·high");
    }
}
