package tallledger.core.cutting;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum CuttingReason implements ReasonCode {
    CUT_ENOUGH("cut.enough", "rpm", "need", "has"),
    CUT_FIGURE("cut.figure"),
    CUT_MADE("cut.made", "kind", "material", "hasTool", "tool", "diameter", "feed", "rpm"),
    CUT_NO_SPEED("cut.no-speed", "wanted"),
    CUT_POWER_UNKNOWN("cut.power-unknown", "rpm", "need"),
    CUT_SHORT("cut.short", "rpm", "need", "has"),
    CUT_WIDE("cut.wide", "width", "diameter");

    private final Sentence sentence;

    CuttingReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
