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
    /** An element was put right: runs through it prove nothing any more, and those that failed must be repeated. */
    REPAIRED,
    /** Strikes an earlier entry; the struck one stays readable. */
    STRIKE;

    /** Whether a person may strike an entry of this kind. */
    public boolean canBeStruck() {
        return this == RUN || this == PASSED_OVER || this == REMARK || this == START_CONFIRMED || this == CHECK
                || this == REPAIRED;
    }
}
