package tallledger.web.runsheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
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
import tallledger.core.measuring.Recording;
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
import tallledger.core.motion.Axis;
import tallledger.core.reason.InUnit;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;
import tallledger.web.cycle.CycleView;
import tallledger.web.words.Words;

/**
 * What stands beside the form of each kind of record.
 *
 * @param typed what stands in the form so far
 * @param rules of the house, as judged by
 * @param unit  of lengths typed without one
 */
public record RecordingViews(Map<String, String> typed, LengthUnit unit, Rules rules,
        Words words) implements RecordingVisitor<RecordingView> {

    /** A list from an instrument is counted where a line is wanted; it stands whole in the ledger. */
    private static final int LONG = 1_000;
    private static final Pattern BARE = Pattern.compile("[\\d.,\\s;+-]+");

    /**
     * What was typed of a record, as its line in Entries has it: field by field in the order they are asked for, each with its unit.
     *
     * @param unit of lengths typed without one
     */
    public static List<String> line(Recording<?> recording, Map<String, String> typed, LengthUnit unit, Rules rules, Words words) {
        UnaryOperator<String> log = recording.accept(new RecordingViews(typed, unit, rules, words)).log();
        return recording.fields().stream().filter(f -> !typed.getOrDefault(f.name(), "").isBlank()).map(f -> {
            String value = typed.get(f.name()).strip();
            return f.input() == InputKind.LOG ? log.apply(value)
                    : words.say("field." + f.name()) + " "
                            + figure(f, value, unit, words);
        }).toList();
    }

    /** A bare figure with the unit it was asked for in; what was typed with a unit, or in words, as it is. */
    private static String figure(RecordField field, String value, LengthUnit unit, Words words) {
        Optional<? extends Enum<?>> chosen = field.choices().stream().filter(c -> c.name().equals(value)).findFirst();
        if (chosen.isPresent()) {
            return words.of(chosen.get());
        }
        if (value.length() > LONG) {
            return words.say("entry.figures", value.split("\\s+").length);
        }
        String one = value.replaceAll("\\R+", ", ");
        String of = field.unit().in(unit);
        return of.isEmpty() || !BARE.matcher(value).matches() ? one : one + " " + of;
    }

    private static RecordingView nothing() {
        return promises("");
    }

    private static RecordingView promises(String words) {
        return new RecordingView(words, Optional.empty(), "", log -> log);
    }

    @Override
    public RecordingView runoutRound(RunoutRound rounds) {
        return nothing();
    }

    @Override
    public RecordingView speedRead(SpeedRead speed) {
        return promises(speed.about(rules).map(l -> words.say("promised.speed", l.lower(), l.upper()))
                .orElse(words.say("promised.nothing")));
    }

    @Override
    public RecordingView inspection(Inspection look) {
        return nothing();
    }

    @Override
    public RecordingView plateNote(PlateNote note) {
        return promises(words.say("promised.note"));
    }

    @Override
    public RecordingView pieceCount(PieceCount count) {
        return nothing();
    }

    @Override
    public RecordingView singleMeasurement(SingleMeasurement measure) {
        return nothing();
    }

    @Override
    public RecordingView measurementOverLength(MeasurementOverLength scaled) {
        return nothing();
    }

    @Override
    public RecordingView bearingTemperature(BearingTemperature rise) {
        return nothing();
    }

    @Override
    public RecordingView separateScreen(SeparateScreen elsewhere) {
        return new RecordingView("", Optional.empty(), elsewhere.page(), log -> log);
    }

    @Override
    public RecordingView feedRate(FeedRate feed) {
        Unit by = feed.per() == Axis.Per.REV ? Unit.MILLIMETRES_PER_TURN : Unit.MILLIMETRES_PER_MINUTE;
        String promised = feed.promised()
                .map(p -> words.say("promised.feed", InUnit.of(Quantity.of(p, by), unit),
                        feed.tolerance(rules).movePointRight(2).stripTrailingZeros()))
                .orElse(words.say("promised.nothing"));
        return promises(words.of(feed.rate()) + " " + promised);
    }

    @Override
    public RecordingView axisTravel(AxisTravel travel) {
        return promises(travel.claimed().map(c -> words.say("promised.travel", InUnit.length(c.mm(), unit)))
                .orElse(words.say("promised.nothing")));
    }

    @Override
    public RecordingView tripRepeatability(TripRepeatability trips) {
        return nothing();
    }

    @Override
    public RecordingView screwBacklash(ScrewBacklash backlash) {
        return nothing();
    }

    @Override
    public RecordingView changeWheelCount(ChangeWheelCount wheels) {
        return nothing();
    }

    @Override
    public RecordingView threadLead(ThreadLead thread) {
        return nothing();
    }

    @Override
    public RecordingView supplyCheck(SupplyCheck supply) {
        return nothing();
    }

    @Override
    public <V> RecordingView chartLine(ChartLine<V> line) {
        return nothing();
    }

    @Override
    public RecordingView surfaceFinish(SurfaceFinish finish) {
        return promises(words.say("promised.finish", rules.figures(Rule.FINISH_RATIO).get(0), rules.figures(Rule.FINISH_RATIO).get(1)));
    }

    @Override
    public RecordingView panelCheck(PanelCheck panel) {
        return promises(words.say("promised.panel", rules.figures(Rule.OVERLOAD).get(0), rules.figures(Rule.OVERLOAD).get(1)));
    }

    @Override
    public RecordingView trialSpeeds(TrialSpeeds trials) {
        return promises(words.say("promised.trials", rules.number(Rule.SPEED_TOLERANCE)));
    }

    @Override
    public RecordingView watchedCycle(WatchedCycle cycle) {
        return new RecordingView("", Optional.of(CycleView.blank(cycle, typed, unit, rules, words)), "",
                log -> words.say("entry.events", log.lines().filter(l -> !l.isBlank()).count()));
    }

    @Override
    public RecordingView grindingWheelMark(GrindingWheelMark mark) {
        return nothing();
    }

    @Override
    public RecordingView speedToCentre(SpeedToCentre table) {
        return nothing();
    }

    @Override
    public RecordingView throughFeedRate(ThroughFeedRate feed) {
        return nothing();
    }

    @Override
    public RecordingView spindleCheck(SpindleCheck check) {
        return nothing();
    }
}
