package tallledger.web.accuracy;

import tallledger.core.family.Step;
import tallledger.core.measuring.AxisPositioning;
import tallledger.core.measuring.ChartLine;
import tallledger.core.measuring.CircularPath;
import tallledger.core.measuring.DipUnderThrust;
import tallledger.core.measuring.DirectionByTurnedBar;
import tallledger.core.measuring.FlatnessByGrid;
import tallledger.core.measuring.InfeedByWork;
import tallledger.core.measuring.MethodVisitor;
import tallledger.core.measuring.ParallelismByIndicator;
import tallledger.core.measuring.RepeatabilityOfPlace;
import tallledger.core.measuring.RoundnessOfPiece;
import tallledger.core.measuring.RunoutByHalfTurn;
import tallledger.core.measuring.RunoutInTwoPlanes;
import tallledger.core.measuring.RunoutRound;
import tallledger.core.measuring.ScaleByGaugeLengths;
import tallledger.core.measuring.SingleSwing;
import tallledger.core.measuring.SpreadOfPieces;
import tallledger.core.measuring.SquarenessBySweep;
import tallledger.core.measuring.SquarenessByTurnedSquare;
import tallledger.core.measuring.StepResponse;
import tallledger.core.measuring.StraightnessByIndicator;
import tallledger.core.measuring.StraightnessByLevel;
import tallledger.core.measuring.TaperAgainstNominal;
import tallledger.core.measuring.TaperByCollars;
import tallledger.core.measuring.TwistByLevels;

/** How a line of the chart is measured, as it is drawn; the drawing of each is in the fragment {@code ways}. */
public enum Drawing {
    LEVEL_RUN, CROSS_LEVELS, INDICATOR_STRAIGHT, INDICATOR_PARALLEL, GRID, TURNED_HALF, TWO_PLANES, HALF_TURN, OUT_OF_ROUND, SWEEP, COLLARS,
    REPEATS, PIECES, STEPS, AXIS, CIRCLE, LENGTHS, THRUST, SQUARE, INFEED, TAPER,
    /** Readings round one turn. */
    ROUND,
    /** A part moved along its travel and read at a dial that stands. */
    MOVED,
    /** One difference on a dial. */
    SWING;

    /** Of a way of its own, or of the kind of record. */
    public static Drawing of(Step step) {
        if (step.recording() instanceof ChartLine<?> line) {
            return line.method().accept(OF_METHOD);
        }
        if (step.recording() instanceof RunoutRound) {
            return ROUND;
        }
        return step.axis().isPresent() ? MOVED : SWING;
    }

    /** The drawing of each way of measuring. */
    private static final MethodVisitor<Drawing> OF_METHOD = new MethodVisitor<>() {

        @Override
        public Drawing singleSwing(SingleSwing method) {
            return SWING;
        }

        @Override
        public Drawing straightnessByLevel(StraightnessByLevel method) {
            return LEVEL_RUN;
        }

        @Override
        public Drawing twistByLevels(TwistByLevels method) {
            return CROSS_LEVELS;
        }

        @Override
        public Drawing straightnessByIndicator(StraightnessByIndicator method) {
            return INDICATOR_STRAIGHT;
        }

        @Override
        public Drawing parallelismByIndicator(ParallelismByIndicator method) {
            return INDICATOR_PARALLEL;
        }

        @Override
        public Drawing flatnessByGrid(FlatnessByGrid method) {
            return GRID;
        }

        @Override
        public Drawing directionByTurnedBar(DirectionByTurnedBar method) {
            return TURNED_HALF;
        }

        @Override
        public Drawing runoutInTwoPlanes(RunoutInTwoPlanes method) {
            return TWO_PLANES;
        }

        @Override
        public Drawing runoutByHalfTurn(RunoutByHalfTurn method) {
            return HALF_TURN;
        }

        @Override
        public Drawing roundnessOfPiece(RoundnessOfPiece method) {
            return OUT_OF_ROUND;
        }

        @Override
        public Drawing squarenessBySweep(SquarenessBySweep method) {
            return SWEEP;
        }

        @Override
        public Drawing taperByCollars(TaperByCollars method) {
            return COLLARS;
        }

        @Override
        public Drawing repeatabilityOfPlace(RepeatabilityOfPlace method) {
            return REPEATS;
        }

        @Override
        public Drawing spreadOfPieces(SpreadOfPieces method) {
            return PIECES;
        }

        @Override
        public Drawing stepResponse(StepResponse method) {
            return STEPS;
        }

        @Override
        public Drawing axisPositioning(AxisPositioning method) {
            return AXIS;
        }

        @Override
        public Drawing circularPath(CircularPath method) {
            return CIRCLE;
        }

        @Override
        public Drawing scaleByGaugeLengths(ScaleByGaugeLengths method) {
            return LENGTHS;
        }

        @Override
        public Drawing dipUnderThrust(DipUnderThrust method) {
            return THRUST;
        }

        @Override
        public Drawing squarenessByTurnedSquare(SquarenessByTurnedSquare method) {
            return SQUARE;
        }

        @Override
        public Drawing infeedByWork(InfeedByWork method) {
            return INFEED;
        }

        @Override
        public Drawing taperAgainstNominal(TaperAgainstNominal method) {
            return TAPER;
        }
    };
}
