package tallledger.core.family;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
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

    static StartingDescription of(String code, Family family, Stage... stages) {
        return new StartingDescription(code, family, List.of(stages));
    }

    public static List<StartingDescription> all() {
        return Stream.of(Family.values()).flatMap(f -> f.traits().startingFrom().stream()).toList();
    }

    public static Optional<StartingDescription> named(String code) {
        return all().stream().filter(s -> s.code.equals(code)).findFirst();
    }

    static Stage motor(String rpm) {
        return new Stage("motor", StageKind.MOTOR, Shifting.SHIFTS_TURNING,
                List.of(new Position("on", new Transmission.MotorSpeed(new BigDecimal(rpm)))));
    }

    static Stage gears(String name, LeverPattern pattern, String labels) {
        return new Stage(name, StageKind.GEAR, Shifting.UNKNOWN, positions(labels), pattern);
    }

    static Stage belt(String labels) {
        return new Stage("belt", StageKind.BELT, Shifting.STOP_TO_SHIFT, positions(labels));
    }

    static Stage backGear(String labels) {
        return new Stage("back gear", StageKind.BACK_GEAR, Shifting.STOP_TO_SHIFT, positions(labels));
    }

    private static List<Position> positions(String labels) {
        return new ArrayList<>(Arrays.stream(labels.split(" ")).map(StartingDescription::unknown).toList());
    }

    static Position unknown(String label) {
        return new Position(label, new Transmission.Unknown());
    }
}
