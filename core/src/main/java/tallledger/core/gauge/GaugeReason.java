package tallledger.core.gauge;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum GaugeReason implements ReasonCode {
    GAUGE_NEGATIVE("gauge.negative", "name"),
    LIMIT_CROSSED("limit.crossed", "lower", "upper"),
    LIMIT_HOUSE_SPEED("limit.house-speed", "tolerance", "nominal"),
    SETTLES_GAUGE("settles.gauge", "distance"),
    SETTLES_NOTHING("settles.nothing"),
    SETTLES_REPEATS("settles.repeats", "getAsInt", "distance"),
    VERDICT_ABOVE("verdict.above", "shown", "upper"),
    VERDICT_BELOW("verdict.below", "shown", "lower"),
    VERDICT_INSIDE("verdict.inside", "shown", "lower", "upper"),
    VERDICT_TOO_CLOSE("verdict.too-close", "shown", "edge", "settles");

    private final Sentence sentence;

    GaugeReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
