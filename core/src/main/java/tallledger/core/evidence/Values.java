package tallledger.core.evidence;

import tallledger.core.reason.CommonReason;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import tallledger.core.gauge.Gauge;
import tallledger.core.reading.LengthUnit;
import tallledger.core.reading.Temperature;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;

/**
 * What was typed at a step, read field by field; every refusal names its field.
 *
 * @param typed as typed
 * @param unit  of lengths typed without one
 * @param readWith the gauge, where the record names it; else the house's usual one counts
 * @param apart    how much warmer the machine was than the gauge, K; empty where their temperatures were not read
 */
public record Values(Map<String, String> typed, LengthUnit unit, Optional<Gauge> readWith, Optional<BigDecimal> apart) {

    public Values {
        typed = Map.copyOf(typed);
    }

    /** To be read with the usual gauge. */
    public Values(Map<String, String> typed, LengthUnit unit) {
        this(typed, unit, Optional.empty());
    }

    /** Where nobody read the temperatures of machine and gauge. */
    public Values(Map<String, String> typed, LengthUnit unit, Optional<Gauge> readWith) {
        this(typed, unit, readWith, Optional.empty());
    }

    public String text(String field) {
        return typed.getOrDefault(field, "").strip();
    }

    public boolean has(String field) {
        return !text(field).isEmpty();
    }

    public TypedLength length(String field) {
        return at(field, () -> {
            TypedLength length = TypedLength.parse(text(field), unit);
            if (length.mm().signum() < 0) {
                throw Refused.because(EvidenceReason.LENGTH_NEGATIVE, text(field));
            }
            return length;
        });
    }

    public TypedNumber number(String field) {
        return at(field, () -> TypedNumber.parse(text(field)));
    }

    /** In °C; °F are read where they are typed. */
    public TypedNumber temperature(String field) {
        return at(field, () -> Temperature.parse(text(field)));
    }

    public BigDecimal positive(String field) {
        return at(field, () -> TypedNumber.parsePositive(text(field)).value());
    }

    public int whole(String field) {
        BigDecimal number = number(field).value().stripTrailingZeros();
        if (number.scale() > 0 || number.signum() < 0 || number.precision() - number.scale() > 5) {
            throw Refused.because(CommonReason.VALUE_WHOLE, text(field)).at(field);
        }
        return number.intValue();
    }

    /** Several lengths in one field, parted by blanks, semicolons or lines. */
    public List<TypedLength> lengths(String field) {
        return at(field, () -> {
            List<TypedLength> lengths = new ArrayList<>();
            Arrays.stream(text(field).split("[\\s;]+")).filter(t -> !t.isEmpty()).forEach(t -> lengths.add(TypedLength.parse(t, unit)));
            if (lengths.isEmpty()) {
                throw Refused.because(CommonReason.NUMBER_MISSING);
            }
            return lengths;
        });
    }

    /**
     * Worth of the coarsest last digit of several readings of one dial, mm. A plain nought says nothing of it: people write 0 for where the
     * dial was set, whatever it divides.
     */
    static BigDecimal coarsest(List<TypedLength> readings) {
        List<TypedLength> telling = readings.stream().filter(l -> l.mm().signum() != 0 || l.step().compareTo(BigDecimal.ONE) < 0).toList();
        return (telling.isEmpty() ? readings : telling).stream().map(TypedLength::step).reduce(BigDecimal.ZERO, BigDecimal::max);
    }

    /** Runs a factory; what it refuses is said at this field unless it names another. */
    public <T> T at(String field, Supplier<T> factory) {
        try {
            return factory.get();
        } catch (Refused refused) {
            throw refused.field().isPresent() ? refused : refused.at(field);
        }
    }
}
