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
import tallledger.core.drive.MotorRating.Law;
import tallledger.core.reading.Power;

class SpindlePowerTest {

    private static MotorRating rating(Law law) {
        return new MotorRating(Power.parse("4"), law, new BigDecimal("0.8"));
    }

    /** 9 550 · 3.2 / 250 = 122.24 N·m by gears; at half the plate frequency half the power is left: 61.12. */
    @Test
    void theSameSpeedByGearsAndByInverterIsNotTheSame() {
        DriveTrain geared = new DriveTrain(List.of(Machines.motor("1000"), new Stage("gear", StageKind.GEAR, Shifting.STOP_TO_SHIFT,
                List.of(gears("low", 20, 80)))), List.of());
        assertThat(SpindlePower.at(geared, rating(Law.CONSTANT_TORQUE), geared.routes().get(0), 250).orElseThrow().newtonMetres())
                .isCloseTo(122.24, offset(0.01));
        Stage inverter = Stage.sliding("inverter", StageKind.INVERTER, Optional.of(new Span(0.5, 1.6)));
        DriveTrain inverted = new DriveTrain(List.of(Machines.motor("500"), inverter), List.of());
        assertThat(SpindlePower.at(inverted, rating(Law.CONSTANT_TORQUE), inverted.routes().get(0), 250).orElseThrow().newtonMetres())
                .isCloseTo(61.12, offset(0.01));
        assertThat(SpindlePower.at(inverted, rating(Law.CONSTANT_TORQUE), inverted.routes().get(1), 800).orElseThrow().kilowatts())
                .isCloseTo(3.2, offset(1e-9));
    }

    /** Windings 700 and 1400: at the slow one P is half, all, or a quarter of the plate's, by its law. */
    @Test
    void windingsFollowTheirLaw() {
        Stage motor = new Stage("motor", StageKind.MOTOR, Shifting.SHIFTS_TURNING, List.of(
                new Position("I", new Transmission.MotorSpeed(new BigDecimal("700"))),
                new Position("II", new Transmission.MotorSpeed(new BigDecimal("1400")))));
        DriveTrain train = new DriveTrain(List.of(motor), List.of());
        Route slow = train.routes().get(0);
        assertThat(SpindlePower.at(train, rating(Law.CONSTANT_TORQUE), slow, 700).orElseThrow().kilowatts()).isCloseTo(1.6, offset(1e-9));
        assertThat(SpindlePower.at(train, rating(Law.CONSTANT_POWER), slow, 700).orElseThrow().kilowatts()).isCloseTo(3.2, offset(1e-9));
        assertThat(SpindlePower.at(train, rating(Law.VARIABLE_TORQUE), slow, 700).orElseThrow().kilowatts()).isCloseTo(0.8, offset(1e-9));
    }

    /** Low 40 to 300, high 350 to 2 200 by the plate alone: a gap from 300 to 350, nobody can set those. */
    @Test
    void gapsAndOverlapsBetweenSlidingRanges() {
        Stage variator = Stage.sliding("variator", StageKind.VARIATOR, Optional.empty());
        Ranges gap = Ranges.of(Machines.lathe("40 300 350 2200", lever("range", "L H"), variator).speeds());
        assertThat(gap.gaps()).containsExactly(new Span(300, 350));
        Ranges overlap = Ranges.of(Machines.lathe("40 300 250 2200", lever("range", "L H"), variator).speeds());
        assertThat(overlap.overlaps()).containsExactly(new Span(250, 300));
        assertThat(overlap.gaps()).isEmpty();
    }

    /** What is needed and missing is said; no number is made of it. */
    @Test
    void whatIsNotKnownGivesNoPower() {
        DriveTrain inverted = new DriveTrain(List.of(Machines.motor("1450"),
                Stage.sliding("inverter", StageKind.INVERTER, Optional.empty()), Machines.lever("belt", "1 2")), List.of());
        inverted.routes().forEach(r -> assertThat(SpindlePower.at(inverted, rating(Law.CONSTANT_TORQUE), r, 35)).isEmpty());
        assertThat(SpindlePower.unknown(inverted, rating(Law.CONSTANT_POWER), inverted.routes().get(0)).orElseThrow().code())
                .isEqualTo("power.inverter-unknown");
        Stage untyped = new Stage("motor", StageKind.MOTOR, Shifting.SHIFTS_TURNING,
                List.of(new Position("I", new Transmission.Unknown()), new Position("II", new Transmission.Unknown())));
        DriveTrain wound = new DriveTrain(List.of(untyped, Machines.lever("belt", "1 2")), List.of());
        for (Law law : new Law[] {Law.CONSTANT_TORQUE, Law.VARIABLE_TORQUE}) {
            wound.routes().forEach(r -> assertThat(SpindlePower.at(wound, rating(law), r, 700)).isEmpty());
            assertThat(SpindlePower.unknown(wound, rating(law), wound.routes().get(0)).orElseThrow().code())
                    .isEqualTo("power.windings-unknown");
        }
        assertThat(SpindlePower.at(wound, rating(Law.CONSTANT_POWER), wound.routes().get(0), 700)).isPresent();
        Stage half = new Stage("motor", StageKind.MOTOR, Shifting.SHIFTS_TURNING,
                List.of(new Position("I", new Transmission.MotorSpeed(new BigDecimal("700"))),
                        new Position("II", new Transmission.Unknown())));
        DriveTrain halfKnown = new DriveTrain(List.of(half, Machines.lever("belt", "1 2")), List.of());
        halfKnown.routes().forEach(r -> assertThat(SpindlePower.at(halfKnown, rating(Law.CONSTANT_TORQUE), r, 700)).isEmpty());
    }
}
