package tallledger.core.machine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static tallledger.core.Machines.lever;

import java.math.BigDecimal;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tallledger.core.Machines;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Exclusion;
import tallledger.core.drive.MotorRating;
import tallledger.core.drive.Span;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.family.Family;
import tallledger.core.family.StartingDescription;
import tallledger.core.ledger.Payload;
import tallledger.core.machine.Claim.Attribute;
import tallledger.core.machine.Claim.Source;
import tallledger.core.motion.Axis;
import tallledger.core.motion.AxisId;
import tallledger.core.motion.FeedPlate;
import tallledger.core.plate.PlateCell;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reading.Power;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

class DescriptionTest {

    static List<StartingDescription> starts() {
        return StartingDescription.all();
    }

    @ParameterizedTest
    @MethodSource("starts")
    void everyStartingDescriptionIsADrive(StartingDescription start) {
        DriveTrain train = new DriveTrain(start.stages(), List.of());
        assertThat(train.routes()).isNotEmpty();
        assertThat(MachineDescription.leversOf(train)).isNotEmpty();
        assertThat(StartingDescription.named(start.code())).contains(start);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"SPEED_COUNT|twelve|number.not-one", "SPEED_COUNT|12.5|claim.count",
            "SLOWEST_SPEED|0|number.not-positive",
            "SWING|wide|length.not-one", "TRAVEL|5 leagues|length.unknown-unit"})
    void aClaimedValueMustBeReadable(Attribute attribute, String value, String code) {
        assertThatThrownBy(() -> Claim.checked(attribute, value, Source.SELLER, "", AxisId.read(""), LengthUnit.MM))
                .isInstanceOfSatisfying(Refused.class, refused -> assertThat(refused.reason().code()).isEqualTo(code));
    }

    @Test
    void aClaimKeepsItsWordsAndItsUnit() {
        Claim claim = Claim.checked(Attribute.SWING, " 16-1/8\" ", Source.ADVERTISEMENT, "sixteen inch swing", AxisId.read(""),
                LengthUnit.INCH);
        assertThat(claim.value()).isEqualTo("16-1/8\"");
        assertThat(claim.wording()).isEqualTo("sixteen inch swing");
        assertThat(claim.millimetres(LengthUnit.INCH)).get().satisfies(mm -> assertThat(mm).isEqualByComparingTo("409.6"));
        assertThatThrownBy(() -> new Claim(Attribute.OTHER, "  ", Source.SELLER, "")).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> new Claim(Attribute.OTHER, "x", Source.SELLER, "w".repeat(401))).isInstanceOf(Refused.class);
    }

    /** Everything a description can hold goes into an entry and comes back the same. */
    @Test
    void aWholeDescriptionSurvivesItsPayload() {
        Stage inverter = Stage.sliding("inverter", StageKind.INVERTER, Optional.of(new Span(0.4, 1.6)));
        DriveTrain train = new DriveTrain(List.of(Machines.motor("1400"), inverter, lever("left", "in out"), lever("right", "low high"),
                Stage.direction(tallledger.core.drive.Shifting.STOP_TO_SHIFT)),
                List.of(new Exclusion(Map.of("left", "out", "right", "high"))));
        SpeedPlate plate = Machines.plate(MachineDescription.leversOf(train), "40 80 60 x 160 320 240 x")
                .with(List.of("low end", "in", "low"), PlateCell.parse("41=40"));
        MachineDescription machine = new MachineDescription(new Identity("All of it", "Eskholt", "X", Family.KNEE_MILL, "7", "1980", "shed",
                "owner",
                LengthUnit.INCH), List.of(new Claim(Attribute.TRAVEL, "26", Source.MANUAL, "both ways", AxisId.read("table"))), train,
                new SpeedPlate(plate.levers(), plate.cells(), Optional.of(new BigDecimal("0.05"))),
                Optional.of(new MotorRating(Power.parse("2.2"), MotorRating.Law.CONSTANT_TORQUE, new BigDecimal("0.85"))),
                Optional.of(new FeedPlate(Machines.plate(List.of(Machines.plateLever("knob", "1 2")), "0.1 ?"), LengthUnit.INCH,
                        Axis.Per.MIN)),
                Family.KNEE_MILL.traits().usual());
        assertThat(MachineDescription.from(new Payload(machine.toPayload()))).isEqualTo(machine);
    }

    @Test
    void aCorrectedCellMeansOneThingAndShowsAnother() {
        PlateCell cell = PlateCell.parse("280=250");
        assertThat(cell.value()).contains(new BigDecimal("250"));
        assertThat(cell.typed()).isEqualTo("280=250");
        assertThatThrownBy(() -> PlateCell.parse("280=")).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> PlateCell.parse("70000")).isInstanceOf(Refused.class);
    }

    @Test
    void aPlateMustHaveEveryCellAndNoOther() {
        var levers = List.of(Machines.plateLever("gear", "1 2"));
        assertThatThrownBy(() -> new SpeedPlate(levers, Map.of(List.of("1"), PlateCell.parse("100")), Optional.empty()))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo("plate.missing-at"));
        assertThatThrownBy(() -> new SpeedPlate(levers, Map.of(List.of("1"), PlateCell.parse("100"), List.of("2"), PlateCell.parse("200"),
                List.of("3"), PlateCell.parse("300")), Optional.empty()))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo("plate.stray"));
        assertThatThrownBy(() -> new SpeedPlate(levers, Machines.plate(levers, "1 2").cells(), Optional.of(new BigDecimal("0.9"))))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo("plate.tolerance"));
    }

    @Test
    void aPlateOfOtherLeversIsRefused() {
        MachineDescription twelve = Machines.twelve();
        SpeedPlate other = Machines.plate(List.of(Machines.plateLever("gear", "1 2")), "100 200");
        assertThatThrownBy(() -> new MachineDescription(twelve.identity(), List.of(), twelve.train(), other)).isInstanceOf(Refused.class);
        List<Claim> many = Collections.nCopies(91, new Claim(Attribute.OTHER, "x", Source.SELLER, ""));
        assertThatThrownBy(() -> new MachineDescription(twelve.identity(), many, twelve.train(), twelve.plate()))
                .isInstanceOf(Refused.class);
    }

    @Test
    void motorRatingsOutOfReasonAreRefused() {
        assertThatThrownBy(() -> new MotorRating(Power.ofKilowatts(BigDecimal.ZERO), MotorRating.Law.CONSTANT_POWER, BigDecimal.ONE))
                .isInstanceOf(Refused.class);
        assertThatThrownBy(() -> new MotorRating(Power.ofKilowatts(BigDecimal.ONE), MotorRating.Law.CONSTANT_POWER, new BigDecimal("1.2")))
                .isInstanceOf(Refused.class);
    }
}
