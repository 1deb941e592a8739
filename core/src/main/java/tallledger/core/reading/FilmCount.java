package tallledger.core.reading;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.reason.Refused;

/**
 * Turns counted in a film (W 4.8): n = 60·N/t, N turns in t seconds of the film.
 *
 * <p>Tapped while it plays at q times its speed: u_t = √((0.1·q)² + 1/(6·f²)), the person's two taps and two frames each even over 1/f.
 * Told frame by frame between two frames: u_t = 1/(f·√6). u(n)/n = u_t/t. f is the film's frames a second and sets u only.
 *
 * <p>A film shows what turns only as often as it has frames: with m marks a turn the mark moves n·m/(60·f) of its spacing a frame. Over
 * 0.4 nobody can tell which way it went. A count of n may as well be k·60·f/m ± n, k = 1, 2, …: see {@link #others}.
 *
 * <p>Worked: 10 turns in 9.52 s of a film of 25 frames, tapped at half its speed: 63.03 min⁻¹, u_t = √(0.05² + 0.01633²) = 0.0526 s,
 * U = 0.70 min⁻¹. At 25 frames and one mark 600 min⁻¹ is the fastest that can be counted; 63 may as well be 1 437 or 1 563.
 *
 * @param turns   N, whole
 * @param seconds t, of the film
 * @param frames  f, frames a second
 * @param playing q, how fast it played; empty where it was told frame by frame
 * @param marks   m, marks alike a turn in the picture
 */
public record FilmCount(BigDecimal turns, TypedNumber seconds, BigDecimal frames, Optional<BigDecimal> playing, BigDecimal marks) {

    /** Of its spacing a mark may move a frame (house rule). */
    public static final BigDecimal MOST_MOVE = new BigDecimal("0.4");
    /** Nobody plays a film faster and counts in it. */
    private static final BigDecimal FASTEST_PLAYING = new BigDecimal("4");
    private static final BigDecimal MOST_FRAMES = new BigDecimal("1000");
    private static final BigDecimal MOST_MARKS = new BigDecimal("60");
    private static final BigDecimal A_MINUTE = BigDecimal.valueOf(60);
    private static final double FRAMES_OPEN = 6;
    /** Further multiples of the frame rate than any machine tool turns. */
    private static final int MOST_MULTIPLES = 1000;

    /**
     * As it stands in its fields.
     *
     * @param playing empty for frame by frame
     * @param marks   empty for one
     * @throws Refused naming the field, where a figure is none, or no film can show such a speed
     */
    static FilmCount parse(String turns, String seconds, String rate, String playing, String marks) {
        BigDecimal counted = at("turns", () -> TypedNumber.parsePositive(turns).value());
        if (counted.stripTrailingZeros().scale() > 0) {
            throw Refused.because(ReadingReason.TAPS_PART_TURN, turns.strip()).at("turns");
        }
        TypedNumber took = at("seconds", () -> TypedNumber.parsePositive(seconds));
        BigDecimal frames = at("rate", () -> TypedNumber.parsePositive(rate).value());
        if (frames.compareTo(MOST_FRAMES) > 0) {
            throw Refused.because(ReadingReason.FILM_FRAMES, rate.strip(), MOST_FRAMES).at("rate");
        }
        Optional<BigDecimal> played = playing.isBlank() ? Optional.empty()
                : Optional.of(at("playing", () -> TypedNumber.parsePositive(playing).value()));
        if (played.filter(q -> q.compareTo(FASTEST_PLAYING) > 0).isPresent()) {
            throw Refused.because(ReadingReason.FILM_PLAYING, playing.strip(), FASTEST_PLAYING).at("playing");
        }
        BigDecimal alike = marks.isBlank() ? BigDecimal.ONE : at("marks", () -> TypedNumber.parsePositive(marks).value());
        if (alike.stripTrailingZeros().scale() > 0 || alike.compareTo(MOST_MARKS) > 0) {
            throw Refused.because(ReadingReason.OPTICAL_MARKS, marks.strip(), MOST_MARKS).at("marks");
        }
        return new FilmCount(counted, took, frames, played, alike).seen();
    }

    private static <T> T at(String field, java.util.function.Supplier<T> read) {
        try {
            return read.get();
        } catch (Refused refused) {
            throw refused.at(field);
        }
    }

    private FilmCount seen() {
        if (rpm().compareTo(fastestSeen()) > 0) {
            throw Refused.because(ReadingReason.FILM_TOO_FAST, whole(rpm()), frames, marks, whole(fastestSeen())).at("turns");
        }
        playing.map(q -> SpeedReading.FASTEST_TAPPED.divide(q, MathContext.DECIMAL64)).filter(most -> rpm().compareTo(most) > 0)
                .ifPresent(most -> {
                    throw Refused.because(ReadingReason.FILM_TAPS_TOO_FAST, whole(rpm()), playing.orElseThrow(), whole(most)).at("turns");
                });
        return this;
    }

    private static BigDecimal whole(BigDecimal rpm) {
        return rpm.setScale(0, RoundingMode.HALF_UP);
    }

    /** n, min⁻¹. */
    public BigDecimal rpm() {
        return turns.multiply(A_MINUTE).divide(seconds.value(), MathContext.DECIMAL64);
    }

    /** The fastest that can be counted at this frame rate with these marks, min⁻¹: 0.4·60·f/m. */
    public BigDecimal fastestSeen() {
        return MOST_MOVE.multiply(A_MINUTE).multiply(frames).divide(marks, MathContext.DECIMAL64);
    }

    /** U(n)/n, k = 1. @param stopwatch u_t of a person's two taps, s */
    double relative(double stopwatch) {
        double frame = 1 / (frames.doubleValue() * Math.sqrt(FRAMES_OPEN));
        double person = playing.map(q -> stopwatch * q.doubleValue()).orElse(0.0);
        double digit = seconds.step().doubleValue() / Math.sqrt(12);
        return Math.hypot(Math.hypot(person, frame), digit) / seconds.value().doubleValue();
    }

    /**
     * What else it may turn at for all the film shows, min⁻¹, ascending: k·60·f/m − n and + n.
     *
     * @param most up to this
     */
    public List<Double> others(double most) {
        double step = 60 * frames.doubleValue() / marks.doubleValue();
        double n = rpm().doubleValue();
        List<Double> others = new ArrayList<>();
        for (int k = 1; k <= MOST_MULTIPLES && k * step - n <= most; k++) {
            others.add(k * step - n);
            if (k * step + n <= most) {
                others.add(k * step + n);
            }
        }
        return List.copyOf(others);
    }
}
