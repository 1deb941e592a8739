package tallledger.core.gauge;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import tallledger.core.reason.Refused;

/**
 * A gauge: u = √((a/√12)² + (U_cal/2)² + s²) for a single reading (W 3.1); s is that of its own repeatability, where it is known.
 *
 * @param name        what the user calls it
 * @param resolution  a, in the unit of the reading
 * @param calibration U_cal (k = 2) as a share of the reading, 0.005 for 0.5 %
 * @param paper       what is known of this very gauge beyond its kind; empty for the house's usual one
 */
public record Gauge(String name, BigDecimal resolution, BigDecimal calibration, Optional<Calibration> paper) {

    /** k of every expanded uncertainty that does not come from a few repeats. */
    public static final double COVERAGE_FACTOR = 2;
    /** A digit a is open by a/√12, as a standard uncertainty. */
    public static final double RECTANGULAR = Math.sqrt(12);

    /**
     * What a gauge's papers say.
     *
     * @param fixed         U_cal (k = 2) in the unit of the reading, beside the share; nought where the certificate gives a share only
     * @param repeatability s of one reading taken again, in the unit of the reading; nought where nobody knows it
     * @param certificate   its number; may be empty
     * @param due           last day its calibration is good for; empty where nobody says
     */
    public record Calibration(BigDecimal fixed, BigDecimal repeatability, String certificate, Optional<LocalDate> due) {

        private static Calibration from(Map<String, Object> kept) {
            return new Calibration(new BigDecimal((String) kept.get("fixed")), new BigDecimal((String) kept.get("repeatability")),
                    (String) kept.get("certificate"),
                    Optional.of((String) kept.get("due")).filter(d -> !d.isEmpty()).map(LocalDate::parse));
        }
    }

    public Gauge {
        if (resolution.signum() < 0 || calibration.signum() < 0 || paper.filter(p -> p.fixed.signum() < 0 || p.repeatability.signum() < 0)
                .isPresent()) {
            throw Refused.because(GaugeReason.GAUGE_NEGATIVE, name);
        }
    }

    /** The usual one of a kind. */
    public Gauge(String name, BigDecimal resolution, BigDecimal calibration) {
        this(name, resolution, calibration, Optional.empty());
    }

    /** Whether its calibration had run out by that day. */
    public boolean isOverdue(LocalDate day) {
        return due().filter(day::isAfter).isPresent();
    }

    public Optional<LocalDate> due() {
        return paper.flatMap(Calibration::due);
    }

    /** As an entry keeps it: decimals as text. */
    public Map<String, Object> toPayload() {
        Map<String, Object> kept = new HashMap<>(Map.of("name", name, "resolution", resolution.toPlainString(), "calibration",
                calibration.toPlainString()));
        paper.ifPresent(p -> kept.putAll(Map.of("fixed", p.fixed.toPlainString(), "repeatability", p.repeatability.toPlainString(),
                "certificate", p.certificate, "due", p.due.map(LocalDate::toString).orElse(""))));
        return kept;
    }

    /** @throws RuntimeException where a field is missing or no number */
    public static Gauge from(Map<String, Object> kept) {
        try {
            return new Gauge((String) kept.get("name"), new BigDecimal((String) kept.get("resolution")),
                    new BigDecimal((String) kept.get("calibration")),
                    kept.containsKey("fixed") ? Optional.of(Calibration.from(kept)) : Optional.empty());
        } catch (DateTimeException day) {
            throw new IllegalArgumentException(day);
        }
    }

    /** Of one reading before anything is known of its calibration: its digit, and how it repeats. */
    public double alone() {
        return Math.hypot(resolution.doubleValue() / RECTANGULAR, repeatability());
    }

    /** s of one reading, nought where nobody knows it. */
    public double repeatability() {
        return paper.map(p -> p.repeatability.doubleValue()).orElse(0.0);
    }

    /** What its calibration leaves open of a figure of this size, as a standard uncertainty. */
    public double calibrated(double figure) {
        return Math.hypot(calibration.doubleValue() * figure, paper.map(p -> p.fixed.doubleValue()).orElse(0.0)) / COVERAGE_FACTOR;
    }

    /**
     * Of one reading.
     *
     * @param reading what the gauge shows
     * @param step    worth of the last digit written down
     */
    public Uncertainty reading(BigDecimal reading, BigDecimal step) {
        return Uncertainty.of(digit(step).doubleValue() / RECTANGULAR, calibrated(reading.doubleValue()))
                .scattering(repeatability());
    }

    /**
     * What a reading is open by: the resolution of this very gauge, where somebody said which it was (W 3.1); of the usual one nobody
     * knows how fine it was, so the last digit written down counts where it is coarser.
     */
    private BigDecimal digit(BigDecimal step) {
        return paper.isPresent() && resolution.signum() > 0 ? resolution : resolution.max(step);
    }

    /** Of the difference of two readings, such as TIR, play or backlash: the digit counts √2 times, and so does how the gauge repeats. */
    public Uncertainty difference(BigDecimal difference, BigDecimal step) {
        Uncertainty one = reading(difference, step);
        return Uncertainty.of(Math.sqrt(2) * one.digit(), one.calibration()).scattering(Math.sqrt(2) * one.scatter());
    }
}
