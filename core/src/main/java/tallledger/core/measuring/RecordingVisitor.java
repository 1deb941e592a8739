package tallledger.core.measuring;

import tallledger.core.motion.FeedReading;
import tallledger.core.motion.WheelSet;
import tallledger.core.reading.SpeedReading;
import tallledger.core.safety.Mounted;
import tallledger.core.supply.SupplyReading;

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

    /**
     * What is made of each kind of record together with what was read from it, as its drawing is.
     *
     * @param <T> what that is
     */
    interface OfRecorded<T> {

        T inspection(Inspection kind, NothingTyped value);

        T plateNote(PlateNote kind, PlateText value);

        T pieceCount(PieceCount kind, Integer value);

        T singleMeasurement(SingleMeasurement kind, SingleMeasurement.MeasuredValue value);

        T measurementOverLength(MeasurementOverLength kind, MeasurementOverLength.ValueOverLength value);

        T bearingTemperature(BearingTemperature kind, BearingTemperature.WarmingRead value);

        T separateScreen(SeparateScreen kind, NothingTyped value);

        T feedRate(FeedRate kind, FeedReading value);

        T axisTravel(AxisTravel kind, AxisTravel.TravelReading value);

        T tripRepeatability(TripRepeatability kind, TripRepeatability.TripStops value);

        T screwBacklash(ScrewBacklash kind, ScrewBacklash.LostMotion value);

        T changeWheelCount(ChangeWheelCount kind, WheelSet value);

        T threadLead(ThreadLead kind, ThreadLead.CutThread value);

        T supplyCheck(SupplyCheck kind, SupplyReading value);

        T watchedCycle(WatchedCycle kind, WatchedCycle.Watched value);

        T grindingWheelMark(GrindingWheelMark kind, Mounted value);

        T speedToCentre(SpeedToCentre kind, SpeedToCentre.SurfaceSpeeds value);

        T throughFeedRate(ThroughFeedRate kind, ThroughFeedRate.ThroughReading value);

        T spindleCheck(SpindleCheck kind, NothingTyped value);

        T runoutRound(RunoutRound kind, RunoutRound.RunoutRead value);

        T speedRead(SpeedRead kind, SpeedReading value);

        T surfaceFinish(SurfaceFinish kind, SurfaceFinish.FinishRead value);

        T panelCheck(PanelCheck kind, PanelCheck.PanelFinding value);

        T trialSpeeds(TrialSpeeds kind, TrialSpeeds.Trials value);

        <V> T chartLine(ChartLine<V> line, ChartReading<V> value);
    }
}
