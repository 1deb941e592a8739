package tallledger.core.evidence;

import tallledger.core.rules.Rule;

/** The ways in which a line of an acceptance chart is measured, each with its fields, its computation and what it is read with. */
public enum ChartWay {
    /** The swing of a dial, or one difference: the result alone. */
    SWING(Rule.INDICATOR, new Takings.Nothing()),
    /** A level moved along by its own feet. */
    LEVEL_RUN(Rule.LEVEL, new AlongTakings.LevelRun()),
    /** A level across at places along. */
    CROSS_LEVELS(Rule.LEVEL, new AlongTakings.CrossLevels()),
    /** An indicator carried along a travel: how straight. */
    INDICATOR_STRAIGHT(Rule.INDICATOR, new AlongTakings.IndicatorRun(false)),
    /** The same: how parallel. */
    INDICATOR_PARALLEL(Rule.INDICATOR, new AlongTakings.IndicatorRun(true)),
    /** Heights over a grid. */
    GRID(Rule.INDICATOR, new AlongTakings.Grid()),
    /** A bar read near and far, then turned half and read again: its own error drops out. */
    TURNED_HALF(Rule.INDICATOR, new RoundTakings.TurnedHalf()),
    /** Readings round one turn near the nose and far out. */
    TWO_PLANES(Rule.INDICATOR, new RoundTakings.TwoPlanes()),
    /** Readings round one turn, the arbor turned half in its spindle, and again. */
    HALF_TURN(Rule.INDICATOR, new RoundTakings.HalfTurn()),
    /** A piece read round: its shape, its centre taken out. */
    OUT_OF_ROUND(Rule.INDICATOR, new RoundTakings.OutOfRound()),
    /** An indicator swung on the spindle over a table or base. */
    SWEEP(Rule.INDICATOR, new RoundTakings.Sweep()),
    /** Two collars turned without the tailstock, or between centres. */
    COLLARS(Rule.MICROMETER, new SeriesTakings.Collars()),
    /** The same place come to again. */
    REPEATS(Rule.INDICATOR, new SeriesTakings.Repeats()),
    /** Pieces in the order made. */
    PIECES(Rule.MICROMETER, new SeriesTakings.Pieces()),
    /** Steps commanded against steps moved. */
    STEPS(Rule.INDICATOR, new SeriesTakings.Steps()),
    /** An axis at its targets, from both sides. */
    AXIS(Rule.INDICATOR, new AxisTakings.Targets()),
    /** A circle driven both ways round. */
    CIRCLE(Rule.INDICATOR, new AxisTakings.Circle()),
    /** A readout against gauge lengths. */
    LENGTHS(Rule.INDICATOR, new DifferenceTakings.GaugeLengths()),
    /** A dip under a thrust that was read. */
    THRUST(Rule.INDICATOR, new DifferenceTakings.Thrust()),
    /** Against a square, and against it turned round. */
    SQUARE(Rule.INDICATOR, new DifferenceTakings.Square()),
    /** What was fed in against what came off. */
    INFEED(Rule.MICROMETER, new DifferenceTakings.InfeedSum());

    private final Rule gauge;
    private final Taking<?> taking;

    ChartWay(Rule gauge, Taking<?> taking) {
        this.gauge = gauge;
        this.taking = taking;
    }

    /** What it is usually read with. */
    public Rule gauge() {
        return gauge;
    }

    @SuppressWarnings("unchecked")
    Taking<Object> taking() {
        return (Taking<Object>) taking;
    }
}
