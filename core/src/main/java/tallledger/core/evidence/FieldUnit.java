package tallledger.core.evidence;

import tallledger.core.reading.LengthUnit;
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
