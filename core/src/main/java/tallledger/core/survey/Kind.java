package tallledger.core.survey;

/** Kinds of entry in a survey's ledger. */
public enum Kind {
    /** The survey begins: which machine, which version of its description, who surveys. */
    OPENED,
    /** A newer version of the machine's description is judged by from here on. */
    DESCRIPTION_ADOPTED,
    /** The start checks were made. */
    START_CONFIRMED,
    /** The machine was stopped for good: the start checks are due again. */
    STOPPED,
    /** Which school the runs are planned by, and in how many minutes. */
    PLAN_CHOSEN,
    RUN, PASSED_OVER, REMARK,
    /** Neutral, jog, brake or a commanded shift was tried. */
    CHECK,
    /** A step of the catalogue was done. */
    STEP,
    /** A step or speed is put off: come back later. */
    LATER,
    /** Kit or a paper was looked for, promised or awaited. */
    KIT,
    /** What the machine weighs and the lift is said to carry. */
    LIFT,
    /** A photograph, by the hash of its bytes. */
    PHOTO,
    /** An element or a step's system was put right: runs through it prove nothing any more, and those that failed must be repeated. */
    REPAIRED,
    /** Strikes an earlier entry; the struck one stays readable. */
    STRIKE;

    /** Whether a person may strike an entry of this kind. */
    public boolean canBeStruck() {
        return this == STEP || this == KIT || this == LIFT || this == PHOTO || this == LATER || this == RUN || this == PASSED_OVER || this == REMARK || this == START_CONFIRMED || this == CHECK
                || this == REPAIRED;
    }
}
