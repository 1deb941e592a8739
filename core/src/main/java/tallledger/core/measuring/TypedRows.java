package tallledger.core.measuring;

import java.util.Arrays;
import java.util.List;
import tallledger.core.evidence.Values;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;

/** Rows of figures as they are typed. */
final class TypedRows {

    private TypedRows() {
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
}
