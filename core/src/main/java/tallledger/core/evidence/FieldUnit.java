package tallledger.core.evidence;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Unit;

/** What bare figures of a field are counted in, on a metric machine and on an inch machine. */
public enum FieldUnit {
    NONE(Unit.NUMBER, Unit.NUMBER),
    LENGTH(Unit.MILLIMETRES, Unit.INCHES),
    /** A small length, as a dial shows it: a figure that is far too large for it is asked back. */
    DIAL(Unit.MILLIMETRES, Unit.INCHES),
    /** A slope, or what a level's division is worth. */
    SLOPE(Unit.MILLIMETRES_PER_METRE, Unit.THOU_PER_FOOT),
    ROUGHNESS(Unit.ROUGHNESS, Unit.MICROINCHES),
    /** Deviations of an axis or a circle. */
    DEVIATION(Unit.MICROMETRES, Unit.TENTHS),
    ANGLE_AND_DEVIATION(Unit.DEGREES, DEVIATION),
    TEMPERATURE(Unit.CELSIUS, Unit.FAHRENHEIT),
    MINUTES_AND_TEMPERATURE(Unit.MINUTES, TEMPERATURE),
    /** A surface past a tool. */
    SURFACE(Unit.METRES_PER_MINUTE, Unit.FEET_PER_MINUTE),
    /** What a wheel is marked. */
    WHEEL(Unit.METRES_PER_SECOND, Unit.FEET_PER_MINUTE),
    FORCE(Unit.KILONEWTONS, Unit.POUNDS_FORCE),
    SPEED(Unit.RPM, Unit.RPM),
    SECONDS(Unit.SECONDS, Unit.SECONDS),
    DEGREES(Unit.DEGREES, Unit.DEGREES),
    VOLTS(Unit.VOLTS, Unit.VOLTS),
    AMPERES(Unit.AMPERES, Unit.AMPERES),
    HERTZ(Unit.HERTZ, Unit.HERTZ);

    /** A figure without a unit behind it. */
    private static final Pattern FIGURE = Pattern.compile("(?<![\\w.])-?\\d+(?:\\.\\d+)?(?![\\w.])(?!\\s*[a-zA-Zµ°\"])");

    /** Of a first figure in each line; empty where there is one only. */
    private final Optional<Unit> first;
    private final Unit metric;
    private final Unit inch;

    FieldUnit(Unit metric, Unit inch) {
        this.first = Optional.empty();
        this.metric = metric;
        this.inch = inch;
    }

    /** Lines of two figures, the first alike everywhere. */
    FieldUnit(Unit first, FieldUnit second) {
        this.first = Optional.of(first);
        this.metric = second.metric;
        this.inch = second.inch;
    }

    /** As it stands beside a field of such a machine; empty where nothing does. */
    public String in(LengthUnit machine) {
        return first.map(f -> f.symbol() + ", ").orElse("") + unit(machine).symbol();
    }

    /** What a bare figure is counted in on such a machine; of a line of two, the second. */
    public Unit unit(LengthUnit machine) {
        return machine == LengthUnit.INCH ? inch : metric;
    }

    /**
     * Metric figures of such a field as they are typed at an inch machine; figures with a unit behind them stay. Worked: "20.5" °C is 68.9.
     */
    public String retyped(String text) {
        if (first.isPresent()) {
            return text.lines().flatMap(l -> Stream.of(l.split(";"))).map(l -> {
                String[] two = l.strip().split("\\s+", 2);
                return two.length < 2 ? l : two[0] + " " + figures(two[1]);
            }).collect(Collectors.joining("\n"));
        }
        return metric == inch ? text : figures(text);
    }

    private String figures(String text) {
        return FIGURE.matcher(text).replaceAll(m -> inches(new BigDecimal(m.group())));
    }

    private String inches(BigDecimal figure) {
        int places = this == WHEEL || this == FORCE ? 0
                : this == LENGTH || this == DIAL ? figure.scale() + 1 : Math.max(figure.scale(), 1);
        return metric.to(inch, figure).setScale(places, RoundingMode.HALF_UP).toPlainString();
    }

    /** Of a figure that a rule limits. */
    public static FieldUnit of(Unit unit) {
        return switch (unit) {
            case MILLIMETRES -> DIAL;
            case MILLIMETRES_PER_METRE -> SLOPE;
            case ROUGHNESS -> ROUGHNESS;
            case CELSIUS -> TEMPERATURE;
            case SECONDS -> SECONDS;
            case RPM -> SPEED;
            default -> NONE;
        };
    }
}
