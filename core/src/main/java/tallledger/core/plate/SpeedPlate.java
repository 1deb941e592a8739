package tallledger.core.plate;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.reason.Refused;

/**
 * The plate: every combination of its levers has a cell.
 *
 * @param levers    levers in the plate's order
 * @param cells     cell by the positions' labels, one label a lever
 * @param tolerance the plate's own limit as a share (0.05 for ±5 %), where it states one
 */
public record SpeedPlate(List<Lever> levers, Map<List<String>, PlateCell> cells, Optional<BigDecimal> tolerance) {

    public SpeedPlate {
        levers = List.copyOf(levers);
        Map<List<String>, PlateCell> ordered = new LinkedHashMap<>();
        for (List<String> key : keysOf(levers)) {
            PlateCell cell = cells.get(key);
            if (cell == null) {
                throw Refused.because(PlateReason.PLATE_MISSING_AT, String.join(" ", key));
            }
            ordered.put(key, cell);
        }
        if (ordered.size() != cells.size()) {
            throw Refused.because(PlateReason.PLATE_STRAY, cells.size() - ordered.size());
        }
        cells = java.util.Collections.unmodifiableMap(ordered);
        tolerance.ifPresent(share -> {
            if (share.signum() <= 0 || share.compareTo(new BigDecimal("0.5")) > 0) {
                throw Refused.because(PlateReason.PLATE_TOLERANCE, share.movePointRight(2));
            }
        });
    }

    public PlateCell cell(List<String> key) {
        return Optional.ofNullable(cells.get(key))
                .orElseThrow(() -> Refused.because(PlateReason.PLATE_NO_CELL, String.join(" ", key)));
    }

    /** How people call a cell. */
    public String name(List<String> key) {
        return Lever.nameOf(key, levers);
    }

    public SpeedPlate with(List<String> key, PlateCell cell) {
        Map<List<String>, PlateCell> changed = new LinkedHashMap<>(cells);
        changed.put(List.copyOf(key), cell);
        return new SpeedPlate(levers, changed, tolerance);
    }

    /** All combinations of lever positions, the last lever running fastest; one empty key without levers. */
    public static List<List<String>> keysOf(List<Lever> levers) {
        List<List<String>> keys = List.of(List.of());
        for (Lever lever : levers) {
            List<List<String>> longer = new ArrayList<>();
            for (List<String> key : keys) {
                for (String label : lever.positions()) {
                    List<String> next = new ArrayList<>(key);
                    next.add(label);
                    longer.add(List.copyOf(next));
                }
            }
            keys = longer;
        }
        return keys;
    }
}
