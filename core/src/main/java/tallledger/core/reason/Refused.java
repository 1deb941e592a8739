package tallledger.core.reason;

/** Thrown by a factory that is handed nonsense; carries what was wrong and what would be right, for the person who typed it. */
public class Refused extends IllegalArgumentException {

    private final transient Reason reason;

    public Refused(Reason reason) {
        super(reason.toString());
        this.reason = reason;
    }

    public static Refused because(String code, Object... arguments) {
        return new Refused(Reason.of(code, arguments));
    }

    /** What was wrong, with the text as typed and an example of what would be right. */
    public Reason reason() {
        return reason;
    }
}
