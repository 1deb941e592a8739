package tallledger.core.spoken;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
public enum SpokenReason implements ReasonCode {
    TEXT_EMPTY("spoken.text-empty"),
    TEXT_LARGE("spoken.text-large", "characters", "most"),
    TEXT_LINES("spoken.text-lines", "lines", "most"),
    TEXT_NO_TIMES("spoken.text-no-times"),
    TEXT_PAST_END("spoken.text-past-end", "last", "end"),
    TIMES_BACK("spoken.times-back", "lines"),
    LINES_UNREAD("spoken.lines-unread", "lines"),
    LANGUAGE("spoken.language"),
    OTHER_MACHINE("spoken.other-machine"),
    UNIT_DOUBTED("spoken.unit-doubted", "value"),
    UNIT_MISSING("spoken.unit-missing", "value", "taken");

    private final Sentence sentence;

    SpokenReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
