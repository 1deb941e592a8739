package tallledger.core.cycle;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum CycleReason implements ReasonCode {
    LOG_EMPTY("log.empty"),
    LOG_EVENT("log.event", "number", "group", "events"),
    LOG_LATE("log.late", "number", "at", "longest"),
    LOG_LINE("log.line", "number", "length"),
    LOG_LONG("log.long", "count", "mostTaps"),
    LOG_ORDER("log.order", "line", "at", "before"),
    SCRIPT_COUNT("script.count", "event", "least", "most"),
    SCRIPT_EVENTS("script.events", "count", "mostEvents"),
    SCRIPT_LINE("script.line", "length"),
    SCRIPT_WINDOW("script.window", "least", "most");

    private final Sentence sentence;

    CycleReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
