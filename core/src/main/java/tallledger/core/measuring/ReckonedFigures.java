package tallledger.core.measuring;

import java.math.BigDecimal;
import java.math.RoundingMode;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** Reckoned figures, free of binary noise, as sentences take them. */
final class ReckonedFigures {

    /** Binary noise ends here, mm. */
    static final int NANOMETRE = 6;

    private ReckonedFigures() {
    }

    /** A reckoned length as a decimal, free of binary noise. */
    static BigDecimal decimal(double mm) {
        return new BigDecimal(mm).setScale(NANOMETRE, RoundingMode.HALF_UP).stripTrailingZeros();
    }

    /** A slope, shown in mm/m. */
    static Quantity slope(double share) {
        return Quantity.reckoned(share * 1000, Unit.MILLIMETRES_PER_METRE);
    }

    static Quantity shown(double mm) {
        return Quantity.reckoned(mm, Unit.MILLIMETRES);
    }

    static Quantity micrometres(double mm) {
        return Quantity.reckoned(mm * 1000, Unit.MICROMETRES);
    }
}
