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
}
