package tallledger.core.evidence;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import tallledger.core.evidence.Recording.Field;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** What the ways of measuring share: rows of figures as they are typed, and figures as they are shown. */
final class Takings {

    /** Binary noise ends here, mm. */
    private static final int NANOMETRE = 6;
    /** Shorter than this a kelvin is not worth a tenth of a micrometre, mm. */
    private static final double TEMPERATURE_MATTERS = 10;

    private Takings() {
    }

    /** Only the result is typed. */
    static final class Nothing implements Taking<Object> {

        @Override
        public List<Field> fields(ChartLine line) {
            return List.of();
        }

        @Override
        public Object read(Values values, ChartLine line) {
            throw new IllegalStateException("the result alone is typed");
        }

        @Override
        public StepJudgement judge(Object value, ChartLine line, Rules rules) {
            throw new IllegalStateException("the result alone is judged");
        }
    }

    /** Plain numbers in one field, parted by blanks, semicolons or lines. */
    static List<TypedNumber> numbers(Values values, String field) {
        return values.at(field, () -> {
            List<TypedNumber> all = Arrays.stream(values.text(field).split("[\\s;]+|,(?=\\s)")).filter(t -> !t.isEmpty())
                    .map(TypedNumber::parse)
                    .toList();
            if (all.isEmpty()) {
                throw Refused.because(CommonReason.NUMBER_MISSING);
            }
            return all;
        });
    }

    /** A length that must be above nought. */
    static TypedLength positive(Values values, String field) {
        TypedLength length = values.length(field);
        if (length.mm().signum() <= 0) {
            throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, length.typed()).at(field);
        }
        return length;
    }

    /** Lengths that may lie below nought, as on a dial. */
    static List<TypedLength> signed(String text, Values values, String field) {
        return values.at(field, () -> {
            List<TypedLength> all = TypedLength.row(text, values.unit().millimetres());
            if (all.isEmpty()) {
                throw Refused.because(CommonReason.NUMBER_MISSING);
            }
            return all;
        });
    }

    static List<Double> mm(List<TypedLength> lengths) {
        return lengths.stream().map(l -> l.mm().doubleValue()).toList();
    }

    /** A reckoned length as a decimal, free of binary noise. */
    static BigDecimal decimal(double mm) {
        return new BigDecimal(mm).setScale(NANOMETRE, RoundingMode.HALF_UP).stripTrailingZeros();
    }

    /** With what the temperatures leave open, where they were read. @param length mm, held against a gauge of its own temperature */
    static Uncertainty warm(Uncertainty u, double length, Optional<BigDecimal> apart) {
        return apart.map(k -> u.warm(length, k.doubleValue())).orElse(u);
    }

    /**
     * What machine and gauge apart in temperature put into a length, or what a kelvin would where nobody read them; nothing where it is
     * too short for that.
     */
    static List<Reason> temperature(double length, Optional<BigDecimal> apart, Rules rules) {
        return length < TEMPERATURE_MATTERS ? List.of()
                : List.of(apart.map(k -> Reason.of(EvidenceReason.TEMPERATURE_APART, Quantity.of(k, Unit.KELVIN),
                        micrometres(length * Uncertainty.STEEL * k.doubleValue()), shown(length)))
                        .orElseGet(() -> unread(length, rules.unit())));
    }

    /** What a kelvin would put into a length; a degree Fahrenheit on an inch machine. */
    private static Reason unread(double length, LengthUnit machine) {
        BigDecimal degree = machine == LengthUnit.MM ? BigDecimal.ONE : BigDecimal.ONE.divide(new BigDecimal("1.8"), MathContext.DECIMAL64);
        return Reason.of(EvidenceReason.TEMPERATURE_UNREAD, micrometres(length * Uncertainty.STEEL * degree.doubleValue()), shown(length),
                Quantity.of(degree, Unit.KELVIN));
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
