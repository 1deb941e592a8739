package tallledger.core.supply;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;

/**
 * A voltage as a plate says it: {@code 400}, {@code 380-400 V}, {@code 230/400 V}. A stroke parts two ways to connect it, a dash or
 * "to" the ends of what it stands.
 *
 * @param typed exactly what was typed, trimmed
 * @param ways  lowest first
 */
public record Voltage(String typed, List<VoltageRange> ways) {

    private static final BigDecimal MOST = BigDecimal.valueOf(1000);
    private static final int MOST_WAYS = 2;
    private static final int LONGEST = 60;

    /** One way to connect it: from so many to so many V. */
    public record VoltageRange(BigDecimal low, BigDecimal high) {
    }

    public Voltage {
        ways = List.copyOf(ways);
    }

    /** @throws Refused when it is no voltage, has more than two ways, or a range the wrong way round */
    public static Voltage parse(String text) {
        String typed = TypedNumber.shortEnough(text, LONGEST);
        String[] parts = typed.replaceAll("(?i)\\s*v(olts?)?(?![a-z])", "").split("/", -1);
        if (parts.length > MOST_WAYS) {
            throw Refused.because(SupplyReason.SUPPLY_VOLTAGE, typed.length() > 24 ? typed.substring(0, 24) : typed);
        }
        List<VoltageRange> ways = new ArrayList<>();
        for (String part : parts) {
            String[] ends = part.strip().split("\\s*(?:to|-|–|—)\\s*", -1);
            if (ends.length > 2 || part.isBlank()) {
                throw Refused.because(SupplyReason.SUPPLY_VOLTAGE, typed.length() > 24 ? typed.substring(0, 24) : typed);
            }
            BigDecimal low = volts(ends[0]);
            BigDecimal high = volts(ends[ends.length - 1]);
            if (low.compareTo(high) > 0) {
                throw Refused.because(SupplyReason.SUPPLY_RANGE, ends[0], ends[1]);
            }
            ways.add(new VoltageRange(low, high));
        }
        ways.sort(Comparator.comparing(VoltageRange::low));
        return new Voltage(typed, ways);
    }

    private static BigDecimal volts(String digits) {
        BigDecimal volts = TypedNumber.parsePositive(digits).value();
        if (volts.compareTo(MOST) > 0) {
            throw Refused.because(SupplyReason.SUPPLY_VOLTS, volts, MOST);
        }
        return volts;
    }

    /** Whether it can be connected for two voltages. */
    public boolean isDual() {
        return ways.size() > 1;
    }
}
