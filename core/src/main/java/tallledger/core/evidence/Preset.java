package tallledger.core.evidence;

import java.math.BigDecimal;
import java.math.MathContext;
import tallledger.core.rules.InchLimits;
import tallledger.core.unit.LengthUnit;

/**
 * What stands in a field before anybody types: said for a metric and for an inch machine, so that no field is filled with a figure in
 * another unit than its own.
 */
public record Preset(String metric, String inch) {

    public static final Preset NONE = new Preset("", "");

    /** The same on both: a choice, or a text with its unit in it. */
    public static Preset text(String text) {
        return new Preset(text, text);
    }

    /** A length a limit is stated for: 300 mm, 12 in. */
    public static Preset length(BigDecimal mm) {
        BigDecimal inches = InchLimits.length(mm).divide(LengthUnit.INCH.millimetres(), MathContext.DECIMAL64).stripTrailingZeros();
        return new Preset(mm.toPlainString(), inches.toPlainString());
    }

    public String in(LengthUnit machine) {
        return machine == LengthUnit.INCH ? inch : metric;
    }
}
