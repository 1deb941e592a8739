package tallledger.core.survey;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.family.Phase;
import tallledger.core.family.Step;
import tallledger.core.film.FilmFile;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.measuring.AxisTravel;
import tallledger.core.measuring.BearingTemperature;
import tallledger.core.measuring.ChangeWheelCount;
import tallledger.core.measuring.ChartLine;
import tallledger.core.measuring.FeedRate;
import tallledger.core.measuring.GrindingWheelMark;
import tallledger.core.measuring.Inspection;
import tallledger.core.measuring.MeasurementOverLength;
import tallledger.core.measuring.PanelCheck;
import tallledger.core.measuring.PieceCount;
import tallledger.core.measuring.PlateNote;
import tallledger.core.measuring.RecordingVisitor;
import tallledger.core.measuring.RunoutRound;
import tallledger.core.measuring.ScrewBacklash;
import tallledger.core.measuring.SeparateScreen;
import tallledger.core.measuring.SingleMeasurement;
import tallledger.core.measuring.SpeedRead;
import tallledger.core.measuring.SpeedToCentre;
import tallledger.core.measuring.SpindleCheck;
import tallledger.core.measuring.SupplyCheck;
import tallledger.core.measuring.SurfaceFinish;
import tallledger.core.measuring.ThreadLead;
import tallledger.core.measuring.ThroughFeedRate;
import tallledger.core.measuring.TrialSpeeds;
import tallledger.core.measuring.TripRepeatability;
import tallledger.core.measuring.WatchedCycle;
import tallledger.core.reading.Method;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;

/**
 * What a film can prove (W 4.8). Neither its sound nor its picture bears a runout, a temperature, a finish, what only a hand feels, or
 * "quiet"; play and backlash in figures only with a still of the dial they were read from. The one judge of it: a form that says more is
 * refused, and an entry that does all the same counts as nothing.
 */
public final class FilmBears {

    /** How much of a step a film can bear. */
    public enum Bears {
        YES,
        /** With a still of the film kept at the step, which shows the dial. */
        WITH_STILL,
        NO
    }

    /** Told by the hand or by a quiet ear. */
    private static final Set<String> FELT =
            Set.of("spindle-taper", "drill-taper", "gap-seat", "hand-wheel", "arbor-supports", "tool-drawbar",
                    "magnetic-chuck", "feed-shaft-wear", "turned-finish", "ground-finish", "bed-by-headstock", "earth", "level");
    private static final Set<Symptom> BY_HAND = EnumSet.of(Symptom.HOT, Symptom.RUNS_ROUGH);

    private FilmBears() {
    }

    public static Bears of(Step step) {
        Bears kind = step.recording().accept(new OfRecording());
        boolean felt = FELT.contains(step.code()) || step.phase() == Phase.HOT_CHECK;
        return kind == Bears.YES && felt ? Bears.NO : kind;
    }

    /**
     * Why an event counts as nothing where it was seen in a film.
     *
     * @param step   it is of, where it is of one of the catalogue
     * @param routes key of a speed by what is set for it, parted by blanks
     * @param footage films looked at, their cuts, and the stills
     */
    static Optional<Reason> refusal(Event event, Optional<Step> step, FilmMoment moment, UnaryOperator<String> routes, Footage footage) {
        if (event instanceof WorkEvent.RunMade run) {
            return refusal(run.record(), moment, routes, footage);
        }
        if (event instanceof WorkEvent.StepDone done) {
            return step.flatMap(s -> refusal(done, s, moment, footage));
        }
        boolean atMachine = event instanceof WorkEvent.TemperaturesTaken || event instanceof WorkEvent.StartConfirmed
                || event instanceof WorkEvent.Stopped || event instanceof WorkEvent.Repaired || event instanceof BookEvent.Camera
                || event instanceof WorkEvent.CutDone;
        return atMachine ? Optional.of(Reason.of(SurveyReason.FILM_AT_MACHINE)) : Optional.empty();
    }

    /** Whether such a moment can be written at all: its film was opened, and is as long. */
    static Optional<Reason> unknown(FilmMoment moment, Footage footage) {
        Optional<FilmFile> film = footage.film(moment.film());
        if (film.isEmpty()) {
            return Optional.of(Reason.of(SurveyReason.FILM_UNKNOWN));
        }
        return film.filter(f -> !f.holds(moment.until()))
                .map(f -> Reason.of(SurveyReason.FILM_PAST_END, FilmMoment.shown(moment.until())));
    }

