package tallledger.core.cutting;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.Machines;
import tallledger.core.cutting.Job.Kind;
import tallledger.core.cutting.Job.Material;
import tallledger.core.drive.MotorRating;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reading.Power;
import tallledger.core.unit.LengthUnit;

/** The cut that stands there to begin with, against powers worked by hand. */
class StartingCutTest {

    private static final MachineDescription MACHINE = Machines.lathe("100 315 630", Machines.lever("gear", "1 2 3"));

    private static StartingCut cut(Kind kind, String kilowatts, LengthUnit unit) {
        Optional<MotorRating> motor = Optional.of(kilowatts).filter(k -> !k.isEmpty())
                .map(k -> new MotorRating(Power.parse(k), MotorRating.Law.CONSTANT_POWER, new BigDecimal("0.8")));
        return StartingCut.of(kind, Material.STEEL, new BigDecimal(unit == LengthUnit.MM ? "0.15" : "0.0059"), MACHINE.speeds(), motor,
                unit);
    }

    /**
     * At 315: 20 mm wants 0.495 kW; 12 and 6 mm want 1000·20/(12·π) = 531 and 1 061, so they run at 315 and 630: 0.178 and 0.089 kW. The
     * spindle has 0.8 of the motor's.
     */
    @ParameterizedTest
    @CsvSource({"1.9, 20", "1.24, 20", "1.23, 12", "0.45, 12", "0.44, 6", "0.1, 6", "'', 12"})
    void theHeaviestDrillThatTakesHalfThePower(String kilowatts, String across) {
        StartingCut cut = cut(Kind.DRILLING, kilowatts, LengthUnit.MM);
        assertThat(cut.diameter()).isEqualByComparingTo(across);
        assertThat(cut.feed()).isEqualByComparingTo("0.15");
        assertThat(cut.depth()).isEmpty();
    }

    /** 40 mm wants 199, so 100 is its own speed, 12.6 m/min: 2 mm deep 0.126 kW, 1 mm 0.063, 0.5 mm 0.031. */
    @ParameterizedTest
    @CsvSource({"4, 2", "0.32, 2", "0.31, 1", "0.16, 1", "0.15, 0.5", "0.01, 0.5", "'', 1"})
    void theDeepestCutThatTakesHalfThePower(String kilowatts, String depth) {
        assertThat(cut(Kind.TURNING, kilowatts, LengthUnit.MM).depth().orElseThrow()).isEqualByComparingTo(depth);
    }

    @Test
    void anInchMachineIsOfferedRoundInches() {
        assertThat(cut(Kind.TURNING, "4", LengthUnit.INCH)).isEqualTo(new StartingCut(new BigDecimal("1.5"), new BigDecimal("0.006"),
                Optional.of(new BigDecimal("0.08")), Optional.empty()));
        StartingCut milled = cut(Kind.FACE_MILLING, "4", LengthUnit.INCH);
        assertThat(milled.width()).contains(new BigDecimal("2"));
        assertThat(milled.diameter()).isGreaterThan(milled.width().orElseThrow());
    }
}
