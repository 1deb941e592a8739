package tallledger.core.machine;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.ledger.Payload;
import tallledger.core.motion.AxisId;
import tallledger.core.reading.Mass;
import tallledger.core.reading.Power;
import tallledger.core.reading.Series;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.said.SaidText;
import tallledger.core.supply.Voltage;
import tallledger.core.unit.LengthUnit;

/**
 * Something said of the machine, by whom, in their own words. Two sources that disagree are two claims.
 *
 * @param attribute what it is about
 * @param value     the value claimed, as typed
 * @param source    who says so
 * @param wording   their exact words, may be empty
 * @param axis      the axis it is about, where a person chose one; empty otherwise
 * @param tiedTo    keys of the steps and speeds that test it, where a person tied some
 */
public record Claim(Attribute attribute, String value, Source source, String wording, Optional<AxisId> axis, List<String> tiedTo) {

    public static final int LONGEST_WORDING = 400;

    /** What a claim can be about, and how its value is read. */
    public enum Attribute {
        SPEED_COUNT(Form.COUNT), SLOWEST_SPEED(Form.SPEED), FASTEST_SPEED(Form.SPEED), SPEED(Form.SPEED), SPEED_LIST(Form.TEXT),
        SPEEDS_WORK(Form.TEXT), REVERSES(Form.TEXT), FEED_COUNT(Form.COUNT), SLOWEST_FEED(Form.TEXT), FASTEST_FEED(Form.TEXT),
        THREAD_COUNT(Form.COUNT), TABLE_SIZE(Form.TEXT), WHEEL_SIZE(Form.TEXT), RATIO(Form.TEXT),
        SWING(Form.LENGTH), GAP_SWING(Form.LENGTH), SLIDE_SWING(Form.LENGTH),
        ACCURACY(Form.LENGTH), BETWEEN_CENTRES(Form.LENGTH), TRAVEL(Form.LENGTH), DRILLING_CAPACITY(Form.LENGTH),
        UNDER_SPINDLE(Form.LENGTH), ARM_RADIUS(Form.LENGTH),
        THROAT(Form.LENGTH), BORE(Form.LENGTH), CHUCK_SIZE(Form.LENGTH), REST_SIZE(Form.LENGTH), TAPER(Form.TEXT),
        MOTOR_POWER(Form.POWER), DRIVE_RATING(Form.POWER), WEIGHT(Form.MASS), SUPPLY(Form.VOLTAGE), HOURS(Form.HOURS), YEAR(Form.TEXT),
        REBUILT_BY(Form.TEXT),
        REDONE(Form.TEXT), FROM_STORAGE(Form.TEXT),
        NEARLY_ALL_RUN(Form.TEXT), NO_BACKLASH(Form.TEXT), COLLETS(Form.SERIES), KIT_COUNT(Form.SERIES), CONDITION(Form.TEXT),
        FUNCTION(Form.TEXT), WAYS(Form.TEXT), SCREWS(Form.TEXT), SERVICED(Form.TEXT), ADMISSION(Form.TEXT), OTHER(Form.TEXT);

        private final Form form;

        Attribute(Form form) {
            this.form = form;
        }

        public Form form() {
            return form;
        }

        /** What it is said of. */
        public Subject subject() {
            return switch (this) {
                case SPEED_COUNT, SLOWEST_SPEED, FASTEST_SPEED, SPEED, SPEED_LIST, SPEEDS_WORK, REVERSES, RATIO -> Subject.SPEEDS;
                case FEED_COUNT, SLOWEST_FEED, FASTEST_FEED, THREAD_COUNT -> Subject.FEEDS;
                case SWING, GAP_SWING, SLIDE_SWING, BETWEEN_CENTRES, TRAVEL, DRILLING_CAPACITY, UNDER_SPINDLE, ARM_RADIUS, THROAT, BORE,
                        TAPER, TABLE_SIZE, WHEEL_SIZE, CHUCK_SIZE, REST_SIZE, WEIGHT ->
                    Subject.SIZE;
                case MOTOR_POWER, DRIVE_RATING, SUPPLY -> Subject.POWER;
                case ACCURACY, NO_BACKLASH, WAYS, SCREWS, CONDITION, FUNCTION, ADMISSION -> Subject.CONDITION;
                case HOURS, YEAR, REBUILT_BY, REDONE, FROM_STORAGE, NEARLY_ALL_RUN, SERVICED -> Subject.PAST;
                case COLLETS, KIT_COUNT -> Subject.KIT;
                case OTHER -> Subject.WORDS;
            };
        }
    }

