package tallledger.core.evidence;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import tallledger.core.gauge.Gauge;
import tallledger.core.reading.Power;
import tallledger.core.reading.Temperature;
import tallledger.core.reading.TypedForce;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reading.TypedSlope;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/**
 * What was typed at a step, read field by field; every refusal names its field.
 *
 * @param typed as typed
 * @param unit  of lengths typed without one
 * @param readWith the gauge, where the record names it; else the house's usual one counts
 * @param apart    how much warmer the machine was than the gauge, K; empty where their temperatures were not read
 * @param bare     of all else that is typed without a unit: °C and µm, or °F and µin. Records of inch machines were metric in this once
 */
public record Values(Map<String, String> typed, LengthUnit unit, Optional<Gauge> readWith, Optional<BigDecimal> apart, LengthUnit bare) {

    private static final BigDecimal MICROMETRE = new BigDecimal("0.001");
    private static final BigDecimal TENTH = new BigDecimal("0.00254");
    private static final BigDecimal MICROINCH = new BigDecimal("0.0000254");

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

    /** Where all that is typed without a unit is of the machine's system. */
    public Values(Map<String, String> typed, LengthUnit unit, Optional<Gauge> readWith, Optional<BigDecimal> apart) {
        this(typed, unit, readWith, apart, unit);
    }

    /** The same with something else typed in a field. */
    public Values with(String field, String text) {
        Map<String, String> other = new HashMap<>(typed);
        other.put(field, text);
        return new Values(other, unit, readWith, apart, bare);
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

    /** In °C. */
    public TypedNumber temperature(String field) {
        return at(field, () -> Temperature.parse(text(field), bare));
    }

    /** In kW; a bare figure of the inch system is hp. */
    public BigDecimal power(String field) {
        boolean horses = bare == LengthUnit.INCH && text(field).chars().noneMatch(Character::isLetter);
        return at(field, () -> Power.parse(horses ? text(field) + " hp" : text(field), bare).kilowatts());
    }

    /** In kN, above nought. */
    public TypedNumber force(String field) {
        return at(field, () -> TypedForce.parse(text(field), bare));
    }

    /** What a level's division is worth, mm/m, above nought. */
    public BigDecimal sensitivity(String field) {
        return at(field, () -> {
            TypedNumber slope = TypedSlope.parse(text(field), bare);
            if (slope.value().signum() <= 0) {
                throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, text(field));
            }
            return slope.value();
        });
    }

    /** A slope, mm in a metre. Inch records of once were typed as a length in a metre. */
    public TypedLength slope(String field) {
        if (bare != unit) {
            return length(field);
        }
        return at(field, () -> {
            TypedNumber slope = TypedSlope.parse(text(field), bare);
            if (slope.value().signum() < 0) {
                throw Refused.because(EvidenceReason.LENGTH_NEGATIVE, text(field));
            }
            return new TypedLength(text(field), slope.value(), slope.step());
        });
    }

    /** Roughness in µm, above nought: a bare figure is µm, on an inch machine µin. */
    public TypedNumber roughness(String field) {
        return at(field, () -> {
            TypedLength ra = TypedLength.parse(text(field), roughnessUnit());
            if (ra.mm().signum() <= 0) {
                throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, text(field));
            }
            return new TypedNumber(ra.typed(), ra.mm().movePointRight(3), ra.step().movePointRight(3));
        });
    }

    /** Worth of a bare figure of roughness or of a trace, mm. */
    public BigDecimal roughnessUnit() {
        return bare == LengthUnit.INCH ? MICROINCH : MICROMETRE;
    }

    /** Worth of a bare deviation of an axis or a circle, mm: a micrometre, or a tenth of a thou. */
    public BigDecimal deviationUnit() {
        return bare == LengthUnit.INCH ? TENTH : MICROMETRE;
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
            List<TypedLength> lengths = TypedLength.row(text(field), unit.millimetres());
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
    public static BigDecimal coarsest(List<TypedLength> readings) {
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
