package tallledger.core.ledger;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
public enum LedgerReason implements ReasonCode {
    AUTHOR_MISSING("author.missing"),
    CHAIN_AFTER_CLOSED("chain.after-closed", "due"),
    CHAIN_CHANGED("chain.changed", "due"),
    CHAIN_MISSING("chain.missing", "due", "sequence"),
    CHAIN_UNLINKED("chain.unlinked", "due"),
    MOMENT_FILM("moment.film"),
    MOMENT_SECOND("moment.second", "typed"),
    MOMENT_BACK("moment.back", "from", "until"),
    TEXT_DIRECTION("text.direction", "place", "character"),
    TEXT_FORBIDDEN("text.forbidden", "place", "character"),
    TEXT_UNSEEN("text.unseen");

    private final Sentence sentence;

    LedgerReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
