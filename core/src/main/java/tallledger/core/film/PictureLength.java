package tallledger.core.film;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import tallledger.core.gauge.Gauge;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * A length in a picture by a known one in the same plane (W 4.8): L = L₀·p/p₀, u(L)/L = √((u_p/p)² + (u_p/p₀)² + (u(L₀)/L₀)² + (d/D)²);
 * p and p₀ in pixels, u_p = 1.5 pixels for a length between two points set by hand (house), d how far the two planes are apart at
 * distance D from the camera, as a person states it; none where they say they are one.
 *
 * <p>Worked: 200.0 mm over 400 pixels, the other 150 pixels: 75 mm, u = 75·√(0.01² + 0.00375²) = 0.801 mm, U = 1.60 mm. With the planes
 * 20 mm apart at 1 000 mm: u = 1.70 mm.
 *
 * @param known      L₀, with u(L₀) from its last digit
 * @param knownSpan  p₀, pixels
 * @param span       p, pixels
 * @param apart      d/D
 */
public record PictureLength(TypedLength known, double knownSpan, double span, double apart) {

    /** u_p: of a length between two points set by hand, pixels (house rule). */
    public static final double POINTS = 1.5;
    /** A shorter one tells nothing, pixels. */
    private static final int SHORTEST = 10;
    private static final MathContext SHOWN = new MathContext(6);

    /**
     * @param points eight figures: the ends of the known length, then those of the other, x and y each, in pixels of the picture
     * @param apart  how far the planes are apart, and how far the camera was; both empty where they are one
     * @throws Refused naming points, known, apart or distance
     */
    public static PictureLength parse(String points, String known, String apart, String distance, LengthUnit unit) {
        List<Double> p = points(points);
        TypedLength length = at("known", () -> positive(known, unit));
        double p0 = Math.hypot(p.get(2) - p.get(0), p.get(3) - p.get(1));
        double p1 = Math.hypot(p.get(6) - p.get(4), p.get(7) - p.get(5));
        if (Math.min(p0, p1) < SHORTEST) {
            throw Refused.because(FilmReason.PICTURE_KNOWN, Math.round(Math.min(p0, p1)), SHORTEST).at("points");
        }
        return new PictureLength(length, p0, p1, planes(apart, distance, unit));
    }

    private static double planes(String apart, String distance, LengthUnit unit) {
        if (apart.isBlank() && distance.isBlank()) {
            return 0;
        }
        BigDecimal d = at("apart", () -> TypedLength.parse(apart, unit).mm().abs());
        BigDecimal from = at("distance", () -> positive(distance, unit).mm());
        if (d.compareTo(from) >= 0) {
            throw Refused.because(FilmReason.PICTURE_PLANE, apart.strip(), distance.strip()).at("apart");
        }
        return d.doubleValue() / from.doubleValue();
    }

    private static List<Double> points(String typed) {
        List<Double> read = new ArrayList<>();
        for (String part : Arrays.stream(typed.strip().split("[\\s,;]+")).filter(t -> !t.isEmpty()).toList()) {
            if (!part.matches("-?\\d{1,6}(?:\\.\\d{1,6})?")) {
                throw Refused.because(FilmReason.PICTURE_POINTS, part.length() > 20 ? part.substring(0, 20) : part).at("points");
            }
            read.add(Double.parseDouble(part));
        }
        if (read.size() != 8) {
            throw Refused.because(FilmReason.PICTURE_POINTS, read.size()).at("points");
        }
        return read;
    }

    private static TypedLength positive(String typed, LengthUnit unit) {
        TypedLength length = TypedLength.parse(typed, unit);
        if (length.mm().signum() <= 0) {
            throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, typed.strip());
        }
        return length;
    }

    private static <T> T at(String field, java.util.function.Supplier<T> read) {
        try {
            return read.get();
        } catch (Refused refused) {
            throw refused.at(field);
        }
    }

    /** L, mm. */
    public double length() {
        return known.mm().doubleValue() * span / knownSpan;
    }

    /** u(L), mm, k = 1. */
    public double standard() {
        double ends = Math.hypot(POINTS / span, POINTS / knownSpan);
        double measure = known.step().doubleValue() / Gauge.RECTANGULAR / known.mm().doubleValue();
        return length() * Math.hypot(Math.hypot(ends, measure), apart);
    }

    /** L with U, mm. */
    public Quantity measured() {
        return new Quantity(new BigDecimal(length()).round(SHOWN), Gauge.COVERAGE_FACTOR * standard(), Unit.MILLIMETRES);
    }

    /** As a gauge that a step's reading is read with: nothing but U of this very length, which stands in the papers' fixed part. */
    public Gauge gauge(String name) {
        return new Gauge(name, BigDecimal.ZERO, BigDecimal.ZERO, Optional.of(new Gauge.Calibration(
                new BigDecimal(Gauge.COVERAGE_FACTOR * standard()).round(SHOWN), BigDecimal.ZERO, "", Optional.empty())));
    }

    /** In words. */
    public Reason says() {
        return Reason.of(FilmReason.PICTURE_LENGTH, measured(), Math.round(span), Math.round(knownSpan));
    }
}
