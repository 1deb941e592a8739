package tallledger.core.motion;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.unit.LengthUnit;

/**
 * The feed plate: its cells, and what they count in. An inch plate shows inches, some plates feeds by the minute.
 *
 * @param plate levers and cells as shown
 * @param unit  of length its figures are in
 * @param per   by the turn of the spindle or by the minute
 */
public record FeedPlate(SpeedPlate plate, LengthUnit unit, Axis.Per per) {

    /** What a cell promises, mm/rev or mm/min; empty where it cannot be read. */
    public Optional<BigDecimal> promised(List<String> key) {
        return plate.cell(key).value().map(v -> v.multiply(unit.millimetres()));
    }

    /** Its unit as written: "in/rev", "mm/min". */
    public String written() {
        return unit.symbol() + (per == Axis.Per.REV ? "/rev" : "/min");
    }
}
