package tallledger.core.measuring;

/**
 * What is made of each kind of record, by whoever makes something of them.
 *
 * @param <T> what that is
 */
public interface RecordingVisitor<T> {

    T inspection(Inspection kind);

    T plateNote(PlateNote kind);

    T pieceCount(PieceCount kind);

    T singleMeasurement(SingleMeasurement kind);

    T measurementOverLength(MeasurementOverLength kind);

    T bearingTemperature(BearingTemperature kind);

    T separateScreen(SeparateScreen kind);

    T feedRate(FeedRate kind);

    T axisTravel(AxisTravel kind);

    T tripRepeatability(TripRepeatability kind);

    T screwBacklash(ScrewBacklash kind);

    T changeWheelCount(ChangeWheelCount kind);

    T threadLead(ThreadLead kind);

    T supplyCheck(SupplyCheck kind);

    T watchedCycle(WatchedCycle kind);

    T grindingWheelMark(GrindingWheelMark kind);

    T speedToCentre(SpeedToCentre kind);

    T throughFeedRate(ThroughFeedRate kind);

    T spindleCheck(SpindleCheck kind);

    T runoutRound(RunoutRound kind);

    T speedRead(SpeedRead kind);

    T surfaceFinish(SurfaceFinish kind);

    T panelCheck(PanelCheck kind);

    T trialSpeeds(TrialSpeeds kind);

    <V> T chartLine(ChartLine<V> line);
}
