package tallledger.core.geometry;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum GeometryReason implements ReasonCode {
    ROUND_COUNT("round.count", "count", "fewest", "most");

    private final Sentence sentence;

    GeometryReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