    /** A figure that something shows needs a still of what shows it; turns are counted in the film's own time. */
    private static Optional<Reason> refusal(RunRecord run, FilmMoment moment, UnaryOperator<String> routes, Footage footage) {
        if (run.quiet()) {
            return Optional.of(Reason.of(SurveyReason.FILM_QUIET));
        }
        boolean felt = !run.symptoms().stream().allMatch(FilmBears::isSeen) || !run.shift().map(FilmBears::isSeen).orElse(true);
        if (felt) {
            return Optional.of(Reason.of(SurveyReason.FILM_FELT));
        }
        Optional<Method> method = run.reading().map(SpeedReading::method);
        if (method.filter(Method.TAP_COUNT::equals).isPresent()) {
            return Optional.of(Reason.of(SurveyReason.FILM_WALL_CLOCK));
        }
        boolean shown = method.filter(Method::isShown).isPresent();
        return shown && !footage.hasStill(routes.apply(String.join(" ", run.settings())), moment.film())
                ? Optional.of(Reason.of(SurveyReason.FILM_STILL_MISSING))
                : Optional.empty();
    }

    /** Whether a film can show or let one hear it. */
    public static boolean isSeen(Symptom symptom) {
        return !BY_HAND.contains(symptom);
    }

    /** Whether a film shows how a lever went in: that it clashed is heard, that it went in clean is felt. */
    public static boolean isSeen(ShiftFeel feel) {
        return feel != ShiftFeel.ENGAGES_CLEAN && feel != ShiftFeel.NEEDS_ROCKING;
    }

    private static Optional<Reason> refusal(WorkEvent.StepDone done, Step step, FilmMoment moment, Footage footage) {
        Optional<Reason> cut = footage.cutWithin(moment).map(second -> Reason.of(SurveyReason.FILM_CUT_WITHIN, FilmMoment.shown(second)));
        if (cut.isPresent()) {
            return cut;
        }
        // That something is not as it should be may be seen of anything.
        boolean seenBad = done.byEye() && done.flagged();
        return switch (seenBad ? Bears.YES : of(step)) {
            case YES -> Optional.empty();
            case NO -> Optional.of(Reason.of(SurveyReason.FILM_BEARS_NOT, step.name()));
            case WITH_STILL -> footage.hasStill(step.id().written(), moment.film()) ? Optional.empty()
                    : Optional.of(Reason.of(SurveyReason.FILM_STILL_MISSING));
        };
    }

    private static final class OfRecording implements RecordingVisitor<Bears> {

        @Override
        public Bears inspection(Inspection kind) {
            return Bears.YES;
        }

        @Override
        public Bears plateNote(PlateNote kind) {
            return Bears.YES;
        }

        @Override
        public Bears pieceCount(PieceCount kind) {
            return Bears.YES;
        }

        /** Play can be read off a dial that is filmed; a spindle's swing and float are thousandths, and how it was set up is not seen. */
        @Override
        public Bears singleMeasurement(SingleMeasurement kind) {
            return kind.limitRule().filter(Rule.PLAY::equals).isPresent() ? Bears.WITH_STILL : Bears.NO;
        }

        @Override
        public Bears measurementOverLength(MeasurementOverLength kind) {
            return Bears.NO;
        }

        @Override
        public Bears bearingTemperature(BearingTemperature kind) {
            return Bears.NO;
        }

        @Override
        public Bears separateScreen(SeparateScreen kind) {
            return Bears.YES;
        }

        @Override
        public Bears feedRate(FeedRate kind) {
            return Bears.YES;
        }

        @Override
        public Bears axisTravel(AxisTravel kind) {
            return Bears.YES;
        }

        @Override
        public Bears tripRepeatability(TripRepeatability kind) {
            return Bears.WITH_STILL;
        }

        @Override
        public Bears screwBacklash(ScrewBacklash kind) {
            return Bears.WITH_STILL;
        }

        @Override
        public Bears changeWheelCount(ChangeWheelCount kind) {
            return Bears.YES;
        }

        @Override
        public Bears threadLead(ThreadLead kind) {
            return Bears.WITH_STILL;
        }

        @Override
        public Bears supplyCheck(SupplyCheck kind) {
            return Bears.WITH_STILL;
        }

        @Override
        public Bears watchedCycle(WatchedCycle kind) {
            return Bears.YES;
        }

        @Override
        public Bears grindingWheelMark(GrindingWheelMark kind) {
            return Bears.YES;
        }

        @Override
        public Bears speedToCentre(SpeedToCentre kind) {
            return Bears.YES;
        }

        @Override
        public Bears throughFeedRate(ThroughFeedRate kind) {
            return Bears.YES;
        }

        @Override
        public Bears spindleCheck(SpindleCheck kind) {
            return Bears.YES;
        }

        @Override
        public Bears runoutRound(RunoutRound kind) {
            return Bears.NO;
        }

        @Override
        public Bears speedRead(SpeedRead kind) {
            return Bears.YES;
        }

        @Override
        public Bears surfaceFinish(SurfaceFinish kind) {
            return Bears.NO;
        }

        @Override
        public Bears panelCheck(PanelCheck kind) {
            return Bears.YES;
        }

        @Override
        public Bears trialSpeeds(TrialSpeeds kind) {
            return Bears.YES;
        }

        @Override
        public <V> Bears chartLine(ChartLine<V> line) {
            return Bears.NO;
        }
    }
}
