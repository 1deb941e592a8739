package tallledger.core.ledger;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Reads a payload; a missing or misshapen field is an {@link IllegalArgumentException} that names it, since only a damaged
 * record can hold one.
 *
 * @param fields maps, lists, text, whole numbers, booleans
 */
public record Payload(Map<String, Object> fields) {

    /** Digits, before and behind the point. */
    private static final int LONGEST_NUMBER = 400;

    public String text(String name) {
        return optionalText(name).orElseThrow(() -> new IllegalArgumentException("payload lacks text " + name));
    }

    public Optional<String> optionalText(String name) {
        return fields.get(name) instanceof String text ? Optional.of(text) : Optional.empty();
    }

    public boolean flag(String name) {
        return Boolean.TRUE.equals(fields.get(name));
    }

    public int whole(String name) {
        if (fields.get(name) instanceof Number number) {
            return number.intValue();
        }
        throw new IllegalArgumentException("payload lacks whole number " + name);
    }

    /** A number as it was typed. One so great or so small that writing it out would fill the memory is no number that anybody typed. */
    public BigDecimal decimal(String name) {
        return decimal(name, text(name));
    }

    public Optional<BigDecimal> optionalDecimal(String name) {
        return optionalText(name).map(text -> decimal(name, text));
    }

    public List<BigDecimal> decimals(String name) {
        return texts(name).stream().map(text -> decimal(name, text)).toList();
    }

    private static BigDecimal decimal(String name, String text) {
        BigDecimal number = text.length() > LONGEST_NUMBER ? null : new BigDecimal(text);
        if (number == null || Math.abs((long) number.scale()) > LONGEST_NUMBER) {
            throw new IllegalArgumentException("payload has no such number " + name);
        }
        return number;
    }

    public List<String> texts(String name) {
        return list(name).stream().map(String.class::cast).toList();
    }

    public List<Payload> parts(String name) {
        return list(name).stream().map(Payload::asPart).toList();
    }

    public Payload part(String name) {
        return asPart(fields.get(name));
    }

    public boolean has(String name) {
        return fields.containsKey(name);
    }

    private List<?> list(String name) {
        return fields.get(name) instanceof List<?> list ? list : List.of();
    }

    @SuppressWarnings("unchecked")
    private static Payload asPart(Object value) {
        if (value instanceof Map<?, ?> map) {
            return new Payload((Map<String, Object>) map);
        }
        throw new IllegalArgumentException("payload part is no object: " + value);
    }
}
