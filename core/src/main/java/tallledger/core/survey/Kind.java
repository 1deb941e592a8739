package tallledger.core.survey;

import java.util.Optional;
import java.util.stream.Stream;

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

    /** The kind of that name; empty for one this version does not know. */
    public static Optional<Kind> named(String name) {
        return Stream.of(values()).filter(k -> k.name().equals(name)).findFirst();
    }

    /** Whether a person may strike an entry of this kind. */
    public boolean canBeStruck() {
        return this != OPENED && this != STOPPED && this != PLAN_CHOSEN && this != STRIKE;
    }
}
