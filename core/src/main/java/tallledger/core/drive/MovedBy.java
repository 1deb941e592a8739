package tallledger.core.drive;

/** What a person moves to change a stage; decides how long it takes. */
public enum MovedBy {
    /** A lever, knob or switch. */
    LEVER,
    /** A belt laid over. */
    BELT,
    /** A pin drawn, or wheels changed. */
    PIN,
    /** Nobody: the control does it. */
    COMMAND;

    /** What is usual for a kind of stage; a back gear may be a lever or a pin, so it can be said otherwise. */
    public static MovedBy usual(StageKind kind) {
        return switch (kind) {
            case BELT -> BELT;
            case CHANGE_WHEELS -> PIN;
            case COMMANDED -> COMMAND;
            case MOTOR, GEAR, BACK_GEAR, VARIATOR, INVERTER, DIRECTION -> LEVER;
        };
    }
}
