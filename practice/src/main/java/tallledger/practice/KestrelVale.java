package tallledger.practice;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Exclusion;
import tallledger.core.drive.Position;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.drive.Transmission;
import tallledger.core.machine.Claim;
import tallledger.core.machine.Claim.Attribute;
import tallledger.core.machine.Claim.Source;
import tallledger.core.machine.Family;
import tallledger.core.machine.Identity;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plate.PlateCell;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reading.LengthUnit;

/** The invented shortlist of the Kestrel Vale Tramway's car-shed workshop, each machine with the truth its plate hides. */
public final class KestrelVale {

    /** Scatter of a hand-held tachometer on a belt-driven spindle, as a share. */
    private static final double SCATTER = 0.004;
    /** An induction motor turns this much above its full-load plate speed when unloaded. */
    private static final double UNLOADED = 1.022;

    private KestrelVale() {
    }

    /** Gap-bed lathe: one plate value misread (B3 says 280, the gears give 250), gear 3 growls. */
    public static SimulatedMachine aldwark410() {
        List<Stage> stages = List.of(motor("1440"), gears("range", "A B C"), gears("gear", "1 2 3 4"),
                Stage.direction(Shifting.STOP_TO_SHIFT));
        List<Claim> claims = List.of(
                new Claim(Attribute.SPEED_COUNT, "12", Source.ADVERTISEMENT, "12 speeds, all working"),
                new Claim(Attribute.SLOWEST_SPEED, "31.5", Source.PLATE, ""),
                new Claim(Attribute.FASTEST_SPEED, "1400", Source.PLATE, ""),
                new Claim(Attribute.FASTEST_SPEED, "1500", Source.ADVERTISEMENT, "31 to 1500 rpm"),
                new Claim(Attribute.REVERSES, "yes", Source.SELLER, "runs both ways"),
                new Claim(Attribute.SWING, "410 mm", Source.PLATE, ""),
                new Claim(Attribute.CONDITION, "very good", Source.SELLER, "lovely quiet machine"));
        Identity identity = new Identity("Aldwark 410", "Aldwark", "410", Family.LATHE, "410-2268", "1974",
                "closing pattern shop, Tarn Wharf", "the pattern shop", LengthUnit.MM);
        MachineDescription description = described(identity, claims, new DriveTrain(stages, List.of()),
                "31.5 45 63 90 125 180 280 355 500 710 1000 1400");
        return new SimulatedMachine(description, Map.of(List.of("B", "3"), 250.0), UNLOADED, SCATTER,
                List.of(new HiddenFault("gear", "3", Symptom.GROWLS, 0.95)));
    }

    /** Pedestal drill, three windings by two belt steps, sound throughout. */
    public static SimulatedMachine dunmarshP20() {
        List<Stage> stages = List.of(
                new Stage("motor switch", StageKind.MOTOR, Shifting.SHIFTS_TURNING, List.of(
                        winding("I", "700"), winding("II", "1400"), winding("III", "2800"))),
                new Stage("belt", StageKind.BELT, Shifting.STOP_TO_SHIFT, List.of(
                        new Position("L", new Transmission.Grooves(new BigDecimal("80"), new BigDecimal("355"))),
                        new Position("H", new Transmission.Grooves(new BigDecimal("160"), new BigDecimal("250"))))));
        List<Claim> claims = List.of(
                new Claim(Attribute.SPEED_COUNT, "6", Source.PLATE, ""),
                new Claim(Attribute.DRILLING_CAPACITY, "40 mm", Source.SELLER, "drills forty in steel"),
                new Claim(Attribute.FASTEST_SPEED, "1800", Source.PLATE, ""));
        Identity identity = new Identity("Dunmarsh P20", "Dunmarsh", "P20", Family.PEDESTAL_DRILL, "P20/311", "1983",
                "private shed, Kestrel Halt", "a private owner", LengthUnit.MM);
        MachineDescription description = described(identity, claims, new DriveTrain(stages, List.of()),
                "160 450 315 900 630 1800");
        return new SimulatedMachine(description, Map.of(), 1.006, SCATTER, List.of());
    }

    /** Horizontal mill, two interlocked levers behind a step pulley; nobody has run it yet. */
    public static SimulatedMachine castervaleH1() {
        List<Stage> stages = List.of(motor("1425"),
                new Stage("belt", StageKind.BELT, Shifting.STOP_TO_SHIFT,
                        List.of(unknown("1"), unknown("2"), unknown("3"))),
                gears("left lever", "in out"), gears("right lever", "low high"),
                Stage.direction(Shifting.STOP_TO_SHIFT));
        Exclusion interlock = new Exclusion(Map.of("left lever", "out", "right lever", "high"));
        List<Claim> claims = List.of(
                new Claim(Attribute.SPEED_COUNT, "12", Source.ADVERTISEMENT, "twelve spindle speeds"),
                new Claim(Attribute.REVERSES, "yes", Source.SELLER, ""),
                new Claim(Attribute.WEIGHT, "900 kg", Source.SELLER, "about nine hundred kilos"));
        Identity identity = new Identity("Castervale H1", "Castervale", "H1", Family.HORIZONTAL_MILL, "", "",
                "private shed, Upper Vale", "a private owner", LengthUnit.INCH);
        MachineDescription description = described(identity, claims, new DriveTrain(stages, List.of(interlock)),
                "35.5 140 71 x 56 224 112 x 90 355 180 x");
        return new SimulatedMachine(description, Map.of(), UNLOADED, SCATTER,
                List.of(new HiddenFault("right lever", "high", Symptom.WILL_NOT_ENGAGE, 1)));
    }

    private static MachineDescription described(Identity identity, List<Claim> claims, DriveTrain train, String cells) {
        Map<List<String>, PlateCell> plate = new HashMap<>();
        List<List<String>> keys = SpeedPlate.keysOf(MachineDescription.leversOf(train));
        String[] shown = cells.split(" ");
        for (int i = 0; i < keys.size(); i++) {
            plate.put(keys.get(i), PlateCell.parse(shown[i]));
        }
        return new MachineDescription(identity, claims, train,
                new SpeedPlate(MachineDescription.leversOf(train), plate, Optional.empty()));
    }

    private static Stage motor(String rpm) {
        return new Stage("motor", StageKind.MOTOR, Shifting.SHIFTS_TURNING, List.of(winding("on", rpm)));
    }

    private static Position winding(String label, String rpm) {
        return new Position(label, new Transmission.MotorSpeed(new BigDecimal(rpm)));
    }

    private static Stage gears(String name, String labels) {
        List<Position> positions = new ArrayList<>();
        for (String label : labels.split(" ")) {
            positions.add(unknown(label));
        }
        return new Stage(name, StageKind.GEAR, Shifting.STOP_TO_SHIFT, positions);
    }

    private static Position unknown(String label) {
        return new Position(label, new Transmission.Unknown());
    }
}
