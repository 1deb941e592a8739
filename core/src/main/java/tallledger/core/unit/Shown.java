package tallledger.core.unit;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;

/**
 * A value with its expanded uncertainty as they are shown: U carries two significant digits where its first is 1 or 2, else one,
 * and is rounded up; the value is rounded to the same place (house rule after the custom of test reports). Judging is never done
 * with these.
 *
 * <p>Worked: 0.09 with U = 0.0083 is shown as 0.090 ± 0.009; 253.2 with U = 1.2662 as 253.2 ± 1.3.
 *
 * @param value    rounded half up
 * @param expanded U, rounded up, with as many decimals
 */
public record Shown(BigDecimal value, BigDecimal expanded) {

    /** Binary noise of a double lies below these digits. */
    private static final MathContext NOISE = new MathContext(10, RoundingMode.HALF_UP);

    public static Shown of(BigDecimal value, double expanded) {
        BigDecimal u = new BigDecimal(expanded).round(NOISE);
        if (u.signum() == 0) {
            return new Shown(value, BigDecimal.ZERO.setScale(Math.max(value.scale(), 0)));
        }
        int exponent = u.precision() - u.scale() - 1;
        int first = u.movePointLeft(exponent).abs().intValue();
        int places = (first <= 2 ? 1 : 0) - exponent;
        return new Shown(value.setScale(places, RoundingMode.HALF_UP), u.setScale(places, RoundingMode.UP));
    }
}
