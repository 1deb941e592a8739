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

    /**
     * An inverter 25 to 75 Hz on a 50 Hz motor whose plate speeds, 315 560 1 000, stand at 50 Hz: between gears 2 and 3, √(560 · 1 000)
     * = 748, said as 750: gear 2 at 750/560 = 133.9 %, 0.9 kW; gear 3 at 75 %, 0.675 kW; torques as 4 to 3. Its ends are half and one
     * and a half times what its own place says.
     */
    @Test
    void speedsOfAPlateStandAtTheInvertersOwnPlace() {
        Stage inverter = Stage.sliding("inverter", StageKind.INVERTER, Optional.of(new Span(0.5, 1.5)), Optional.of("50Hz"));
        assertThat(inverter.positions()).extracting(Position::label).containsExactly("low end", "50Hz", "high end", "sweep");
        assertThat(inverter.ownPlace()).contains("50Hz");
        assertThat(Stage.sliding("variator", StageKind.VARIATOR, Optional.empty()).ownPlace()).isEmpty();
        assertThat(lever("gear", "1 2").ownPlace()).isEmpty();
        DriveTrain train = new DriveTrain(List.of(Machines.motor("1400"), inverter, lever("gear", "1 2 3")), List.of());
        SpeedTable table = SpeedTable.of(train, Machines.plate(MachineDescription.leversOf(train), "? ? ? 315 560 1000 ? ? ?"));
        assertThat(table.nominal(train.routeOf(List.of("low end", "2")).orElseThrow()).orElseThrow()).isEqualByComparingTo("280");
        assertThat(table.nominal(train.routeOf(List.of("high end", "3")).orElseThrow()).orElseThrow()).isEqualByComparingTo("1500");
        assertThat(table.source(train.routeOf(List.of("50Hz", "2")).orElseThrow())).isEqualTo(SpeedTable.Source.SHOWN);
        List<SameSpeed> same = SameSpeed.of(table, MotorRating.atTheMotor(Power.parse("0.9 kW")));
        assertThat(same).extracting(SameSpeed::rpm).containsExactly(420.0, 750.0);
        SameSpeed between = same.get(1);
        assertThat(between.ways().get(0).share()).isCloseTo(750 / 560.0, offset(1e-9));
        assertThat(between.ways().get(0).power().kilowatts()).isCloseTo(0.9, offset(1e-9));
        assertThat(between.ways().get(1).share()).isCloseTo(0.75, offset(1e-9));
        assertThat(between.ways().get(1).power().kilowatts()).isCloseTo(0.675, offset(1e-9));
        assertThat(between.says(train).arguments().stream().map(String::valueOf).toList()).startsWith("750", "gear 2", "134")
                .contains("gear 3", "75", "1.33");
    }

    /** Range A 3.5 times slower, an inverter of 25 to 75 Hz, one cell read, B at 50 Hz: 315. All else follows: A at the low end is 45. */
    @Test
    void whatStandsOtherwiseByKnownRatiosIsReckonedFromOneCell() {
        Stage inverter = Stage.sliding("inverter", StageKind.INVERTER, Optional.of(new Span(0.5, 1.5)), Optional.of("50Hz"));
        Stage range = new Stage("range", StageKind.BACK_GEAR, Shifting.STOP_TO_SHIFT, List.of(gears("A", 20, 70), gears("B", 40, 40)));
        DriveTrain train = new DriveTrain(List.of(Machines.motor("1400"), inverter, range, lever("gear", "1 2")), List.of());
        SpeedTable table = SpeedTable.of(train, Machines.plate(MachineDescription.leversOf(train), "? ? ? ? ? ? 315 ? ? ? ? ?"));
        for (var expected : List.of(List.of("low end A 1", 45.0), List.of("50Hz A 1", 90.0), List.of("high end A 1", 135.0),
                List.of("low end B 1", 157.5), List.of("high end B 1", 472.5))) {
            List<String> at = List.of(((String) expected.get(0)).split(" (?=[AB1])"));
            assertThat(table.nominal(train.routeOf(at).orElseThrow()).orElseThrow().doubleValue()).as(at.toString())
                    .isEqualTo((double) expected.get(1));
        }
        assertThat(table.nominal(train.routeOf(List.of("50Hz", "B", "2")).orElseThrow())).as("nobody knows gear 2").isEmpty();
    }

    @Test
    void aLeverNameIsBriefOnlyWhereEveryLabelIs() {
        MachineDescription brief = Machines.lathe("1 2 3 4", lever("a", "A B"), lever("b", "1 2"));
        assertThat(brief.train().name(brief.train().routes().get(3))).isEqualTo("B2");
        MachineDescription words = Machines.lathe("1 2 3 4", lever("a", "A B"), lever("b", "low high"));
        assertThat(words.train().name(words.train().routes().get(3))).isEqualTo("B·high");
    }
}
