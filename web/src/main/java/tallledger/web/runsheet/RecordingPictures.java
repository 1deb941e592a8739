package tallledger.web.runsheet;

import java.util.Optional;
import tallledger.core.geometry.Round;
import tallledger.core.measuring.AxisPositioning;
import tallledger.core.measuring.AxisTravel;
import tallledger.core.measuring.BearingTemperature;
import tallledger.core.measuring.ChangeWheelCount;
import tallledger.core.measuring.ChartLine;
import tallledger.core.measuring.ChartReading;
import tallledger.core.measuring.CircularPath;
import tallledger.core.measuring.DipUnderThrust;
import tallledger.core.measuring.DirectionByTurnedBar;
import tallledger.core.measuring.FeedRate;
import tallledger.core.measuring.FlatnessByGrid;
import tallledger.core.measuring.GrindingWheelMark;
import tallledger.core.measuring.HeightsAlong;
import tallledger.core.measuring.InfeedByWork;
import tallledger.core.measuring.Inspection;
import tallledger.core.measuring.MeasurementOverLength;
import tallledger.core.measuring.MethodVisitor;
import tallledger.core.measuring.NothingTyped;
import tallledger.core.measuring.PanelCheck;
import tallledger.core.measuring.ParallelismByIndicator;
import tallledger.core.measuring.PieceCount;
import tallledger.core.measuring.PlateNote;
import tallledger.core.measuring.PlateText;
import tallledger.core.measuring.ReadingSeries;
import tallledger.core.measuring.RecordingVisitor;
import tallledger.core.measuring.RepeatabilityOfPlace;
import tallledger.core.measuring.RoundnessOfPiece;
import tallledger.core.measuring.RunoutByHalfTurn;
import tallledger.core.measuring.RunoutInTwoPlanes;
import tallledger.core.measuring.RunoutRound;
import tallledger.core.measuring.ScaleByGaugeLengths;
import tallledger.core.measuring.ScrewBacklash;
import tallledger.core.measuring.SeparateScreen;
import tallledger.core.measuring.SingleMeasurement;
import tallledger.core.measuring.SingleSwing;
import tallledger.core.measuring.SpeedRead;
import tallledger.core.measuring.SpeedToCentre;
import tallledger.core.measuring.SpindleCheck;
import tallledger.core.measuring.SpreadOfPieces;
import tallledger.core.measuring.SquarenessBySweep;
import tallledger.core.measuring.SquarenessByTurnedSquare;
import tallledger.core.measuring.StepResponse;
import tallledger.core.measuring.StraightnessByIndicator;
import tallledger.core.measuring.StraightnessByLevel;
import tallledger.core.measuring.SupplyCheck;
import tallledger.core.measuring.SurfaceFinish;
import tallledger.core.measuring.TaperAgainstNominal;
import tallledger.core.measuring.TaperByCollars;
import tallledger.core.measuring.ThreadLead;
import tallledger.core.measuring.ThroughFeedRate;
import tallledger.core.measuring.TrialSpeeds;
import tallledger.core.measuring.TripRepeatability;
import tallledger.core.measuring.TwistByLevels;
import tallledger.core.measuring.TwoRoundReadings;
import tallledger.core.measuring.WatchedCycle;
import tallledger.core.motion.FeedReading;
import tallledger.core.motion.WheelSet;
import tallledger.core.reading.SpeedReading;
import tallledger.core.rules.Rules;
import tallledger.core.safety.Mounted;
import tallledger.core.supply.SupplyReading;
import tallledger.core.survey.StepResult;
import tallledger.core.unit.Unit;
import tallledger.web.cycle.CycleView;
import tallledger.web.pictures.PlotView;
import tallledger.web.pictures.Plots;
import tallledger.web.words.Words;

