package tallledger.core.coverage;

import java.util.Optional;

/** How the levers went into place for a run. */
public enum ShiftFeel {
    ENGAGES_CLEAN, NEEDS_ROCKING, CLASHES, JUMPS_OUT, WILL_NOT_ENGAGE;

    /** The symptom this amounts to; rocking and clashing are findings, they do not fail a speed. */
    public Optional<Symptom> symptom() {
        return switch (this) {
            case JUMPS_OUT -> Optional.of(Symptom.JUMPS_OUT);
            case WILL_NOT_ENGAGE -> Optional.of(Symptom.WILL_NOT_ENGAGE);
            case ENGAGES_CLEAN, NEEDS_ROCKING, CLASHES -> Optional.empty();
        };
    }
}
