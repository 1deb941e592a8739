package tallledger.core.motion;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.Optional;
import tallledger.core.plate.SpeedPlate;

/**
 * The thread plate of a box with levers: the pitch, or the threads an inch, at each of their positions. Lever factors are the same either
 * way, but for their sign in ln.
 *
 * <p>Worked: 8 threads an inch are a pitch of 25.4/8 = 3.175 mm.
 *
 * @param plate   levers and cells as shown
 * @param counted what its figures are
 */
public record ThreadPlate(SpeedPlate plate, Counted counted) {

    /** What a thread plate shows. */
    public enum Counted { PITCH_MM, PER_INCH }

    private static final BigDecimal INCH = new BigDecimal("25.4");

    /** The pitch at a position, mm; empty where the cell cannot be read. */
    public Optional<BigDecimal> pitch(List<String> key) {
        return plate.cell(key).value().map(v -> counted == Counted.PITCH_MM ? v : INCH.divide(v, MathContext.DECIMAL64));
    }

    /** As it is called at the machine: "1.25 mm", "8 tpi". */
    public Optional<String> written(List<String> key) {
        return plate.cell(key).value().map(v -> v.toPlainString() + (counted == Counted.PITCH_MM ? " mm" : " tpi"));
    }
}
