package tallledger.core.price;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum PriceReason implements ReasonCode {
    COST_ORDER("cost.order", "low", "likely", "high"),
    REPAIR_WHAT("repair.what", "most"),
    MASS_TYPED("price.mass", "typed"),
    CURRENCY("price.currency", "typed"),
    PRICE_LARGE("price.large", "typed");

    private final Sentence sentence;

    PriceReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
