package tallledger.core.finish;

import java.math.BigDecimal;
import tallledger.core.reason.Refused;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * What a round nose leaves at a feed: Rt = f²/(8·r), Ra = f²/(18·√3·r), exact for the parabola, f ≤ r; f mm/rev, r mm, shown in µm.
 *
 * <p>Worked: f = 0.2, r = 0.8: Rt = 6.25 µm, Ra = 1.60 µm.
 *
 * @param feed f, mm/rev
 * @param nose r, mm
 */
public record Turned(double feed, double nose) {

    private static final double MICROMETRES = 1000;

    /** @throws Refused where one is not above nought, or the feed is more than the nose */
    public Turned {
        if (!(feed > 0) || !(nose > 0) || feed > nose) {
            throw Refused.because(FinishReason.TURNED_FEED, Quantity.of(BigDecimal.valueOf(feed), Unit.MILLIMETRES),
                    Quantity.of(BigDecimal.valueOf(nose), Unit.MILLIMETRES));
        }
    }

    /** µm. */
    public double rt() {
        return MICROMETRES * feed * feed / (8 * nose);
    }

    /** µm. */
    public double ra() {
        return MICROMETRES * feed * feed / (18 * Math.sqrt(3) * nose);
    }
}
