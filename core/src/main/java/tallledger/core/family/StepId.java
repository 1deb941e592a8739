package tallledger.core.family;

/**
 * Which step of a machine: what is done, and of what.
 *
 * @param code key of its words
 * @param of   identity of its axis, labels of its feed, or the number of a person's own cycle; empty for the whole machine
 * @param side which way, where it is done each way
 */
public record StepId(String code, String of, Side side) {

    /** A way along an axis. */
    public enum Side { BOTH, MINUS, PLUS }

    private static final char DOT = '.';
    private static final String MINUS = ".minus";
    private static final String PLUS = ".plus";

    public static StepId of(String code) {
        return new StepId(code, "", Side.BOTH);
    }

    public static StepId of(String code, String of) {
        return new StepId(code, of, Side.BOTH);
    }

    /** As forms and entries name it. */
    public String written() {
        return code + (of.isEmpty() ? "" : DOT + of) + switch (side) {
            case BOTH -> "";
            case MINUS -> MINUS;
            case PLUS -> PLUS;
        };
    }

    /** What a form or an entry names; that there is such a step is for the machine's list to say. */
    public static StepId read(String written) {
        int dot = written.indexOf(DOT);
        if (dot < 0) {
            return of(written);
        }
        String code = written.substring(0, dot);
        String rest = written.substring(dot + 1);
        if (written.endsWith(PLUS) && rest.length() > PLUS.length()) {
            return new StepId(code, rest.substring(0, rest.length() - PLUS.length()), Side.PLUS);
        }
        return written.endsWith(MINUS) && rest.length() > MINUS.length()
                ? new StepId(code, rest.substring(0, rest.length() - MINUS.length()), Side.MINUS)
                : of(code, rest);
    }

    @Override
    public String toString() {
        return written();
    }
}
