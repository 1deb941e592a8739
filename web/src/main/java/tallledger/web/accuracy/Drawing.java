package tallledger.web.accuracy;

import tallledger.core.evidence.ChartLine;
import tallledger.core.evidence.Rounds;
import tallledger.core.family.Step;

/** How a line of the chart is measured, as it is drawn; the drawing of each is in the fragment {@code ways}. */
public enum Drawing {
    LEVEL_RUN, CROSS_LEVELS, INDICATOR_STRAIGHT, INDICATOR_PARALLEL, GRID, TURNED_HALF, TWO_PLANES, HALF_TURN, OUT_OF_ROUND, SWEEP, COLLARS,
    REPEATS, PIECES, STEPS, AXIS, CIRCLE, LENGTHS, THRUST, SQUARE, INFEED,
    /** Readings round one turn. */
    ROUND,
    /** A part moved along its travel and read at a dial that stands. */
    MOVED,
    /** One difference on a dial. */
    SWING;

    /** Of a way of its own, or of the kind of record. */
    public static Drawing of(Step step) {
        if (step.recording() instanceof ChartLine line) {
            return valueOf(line.way().name());
        }
        if (step.recording() instanceof Rounds) {
            return ROUND;
        }
        return step.axis().isPresent() ? MOVED : SWING;
    }
}
