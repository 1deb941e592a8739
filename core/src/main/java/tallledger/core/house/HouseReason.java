package tallledger.core.house;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
public enum HouseReason implements ReasonCode {
    CHECK_ROW_GONE("check.row-gone"),
    DEVICE_GONE("device.gone"),
    DEVICE_NAME("device.name"),
    GAUGE_DUE("gauge.due", "typed"),
    GAUGE_GONE("gauge.gone"),
    GAUGE_NAME("gauge.name"),
    GAUGE_NOTHING("gauge.nothing"),
    RULE_REASON("rule.reason"),
    RULE_UNKNOWN("rule.unknown", "p");

    private final Sentence sentence;

    HouseReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
