package tallledger.core.survey;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import tallledger.core.ledger.Payload;
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Reason;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Shown;

/**
 * A reason as an entry keeps it: its code and its arguments, each as what it is, so that it can be worded years later. Decimals are
 * text, since canonical JSON would make 0.10 of 0.1; a constant becomes the reason that words it.
 */
final class WrittenReason {

    private WrittenReason() {
    }

    static Map<String, Object> write(Reason reason) {
        return Map.of("code", reason.code(), "arguments", reason.arguments().stream().map(WrittenReason::argument).toList());
    }

    private static Object argument(Object argument) {
        if (argument instanceof Reason nested) {
            return write(nested);
        } else if (argument instanceof Quantity quantity) {
            return write(InUnit.of(quantity, LengthUnit.MM));
        } else if (argument instanceof Shown shown) {
            return Map.of("value", shown.value().toPlainString(), "expanded", shown.expanded().toPlainString());
        } else if (argument instanceof Enum<?> constant) {
            return write(Reason.named(constant.getDeclaringClass().getSimpleName() + "." + constant.name()));
        } else if (argument instanceof List<?> list) {
            return list.stream().map(WrittenReason::argument).toList();
        } else if (argument instanceof Integer || argument instanceof String || argument instanceof Boolean) {
            return argument;
        } else if (argument instanceof BigDecimal number) {
            return Map.of("number", number.toPlainString());
        } else if (argument instanceof Number number) {
            return Map.of("number", new BigDecimal(number.toString()).toPlainString());
        }
        return String.valueOf(argument);
    }

    static Reason read(Payload written) {
        return new Reason(written.text("code"), ((List<?>) written.fields().get("arguments")).stream().map(WrittenReason::argumentRead)
                .toList());
    }

    @SuppressWarnings("unchecked")
    private static Object argumentRead(Object written) {
        if (written instanceof List<?> list) {
            return list.stream().map(WrittenReason::argumentRead).toList();
        } else if (written instanceof Map<?, ?> fields) {
            Payload p = new Payload((Map<String, Object>) fields);
            return p.has("code") ? read(p)
                    : p.has("number") ? p.decimal("number")
                            : new Shown(p.decimal("value"), p.decimal("expanded"));
        }
        return written;
    }
}
