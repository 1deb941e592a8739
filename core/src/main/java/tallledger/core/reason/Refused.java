package tallledger.core.reason;

import java.util.Optional;

/** Thrown by a factory that is handed nonsense; carries what was wrong and what would be right, for the person who typed it. */
public class Refused extends IllegalArgumentException {

    private final transient Reason reason;
    private final String field;

    public Refused(Reason reason) {
        this(reason, null);
    }

    private Refused(Reason reason, String field) {
        super(reason.toString());
        this.reason = reason;
        this.field = field;
    }

    public static Refused because(ReasonCode code, Object... arguments) {
        return new Refused(Reason.of(code, arguments));
    }

    /** The same refusal, naming which of several fields it is about. */
    public Refused at(String field) {
        return new Refused(reason, field);
    }

    /** Which field was wrong, where the factory reads several. */
    public Optional<String> field() {
        return Optional.ofNullable(field);
    }

    /** What was wrong, with the text as typed and an example of what would be right. */
    public Reason reason() {
        return reason;
    }
}
