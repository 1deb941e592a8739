package tallledger.core.verdict;

import tallledger.core.family.Phase;

/** What a sentence of the statement stands under: the machine as a whole, the work in its order, what was not tested, the record itself. */
public enum Heading {
    IN_ALL, DESK, STANDING, ELECTRICS, FIRST_START, SPINDLE, MOVEMENT, TRAVELS, ACCURACY, TEST_CUT, HOT_CHECK, KIT, CLOSE, NOT_TESTED,
    RECORD;

    static Heading of(Phase phase) {
        return valueOf(phase.name());
    }
}
