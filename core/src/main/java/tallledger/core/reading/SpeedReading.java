package tallledger.core.reading;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import tallledger.core.gauge.Gauge;
import tallledger.core.reason.Refused;

/**
 * One reading of a spindle speed with its expanded uncertainty.
 *
 * <p>Tap count: n = 60·N/t, u(n)/n = u_t/t with u_t = 0.1 s for a person's first and last tap together (house rule).
 * Worked: 10 turns in 19.05 s are 31.50 min⁻¹, u/n = 0.1/19.05 = 0.52 %.
 *
 * @param method   how it was read
 * @param typed    the figures as typed, "31.5" or "10 turns in 19.05 s"
 * @param rpm      min⁻¹, the typed decimal itself for a tachometer
 * @param expanded U, min⁻¹, k = 2
 */
public record SpeedReading(Method method, String typed, BigDecimal rpm, double expanded) {

    /** u_t, s: a person's first and last tap together (house rule). */
    public static final double TAP_STANDARD_UNCERTAINTY = 0.1;
    /** Above this, min⁻¹, nobody counts turns (house rule). */
    public static final BigDecimal FASTEST_TAPPED = new BigDecimal("150");
    /** Fewest turns that make a tap count (house rule). */
    public static final int FEWEST_TURNS = 10;
    /** No machine tool of these families turns faster, min⁻¹; more is a slip of the finger. */
    private static final BigDecimal FASTEST = new BigDecimal("60000");
    private static final double SIXTY = 60;

    public SpeedReading {
        if (rpm.signum() <= 0 || !(expanded >= 0)) {
            throw Refused.because("number.not-positive", typed);
        }
        if (rpm.compareTo(FASTEST) > 0) {
            throw Refused.because("speed.impossible", typed, FASTEST);
        }
    }

    /** A reading as shown by the gauge; its own last digit counts where it is coarser than the gauge's resolution. */
    public static SpeedReading byTachometer(String text, Gauge gauge) {
        TypedNumber shown = TypedNumber.parsePositive(text);
        if (shown.value().compareTo(FASTEST) > 0) {
            throw Refused.because("speed.impossible", shown.typed(), FASTEST);
        }
        double u = gauge.standardUncertainty(shown.value(), shown.step());
        return new SpeedReading(Method.CONTACT_TACHOMETER, shown.typed(), shown.value(), Gauge.COVERAGE_FACTOR * u);
    }

    /**
     * N turns counted in t seconds.
     *
     * @throws Refused when fewer than ten turns were counted, the time is not above nought, or the speed is beyond
     *                 what a person can count
     */
    public static SpeedReading byTaps(String turnsText, String secondsText) {
        BigDecimal turns = TypedNumber.parsePositive(turnsText).value();
        TypedNumber seconds = TypedNumber.parsePositive(secondsText);
        if (turns.stripTrailingZeros().scale() > 0) {
            throw Refused.because("taps.part-turn", turnsText.strip());
        }
        if (turns.compareTo(BigDecimal.valueOf(FEWEST_TURNS)) < 0) {
            throw Refused.because("taps.too-few", turns, FEWEST_TURNS);
        }
        BigDecimal rpm = turns.multiply(BigDecimal.valueOf(60)).divide(seconds.value(), MathContext.DECIMAL64);
        if (rpm.compareTo(FASTEST_TAPPED) > 0) {
            throw Refused.because("taps.too-fast", rpm.setScale(0, RoundingMode.HALF_UP), FASTEST_TAPPED);
        }
        double relative = TAP_STANDARD_UNCERTAINTY / seconds.value().doubleValue();
        String typed = turns.toPlainString() + " turns in " + seconds.typed() + " s";
        return new SpeedReading(Method.TAP_COUNT, typed, rpm.setScale(2, RoundingMode.HALF_UP),
                Gauge.COVERAGE_FACTOR * relative * rpm.doubleValue());
    }

    /** Turns worth counting in a listening time, s, at a speed: as many as it holds, at least ten (house rule). */
    public static int turnsToCount(double rpm, double listenSeconds) {
        return Math.max(FEWEST_TURNS, (int) Math.floor(rpm * listenSeconds / SIXTY));
    }
}
