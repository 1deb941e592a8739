package tallledger.core.instrument;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
public enum InstrumentReason implements ReasonCode {
    ANSWERS_NOT("instrument.answers-not", "where"),
    LINE_KIND("instrument.kind", "word"),
    LINE_LONG("instrument.long", "length", "most"),
    LINE_PARTS("instrument.parts", "line"),
    LINE_UNIT("instrument.unit", "unit", "kind", "units"),
    NOTHING_READ("instrument.nothing", "kind"),
    OLD("instrument.old", "seconds");

    private final Sentence sentence;

    InstrumentReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
