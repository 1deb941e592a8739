package tallledger.core.instrument;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.rules.Rule;

/** Kinds of instrument, with the units each may send; the first is meant where it sends none. */
public enum InstrumentKind {
    TACHOMETER("rpm"),
    INDICATOR("mm", "in", "um"),
    /** In divisions, or mm in a metre. */
    LEVEL("div", "mm/m"),
    ROUGHNESS("um"),
    THERMOMETER("C", "F"),
    VOLTMETER("V"),
    /** A micrometer, a caliper, a readout. */
    SCALE("mm", "in");

    private final List<String> units;

    InstrumentKind(String... units) {
        this.units = List.of(units);
    }

    public List<String> units() {
        return units;
    }

    /** As a line names it. */
    public static Optional<InstrumentKind> named(String word) {
        return Stream.of(values()).filter(k -> k.name().equalsIgnoreCase(word)).findFirst();
    }

    /** What stands for a gauge of the house's. */
    public static Optional<InstrumentKind> of(Rule gauge) {
        return switch (gauge) {
            case TACHOMETER, OPTICAL, STROBE, DISPLAY -> Optional.of(TACHOMETER);
            case INDICATOR -> Optional.of(INDICATOR);
            case LEVEL -> Optional.of(LEVEL);
            case MICROMETER, CALIPER -> Optional.of(SCALE);
            case ROUGHNESS -> Optional.of(ROUGHNESS);
            case THERMOMETER -> Optional.of(THERMOMETER);
            default -> Optional.empty();
        };
    }
}
