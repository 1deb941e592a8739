package tallledger.core.rules;

import java.math.BigDecimal;
import tallledger.core.unit.Unit;

/** Between what a rule's figures make sense, by what they are counted in. */
record RuleRange(BigDecimal least, BigDecimal most) {

    /** @throws IllegalArgumentException of a unit that no rule is counted in */
    static RuleRange of(Unit unit) {
        return switch (unit) {
            case MILLIMETRES, MILLIMETRES_PER_METRE -> between(0, 10);
            case SECONDS -> between(0, 7200);
            case MINUTES -> between(1, 600);
            case KELVIN, PERCENT -> between(0, 200);
            case CELSIUS, ROUGHNESS, DECIBELS -> between(0, 100);
            case NEWTONS_PER_MM2 -> between(50, 6000);
            case METRES_PER_MINUTE -> between(1, 2000);
            case RPM, WEIGHT -> between(0, 1000);
            case CHANCE -> between(0, 1);
            case TIMES -> between(1, 100);
            case NUMBER -> between(1, 1000);
            case MONEY -> between(0, 1_000_000);
            default -> throw new IllegalArgumentException("no rule is counted in " + unit);
        };
    }

    private static RuleRange between(int least, int most) {
        return new RuleRange(BigDecimal.valueOf(least), BigDecimal.valueOf(most));
    }

    boolean holds(BigDecimal figure) {
        return figure.compareTo(least) >= 0 && figure.compareTo(most) <= 0;
    }
}
