package tallledger.core.drive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static tallledger.core.Machines.gears;
import static tallledger.core.Machines.lever;
import static tallledger.core.Machines.motor;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.coverage.HouseTimes;
import tallledger.core.family.Family;
import tallledger.core.ledger.Payload;
import tallledger.core.machine.Identity;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;

class DriveTrainTest {

    private static final Stage BELT = new Stage("belt", StageKind.BELT, Shifting.STOP_TO_SHIFT,
            List.of(new Position("on", new Transmission.Grooves(new BigDecimal("125"), new BigDecimal("250")))));
    private static final Stage FIRST = new Stage("first", StageKind.GEAR, Shifting.STOP_TO_SHIFT,
            List.of(gears("a", 24, 48), gears("b", 36, 36)));
    private static final Stage BACK = new Stage("back", StageKind.BACK_GEAR, Shifting.STOP_TO_SHIFT,
            List.of(gears("in", 20, 80), gears("out", 50, 50)));

    @Test
    void theWorkedTrainGivesItsFourSpeeds() {
        DriveTrain train = new DriveTrain(List.of(motor("1440"), BELT, FIRST, BACK), List.of());
        assertThat(train.routes().stream().map(r -> train.speed(r).orElseThrow().low()).sorted().map(Math::round))
                .containsExactly(90L, 180L, 360L, 720L);
    }

    @Test
    void oneUnknownRatioLeavesTheSpeedToThePlate() {
        DriveTrain train = new DriveTrain(List.of(motor("1440"), lever("gear", "1 2")), List.of());
        assertThat(train.routes()).hasSize(2).allSatisfy(route -> assertThat(train.speed(route)).isEmpty());
    }

    @Test
    void aNeutralGivesNoSpeed() {
        Stage stage = new Stage("range", StageKind.GEAR, Shifting.STOP_TO_SHIFT,
                List.of(gears("low", 20, 80), new Position("N", new Transmission.Neutral()), gears("high", 50, 50)));
        assertThat(new DriveTrain(List.of(motor("1440"), stage), List.of()).routes()).hasSize(2);
    }

    @Test
    void anInterlockTakesItsCombinationsAway() {
        Exclusion interlock = new Exclusion(Map.of("first", "b", "back", "out"));
        DriveTrain train = new DriveTrain(List.of(motor("1440"), BELT, FIRST, BACK), List.of(interlock));
        assertThat(train.routes().stream().map(train::name)).containsExactly("a·in", "a·out", "b·in");
    }

    private static Position of(String lever, String label) {
        return new Position(label, new Transmission.Unknown(), Optional.of(lever));
    }

    /** Two levers of two, one engaged at a time: four speeds instead of nine with five of them crossed out; crossing over moves both. */
    @Test
    void leversEngagedOneAtATimeAreOneStage() {
        Stage box = new Stage("box", StageKind.GEAR, Shifting.STOP_TO_SHIFT,
                List.of(of("left", "1"), of("left", "2"), of("right", "3"), of("right", "4")), LeverPattern.ONE_AT_A_TIME);
        DriveTrain train = new DriveTrain(List.of(motor("1440"), box), List.of());
        assertThat(train.routes()).hasSize(4);
        assertThat(box.levers()).containsExactly("left", "right");
        HouseTimes times = HouseTimes.of(Rules.shipped());
        List<Route> routes = train.routes();
        assertThat(times.move(train, routes.get(0), routes.get(1))).as("one lever, and stop and start").isEqualTo(15);
        assertThat(times.move(train, routes.get(1), routes.get(2))).as("one home to neutral, the other in").isEqualTo(20);
        MachineDescription plain = new MachineDescription(new Identity("Box", "", "", Family.HORIZONTAL_MILL, "", "", "", "",
                LengthUnit.MM), List.of(), train, Machines.plate(MachineDescription.leversOf(train), "100 200 400 800"));
        assertThat(MachineDescription.from(new Payload(plain.toPayload()))).isEqualTo(plain);
        assertThat(RayChart.of(plain.speeds()).orElseThrow().rays()).hasSize(4);
        assertRefused(() -> new Stage("box", StageKind.GEAR, Shifting.UNKNOWN, List.of(of("left", "1"), of("left", "2")),
                LeverPattern.ONE_AT_A_TIME), "stage.levers");
        assertRefused(() -> new Stage("box", StageKind.GEAR, Shifting.UNKNOWN, List.of(of("left", "1"), of("right", "2"))), "stage.levers");
        assertRefused(() -> new Position("1", new Transmission.Unknown(), Optional.of(" ")), "stage.name");
    }

