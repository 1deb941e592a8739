package tallledger.practice;

import tallledger.core.coverage.Symptom;

/**
 * A fault of one element, hidden from the surveyor.
 *
 * @param stage    name of the stage
 * @param position label of the position
 * @param symptom  how it shows on a run whose route uses it
 * @param shows    chance that it shows on one such run
 */
public record HiddenFault(String stage, String position, Symptom symptom, double shows) {

    public HiddenFault {
        if (!(shows > 0 && shows <= 1)) {
            throw new IllegalArgumentException("chance to show must lie in (0, 1]: " + shows);
        }
    }
}
