package tallledger.core.motion;

import java.math.BigDecimal;
import java.util.List;
import tallledger.core.reason.Refused;

/**
 * Knock-off repeatability: the feed is tripped five times against the same stop and the stopping positions are read; their
 * range is judged.
 *
 * <p>Worked: 0.00, 0.02, 0.01, 0.03, 0.01 mm: range 0.03 mm, within 0.05 mm.
 *
 * @param positions stopping positions, mm, from any zero
 * @param range     greatest less least, mm
 */
public record Trips(List<BigDecimal> positions, BigDecimal range) {

    public static final int TIMES = 5;

    public static Trips of(List<BigDecimal> positions) {
        if (positions.size() != TIMES) {
            throw Refused.because(MotionReason.TRIPS_COUNT, positions.size(), TIMES);
        }
        BigDecimal most = positions.stream().reduce(BigDecimal::max).orElseThrow();
        BigDecimal least = positions.stream().reduce(BigDecimal::min).orElseThrow();
        return new Trips(List.copyOf(positions), most.subtract(least));
    }
}
