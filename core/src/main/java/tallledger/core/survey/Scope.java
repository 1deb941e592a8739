package tallledger.core.survey;

import tallledger.core.family.Step;

/** How much of the machine a survey goes through. */
public enum Scope {
    WHOLE,
    /** The spindle drive alone: every speed, and its own checks after them. */
    SPINDLE_DRIVE;

    boolean includes(Step step) {
        return this == WHOLE || step.recording().driveCheck().isPresent();
    }
}
