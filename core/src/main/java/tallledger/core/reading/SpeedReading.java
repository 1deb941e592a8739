package tallledger.core.reading;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import tallledger.core.gauge.Gauge;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * One reading of a spindle speed with its expanded uncertainty.
 *
 * <p>Tap count: n = 60·N/t, u(n)/n = u_t/t with u_t = 0.1 s for a person's first and last tap together ({@link Rule#STOPWATCH}).
 * Worked: 10 turns in 19.05 s are 31.50 min⁻¹, u/n = 0.1/19.05 = 0.52 %.
 *
 * @param method   how it was read
 * @param asTyped  the figures as typed, by the name of their field: reading, marks, factor, turns, seconds
 * @param rpm      min⁻¹, the typed decimal itself for a tachometer
 * @param digit    worth of the last digit of what was shown, or of the seconds
 * @param readWith the gauge, where a record names it
 */
public record SpeedReading(Method method, Map<String, String> asTyped, BigDecimal rpm, BigDecimal digit, Optional<Gauge> readWith) {

    /** Above this, min⁻¹, nobody counts turns (house rule). */
    public static final BigDecimal FASTEST_TAPPED = new BigDecimal("150");
    /** Fewest turns that make a tap count (house rule). */
    public static final int FEWEST_TURNS = 10;
    /** No machine tool of these families turns faster, min⁻¹; more is a slip of the finger. */
    private static final BigDecimal FASTEST = new BigDecimal("60000");
    private static final double SIXTY = 60;

    private static final int LONGEST = 60;
    private static final Pattern ABOUT = Pattern
            .compile("(?i)(?:about|around|roughly|approx\\.?|ca\\.?|~|≈)\\s*(?<figure>\\d.*?)\\s*(?:rpm)?");
    private static final Pattern AS_IT_GOES = Pattern
            .compile("(?i)(?<figure>\\d.*?)\\s*(?:rpm)?[,;]?\\s*(?:about )?as (?:low|slow|high|fast) as it goes");
    /** Of the figure, from the lowest to the highest it may be where it is said with "about". */
    private static final BigDecimal LEFT_OPEN = new BigDecimal("0.1");

    /** Most marks anybody puts on a spindle. */
    private static final BigDecimal MOST_MARKS = new BigDecimal("60");

