package tallledger.core.motion;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import tallledger.core.reason.Refused;

/**
 * A cut thread measured over a length: pitch error e = (measured lead − nominal)/nominal, and what that adds up to over 300 mm.
 *
 * <p>Worked: 20 turns of a 1.5 mm thread measure 30.03 mm: lead 1.5015, e = +0.1 %, 0.30 mm over 300 mm.
 *
 * @param lead    measured lead, mm
 * @param error   e, a share
 * @param over300 accumulated over 300 mm, mm
 */
public record ThreadPitch(BigDecimal lead, BigDecimal error, BigDecimal over300) {

    private static final BigDecimal SPAN = BigDecimal.valueOf(300);

    public static ThreadPitch of(BigDecimal nominal, BigDecimal length, int turns) {
        if (turns < 1) {
            throw Refused.because(MotionReason.FEED_TURNS, turns).at("turns");
        }
        BigDecimal lead = length.divide(BigDecimal.valueOf(turns), MathContext.DECIMAL64);
        BigDecimal error = lead.subtract(nominal).divide(nominal, MathContext.DECIMAL64);
        return new ThreadPitch(lead.setScale(4, RoundingMode.HALF_UP), error, error.multiply(SPAN).setScale(3, RoundingMode.HALF_UP));
    }
}
