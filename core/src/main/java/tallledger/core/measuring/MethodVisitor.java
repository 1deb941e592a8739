package tallledger.core.measuring;

/**
 * What is made of each way of measuring, such as the readings of a sound machine or the drawing of how it is done.
 *
 * @param <T> what that is
 */
public interface MethodVisitor<T> {

    T singleSwing(SingleSwing method);

    T straightnessByLevel(StraightnessByLevel method);

    T twistByLevels(TwistByLevels method);

    T straightnessByIndicator(StraightnessByIndicator method);

    T parallelismByIndicator(ParallelismByIndicator method);

    T flatnessByGrid(FlatnessByGrid method);

    T directionByTurnedBar(DirectionByTurnedBar method);

    T runoutInTwoPlanes(RunoutInTwoPlanes method);

    T runoutByHalfTurn(RunoutByHalfTurn method);

    T roundnessOfPiece(RoundnessOfPiece method);

    T squarenessBySweep(SquarenessBySweep method);

    T taperByCollars(TaperByCollars method);

    T repeatabilityOfPlace(RepeatabilityOfPlace method);

    T spreadOfPieces(SpreadOfPieces method);

    T stepResponse(StepResponse method);

    T axisPositioning(AxisPositioning method);

    T circularPath(CircularPath method);

    T scaleByGaugeLengths(ScaleByGaugeLengths method);

    T dipUnderThrust(DipUnderThrust method);

    T squarenessByTurnedSquare(SquarenessByTurnedSquare method);

    T infeedByWork(InfeedByWork method);

    T taperAgainstNominal(TaperAgainstNominal method);

    /**
     * What is made of the readings of each way of measuring, such as their picture.
     *
     * @param <T> what that is
     */
    interface OfReadings<T> {

        T singleSwing(SingleSwing method, Void readings);

        T straightnessByLevel(StraightnessByLevel method, HeightsAlong readings);

        T twistByLevels(TwistByLevels method, TwistByLevels.LevelReadings readings);

        T straightnessByIndicator(StraightnessByIndicator method, HeightsAlong readings);

        T parallelismByIndicator(ParallelismByIndicator method, HeightsAlong readings);

        T flatnessByGrid(FlatnessByGrid method, FlatnessByGrid.GridHeights readings);

        T directionByTurnedBar(DirectionByTurnedBar method, DirectionByTurnedBar.BarReadings readings);

        T runoutInTwoPlanes(RunoutInTwoPlanes method, TwoRoundReadings readings);

        T runoutByHalfTurn(RunoutByHalfTurn method, TwoRoundReadings readings);

        T roundnessOfPiece(RoundnessOfPiece method, RoundnessOfPiece.PieceShape readings);

        T squarenessBySweep(SquarenessBySweep method, SquarenessBySweep.SweepReadings readings);

        T taperByCollars(TaperByCollars method, TaperByCollars.CollarReadings readings);

        T repeatabilityOfPlace(RepeatabilityOfPlace method, ReadingSeries readings);

        T spreadOfPieces(SpreadOfPieces method, ReadingSeries readings);

        T stepResponse(StepResponse method, StepResponse.StepReadings readings);

        T axisPositioning(AxisPositioning method, AxisPositioning.AxisReadings readings);

        T circularPath(CircularPath method, CircularPath.CircleReadings readings);

        T scaleByGaugeLengths(ScaleByGaugeLengths method, ScaleByGaugeLengths.LengthReadings readings);

        T dipUnderThrust(DipUnderThrust method, DipUnderThrust.ThrustReading readings);

        T squarenessByTurnedSquare(SquarenessByTurnedSquare method, SquarenessByTurnedSquare.SquareReadings readings);

        T infeedByWork(InfeedByWork method, InfeedByWork.InfeedReadings readings);

        T taperAgainstNominal(TaperAgainstNominal method, TaperAgainstNominal.TaperReadings readings);
    }
}
