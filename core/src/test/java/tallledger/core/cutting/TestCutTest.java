package tallledger.core.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.Machines;
import tallledger.core.cutting.Job.Kind;
import tallledger.core.drive.MotorRating;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reading.Power;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/** Power and speed of a cut against figures worked by hand. */
class TestCutTest {

    private static final Optional<MotorRating> MOTOR = Optional.of(new MotorRating(Power.parse("1.9"), MotorRating.Law.CONSTANT_POWER,
            new BigDecimal("0.8")));
    private static final Job FORTY = new Job(Kind.DRILLING, 40, 20, 0.3, 0, 0, 2000);

    private static TestCut cut(Job job, String speeds) {
        MachineDescription machine = Machines.lathe(speeds, Machines.lever("gear", speeds.split(" ").length == 3 ? "1 2 3" : "1 2"));
        return TestCut.of(job, machine.speeds(), MOTOR);
    }

    /**
     * n = 1000·20/(π·40) = 159.2; 160 is within 2 %; there v_c = 20.1 and P = 0.3·20.1·40·2000/240000 = 2.01 kW; the spindle has 1.9·0.8 =
     * 1.52.
     */
    @Test
    void theWorkedDrillWantsMoreThanTheSpindleHas() {
        TestCut cut = cut(FORTY, "160 315 630");
        assertThat(FORTY.wanted()).isEqualTo(159.15, within(0.01));
        assertThat(cut.ways()).singleElement().satisfies(way -> {
            assertThat(way.rpm()).isEqualTo(160);
            assertThat(way.surface()).isEqualTo(20.11, within(0.01));
            assertThat(way.need().kilowatts()).isEqualTo(2.01, within(0.005));
            assertThat(way.has().orElseThrow().kilowatts()).isEqualTo(1.52, within(0.001));
            assertThat(way.need().newtonMetres()).isEqualTo(9550 * 2.0106 / 160, within(0.1));
        });
        assertThat(cut.suffices()).contains(false);
        assertThat(cut.says(LengthUnit.MM).code()).isEqualTo("cut.short");
        assertThat(cut.next()).singleElement().satisfies(way -> assertThat(way.rpm()).isEqualTo(315));
    }

    /** 2 % above is still taken, more is not; below everything there is none. */
    @ParameterizedTest
    @CsvSource({"162 315 630, 162", "163 315 630, 0", "100 155 163, 155", "20 40 80, 80"})
    void theFastestNotMoreThanTwoPerCentAbove(String speeds, double rpm) {
        assertThat(cut(FORTY, speeds).ways().stream().mapToDouble(TestCut.CutWay::rpm).findFirst().orElse(0)).isEqualTo(rpm);
    }

    /**
     * Ranges 40 to 300 and 350 to 2200: the speed itself; the top of one in the gap and beyond; 2 % above is still taken; nothing below.
     */
    @ParameterizedTest
    @CsvSource({"159, 159", "320, 300", "345, 350", "1000, 1000", "3000, 2200", "39.5, 40", "30, 0"})
    void aSlidingDriveGivesTheSpeedItselfOrTheTopOfARange(double wanted, double rpm) {
        MachineDescription machine = Machines.lathe("40 300 350 2200", Machines.lever("range", "L H"),
                Stage.sliding("variator", StageKind.VARIATOR, Optional.empty()));
        TestCut cut = TestCut.of(new Job(Kind.DRILLING, 10, wanted * Math.PI / 100, 0.1, 0, 0, 2000), machine.speeds(), MOTOR);
        assertThat(cut.ways().stream().mapToDouble(TestCut.CutWay::rpm).findFirst().orElse(0)).isEqualTo(rpm, within(1e-6));
        assertThat(cut.ways()).hasSizeLessThan(2);
    }

    @Test
    void noSpeedSlowEnoughOrNoPowerKnownIsSaid() {
        assertThat(cut(FORTY, "630 800 1000").says(LengthUnit.MM).code()).isEqualTo("cut.no-speed");
        MachineDescription machine = Machines.lathe("160 315", Machines.lever("gear", "1 2"));
        assertThat(TestCut.of(FORTY, machine.speeds(), Optional.empty()).says(LengthUnit.MM).code()).isEqualTo("cut.power-unknown");
        assertThat(TestCut.of(FORTY, machine.speeds(), Optional.empty()).suffices()).isEmpty();
    }

    /** Turning 2 · 0.2 · 100 · 2000/60000 = 1.33 kW; milling 2 · 50 · (0.4 · 200) · 2000/6e7 = 0.267 kW. */
    @Test
    void turningAndMilling() {
        Job turning = new Job(Kind.TURNING, 50, 100, 0.2, 2, 0, 2000);
        assertThat(turning.power(turning.wanted())).isEqualTo(1.333, within(0.001));
        Job milling = new Job(Kind.FACE_MILLING, 63, 40, 0.4, 2, 50, 2000);
        assertThat(milling.power(200)).isEqualTo(0.2667, within(0.0001));
    }

    @ParameterizedTest
    @CsvSource({"DRILLING, 0, 20, diameter", "DRILLING, 40, -1, speed", "TURNING, 40, 20, depth"})
    void nonsenseNamesItsField(Kind kind, double diameter, double speed, String field) {
        assertThatThrownBy(() -> new Job(kind, diameter, speed, 0.3, 0, 0, 2000))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains(field));
        assertThatThrownBy(() -> new Job(Kind.FACE_MILLING, 50, 20, 0.3, 2, 60, 2000))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("width"));
    }
}