    /** What claims are about, in the order they are offered. */
    public enum Subject {
        SPEEDS, FEEDS, SIZE, POWER, CONDITION, PAST, KIT, WORDS
    }

    /** How a claimed value is read. */
    public enum Form { COUNT, SERIES, SPEED, LENGTH, POWER, MASS, VOLTAGE, HOURS, TEXT }

    /** Who says so. */
    public enum Source { PLATE, ADVERTISEMENT, SELLER, FORMER_OPERATOR, MANUAL, TEST_CHART }

    /** About no axis. */
    public Claim(Attribute attribute, String value, Source source, String wording) {
        this(attribute, value, source, wording, Optional.empty());
    }

    /** Tied to nothing. */
    public Claim(Attribute attribute, String value, Source source, String wording, Optional<AxisId> axis) {
        this(attribute, value, source, wording, axis, List.of());
    }

    public Claim {
        tiedTo = List.copyOf(tiedTo);
        if (value.isBlank()) {
            throw Refused.because(MachineReason.CLAIM_EMPTY);
        }
        if (value.length() > Identity.LONGEST) {
            throw Refused.because(CommonReason.TEXT_LONG, value.length(), Identity.LONGEST);
        }
        if (wording.length() > LONGEST_WORDING) {
            throw Refused.because(CommonReason.TEXT_LONG, wording.length(), LONGEST_WORDING);
        }
    }

    /** Checks the value against its form, so that a mistyped number is caught where it was typed. */
    public static Claim checked(Attribute attribute, String value, Source source, String wording, Optional<AxisId> axis, LengthUnit unit) {
        switch (attribute.form()) {
            case COUNT -> {
                TypedNumber count = TypedNumber.parsePositive(value);
                if (count.value().stripTrailingZeros().scale() > 0 || count.value().precision() > 4) {
                    throw Refused.because(MachineReason.CLAIM_COUNT, value);
                }
            }
            case SERIES -> Series.parse(value);
            case SPEED, HOURS -> TypedNumber.parsePositive(value.replaceAll("(?i)\\s*(rpm|hours?|h)$", ""));
            case LENGTH -> TypedLength.parse(value, unit);
            case POWER -> Power.parse(value, unit);
            case MASS -> Mass.parse(value, unit);
            case VOLTAGE -> Voltage.parse(value);
            case TEXT -> {
            }
        }
        return new Claim(attribute, value.strip(), source, wording.strip(), axis);
    }

    /** What of it there should be so many: its words without the count; collets as they are. */
    public String thing() {
        String said = attribute == Attribute.COLLETS ? "collets" : SaidText.withoutCount(wording);
        return said.isBlank() ? "kit" : said;
    }

    /** The same, tested by steps and speeds. */
    public Claim tiedTo(List<String> tasks) {
        return new Claim(attribute, value, source, wording, axis, tasks);
    }

    /** How many it claims; empty where it is no count. */
    public Optional<Integer> count() {
        return switch (attribute.form()) {
            case COUNT -> Optional.of(TypedNumber.parsePositive(value).value().intValue());
            case SERIES -> Optional.of(Series.parse(value).count());
            default -> Optional.empty();
        };
    }

    /** A claimed length in mm, to a tenth, to stand beside what was typed; empty for anything that is no length. */
    public Optional<BigDecimal> millimetres(LengthUnit unit) {
        return attribute.form() == Form.LENGTH
                ? Optional.of(TypedLength.parse(value, unit).mm().setScale(1, RoundingMode.HALF_UP).stripTrailingZeros())
                : Optional.empty();
    }

    public Map<String, Object> toPayload() {
        return Map.of("attribute", attribute.name(), "value", value, "source", source.name(), "wording", wording, "axis",
                axis.map(AxisId::written).orElse(""), "tiedTo", tiedTo);
    }

    public static Claim from(Payload p) {
        return new Claim(Attribute.valueOf(p.text("attribute")), p.text("value"), Source.valueOf(p.text("source")),
                p.text("wording"), p.optionalText("axis").flatMap(AxisId::read), tied(p));
    }

    /** Older descriptions tie a claim to one step, or to none. */
    private static List<String> tied(Payload p) {
        return p.has("tiedTo") ? p.texts("tiedTo") : p.optionalText("testedBy").filter(t -> !t.isEmpty()).stream().toList();
    }
}
