package tallledger.core;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Exclusion;
import tallledger.core.drive.GearPair;
import tallledger.core.drive.Position;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.drive.Transmission;
import tallledger.core.family.Family;
import tallledger.core.machine.Claim;
import tallledger.core.machine.Identity;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plate.Lever;
import tallledger.core.plate.PlateCell;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.unit.LengthUnit;

/** Small builders for the tests of every package. */
public final class Machines {

    /** The twelve speeds of the worked box, B3 right. */
    public static final String TWELVE = "31.5 45 63 90 125 180 250 355 500 710 1000 1400";
    /** The same with B3 misread. */
    public static final String TWELVE_MISREAD = "31.5 45 63 90 125 180 280 355 500 710 1000 1400";

    private Machines() {
    }

    public static Stage motor(String rpm) {
        return new Stage("motor", StageKind.MOTOR, Shifting.SHIFTS_TURNING,
                List.of(new Position("on", new Transmission.MotorSpeed(new BigDecimal(rpm)))));
    }

    /** A gear lever of unknown ratios. */
    public static Stage lever(String name, String labels) {
        return lever(name, labels, Shifting.STOP_TO_SHIFT);
    }

    public static Stage lever(String name, String labels, Shifting shifting) {
        List<Position> positions = Arrays.stream(labels.split(" "))
                .map(label -> new Position(label, new Transmission.Unknown())).toList();
        return new Stage(name, StageKind.GEAR, shifting, positions);
    }

    public static Position gears(String label, int driver, int driven) {
        return new Position(label, new Transmission.Gears(List.of(new GearPair(driver, driven))));
    }

    public static SpeedPlate plate(List<Lever> levers, String cells) {
        Map<List<String>, PlateCell> map = new HashMap<>();
        List<List<String>> keys = SpeedPlate.keysOf(levers);
        String[] shown = cells.split(" ");
        for (int i = 0; i < keys.size(); i++) {
            map.put(keys.get(i), PlateCell.parse(shown[i]));
        }
        return new SpeedPlate(levers, map, Optional.empty());
    }

    public static Lever plateLever(String name, String labels) {
        return new Lever(name, List.of(labels.split(" ")));
    }

    /** A lathe with a fixed motor and the levers given. */
    public static MachineDescription lathe(String cells, Stage... levers) {
        return lathe(cells, List.of(), List.of(), levers);
    }

    public static MachineDescription lathe(String cells, List<Claim> claims, List<Exclusion> exclusions, Stage... levers) {
        List<Stage> stages = new ArrayList<>(List.of(motor("1440")));
        stages.addAll(List.of(levers));
        DriveTrain train = new DriveTrain(stages, exclusions);
        Identity identity = new Identity("Test lathe", "", "", Family.LATHE, "", "", "", "", LengthUnit.MM);
        return new MachineDescription(identity, claims, train, plate(MachineDescription.leversOf(train), cells));
    }

    /** The worked 3 × 4 box. */
    public static MachineDescription twelve() {
        return lathe(TWELVE, lever("range", "A B C"), lever("gear", "1 2 3 4"));
    }

    /** A machine of a family as it usually is, with a 3 × 4 box of twelve speeds that runs one way. */
    public static MachineDescription twelve(Family family) {
        return twelve(family, LengthUnit.MM);
    }

    /** The same, its lengths in a unit. */
    public static MachineDescription twelve(Family family, LengthUnit unit) {
        DriveTrain train = new DriveTrain(List.of(motor("1440"), lever("range", "A B C"), lever("gear", "1 2 3 4")), List.of());
        return new MachineDescription(new Identity("Box", "", "", family, "", "", "", "", unit), List.of(), train,
                plate(MachineDescription.leversOf(train), TWELVE)).with(family.traits().usual());
    }
}
