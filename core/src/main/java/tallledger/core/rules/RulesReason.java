package tallledger.core.rules;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum RulesReason implements ReasonCode {
    LIMIT_OWN_CHART("limit.own-chart"),
    RULE_CROSSED("rule.crossed", "these", "figure"),
    RULE_FIGURES("rule.figures", "there", "wanted");

    private final Sentence sentence;

    RulesReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
