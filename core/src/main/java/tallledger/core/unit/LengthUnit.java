package tallledger.core.unit;

import java.math.BigDecimal;

/** The unit a machine's lengths are read in; each constant knows its worth in mm. */
public enum LengthUnit {
    MM("mm", BigDecimal.ONE),
    INCH("in", new BigDecimal("25.4"));

    private final String symbol;
    private final BigDecimal millimetres;

    LengthUnit(String symbol, BigDecimal millimetres) {
        this.symbol = symbol;
        this.millimetres = millimetres;
    }

    public String symbol() {
        return symbol;
    }

    /** Millimetres in one of this unit, exact. */
    public BigDecimal millimetres() {
        return millimetres;
    }
}
