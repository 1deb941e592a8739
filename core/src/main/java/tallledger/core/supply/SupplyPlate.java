package tallledger.core.supply;

import java.math.BigDecimal;
import java.util.Optional;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;

/**
 * What the machine's electrical plate wants.
 *
 * @param volts      V; empty where nobody read it
 * @param hertz      Hz
 * @param phases     1 or 3
 * @param kilowatts  largest motor, kW
 * @param amperes    its current, A
 * @param heavyStart whether it starts against a heavy chuck, wheel or variator
 */
public record SupplyPlate(Optional<BigDecimal> volts, Optional<BigDecimal> hertz, int phases, Optional<BigDecimal> kilowatts,
                          Optional<BigDecimal> amperes, boolean heavyStart) {

    private static final BigDecimal MOST_VOLTS = BigDecimal.valueOf(1000);

    /** Nobody has read it yet; three phases, as most such machines. */
    public static final SupplyPlate UNREAD = new SupplyPlate(Optional.empty(), Optional.empty(), 3, Optional.empty(), Optional.empty(), false);

    public SupplyPlate {
        if (phases != 1 && phases != 3) {
            throw Refused.because(SupplyReason.SUPPLY_PHASES, phases).at("phases");
        }
        volts.filter(v -> v.compareTo(MOST_VOLTS) > 0).ifPresent(v -> {
            throw Refused.because(SupplyReason.SUPPLY_VOLTS, v, MOST_VOLTS).at("volts");
        });
    }

    /** From text as typed; empty is not known. */
    public static SupplyPlate parse(String volts, String hertz, int phases, String kilowatts, String amperes, boolean heavyStart) {
        return new SupplyPlate(number(volts, "volts"), number(hertz, "hertz"), phases, number(kilowatts, "supplyKilowatts"),
                number(amperes, "amperes"), heavyStart);
    }

    static Optional<BigDecimal> number(String typed, String field) {
        if (typed.isBlank()) {
            return Optional.empty();
        }
        try {
            return Optional.of(TypedNumber.parsePositive(typed).value());
        } catch (Refused refused) {
            throw refused.at(field);
        }
    }
}
