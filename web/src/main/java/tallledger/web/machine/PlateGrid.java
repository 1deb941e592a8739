package tallledger.web.machine;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import tallledger.core.drive.DriveTrain;
import tallledger.core.plate.Lever;
import tallledger.core.plate.SpeedPlate;
import tallledger.web.forms.FormInput;

/**
 * The plate as a grid of inputs: the last lever across, the others down.
 *
 * @param columns lever across, its positions
 * @param rows    one for each combination of the other levers
 * @param shape   the levers' labels, sent back with the form so that values keep their place when levers change
 */
public record PlateGrid(String across, List<String> columns, List<PlateRow> rows, String shape) {

    /** One row: the other levers' labels and its inputs. */
    public record PlateRow(List<String> labels, List<GridCell> cells) {
    }

    /** One input. */
    public record GridCell(String field, String name, List<String> key) {
    }

    static PlateGrid of(List<Lever> levers) {
        return of(levers, FormPlate.SPEED);
    }

    static PlateGrid of(List<Lever> levers, FormPlate plate) {
        List<List<String>> keys = SpeedPlate.keysOf(levers);
        List<String> columns = levers.isEmpty() ? List.of("") : levers.get(levers.size() - 1).positions();
        String across = levers.isEmpty() ? "" : levers.get(levers.size() - 1).name();
        List<PlateRow> rows = new ArrayList<>();
        for (int r = 0; r < keys.size() / columns.size(); r++) {
            List<GridCell> cells = new ArrayList<>();
            for (int c = 0; c < columns.size(); c++) {
                int i = r * columns.size() + c;
                cells.add(new GridCell(plate.cell(i), String.join(" ", keys.get(i)), keys.get(i)));
            }
            List<String> key = keys.get(r * columns.size());
            rows.add(new PlateRow(key.subList(0, Math.max(key.size() - 1, 0)), cells));
        }
        return new PlateGrid(across, columns, rows, shapeOf(levers));
    }

    static String shapeOf(List<Lever> levers) {
        return levers.stream().map(lever -> String.join(" ", lever.positions())).collect(Collectors.joining("|"));
    }

    /** The grid as typed; while its levers cannot be read, in the shape it had, so that nothing in it is lost. */
    static Optional<PlateGrid> kept(FormInput typed, List<Lever> levers, FormPlate plate) {
        if (!levers.isEmpty()) {
            return Optional.of(of(levers, plate));
        }
        List<Lever> formerly = formerly(typed.get(plate.shape()));
        return formerly.isEmpty() ? Optional.empty() : Optional.of(of(formerly, plate));
    }

    /** The levers of a shape, without their names; none where it is none, or larger than a plate is. */
    private static List<Lever> formerly(String shape) {
        List<Lever> levers = shape.isEmpty() ? List.of()
                : Arrays.stream(shape.split("\\|")).map(labels -> new Lever("", List.of(labels.split(" ")))).toList();
        long cells = levers.stream().mapToLong(lever -> lever.positions().size()).reduce(1, (a, b) -> a * Math.min(b, 1_000));
        return cells > DriveTrain.MOST_COMBINATIONS || levers.size() > DriveTrain.MOST_STAGES ? List.of() : levers;
    }

    /** Moves the typed cells from the shape they were typed in to the levers' present shape, by their labels. */
    static void reshape(FormInput typed, List<Lever> levers, FormPlate plate) {
        String now = shapeOf(levers);
        String then = typed.get(plate.shape());
        if (then.isEmpty() || then.equals(now)) {
            typed.set(plate.shape(), now);
            return;
        }
        Map<List<String>, String> values = new HashMap<>();
        List<Lever> formerly = formerly(then);
        List<List<String>> before = formerly.isEmpty() ? List.of() : SpeedPlate.keysOf(formerly);
        for (int i = 0; i < before.size(); i++) {
            values.put(before.get(i), typed.get(plate.cell(i)));
            typed.remove(plate.cell(i));
        }
        List<List<String>> keys = SpeedPlate.keysOf(levers);
        for (int i = 0; i < keys.size(); i++) {
            typed.set(plate.cell(i), values.getOrDefault(keys.get(i), ""));
        }
        typed.set(plate.shape(), now);
    }
}
