package tallledger.core.film;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;

/**
 * Frames a second of a film, from the times of frames that follow one another: the median of their intervals. It varies where an interval
 * is more than a tenth off the median (W 4.8); it sets an uncertainty only, since every time is a frame's own.
 *
 * <p>Worked: frames at 0, 0.04, 0.08, 0.12 s: 25 a second. At 0, 0.04, 0.08, 0.13 s it varies, the longest interval 0.05 s.
 *
 * @param perSecond f, to a thousandth
 * @param longest   longest interval, s
 * @param varies    whether an interval is over a tenth off the median
 */
public record FrameRate(BigDecimal perSecond, BigDecimal longest, boolean varies) {

    /** More are no help. */
    public static final int MOST_TIMES = 2000;
    private static final int FEWEST_INTERVALS = 3;
    private static final BigDecimal OFF = new BigDecimal("0.1");
    private static final int THOUSANDTH = 3;

    /**
     * @param typed times in s, parted by blanks, in the order of the frames
     * @return empty where there are too few to tell
     * @throws Refused where one is no time, or the times run back
     */
    public static Optional<FrameRate> parse(String typed) {
        List<String> parts = Arrays.stream(typed.strip().split("\\s+")).filter(t -> !t.isEmpty()).toList();
        if (parts.size() > MOST_TIMES) {
            throw Refused.because(FilmReason.FILM_TIMES_MANY, parts.size(), MOST_TIMES);
        }
        return of(parts.stream().map(FrameRate::time).toList());
    }

    private static BigDecimal time(String typed) {
        if (!typed.matches("\\d{1,6}(?:\\.\\d{1,9})?")) {
            throw Refused.because(FilmReason.FILM_TIMES, typed.length() > 20 ? typed.substring(0, 20) : typed);
        }
        return new BigDecimal(typed);
    }

    /** @param times of frames that follow one another, s; a time twice is one frame shown twice */
    public static Optional<FrameRate> of(List<BigDecimal> times) {
        List<BigDecimal> intervals = new ArrayList<>();
        for (int i = 1; i < times.size(); i++) {
            BigDecimal interval = times.get(i).subtract(times.get(i - 1));
            if (interval.signum() < 0) {
                throw Refused.because(FilmReason.FILM_TIMES_BACK, times.get(i - 1), times.get(i));
            }
            if (interval.signum() > 0) {
                intervals.add(interval);
            }
        }
        if (intervals.size() < FEWEST_INTERVALS) {
            return Optional.empty();
        }
        List<BigDecimal> sorted = intervals.stream().sorted().toList();
        int half = sorted.size() / 2;
        BigDecimal median = sorted.size() % 2 == 1 ? sorted.get(half)
                : sorted.get(half - 1).add(sorted.get(half)).divide(BigDecimal.valueOf(2), MathContext.DECIMAL64);
        boolean varies = sorted.stream().anyMatch(i -> i.subtract(median).abs().compareTo(median.multiply(OFF)) > 0);
        return Optional.of(new FrameRate(BigDecimal.ONE.divide(median, MathContext.DECIMAL64).setScale(THOUSANDTH, RoundingMode.HALF_UP)
                .stripTrailingZeros(), sorted.get(sorted.size() - 1), varies));
    }

    /** In words. */
    public Reason says() {
        return varies ? Reason.of(FilmReason.FILM_RATE_VARIES, perSecond, longest) : Reason.of(FilmReason.FILM_RATE, perSecond);
    }
}