    @Test
    void interlocksThatLeaveNothingAreRefused() {
        List<Exclusion> all = List.of(new Exclusion(Map.of("first", "a", "motor", "on")),
                new Exclusion(Map.of("first", "b", "motor", "on")));
        assertRefused(() -> new DriveTrain(List.of(motor("1440"), FIRST), all), "train.no-speed");
    }

    @Test
    void aSlidingStageRunsItsEndsAndItsSweep() {
        Stage variator = Stage.sliding("variator", StageKind.VARIATOR, Optional.of(new Span(0.25, 1)));
        DriveTrain train = new DriveTrain(List.of(motor("1440"), variator), List.of());
        assertThat(train.routes().stream().map(r -> train.speed(r).orElseThrow()))
                .containsExactly(Span.fixed(360), Span.fixed(1440), new Span(360, 1440));
        assertThat(train.routes().stream().map(train::isSweep)).containsExactly(false, false, true);
    }

    @Test
    void directionMultipliesRoutesNeverSpeeds() {
        MachineDescription machine = Machines.lathe("100 200", lever("gear", "1 2"), Stage.direction(Shifting.STOP_TO_SHIFT));
        assertThat(machine.train().routes()).hasSize(4);
        SpeedTable table = machine.speeds();
        assertThat(table.counted()).hasSize(2);
        assertThat(table.counted().get(0).routes().stream().map(machine.train()::name)).containsExactly("1", "1 reverse");
    }

    /** 0.5 % of the group's lowest: 100 and 100.5 are one speed, 100.6 is another, though it is within 0.5 % of 100.5. */
    @Test
    void nearlyEqualSpeedsAreOneSpeedWithTwoRoutes() {
        SpeedTable table = Machines.lathe("100 100.5 100.6", lever("gear", "1 2 3")).speeds();
        assertThat(table.counted().stream().map(s -> s.routes().size())).containsExactly(2, 1);
    }

    /** 1 440 by 40/57 and by 48/68 are 1 010.5 and 1 016.5 min⁻¹, 0.59 % apart: two speeds, though both round to within 0.5 %. */
    @Test
    void speedsAreGroupedAsTheDriveGivesThem() {
        Stage gear = new Stage("gear", StageKind.GEAR, Shifting.STOP_TO_SHIFT, List.of(gears("1", 40, 57), gears("2", 48, 68)));
        assertThat(Machines.lathe("? ?", gear).speeds().counted()).hasSize(2);
    }

    @Test
    void refusesTeethThatAreNoTeeth() {
        assertRefused(() -> new GearPair(0, 40), "teeth.outside");
        assertRefused(() -> new GearPair(24, -3), "teeth.outside");
        assertRefused(() -> new Transmission.Ratio(new BigDecimal("1e9")), "ratio.outside");
        assertRefused(() -> new Transmission.Ratio(BigDecimal.ZERO), "ratio.outside");
        assertRefused(() -> new Span(2, 1), "span.crossed");
        assertRefused(() -> new Span(Double.NaN, 1), "span.crossed");
    }

    @Test
    void refusesLeversNoMachineHas() {
        String many = IntStream.range(0, 65).mapToObj(i -> "p" + i).collect(Collectors.joining(" "));
        assertRefused(() -> lever("range", many), "stage.too-many");
        String sixteen = IntStream.range(0, 16).mapToObj(i -> "p" + i).collect(Collectors.joining(" "));
        assertRefused(() -> new DriveTrain(List.of(motor("1440"), lever("a", sixteen), lever("b", sixteen)), List.of()), "train.too-many");
        assertRefused(() -> new DriveTrain(List.of(motor("1440"), lever("a", "1 2"), lever("a", "1 2")), List.of()), "train.repeated");
        assertRefused(() -> lever("range", "A A"), "stage.repeated");
    }

    static void assertRefused(org.assertj.core.api.ThrowableAssert.ThrowingCallable call, String code) {
        assertThatThrownBy(call).isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo(code));
    }
}
