package tallledger.web.sealed;

import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * JSON of the narrow kind a ledger is written in: whole numbers of at most 15 digits, written plainly ({@code 3.0} is not), texts that
 * are texts, not nested deeply. What two programs could read differently is read by none: {@code verify.js} holds to the same.
 */
final class PlainJson {

    private static final int DEEPEST = 200;
    private static final int LONGEST = 700_000_000;
    private static final long LARGEST = 999_999_999_999_999L;
    private static final Pattern HALF_A_SIGN = Pattern
            .compile("[\\ud800-\\udbff](?![\\udc00-\\udfff])|(?<![\\ud800-\\udbff])[\\udc00-\\udfff]");

    /** Reads one value of many. */
    static final JsonMapper PARTS = JsonMapper.builder(JsonFactory.builder().streamReadConstraints(StreamReadConstraints.builder()
            .maxNestingDepth(DEEPEST).maxStringLength(LONGEST).maxNameLength(LONGEST).build()).build())
            .disable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS).build();
    /** Reads one value and nothing after it. */
    static final JsonMapper WHOLE = PARTS.rebuild().enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS).build();

    private PlainJson() {
    }

    /**
     * @param value parsed
     * @return the same
     * @throws IllegalArgumentException where something else stands in it
     */
    static <T> T plain(T value) {
        if (value instanceof Map<?, ?> map) {
            map.forEach((key, part) -> {
                plain(key);
                plain(part);
            });
        } else if (value instanceof List<?> list) {
            list.forEach(PlainJson::plain);
        } else if (value instanceof String text) {
            isPlain(!HALF_A_SIGN.matcher(text).find());
        } else if (value instanceof Number number) {
            isPlain((number instanceof Integer || number instanceof Long) && Math.abs(number.longValue()) <= LARGEST);
        }
        return value;
    }

    private static void isPlain(boolean plain) {
        if (!plain) {
            throw new IllegalArgumentException("not written as a ledger is");
        }
    }
}