    public SpeedReading {
        asTyped = Map.copyOf(asTyped);
        if (rpm.signum() <= 0) {
            throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, String.join(" ", asTyped.values()));
        }
        if (rpm.compareTo(FASTEST) > 0) {
            throw Refused.because(ReadingReason.SPEED_IMPOSSIBLE, String.join(" ", asTyped.values()), FASTEST);
        }
    }

    /** What it was read with: the gauge its record names, else the house's usual one; empty where turns were counted. */
    public Optional<Gauge> gauge(Rules rules) {
        return readWith.or(() -> usual(method).map(rules::gauge));
    }

    /** What a speed is usually read with that way; empty where turns are counted. */
    public static Optional<Rule> usual(Method method) {
        return switch (method) {
            case CONTACT_TACHOMETER -> Optional.of(Rule.TACHOMETER);
            case OPTICAL -> Optional.of(Rule.OPTICAL);
            case STROBE -> Optional.of(Rule.STROBE);
            case DISPLAY, DISPLAY_BEFORE_GEAR -> Optional.of(Rule.DISPLAY);
            case TAP_COUNT, FILM_TAPS, FILM_FRAMES -> Optional.empty();
        };
    }

    /** U, min⁻¹, k = 2. That of a gauge goes down with the marks it was shown over. */
    public double expanded(Rules rules) {
        Optional<Gauge> gauge = gauge(rules);
        if (gauge.isPresent()) {
            BigDecimal marks = asTyped.containsKey("marks") ? typed("marks") : BigDecimal.ONE;
            double behind = asTyped.containsKey("factor") ? TypedRatio.parse(asTyped.get("factor")).doubleValue() : 1;
            return gauge.get().reading(typed("reading"), digit).expanded() / marks.doubleValue() * behind;
        }
        Optional<FilmCount> film = inFilm();
        if (film.isPresent()) {
            return Gauge.COVERAGE_FACTOR * film.get().relative(rules.value(Rule.STOPWATCH)) * film.get().rpm().doubleValue();
        }
        double seconds = typed("seconds").doubleValue();
        double relative = Math.hypot(rules.value(Rule.STOPWATCH), digit.doubleValue() / Math.sqrt(12)) / seconds;
        return Gauge.COVERAGE_FACTOR * relative * SIXTY * typed("turns").doubleValue() / seconds;
    }

    /** The count in a film that it is; empty for any other reading. */
    public Optional<FilmCount> inFilm() {
        return method.isOfFilm() ? Optional.of(FilmCount.parse(asTyped.get("turns"), asTyped.get("seconds"), asTyped.get("rate"),
                asTyped.getOrDefault("playing", ""), asTyped.getOrDefault("marks", ""))) : Optional.empty();
    }

    private BigDecimal typed(String field) {
        return said(asTyped.get(field)).value();
    }

    /**
     * A figure as somebody says it: "about 60" and "60, about as low as it goes" are 60 with a twentieth to either side left open (house
     * rule). Worked: about 60 is good to 57 … 63, u = 6/√12 = 1.7.
     */
    private static TypedNumber said(String text) {
        String typed = TypedNumber.shortEnough(text, LONGEST);
        Optional<String> about = Stream.of(ABOUT, AS_IT_GOES).map(p -> p.matcher(typed)).filter(Matcher::matches)
                .map(m -> m.group("figure")).findFirst();
        if (about.isEmpty()) {
            return TypedNumber.parsePositive(text);
        }
        TypedNumber figure = TypedNumber.parsePositive(about.get());
        return new TypedNumber(typed, figure.value(), figure.value().multiply(LEFT_OPEN).max(figure.step()));
    }

    /** The figures as one text: "31.5", "126 from 4 marks", "10 turns in 19.05 s". */
    public String typed() {
        if (!method.isShown()) {
            return asTyped.get("turns") + " turns in " + asTyped.get("seconds") + " s";
        }
        if (asTyped.containsKey("factor")) {
            return asTyped.get("reading") + " × " + asTyped.get("factor");
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
        if (!method.isShown()) {
            throw new IllegalArgumentException("turns are counted, not shown");
        }
        return method == Method.OPTICAL ? byMarks(text, marks.isBlank() ? "1" : marks, readWith) : read(method, text, readWith);
    }

    /** Shown before a back gear whose ratio is typed, as a number, a reduction or in wheels. Worked: 520 before 5.2:1 is 100. */
    public static SpeedReading beforeGear(Optional<Gauge> readWith, String text, String factor) {
        TypedNumber shown = said(text);
        if (factor.isBlank()) {
            throw Refused.because(ReadingReason.FACTOR_MISSING).at("factor");
        }
        BigDecimal ratio;
        try {
            ratio = TypedRatio.parse(factor);
        } catch (Refused refused) {
            throw refused.at("factor");
        }
        return new SpeedReading(Method.DISPLAY_BEFORE_GEAR, Map.of("reading", shown.typed(), "factor", factor.strip()),
                shown.value().multiply(ratio).round(MathContext.DECIMAL64).stripTrailingZeros(), shown.step(), readWith);
    }

    /** Shown over m; its uncertainty goes down with it. Worked: 126.0 from 4 marks is 31.5. */
    private static SpeedReading byMarks(String text, String marksText, Optional<Gauge> readWith) {
        TypedNumber shown = said(text);
        TypedNumber marks = TypedNumber.parsePositive(marksText);
        if (marks.value().stripTrailingZeros().scale() > 0 || marks.value().compareTo(MOST_MARKS) > 0) {
            throw Refused.because(ReadingReason.OPTICAL_MARKS, marksText.strip(), MOST_MARKS);
        }
        return new SpeedReading(Method.OPTICAL, Map.of("reading", shown.typed(), "marks", marks.typed()),
                shown.value().divide(marks.value(), MathContext.DECIMAL64).stripTrailingZeros(), shown.step(), readWith);
    }

    /** A reading as shown by a tachometer; its own last digit counts where it is coarser than the gauge's resolution. */
    public static SpeedReading byTachometer(String text) {
        return read(Method.CONTACT_TACHOMETER, text, Optional.empty());
    }

    private static SpeedReading read(Method method, String text, Optional<Gauge> readWith) {
        TypedNumber shown = said(text);
        return new SpeedReading(method, Map.of("reading", shown.typed()), shown.value(), shown.step(), readWith);
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
            throw Refused.because(ReadingReason.TAPS_PART_TURN, turnsText.strip());
        }
        if (turns.compareTo(BigDecimal.valueOf(FEWEST_TURNS)) < 0) {
            throw Refused.because(ReadingReason.TAPS_TOO_FEW, turns, FEWEST_TURNS);
        }
        BigDecimal rpm = turns.multiply(BigDecimal.valueOf(60)).divide(seconds.value(), MathContext.DECIMAL64);
        if (rpm.compareTo(FASTEST_TAPPED) > 0) {
            throw Refused.because(ReadingReason.TAPS_TOO_FAST, rpm.setScale(0, RoundingMode.HALF_UP), FASTEST_TAPPED);
        }
        Map<String, String> typed = Map.of("turns", turns.toPlainString(), "seconds", seconds.typed());
        return new SpeedReading(Method.TAP_COUNT, typed, rpm.setScale(2, RoundingMode.HALF_UP), seconds.step(), Optional.empty());
    }

    /**
     * Turns counted in a film.
     *
     * @param rate    frames a second
     * @param playing how fast it played while it was tapped; empty where it was told frame by frame
     * @param marks   marks alike a turn in the picture; empty for one
     * @throws Refused naming the field, where a figure is none or the film cannot show such a speed
     */
    public static SpeedReading byFilm(String turns, String seconds, String rate, String playing, String marks) {
        FilmCount count = FilmCount.parse(turns, seconds, rate, playing, marks);
        Map<String, String> typed = new HashMap<>(Map.of("turns", turns.strip(), "seconds", seconds.strip(), "rate", rate.strip()));
        count.playing().ifPresent(q -> typed.put("playing", playing.strip()));
        if (!marks.isBlank()) {
            typed.put("marks", marks.strip());
        }
        return new SpeedReading(count.playing().isPresent() ? Method.FILM_TAPS : Method.FILM_FRAMES, typed,
                count.rpm().setScale(2, RoundingMode.HALF_UP), count.seconds().step(), Optional.empty());
    }

    /** Turns worth counting in a listening time, s, at a speed: as many as it holds, at least ten (house rule). */
    public static int turnsToCount(double rpm, double listenSeconds) {
        return Math.max(FEWEST_TURNS, (int) Math.floor(rpm * listenSeconds / SIXTY));
    }
}
