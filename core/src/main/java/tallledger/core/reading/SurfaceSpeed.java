package tallledger.core.reading;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/**
 * A speed of a surface past a tool: {@code 18}, {@code 18 m/min}, {@code 300 mm/min}, {@code 60 ft/min}, {@code 12 in/min}. A bare number
 * is m/min, on an inch machine ft/min.
 */
public final class SurfaceSpeed {

    private static final int LONGEST = 40;
    private static final Pattern FORM = Pattern.compile("([^a-zA-Z]*\\d\\.?)\\s?([a-zA-Z]*/?[a-zA-Z]*)");
    private static final Map<String, BigDecimal> UNITS = Map.of("m/min", BigDecimal.ONE, "mm/min",
            new BigDecimal("0.001"), "ft/min", new BigDecimal("0.3048"), "fpm", new BigDecimal("0.3048"), "sfm", new BigDecimal("0.3048"),
            "ft/s", new BigDecimal("18.288"),
            "in/min", new BigDecimal("0.0254"), "m/s", new BigDecimal("60"), "mm/s", new BigDecimal("0.06"));

    private SurfaceSpeed() {
    }

    /**
     * In m/min. Worked: 12 in/min is 0.3048 m/min.
     *
     * @throws Refused when it is no speed, or in a unit that is none
     */
    public static BigDecimal parse(String text, LengthUnit machine) {
        return parse(text, machine == LengthUnit.INCH ? "ft/min" : "m/min");
    }

    /**
     * What a wheel is marked, in m/s; a bare number is m/s, on an inch machine ft/min.
     *
     * @throws Refused when it is no speed
     */
    public static BigDecimal ofWheel(String text, LengthUnit machine) {
        return parse(text, machine == LengthUnit.INCH ? "ft/min" : "m/s").divide(BigDecimal.valueOf(60), MathContext.DECIMAL64)
                .stripTrailingZeros();
    }

    private static BigDecimal parse(String text, String bare) {
        Matcher parts = FORM.matcher(TypedNumber.shortEnough(text, LONGEST));
        if (!parts.matches()) {
            return TypedNumber.parsePositive(text).value();
        }
        BigDecimal unit = UNITS.get(parts.group(2).isEmpty() ? bare : parts.group(2).toLowerCase(java.util.Locale.ROOT));
        if (unit == null) {
            throw Refused.because(ReadingReason.SURFACE_UNIT, parts.group(2), bare.equals("ft/min") ? 1 : 0);
        }
        return TypedNumber.parsePositive(parts.group(1)).value().multiply(unit).round(MathContext.DECIMAL64);
    }
}
