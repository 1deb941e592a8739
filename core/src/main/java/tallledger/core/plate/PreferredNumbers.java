package tallledger.core.plate;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.List;

/** The R20 series of preferred numbers (ISO 3), from which machine speeds are laddered: twenty steps a decade, rounded. */
final class PreferredNumbers {

    private static final int STEPS_A_DECADE = 20;
    /** R20 within one decade, as ISO 3 rounds it. */
    private static final List<BigDecimal> DECADE = List.of("1.00", "1.12", "1.25", "1.40", "1.60", "1.80", "2.00", "2.24",
            "2.50", "2.80", "3.15", "3.55", "4.00", "4.50", "5.00", "5.60", "6.30", "7.10", "8.00", "9.00").stream()
            .map(BigDecimal::new).toList();

    private PreferredNumbers() {
    }

    /** Whether a value is a preferred number at any power of ten. */
    public static boolean isPreferred(BigDecimal value) {
        BigDecimal scaled = value.movePointLeft(decade(value.doubleValue()));
        return DECADE.stream().anyMatch(preferred -> preferred.compareTo(scaled) == 0);
    }

    /** The preferred number nearest in ln to a value above nought. */
    public static BigDecimal nearest(double value) {
        int rung = (int) Math.round(STEPS_A_DECADE * Math.log10(value));
        return DECADE.get(Math.floorMod(rung, STEPS_A_DECADE))
                .movePointRight(Math.floorDiv(rung, STEPS_A_DECADE)).stripTrailingZeros();
    }

    /** The standard step ratio 10^(k/20), k = 1…6, nearest in ln to φ; three decimals. */
    public static BigDecimal nearestStep(double phi) {
        long k = Math.min(6, Math.max(1, Math.round(STEPS_A_DECADE * Math.log10(phi))));
        return new BigDecimal(Math.pow(10, (double) k / STEPS_A_DECADE)).round(new MathContext(4, RoundingMode.HALF_UP));
    }

    private static int decade(double value) {
        return (int) Math.floor(Math.log10(value) + 1e-12);
    }
}
