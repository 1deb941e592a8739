package tallledger.core.finish;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum FinishReason implements ReasonCode {
    FILE_AREA("trace-file.area"),
    FILE_BROKEN("trace-file.broken"),
    FILE_CHANGED("trace-file.changed"),
    FILE_DROPOUT("trace-file.dropout", "point"),
    FILE_LINE("trace-file.line", "line"),
    FILE_NO_MAIN("trace-file.no-main"),
    FILE_NO_POINTS("trace-file.no-points"),
    FILE_SIZE("trace-file.size", "bytes", "most"),
    TRACE_COUNT("trace.count", "count", "fewest", "most"),
    TRACE_HEIGHT("trace.height"),
    TRACE_SHORT("trace.short", "length", "wanted", "cutOff"),
    TRACE_SPACING("trace.spacing"),
    TURNED_FEED("turned-finish.feed", "feed", "nose");

    private final Sentence sentence;

    FinishReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
