package tallledger.core.measuring;

/**
 * What is made of the readings of each way of measuring, such as their picture.
 *
 * @param <T> what that is
 */
public interface ReadingsVisitor<T> {

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
}
