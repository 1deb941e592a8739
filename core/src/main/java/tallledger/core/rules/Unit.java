package tallledger.core.rules;

import java.math.BigDecimal;

/** What a rule's figures are counted in, and between what they make sense. */
public enum Unit {
    MILLIMETRES("mm", "0", "10"),
    MILLIMETRES_PER_METRE("mm/m", "0", "10"),
    SECONDS("s", "0", "7200"),
    MINUTES("min", "1", "600"),
    KELVIN("K", "0", "200"),
    CELSIUS("°C", "0", "100"),
    PERCENT("%", "0", "200"),
    MICROMETRES("µm", "0", "100"),
    NEWTONS_PER_MM2("N/mm²", "50", "6000"),
    METRES_PER_MINUTE("m/min", "1", "2000"),
    RPM("rpm", "0", "1000"),
    /** A probability. */
    CHANCE("of 1", "0", "1"),
    TIMES("×", "1", "100"),
    COUNT("", "1", "1000"),
    /** Against each other only. */
    WEIGHT("", "0", "1000"),
    /** In the user's own money. */
    MONEY("", "0", "1000000");

    private final String written;
    private final BigDecimal least;
    private final BigDecimal most;

    Unit(String written, String least, String most) {
        this.written = written;
        this.least = new BigDecimal(least);
        this.most = new BigDecimal(most);
    }

    /** As it stands behind a figure; empty where nothing does. */
    public String written() {
        return written;
    }

    public BigDecimal least() {
        return least;
    }

    public BigDecimal most() {
        return most;
    }
}
