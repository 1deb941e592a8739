package tallledger.web.machine;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import tallledger.core.drive.DriveReason;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Position;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.drive.Transmission;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.Axis;
import tallledger.core.motion.FeedPlate;
import tallledger.core.motion.ThreadPlate;
import tallledger.core.plate.Lever;
import tallledger.core.plate.PlateCell;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;
import tallledger.web.forms.FormInput;
import tallledger.web.words.WebReason;

/** A plate's cells as typed, and the levers of those that are not the drive's. */
final class PlateFields {

    private static final String TOLERANCE = "tolerance";
    private static final String FEED_UNIT = "feedUnit";
    private static final String FEED_PER = "feedPer";
    private static final String COUNTED = "threadCounted";

    private PlateFields() {
    }

    /** Levers of the feed or thread plate, one a line: "lever: A B C"; none where the machine has no such plate. */
    static List<Lever> levers(FormInput typed, FormPlate plate) {
        String field = plate.levers();
        List<Lever> levers = new ArrayList<>();
        typed.get(field).lines().filter(line -> !line.isBlank())
                .forEach(line -> typed.attempt(field, () -> lever(line.strip())).ifPresent(levers::add));
        long cells = levers.stream().mapToLong(lever -> lever.positions().size()).reduce(1, (a, b) -> a * b);
        if (cells > DriveTrain.MOST_COMBINATIONS) {
            typed.refuse(field, Reason.of(DriveReason.TRAIN_TOO_MANY, cells, DriveTrain.MOST_COMBINATIONS));
        }
        return typed.isWrong(field) ? List.of() : levers;
    }

    /** Checked as a lever of the drive is: short labels, none twice. */
    private static Lever lever(String line) {
        int colon = line.indexOf(':');
        if (colon < 1) {
            throw Refused.because(WebReason.FEED_LEVER, line.length() > 40 ? line.substring(0, 40) : line);
        }
        List<Position> positions = StageReader.labels(line.substring(colon + 1)).stream()
                .map(label -> new Position(label, new Transmission.Unknown())).toList();
        Stage checked = new Stage(line.substring(0, colon).strip(), StageKind.GEAR, Shifting.UNKNOWN, positions);
        return new Lever(checked.name(), checked.positions().stream().map(Position::label).toList());
    }

    static void writeLevers(List<Lever> levers, FormPlate plate, FormInput typed) {
        typed.set(plate.levers(), levers.stream().map(l -> l.name() + ": " + String.join(" ", l.positions()))
                .collect(Collectors.joining("\n")));
    }

    static Optional<SpeedPlate> speeds(FormInput typed, DriveTrain train) {
        Optional<BigDecimal> tolerance = typed.has(TOLERANCE)
                ? typed.attempt(TOLERANCE, () -> TypedNumber.parsePositive(typed.get(TOLERANCE)).value().movePointLeft(2))
                : Optional.empty();
        return read(typed, MachineDescription.leversOf(train), FormPlate.SPEED, tolerance);
    }

    /** The feed plate in the unit it says it counts in; none where it has no levers. */
    static Optional<FeedPlate> feeds(FormInput typed) {
        List<Lever> levers = levers(typed, FormPlate.FEED);
        if (levers.isEmpty()) {
            return Optional.empty();
        }
        Optional<LengthUnit> unit = typed.choice(typed.has(FEED_UNIT) ? FEED_UNIT : "unit", LengthUnit.class);
        Optional<Axis.Per> per = typed.has(FEED_PER) ? typed.choice(FEED_PER, Axis.Per.class) : Optional.of(Axis.Per.REV);
        return read(typed, levers, FormPlate.FEED, Optional.empty())
                .flatMap(p -> unit.flatMap(u -> per.map(each -> new FeedPlate(p, u, each))));
    }

