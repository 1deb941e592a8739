package tallledger.core.unit;

import java.math.BigDecimal;
import java.math.MathContext;

/**
 * Every unit that figures are reckoned or shown in: value in the base unit of its dimension = figure · times / per (+ zero for a
 * temperature).
 *
 * <p>Worked: 1 in is 25.4 mm; 1 thou per 12 in is 1/12 mm/m; 68 °F are 20 °C.
 */
public enum Unit {
    /** A count, or a figure that is a bare number. */
    NUMBER("", Dimension.NUMBER, "1"),

    MILLIMETRES("mm", Dimension.LENGTH, "1"),
    MICROMETRES("µm", Dimension.LENGTH, "0.001"),
    INCHES("in", Dimension.LENGTH, "25.4"),
    THOU("thou", Dimension.LENGTH, "0.0254"),
    TENTHS("tenths", Dimension.LENGTH, "0.00254"),

    ROUGHNESS("µm", Dimension.ROUGHNESS, "1"),
    MICROINCHES("µin", Dimension.ROUGHNESS, "0.0254"),

    MILLIMETRES_PER_METRE("mm/m", Dimension.SLOPE, "1"),
    MICROMETRES_PER_METRE("µm/m", Dimension.SLOPE, "0.001"),
    THOU_PER_FOOT("thou per 12 in", Dimension.SLOPE, "1", "12"),
    MICROINCHES_PER_INCH("µin/in", Dimension.SLOPE, "0.001"),

    MILLIMETRES_PER_TURN("mm/rev", Dimension.FEED_PER_TURN, "1"),
    INCHES_PER_TURN("in/rev", Dimension.FEED_PER_TURN, "25.4"),
    MILLIMETRES_PER_MINUTE("mm/min", Dimension.FEED_PER_MINUTE, "1"),
    INCHES_PER_MINUTE("in/min", Dimension.FEED_PER_MINUTE, "25.4"),

    METRES_PER_MINUTE("m/min", Dimension.SURFACE_SPEED, "1"),
    METRES_PER_SECOND("m/s", Dimension.SURFACE_SPEED, "60"),
    FEET_PER_MINUTE("ft/min", Dimension.SURFACE_SPEED, "0.3048"),

    RPM("rpm", Dimension.ROTATION, "1"),
    SECONDS("s", Dimension.TIME, "1"),
    MINUTES("min", Dimension.TIME, "60"),

    KELVIN("K", Dimension.TEMPERATURE_DIFFERENCE, "1"),
    FAHRENHEIT_DEGREES("°F", Dimension.TEMPERATURE_DIFFERENCE, "5", "9"),
    CELSIUS("°C", Dimension.TEMPERATURE, "1"),
    FAHRENHEIT("°F", Dimension.TEMPERATURE, "5", "9", "32"),

    KILOWATTS("kW", Dimension.POWER, "1"),
    HORSEPOWER("hp", Dimension.POWER, "0.7457"),
    KILONEWTONS("kN", Dimension.FORCE, "1"),
    POUNDS_FORCE("lbf", Dimension.FORCE, "0.0044482216"),
    NEWTONS_PER_MM2("N/mm²", Dimension.CUTTING_FORCE, "1"),
    HORSEPOWER_PER_CUBIC_INCH("hp per in³/min", Dimension.CUTTING_FORCE, "2730"),
    NEWTON_METRES("N·m", Dimension.TORQUE, "1"),
    POUND_FEET("lb·ft", Dimension.TORQUE, "1.3558"),
    KILOGRAMS("kg", Dimension.MASS, "1"),
    POUNDS("lb", Dimension.MASS, "0.4536"),

    AMPERES("A", Dimension.CURRENT, "1"),
    VOLTS("V", Dimension.VOLTAGE, "1"),
    HERTZ("Hz", Dimension.FREQUENCY, "1"),
    DEGREES("°", Dimension.ANGLE, "1"),
    PERCENT("%", Dimension.SHARE, "0.01"),
    TIMES("×", Dimension.SHARE, "1"),
    CHANCE("of 1", Dimension.CHANCE, "1"),
    DECIBELS("dB", Dimension.LEVEL, "1"),
    /** Against each other only. */
    WEIGHT("", Dimension.WEIGHT, "1"),
    /** In the user's own money. */
    MONEY("", Dimension.MONEY, "1");

    /** Below so many mm an inch machine says thou: a tenth of an inch. */
    private static final BigDecimal THOU_UNDER = new BigDecimal("2.54");

    private final String symbol;
    private final Dimension dimension;
    private final BigDecimal times;
    private final BigDecimal per;
    private final BigDecimal zero;

    Unit(String symbol, Dimension dimension, String times) {
        this(symbol, dimension, times, "1");
    }

    Unit(String symbol, Dimension dimension, String times, String per) {
        this(symbol, dimension, times, per, "0");
    }

    /** @param zero what stands on this scale where the base unit stands at nought */
    Unit(String symbol, Dimension dimension, String times, String per, String zero) {
        this.symbol = symbol;
        this.dimension = dimension;
        this.times = new BigDecimal(times);
        this.per = new BigDecimal(per);
        this.zero = new BigDecimal(zero);
    }

    /** As it stands behind a figure; empty where nothing does. */
    public String symbol() {
        return symbol;
    }

    public Dimension dimension() {
        return dimension;
    }

    /**
     * A figure of this unit in another of its dimension, to 16 digits where it does not end.
     *
     * @throws IllegalArgumentException where the other counts something else
     */
    public BigDecimal to(Unit other, BigDecimal figure) {
        if (other.dimension != dimension) {
            throw new IllegalArgumentException(this + " is no " + other);
        }
        return other == this ? figure
                : figure.subtract(zero).multiply(times).multiply(other.per).divide(per.multiply(other.times), MathContext.DECIMAL64)
                        .add(other.zero);
    }

    /**
     * The unit that a figure of this one is shown in on such a machine: an inch machine shows inches, and thou where the figure and what
     * it leaves open are under a tenth of an inch. What the trade counts alike everywhere stays.
     *
     * @param size |figure| or U, whichever is more, in this unit
     */
    public Unit shownIn(LengthUnit machine, BigDecimal size) {
        return machine == LengthUnit.MM ? this : switch (this) {
            case MILLIMETRES -> size.compareTo(THOU_UNDER) < 0 ? THOU : INCHES;
            case MICROMETRES -> THOU;
            case ROUGHNESS -> MICROINCHES;
            case MILLIMETRES_PER_TURN -> INCHES_PER_TURN;
            case MILLIMETRES_PER_MINUTE -> INCHES_PER_MINUTE;
            case MILLIMETRES_PER_METRE -> THOU_PER_FOOT;
            case MICROMETRES_PER_METRE -> MICROINCHES_PER_INCH;
            // Wheels are marked by the minute where they are marked in feet.
            case METRES_PER_MINUTE, METRES_PER_SECOND -> FEET_PER_MINUTE;
            case KILONEWTONS -> POUNDS_FORCE;
            case NEWTONS_PER_MM2 -> HORSEPOWER_PER_CUBIC_INCH;
            case KILOGRAMS -> POUNDS;
            case KILOWATTS -> HORSEPOWER;
            case KELVIN -> FAHRENHEIT_DEGREES;
            case NEWTON_METRES -> POUND_FEET;
            default -> this;
        };
    }
}
