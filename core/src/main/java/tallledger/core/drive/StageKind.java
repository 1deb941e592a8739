package tallledger.core.drive;

/** What sort of thing a stage is; decides what its positions mean and how long moving between them takes. */
public enum StageKind {
    MOTOR, BELT, GEAR, BACK_GEAR,
    /** Wheels that are taken off and put on. */
    CHANGE_WHEELS,
    VARIATOR, INVERTER,
    /** Two ranges that the control changes by itself at a commanded speed; nobody moves a lever. */
    COMMANDED, DIRECTION;

    /** Whether the stage reaches anything between two ends. */
    public boolean slides() {
        return this == VARIATOR || this == INVERTER;
    }
}
