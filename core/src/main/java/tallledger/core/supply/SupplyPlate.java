package tallledger.core.supply;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.function.Function;
import tallledger.core.reading.Power;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;

/**
 * What the machine's electrical plate wants.
 *
 * @param volts      as the plate says it; empty where nobody read it
 * @param hertz      Hz
 * @param phases     1 or 3
 * @param power      of the largest motor
 * @param amperes    its current, A
 * @param heavyStart whether it starts against a heavy chuck, wheel or variator
 */
public record SupplyPlate(Optional<Voltage> volts, Optional<BigDecimal> hertz, int phases, Optional<Power> power,
        Optional<BigDecimal> amperes, boolean heavyStart) {

    /** Nobody has read it yet; three phases, as most such machines. */
    public static final SupplyPlate UNREAD = new SupplyPlate(Optional.empty(), Optional.empty(), 3, Optional.empty(), Optional.empty(),
            false);

    public SupplyPlate {
        if (phases != 1 && phases != 3) {
            throw Refused.because(SupplyReason.SUPPLY_PHASES, phases).at("phases");
        }
    }

    /** From text as typed; empty is not known. */
    public static SupplyPlate parse(String volts, String hertz, int phases, String kilowatts, String amperes, boolean heavyStart) {
        return new SupplyPlate(read(volts, "volts", Voltage::parse), number(hertz, "hertz"), phases,
                read(kilowatts, "supplyKilowatts", Power::parse), number(amperes, "amperes"), heavyStart);
    }

    /** Of the largest motor, kW. */
    public Optional<BigDecimal> kilowatts() {
        return power.map(Power::kilowatts);
    }

    private static Optional<BigDecimal> number(String typed, String field) {
        return read(typed, field, text -> TypedNumber.parsePositive(text).value());
    }

    private static <T> Optional<T> read(String typed, String field, Function<String, T> reader) {
        if (typed.isBlank()) {
            return Optional.empty();
        }
        try {
            return Optional.of(reader.apply(typed));
        } catch (Refused refused) {
            throw refused.at(field);
        }
    }
}
