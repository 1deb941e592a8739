package tallledger.core.machine;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import tallledger.core.drive.LeverPattern;
import tallledger.core.drive.Position;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.drive.Transmission;

/**
 * A drive to start from, so that a common machine is described in two minutes: the labels are then changed to the machine's own.
 *
 * @param code   key of its words
 * @param family which family it is common in
 * @param stages motor first
 */
public record StartingDescription(String code, Family family, List<Stage> stages) {

    public StartingDescription {
        stages = List.copyOf(stages);
    }

    private static final List<StartingDescription> ALL = List.of(
            new StartingDescription("geared-head-lathe", Family.LATHE, List.of(motor("1440"), gears("range", LeverPattern.ROW, "A B C"),
                    gears("gear", LeverPattern.GATE, "1 2 3 4"), Stage.direction(Shifting.STOP_TO_SHIFT))),
            new StartingDescription("bench-lathe", Family.LATHE, List.of(motor("1400"), belt("1 2 3"), backGear("in out"),
                    Stage.direction(Shifting.STOP_TO_SHIFT))),
            new StartingDescription("inverter-lathe", Family.LATHE, List.of(motor("1400"),
                    Stage.sliding("inverter", StageKind.INVERTER, Optional.empty()), belt("1 2 3"), backGear("in out"),
                    Stage.direction(Shifting.STOP_TO_SHIFT))),
            new StartingDescription("variator-mill", Family.KNEE_MILL, List.of(motor("1420"), new Stage("range", StageKind.GEAR,
                    Shifting.STOP_TO_SHIFT, List.of(unknown("low"), new Position("N", new Transmission.Neutral()), unknown("high"))),
                    Stage.sliding("variator", StageKind.VARIATOR, Optional.empty()), Stage.direction(Shifting.STOP_TO_SHIFT))),
            new StartingDescription("step-pulley-mill", Family.KNEE_MILL, List.of(motor("1420"), belt("1 2 3 4"), backGear("in out"),
                    Stage.direction(Shifting.STOP_TO_SHIFT))),
            new StartingDescription("horizontal-mill", Family.HORIZONTAL_MILL, List.of(motor("1425"), belt("1 2 3"),
                    gears("left lever", LeverPattern.ROW, "in out"), gears("right lever", LeverPattern.ROW, "low high"),
                    Stage.direction(Shifting.STOP_TO_SHIFT))),
            new StartingDescription("universal-mill", Family.UNIVERSAL_MILL, List.of(motor("1440"), backGear("L H"),
                    gears("middle", LeverPattern.ROW, "a b c"), gears("quick", LeverPattern.DIAL, "1 2 3"),
                    Stage.direction(Shifting.STOP_TO_SHIFT))),
            new StartingDescription("radial-drill", Family.RADIAL_DRILL, List.of(motor("1440"), gears("range", LeverPattern.ROW, "A B C"),
                    gears("dial", LeverPattern.DIAL, "1 2 3 4 5 6 7"), Stage.direction(Shifting.STOP_TO_SHIFT))),
            new StartingDescription("winding-drill", Family.PEDESTAL_DRILL, List.of(new Stage("motor switch", StageKind.MOTOR,
                    Shifting.SHIFTS_TURNING, List.of(unknown("I"), unknown("II"))), belt("L H"))),
            new StartingDescription("grinder", Family.CYLINDRICAL_GRINDER, List.of(motor("1450"), belt("1 2"))),
            new StartingDescription("machining-centre", Family.MACHINING_CENTRE, List.of(motor("1500"), new Stage("range",
                    StageKind.COMMANDED, Shifting.SHIFTS_TURNING, List.of(unknown("low"), unknown("high"))),
                    Stage.sliding("spindle drive", StageKind.INVERTER, Optional.empty()), Stage.direction(Shifting.STOP_TO_SHIFT))));

    public static List<StartingDescription> all() {
        return ALL;
    }

    public static Optional<StartingDescription> named(String code) {
        return ALL.stream().filter(s -> s.code.equals(code)).findFirst();
    }

    private static Stage motor(String rpm) {
        return new Stage("motor", StageKind.MOTOR, Shifting.SHIFTS_TURNING,
                List.of(new Position("on", new Transmission.MotorSpeed(new BigDecimal(rpm)))));
    }

    private static Stage gears(String name, LeverPattern pattern, String labels) {
        return new Stage(name, StageKind.GEAR, Shifting.UNKNOWN, positions(labels), pattern);
    }

    private static Stage belt(String labels) {
        return new Stage("belt", StageKind.BELT, Shifting.STOP_TO_SHIFT, positions(labels));
    }

    private static Stage backGear(String labels) {
        return new Stage("back gear", StageKind.BACK_GEAR, Shifting.STOP_TO_SHIFT, positions(labels));
    }

    private static List<Position> positions(String labels) {
        return new ArrayList<>(Arrays.stream(labels.split(" ")).map(StartingDescription::unknown).toList());
    }

    private static Position unknown(String label) {
        return new Position(label, new Transmission.Unknown());
    }
}
