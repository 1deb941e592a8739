package tallledger.core.family;

/**
 * What must be free, safe or so before a step begins.
 *
 * @param kind what
 * @param of   which axis it is about; empty for the whole machine
 */
public record Need(Kind kind, String of) {

    /** Kinds of one subject exclude each other: confirming one takes back the other. */
    public enum Kind {
        POWER_ISOLATED("power"), POWER_ON("power"), SPINDLE_STILL("spindle"),
        LOCK_FREE("lock"), LOCK_ON("lock"), OTHER_LOCKS_FREE("other locks"), CLAMP_FREE("clamp"), BRAKE_OFF("brake"),
        HALF_NUT_OUT("half-nut"), FEED_OUT("feed"),
        WAY_CLEAR("way"), ENDS_KNOWN("ends"), DRAWBAR_SEATED("drawbar"), LEVEL_AND_WARM("level"), BAR_CLEAN("bar"), WHEEL_GUARDED("wheel"),
        CLEAR_OF_WHEEL("stand"), BLED("hydraulics"), WORK_HELD("work"), CHUCK_KEY_OUT("key"), GLASSES("eyes"), ELECTRICIAN("electrician"),
        NOTHING_UNDER("under"),
        /** An axis that moved the other way a moment ago has come to rest; asked at every reversal. */
        AT_REST("rest");

        private final String subject;

        Kind(String subject) {
            this.subject = subject;
        }
    }

    private static final char BAR = '|';

    /** As forms and entries name it. */
    public String written() {
        return kind.name() + BAR + of;
    }

    public static Need read(String written) {
        int bar = written.indexOf(BAR);
        return new Need(Kind.valueOf(written.substring(0, bar)), written.substring(bar + 1));
    }

    public static Need of(Kind kind) {
        return new Need(kind, "");
    }

    /** What this is a state of: the same subject can be in one state only. */
    public String subject() {
        return kind.subject + " " + of;
    }
}