    static Optional<ThreadPlate> threads(FormInput typed) {
        List<Lever> levers = levers(typed, FormPlate.THREAD);
        if (levers.isEmpty()) {
            return Optional.empty();
        }
        Optional<ThreadPlate.Counted> counted = typed.has(COUNTED) ? typed.choice(COUNTED, ThreadPlate.Counted.class)
                : Optional.of(ThreadPlate.Counted.PITCH_MM);
        return read(typed, levers, FormPlate.THREAD, Optional.empty()).flatMap(p -> counted.map(c -> new ThreadPlate(p, c)));
    }

    private static Optional<SpeedPlate> read(FormInput typed, List<Lever> levers, FormPlate plate, Optional<BigDecimal> tolerance) {
        PlateGrid.reshape(typed, levers, plate);
        List<List<String>> keys = SpeedPlate.keysOf(levers);
        if (IntStream.range(0, keys.size()).noneMatch(i -> typed.has(plate.cell(i)))) {
            // Nobody has read a plate, or there is none: the speeds are told apart by their levers alone.
            restUnread(typed, levers, plate);
        }
        Map<List<String>, PlateCell> cells = new HashMap<>();
        IntStream.range(0, keys.size()).forEach(i -> typed.attempt(plate.cell(i), () -> PlateCell.parse(typed.get(plate.cell(i))))
                .ifPresent(cell -> cells.put(keys.get(i), cell)));
        return typed.isClean() ? typed.attempt(TOLERANCE, () -> new SpeedPlate(levers, cells, tolerance)) : Optional.empty();
    }

    /** What is empty on a plate cannot be read, or was not. */
    static void restUnread(FormInput typed, List<Lever> levers, FormPlate plate) {
        PlateGrid.reshape(typed, levers, plate);
        IntStream.range(0, SpeedPlate.keysOf(levers).size()).mapToObj(plate::cell).filter(field -> !typed.has(field))
                .forEach(field -> typed.set(field, PlateCell.UNREADABLE_SIGN));
    }

    /** The plate as far as it is typed, for a look ahead: empty and mistyped cells count as unreadable. */
    static SpeedPlate soFar(FormInput typed, List<Lever> levers, FormPlate plate) {
        PlateGrid.reshape(typed, levers, plate);
        List<List<String>> keys = SpeedPlate.keysOf(levers);
        Map<List<String>, PlateCell> cells = new HashMap<>();
        IntStream.range(0, keys.size()).forEach(i -> cells.put(keys.get(i), FormInput.blank()
                .attempt(plate.cell(i), () -> PlateCell.parse(typed.get(plate.cell(i)))).orElse(new PlateCell.Unreadable())));
        return new SpeedPlate(levers, cells, Optional.empty());
    }

    static void write(MachineDescription machine, FormInput typed) {
        writeCells(machine.plate(), FormPlate.SPEED, typed);
        machine.plate().tolerance()
                .ifPresent(t -> typed.set(TOLERANCE, t.movePointRight(2).stripTrailingZeros().toPlainString()));
        machine.feeds().ifPresent(feeds -> {
            typed.set(FEED_UNIT, feeds.unit().name());
            typed.set(FEED_PER, feeds.per().name());
            writeLevers(feeds.plate().levers(), FormPlate.FEED, typed);
            writeCells(feeds.plate(), FormPlate.FEED, typed);
        });
        machine.threads().ifPresent(threads -> {
            typed.set(COUNTED, threads.counted().name());
            writeLevers(threads.plate().levers(), FormPlate.THREAD, typed);
            writeCells(threads.plate(), FormPlate.THREAD, typed);
        });
    }

    private static void writeCells(SpeedPlate written, FormPlate plate, FormInput typed) {
        typed.set(plate.shape(), PlateGrid.shapeOf(written.levers()));
        List<PlateCell> cells = List.copyOf(written.cells().values());
        IntStream.range(0, cells.size()).forEach(i -> typed.set(plate.cell(i), cells.get(i).typed()));
    }
}
