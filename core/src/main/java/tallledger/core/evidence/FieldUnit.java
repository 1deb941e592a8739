package tallledger.core.evidence;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tallledger.core.reason.LengthUnit;
import tallledger.core.rules.Unit;

/** What bare figures of a field are counted in, on a metric machine and on an inch machine. */
public enum FieldUnit {
    NONE("", ""),
    LENGTH("mm", "in"),
    /** A small length, as a dial shows it: a figure that is far too large for it is asked back. */
    DIAL("mm", "in"),
    /** A slope, or what a level's division is worth. */
    SLOPE("mm/m", "thou per 12 in"),
    ROUGHNESS("µm", "µin"),
    /** Deviations of an axis or a circle. */
    DEVIATION("µm", "tenths"),
    ANGLE_AND_DEVIATION("°, µm", "°, tenths"),
    TEMPERATURE("°C", "°F"),
    MINUTES_AND_TEMPERATURE("min, °C", "min, °F"),
    /** A surface past a tool. */
    SURFACE("m/min", "ft/min"),
    /** What a wheel is marked. */
    WHEEL("m/s", "ft/min"),
    FORCE("kN", "lbf"),
    SPEED("rpm", "rpm"),
    SECONDS("s", "s"),
    DEGREES("°", "°"),
    VOLTS("V", "V"),
    AMPERES("A", "A"),
    HERTZ("Hz", "Hz");

    /** A figure without a unit behind it. */
    private static final Pattern FIGURE = Pattern.compile("(?<![\\w.])-?\\d+(?:\\.\\d+)?(?![\\w.])(?!\\s*[a-zA-Zµ°\"])");

    private final String metric;
    private final String inch;

    FieldUnit(String metric, String inch) {
        this.metric = metric;
        this.inch = inch;
    }

    /** As it stands beside a field of such a machine; empty where nothing does. */
    public String in(LengthUnit machine) {
        return machine == LengthUnit.INCH ? inch : metric;
    }

    /**
     * Metric figures of such a field as they are typed at an inch machine; figures with a unit behind them stay. Worked: "20.5" °C is 68.9.
     */
    public String retyped(String metric) {
        return switch (this) {
            case MINUTES_AND_TEMPERATURE, ANGLE_AND_DEVIATION -> metric.lines().flatMap(l -> Stream.of(l.split(";"))).map(l -> {
                String[] two = l.strip().split("\\s+", 2);
                return two.length < 2 ? l : two[0] + " " + figures(two[1]);
            }).collect(Collectors.joining("\n"));
            default -> in(LengthUnit.MM).equals(in(LengthUnit.INCH)) ? metric : figures(metric);
        };
    }

    private String figures(String metric) {
        return FIGURE.matcher(metric).replaceAll(m -> inches(new BigDecimal(m.group())));
    }

    private String inches(BigDecimal metric) {
        BigDecimal converted = switch (this) {
            case TEMPERATURE, MINUTES_AND_TEMPERATURE -> metric.multiply(new BigDecimal("1.8")).add(BigDecimal.valueOf(32));
            case SLOPE -> metric.multiply(BigDecimal.valueOf(12));
            case ROUGHNESS -> metric.divide(new BigDecimal("0.0254"), MathContext.DECIMAL64);
            case DEVIATION, ANGLE_AND_DEVIATION -> metric.divide(new BigDecimal("2.54"), MathContext.DECIMAL64);
            case SURFACE -> metric.divide(new BigDecimal("0.3048"), MathContext.DECIMAL64);
            case WHEEL -> metric.divide(new BigDecimal("0.00508"), MathContext.DECIMAL64);
            case FORCE -> metric.divide(new BigDecimal("0.0044482216"), MathContext.DECIMAL64);
            default -> metric.divide(LengthUnit.INCH.millimetres(), MathContext.DECIMAL64);
        };
        int places = this == WHEEL || this == FORCE ? 0 : this == LENGTH || this == DIAL ? metric.scale() + 1 : Math.max(metric.scale(), 1);
        return converted.setScale(places, RoundingMode.HALF_UP).toPlainString();
    }

    /** Of a figure that a rule limits. */
    static FieldUnit of(Unit unit) {
        return switch (unit) {
            case MILLIMETRES -> DIAL;
            case MILLIMETRES_PER_METRE -> SLOPE;
            case MICROMETRES -> ROUGHNESS;
            case CELSIUS -> TEMPERATURE;
            case SECONDS -> SECONDS;
            case RPM -> SPEED;
            default -> NONE;
        };
    }
}
