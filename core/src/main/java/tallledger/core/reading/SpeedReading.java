package tallledger.core.reading;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Map;
import java.util.Optional;
import tallledger.core.gauge.Gauge;
import tallledger.core.reason.Refused;

/**
 * One reading of a spindle speed with its expanded uncertainty.
 *
 * <p>Tap count: n = 60·N/t, u(n)/n = u_t/t with u_t = 0.1 s for a person's first and last tap together (house rule).
 * Worked: 10 turns in 19.05 s are 31.50 min⁻¹, u/n = 0.1/19.05 = 0.52 %.
 *
 * @param method   how it was read
 * @param asTyped  the figures as typed, by the name of their field: reading, marks, turns, seconds
 * @param rpm      min⁻¹, the typed decimal itself for a tachometer
 * @param expanded U, min⁻¹, k = 2
 */
public record SpeedReading(Method method, Map<String, String> asTyped, BigDecimal rpm, double expanded) {

    /** u_t, s: a person's first and last tap together (house rule). */
    public static final double TAP_STANDARD_UNCERTAINTY = 0.1;
    /** Above this, min⁻¹, nobody counts turns (house rule). */
    public static final BigDecimal FASTEST_TAPPED = new BigDecimal("150");
    /** Fewest turns that make a tap count (house rule). */
    public static final int FEWEST_TURNS = 10;
    /** No machine tool of these families turns faster, min⁻¹; more is a slip of the finger. */
    private static final BigDecimal FASTEST = new BigDecimal("60000");
    private static final double SIXTY = 60;

    /** Most marks anybody puts on a spindle. */
    private static final BigDecimal MOST_MARKS = new BigDecimal("60");

    public SpeedReading {
        asTyped = Map.copyOf(asTyped);
        if (rpm.signum() <= 0 || !(expanded >= 0)) {
            throw Refused.because("number.not-positive", String.join(" ", asTyped.values()));
        }
        if (rpm.compareTo(FASTEST) > 0) {
            throw Refused.because("speed.impossible", String.join(" ", asTyped.values()), FASTEST);
        }
    }

    /** What it was read with, where nothing else is said; empty where turns were counted. */
    public Optional<Gauge> gauge() {
        return usual(method);
    }

    private static Optional<Gauge> usual(Method method) {
        return switch (method) {
            case CONTACT_TACHOMETER -> Optional.of(Gauge.HOUSE_TACHOMETER);
            case OPTICAL -> Optional.of(Gauge.HOUSE_OPTICAL);
            case STROBE -> Optional.of(Gauge.HOUSE_STROBE);
            case DISPLAY -> Optional.of(Gauge.HOUSE_DISPLAY);
            case TAP_COUNT -> Optional.empty();
        };
    }

    /** The figures as one text: "31.5", "126 from 4 marks", "10 turns in 19.05 s". */
    public String typed() {
        if (method == Method.TAP_COUNT) {
            return asTyped.get("turns") + " turns in " + asTyped.get("seconds") + " s";
        }
        return asTyped.containsKey("marks") ? asTyped.get("reading") + " from " + asTyped.get("marks") + " marks" : asTyped.get("reading");
    }

    /**
     * A figure as some instrument shows it.
     *
     * @param marks marks on the spindle, for an optical tachometer; empty counts as one
     * @throws Refused when a figure is none, or more marks are named than anybody puts on
     */
    public static SpeedReading shown(Method method, String text, String marks) {
        return shown(method, Optional.empty(), text, marks);
    }

    /** @param readWith the gauge a record names; the usual one of the method where it names none */
    public static SpeedReading shown(Method method, Optional<Gauge> readWith, String text, String marks) {
        Gauge gauge = readWith.or(() -> usual(method)).orElseThrow(() -> new IllegalArgumentException("turns are counted, not shown"));
        return method == Method.OPTICAL ? byMarks(text, marks.isBlank() ? "1" : marks, gauge) : read(method, text, gauge);
    }

    /** Shown over m; its uncertainty goes down with it. Worked: 126.0 from 4 marks is 31.5. */
    private static SpeedReading byMarks(String text, String marksText, Gauge gauge) {
        TypedNumber shown = TypedNumber.parsePositive(text);
        TypedNumber marks = TypedNumber.parsePositive(marksText);
        if (marks.value().stripTrailingZeros().scale() > 0 || marks.value().compareTo(MOST_MARKS) > 0) {
            throw Refused.because("optical.marks", marksText.strip(), MOST_MARKS);
        }
        double u = gauge.reading(shown.value(), shown.step()).expanded();
        return new SpeedReading(Method.OPTICAL, Map.of("reading", shown.typed(), "marks", marks.typed()),
                shown.value().divide(marks.value(), MathContext.DECIMAL64).stripTrailingZeros(),
                u / marks.value().doubleValue());
    }

    /** A reading as shown by the gauge; its own last digit counts where it is coarser than the gauge's resolution. */
    public static SpeedReading byTachometer(String text, Gauge gauge) {
        return read(Method.CONTACT_TACHOMETER, text, gauge);
    }

    private static SpeedReading read(Method method, String text, Gauge gauge) {
        TypedNumber shown = TypedNumber.parsePositive(text);
        double u = gauge.reading(shown.value(), shown.step()).expanded();
        return new SpeedReading(method, Map.of("reading", shown.typed()), shown.value(), u);
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
        double relative = Math.hypot(TAP_STANDARD_UNCERTAINTY, seconds.step().doubleValue() / Math.sqrt(12)) / seconds.value().doubleValue();
        Map<String, String> typed = Map.of("turns", turns.toPlainString(), "seconds", seconds.typed());
        return new SpeedReading(Method.TAP_COUNT, typed, rpm.setScale(2, RoundingMode.HALF_UP),
                Gauge.COVERAGE_FACTOR * relative * rpm.doubleValue());
    }

    /** Turns worth counting in a listening time, s, at a speed: as many as it holds, at least ten (house rule). */
    public static int turnsToCount(double rpm, double listenSeconds) {
        return Math.max(FEWEST_TURNS, (int) Math.floor(rpm * listenSeconds / SIXTY));
    }
}
