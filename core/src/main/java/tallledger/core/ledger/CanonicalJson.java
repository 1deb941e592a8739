package tallledger.core.ledger;

import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Canonical JSON (RFC 8785) of maps, lists, text, whole numbers and booleans: no spaces, keys sorted by UTF-16 code units,
 * the shortest escapes. Fractions never occur in an entry (they are kept as typed), so RFC 8785's number form is not needed.
 */
public final class CanonicalJson {

    private static final long LARGEST_EXACT = 1L << 53;

    private CanonicalJson() {
    }

    /** @throws IllegalArgumentException for a value of any other type, or a whole number a double cannot hold exactly */
    public static String write(Object value) {
        StringBuilder out = new StringBuilder();
        write(value, out);
        return out.toString();
    }

    private static void write(Object value, StringBuilder out) {
        if (value instanceof Map<?, ?> map) {
            writeMap(map, out);
        } else if (value instanceof List<?> list) {
            writeList(list, out);
        } else if (value instanceof String text) {
            writeText(text, out);
        } else if (value instanceof Boolean truth) {
            out.append(truth);
        } else if (value instanceof Integer || value instanceof Long) {
            long number = ((Number) value).longValue();
            if (Math.abs(number) > LARGEST_EXACT) {
                throw new IllegalArgumentException("whole number beyond 2^53: " + number);
            }
            out.append(number);
        } else {
            throw new IllegalArgumentException("no canonical form for " + value);
        }
    }

    private static void writeMap(Map<?, ?> map, StringBuilder out) {
        TreeMap<String, Object> sorted = new TreeMap<>();
        map.forEach((key, value) -> sorted.put((String) key, value));
        out.append('{');
        for (Iterator<Map.Entry<String, Object>> i = sorted.entrySet().iterator(); i.hasNext();) {
            Map.Entry<String, Object> e = i.next();
            writeText(e.getKey(), out);
            out.append(':');
            write(e.getValue(), out);
            out.append(i.hasNext() ? "," : "");
        }
        out.append('}');
    }

    private static void writeList(List<?> list, StringBuilder out) {
        out.append('[');
        for (Iterator<?> i = list.iterator(); i.hasNext();) {
            write(i.next(), out);
            out.append(i.hasNext() ? "," : "");
        }
        out.append(']');
    }

    private static void writeText(String text, StringBuilder out) {
        out.append('"');
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            switch (c) {
                case '"' -> out.append("\\\"");
                case '\\' -> out.append("\\\\");
                case '\b' -> out.append("\\b");
                case '\f' -> out.append("\\f");
                case '\n' -> out.append("\\n");
                case '\r' -> out.append("\\r");
                case '\t' -> out.append("\\t");
                default -> out.append(c < 0x20 ? String.format("\\u%04x", (int) c) : String.valueOf(c));
            }
        }
        out.append('"');
    }
}