/** The picture of what was recorded, one for page, print and PDF; most records have none. */
public final class RecordingPictures
        implements RecordingVisitor.OfRecorded<Optional<Picture>>, MethodVisitor.OfReadings<Optional<Picture>> {

    private final StepResult result;
    private final Rules rules;
    private final Words words;
    private final Plots plots;

    private RecordingPictures(StepResult result, Rules rules, Words words) {
        this.result = result;
        this.rules = rules;
        this.words = words;
        this.plots = new Plots(result.values().unit(), mm -> words.in(result.values().unit(), mm, Unit.MILLIMETRES));
    }

    public static Optional<Picture> of(StepResult result, Rules rules, Words words) {
        return result.recorded().flatMap(r -> r.accept(new RecordingPictures(result, rules, words)));
    }

    private Optional<Picture> plot(PlotView view) {
        return drawn("pictures/plot", view);
    }

    private PolarView polar(Round round) {
        return PolarView.of(round, um -> words.in(result.values().unit(), um, Unit.MICROMETRES));
    }

    private Optional<Picture> drawn(String template, Object view) {
        return Optional.of(new Picture(template, view, words.say(result.step().name()), result.entry()));
    }

    /** A result typed alone has no picture. */
    @Override
    public <V> Optional<Picture> chartLine(ChartLine<V> line, ChartReading<V> value) {
        return value instanceof ChartReading.Readings<V> read ? line.method().accept(read.readings(), this) : Optional.empty();
    }

    @Override
    public Optional<Picture> inspection(Inspection kind, NothingTyped value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> plateNote(PlateNote kind, PlateText value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> pieceCount(PieceCount kind, Integer value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> singleMeasurement(SingleMeasurement kind, SingleMeasurement.MeasuredValue value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> measurementOverLength(MeasurementOverLength kind, MeasurementOverLength.ValueOverLength value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> bearingTemperature(BearingTemperature kind, BearingTemperature.WarmingRead value) {
        return value.run().flatMap(run -> plot(plots.hot(run)));
    }

    @Override
    public Optional<Picture> separateScreen(SeparateScreen kind, NothingTyped value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> feedRate(FeedRate kind, FeedReading value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> axisTravel(AxisTravel kind, AxisTravel.TravelReading value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> tripRepeatability(TripRepeatability kind, TripRepeatability.TripStops value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> screwBacklash(ScrewBacklash kind, ScrewBacklash.LostMotion value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> changeWheelCount(ChangeWheelCount kind, WheelSet value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> threadLead(ThreadLead kind, ThreadLead.CutThread value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> supplyCheck(SupplyCheck kind, SupplyReading value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> watchedCycle(WatchedCycle kind, WatchedCycle.Watched value) {
        CycleView view = CycleView.done(value, rules, words);
        return view.lines().isEmpty() ? Optional.empty() : drawn("cycle/line", view);
    }

    @Override
    public Optional<Picture> grindingWheelMark(GrindingWheelMark kind, Mounted value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> speedToCentre(SpeedToCentre kind, SpeedToCentre.SurfaceSpeeds value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> throughFeedRate(ThroughFeedRate kind, ThroughFeedRate.ThroughReading value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> spindleCheck(SpindleCheck kind, NothingTyped value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> runoutRound(RunoutRound kind, RunoutRound.RunoutRead value) {
        return drawn("runsheet/polar", polar(value.round()));
    }

    @Override
    public Optional<Picture> speedRead(SpeedRead kind, SpeedReading value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> surfaceFinish(SurfaceFinish kind, SurfaceFinish.FinishRead value) {
        return value.trace().flatMap(trace -> plot(plots.trace(trace)));
    }

    @Override
    public Optional<Picture> panelCheck(PanelCheck kind, PanelCheck.PanelFinding value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> trialSpeeds(TrialSpeeds kind, TrialSpeeds.Trials value) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> singleSwing(SingleSwing method, Void readings) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> straightnessByLevel(StraightnessByLevel method, HeightsAlong readings) {
        return plot(plots.level(readings));
    }

    @Override
    public Optional<Picture> twistByLevels(TwistByLevels method, TwistByLevels.LevelReadings readings) {
        return plot(plots.across(readings));
    }

    @Override
    public Optional<Picture> straightnessByIndicator(StraightnessByIndicator method, HeightsAlong readings) {
        return plot(plots.indicator(readings, false));
    }

    @Override
    public Optional<Picture> parallelismByIndicator(ParallelismByIndicator method, HeightsAlong readings) {
        return plot(plots.indicator(readings, true));
    }

    @Override
    public Optional<Picture> flatnessByGrid(FlatnessByGrid method, FlatnessByGrid.GridHeights readings) {
        return plot(plots.face(readings));
    }

    @Override
    public Optional<Picture> directionByTurnedBar(DirectionByTurnedBar method, DirectionByTurnedBar.BarReadings readings) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> runoutInTwoPlanes(RunoutInTwoPlanes method, TwoRoundReadings readings) {
        return plot(plots.planes(readings));
    }

    @Override
    public Optional<Picture> runoutByHalfTurn(RunoutByHalfTurn method, TwoRoundReadings readings) {
        return plot(plots.halfTurn(readings));
    }

    @Override
    public Optional<Picture> roundnessOfPiece(RoundnessOfPiece method, RoundnessOfPiece.PieceShape readings) {
        return drawn("runsheet/polar", polar(readings.round()));
    }

    @Override
    public Optional<Picture> squarenessBySweep(SquarenessBySweep method, SquarenessBySweep.SweepReadings readings) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> taperByCollars(TaperByCollars method, TaperByCollars.CollarReadings readings) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> repeatabilityOfPlace(RepeatabilityOfPlace method, ReadingSeries readings) {
        return plot(plots.row(readings));
    }

    @Override
    public Optional<Picture> spreadOfPieces(SpreadOfPieces method, ReadingSeries readings) {
        return plot(plots.row(readings));
    }

    @Override
    public Optional<Picture> stepResponse(StepResponse method, StepResponse.StepReadings readings) {
        return plot(plots.row(readings.stood()));
    }

    @Override
    public Optional<Picture> axisPositioning(AxisPositioning method, AxisPositioning.AxisReadings readings) {
        return plot(plots.axis(readings));
    }

    @Override
    public Optional<Picture> circularPath(CircularPath method, CircularPath.CircleReadings readings) {
        return plot(plots.circle(readings));
    }

    @Override
    public Optional<Picture> scaleByGaugeLengths(ScaleByGaugeLengths method, ScaleByGaugeLengths.LengthReadings readings) {
        return plot(plots.lengths(readings));
    }

    @Override
    public Optional<Picture> dipUnderThrust(DipUnderThrust method, DipUnderThrust.ThrustReading readings) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> squarenessByTurnedSquare(SquarenessByTurnedSquare method, SquarenessByTurnedSquare.SquareReadings readings) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> infeedByWork(InfeedByWork method, InfeedByWork.InfeedReadings readings) {
        return Optional.empty();
    }

    @Override
    public Optional<Picture> taperAgainstNominal(TaperAgainstNominal method, TaperAgainstNominal.TaperReadings readings) {
        return plot(plots.overLength(readings.apart().mm().doubleValue(), readings.error()));
    }
}
