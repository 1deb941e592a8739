package tallledger.core.verdict;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.machine.Claim;
import tallledger.core.reading.Power;
import tallledger.core.reason.Reason;
import tallledger.core.survey.Footage.HeardThing;
import tallledger.core.survey.Survey;
import tallledger.core.survey.Task;
import tallledger.core.unit.LengthUnit;

/**
 * A claim against the evidence.
 *
 * @param claim    what is said, by whom
 * @param standing how it stands
 * @param because  the evidence, or what is lacking
 * @param entries  entries it rests on
 * @param test     what would test it next; empty where nothing is left or nothing does
 * @param heard    where it was heard during the survey; empty for one of the machine's description
 */
public record ClaimVerdict(Claim claim, Standing standing, Reason because, List<Integer> entries, Optional<Task> test,
        Optional<HeardThing> heard) {

    public enum Standing { UPHELD, SHORT, BETTER, CONTRADICTED, UNTESTED }

    public ClaimVerdict {
        entries = List.copyOf(entries);
    }

    /** Of the machine's description. */
    ClaimVerdict(Claim claim, Standing standing, Reason because, List<Integer> entries, Optional<Task> test) {
        this(claim, standing, because, entries, test, Optional.empty());
    }

    static ClaimVerdict untested(Claim claim, VerdictReason code) {
        return new ClaimVerdict(claim, Standing.UNTESTED, Reason.of(code), List.of(), Optional.empty());
    }

    /** Every claim against all that was recorded: those of the machine's description in its order, then those heard since. */
    public static List<ClaimVerdict> of(Survey survey) {
        SeenInFilms films = new SeenInFilms(survey);
        return Stream.concat(survey.machine().claims().stream().map(claim -> of(claim, survey)),
                survey.footage().claims().stream().map(h -> of(h.heard().claim().orElseThrow(), survey).heardAs(h)))
                .map(v -> v.seen(films)).toList();
    }

    private ClaimVerdict heardAs(HeardThing thing) {
        return new ClaimVerdict(claim, standing, because, entries, test, Optional.of(thing));
    }

    private ClaimVerdict seen(SeenInFilms films) {
        return new ClaimVerdict(claim, standing, films.said(because, entries), entries, test, heard);
    }

    private static ClaimVerdict of(Claim claim, Survey survey) {
        if (!claim.tiedTo().isEmpty()) {
            return ClaimsOfSteps.tied(claim, survey);
        }
        return switch (claim.attribute()) {
            case SPEED_COUNT, SLOWEST_SPEED, FASTEST_SPEED, SPEED, SPEED_LIST, SPEEDS_WORK, RATIO,
                    REVERSES ->
                ClaimsOfDrive.of(claim, survey.drive());
            case DRILLING_CAPACITY, TRAVEL, FEED_COUNT, THREAD_COUNT, COLLETS, KIT_COUNT, SWING, GAP_SWING, SLIDE_SWING,
                    TABLE_SIZE, BETWEEN_CENTRES, UNDER_SPINDLE, ARM_RADIUS,
                    THROAT, BORE, CHUCK_SIZE, REST_SIZE, SLOWEST_FEED, FASTEST_FEED, FUNCTION ->
                ClaimsOfSteps.of(claim, survey);
            case ACCURACY, REBUILT_BY, NEARLY_ALL_RUN, NO_BACKLASH, CONDITION, YEAR, WEIGHT, SUPPLY,
                    MOTOR_POWER, DRIVE_RATING, HOURS, WAYS, SCREWS, TAPER, SERVICED, ADMISSION, OTHER ->
                ClaimsOfTheWhole.of(claim, survey);
            default -> untested(claim, VerdictReason.CLAIM_NOT_COVERED);
        };
    }

    /**
     * Claims about one thing, whoever makes them.
     *
     * @param disagree whether they do not all say the same
     */
    public record ToldClaims(List<ClaimVerdict> claims, boolean disagree) {
    }

    /** The same by what they are about, in the order first named: sources that disagree stand side by side. */
    public static List<ToldClaims> byWhat(List<ClaimVerdict> all, LengthUnit unit) {
        Map<Object, List<ClaimVerdict>> about = new LinkedHashMap<>();
        for (ClaimVerdict v : all) {
            boolean single = v.claim.attribute().form() == Claim.Form.TEXT && v.claim.attribute() != Claim.Attribute.YEAR
                    && v.claim.attribute() != Claim.Attribute.REVERSES;
            Object key = single ? v : List.of(v.claim.attribute(), v.claim.axis());
            about.computeIfAbsent(key, k -> new ArrayList<>()).add(v);
        }
        return about.values().stream().map(some -> new ToldClaims(some, some.stream().map(v -> said(v.claim, unit)).distinct().count() > 1))
                .toList();
    }

    /** What is said, so that 12 in and 304.8 mm are the same. */
    private static Object said(Claim claim, LengthUnit unit) {
        return switch (claim.attribute().form()) {
            case LENGTH -> claim.millimetres(unit).orElseThrow();
            case COUNT, SERIES -> claim.count().orElseThrow();
            case POWER -> Power.parse(claim.value()).kilowatts().setScale(1, RoundingMode.HALF_UP).stripTrailingZeros();
            default -> claim.value().strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", "");
        };
    }
}
