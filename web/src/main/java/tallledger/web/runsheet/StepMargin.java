package tallledger.web.runsheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import tallledger.core.evidence.AlongTakings;
import tallledger.core.evidence.AxisTakings;
import tallledger.core.evidence.ChartLine;
import tallledger.core.evidence.DifferenceTakings;
import tallledger.core.evidence.Finish;
import tallledger.core.evidence.GrinderRecordings;
import tallledger.core.evidence.MotionRecordings;
import tallledger.core.evidence.PanelCheck;
import tallledger.core.evidence.Recording;
import tallledger.core.evidence.Recordings;
import tallledger.core.evidence.RoundTakings;
import tallledger.core.evidence.Rounds;
import tallledger.core.evidence.SeriesTakings;
import tallledger.core.evidence.SpeedRead;
import tallledger.core.evidence.SpindleCheck;
import tallledger.core.evidence.SupplyCheck;
import tallledger.core.evidence.TrialSpeeds;
import tallledger.core.evidence.WatchedCycle;
import tallledger.core.motion.Axis;
import tallledger.core.reason.InUnit;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.survey.StepResult;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;
import tallledger.web.cycle.CycleView;
import tallledger.web.pictures.PlotView;
import tallledger.web.pictures.Plots;
import tallledger.web.words.Words;

/**
 * What stands beside the form of each kind of record.
 *
 * @param typed what stands in the form so far
 * @param rules of the house, as judged by
 * @param unit  of lengths typed without one
 */
public record StepMargin(Map<String, String> typed, LengthUnit unit, Rules rules, Words words)
        implements
            Recording.Kinds<StepMargin.Beside> {

    /** A list from an instrument is counted where a line is wanted; it stands whole in the ledger. */
    private static final int LONG = 1_000;
    private static final Pattern BARE = Pattern.compile("[\\d.,\\s;+-]+");

    /**
     * Beside a form.
     *
     * @param promised what the plate or a claim promises, in words
     * @param cycle    event keys and script of a cycle
     * @param page     where it is done, where that is another screen
     * @param draws    the picture of a result of this kind, where it has one
     * @param log      a log of it in a few words
     */
    record Beside(String promised, Optional<CycleView> cycle, String page, Function<StepResult, Optional<Picture>> draws,
            UnaryOperator<String> log) {
    }

    /**
     * What was typed of a record, as its line in Entries has it: field by field in the order they are asked for, each with its unit.
     *
     * @param unit of lengths typed without one
     */
    public static List<String> line(Recording<?> recording, Map<String, String> typed, LengthUnit unit, Rules rules, Words words) {
        UnaryOperator<String> log = recording.tell(new StepMargin(typed, unit, rules, words)).log;
        return recording.fields().stream().filter(f -> !typed.getOrDefault(f.name(), "").isBlank()).map(f -> {
            String value = typed.get(f.name()).strip();
            return f.entry() == Recording.Entry.LOG ? log.apply(value)
                    : words.say("field." + f.name()) + " "
                            + figure(f, value, unit, words);
        }).toList();
    }

    /** A bare figure with the unit it was asked for in; what was typed with a unit, or in words, as it is. */
    private static String figure(Recording.Field field, String value, LengthUnit unit, Words words) {
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

    /** The picture of a result: one for page, print and PDF. */
    public static Optional<Picture> picture(StepResult result, Rules rules, Words words) {
        return result.step().recording().tell(new StepMargin(Map.of(), result.values().unit(), rules, words)).draws.apply(result);
    }

    private static Beside nothing() {
        return promises("");
    }

    private static Beside promises(String words) {
        return new Beside(words, Optional.empty(), "", result -> Optional.empty(), log -> log);
    }

    private static Beside drawn(Function<StepResult, Optional<Picture>> draws) {
        return new Beside("", Optional.empty(), "", draws, log -> log);
    }

    @Override
    public Beside rounds(Rounds rounds) {
        return drawn(result -> result.as(Rounds.Read.class)
                .map(read -> new Picture("runsheet/polar", PolarView.of(read.round(), um -> words.in(unit, um, Unit.MICROMETRES)),
                        words.say(result.step().name()), result.entry())));
    }

    @Override
    public Beside speedRead(SpeedRead speed) {
        return promises(speed.about(rules).map(l -> words.say("promised.speed", l.lower(), l.upper()))
                .orElse(words.say("promised.nothing")));
    }

    @Override
    public Beside look(Recordings.Look look) {
        return nothing();
    }

    @Override
    public Beside note(Recordings.Note note) {
        return promises(words.say("promised.note"));
    }

    @Override
    public Beside count(Recordings.Count count) {
        return nothing();
    }

    @Override
    public Beside measure(Recordings.Measure measure) {
        return nothing();
    }

    @Override
    public Beside scaled(Recordings.Scaled scaled) {
        return nothing();
    }

    @Override
    public Beside rise(Recordings.Rise rise) {
        return drawn(result -> result.as(Recordings.Warmed.class).flatMap(Recordings.Warmed::run)
                .map(run -> new Picture("pictures/plot", new Plots(unit, mm -> words.in(unit, mm, Unit.MILLIMETRES)).hot(run),
                        words.say(result.step().name()), result.entry())));
    }

    @Override
    public Beside elsewhere(Recordings.Elsewhere elsewhere) {
        return new Beside("", Optional.empty(), elsewhere.page(), result -> Optional.empty(), log -> log);
    }

    @Override
    public Beside feed(MotionRecordings.Feed feed) {
        Unit by = feed.per() == Axis.Per.REV ? Unit.MILLIMETRES_PER_TURN : Unit.MILLIMETRES_PER_MINUTE;
        String promised = feed.promised()
                .map(p -> words.say("promised.feed", InUnit.of(Quantity.of(p, by), unit),
                        feed.tolerance(rules).movePointRight(2).stripTrailingZeros()))
                .orElse(words.say("promised.nothing"));
        return promises(words.of(feed.rate()) + " " + promised);
    }

    @Override
    public Beside travel(MotionRecordings.Travel travel) {
        return promises(travel.claimed().map(c -> words.say("promised.travel", InUnit.length(c.mm(), unit)))
                .orElse(words.say("promised.nothing")));
    }

    @Override
    public Beside trips(MotionRecordings.FiveTrips trips) {
        return nothing();
    }

    @Override
    public Beside backlash(MotionRecordings.BacklashAlong backlash) {
        return nothing();
    }

    @Override
    public Beside wheels(MotionRecordings.Wheels wheels) {
        return nothing();
    }

    @Override
    public Beside thread(MotionRecordings.ThreadCut thread) {
        return nothing();
    }

    @Override
    public Beside supply(SupplyCheck supply) {
        return nothing();
    }

    @Override
    public Beside chartLine(ChartLine line) {
        return drawn(result -> result.as(RoundTakings.Shape.class)
                .map(read -> new Picture("runsheet/polar", PolarView.of(read.round(), um -> words.in(unit, um, Unit.MICROMETRES)),
                        words.say(result.step().name()), result.entry()))
                .or(() -> plotted(line, result)));
    }

    private Optional<Picture> plotted(ChartLine line, StepResult result) {
        return Optional.of(result)
                .flatMap(r -> plot(line, r).map(view -> new Picture("pictures/plot", view, words.say(r.step().name()), r.entry())));
    }

    /** A result typed alone has no picture. */
    private Optional<PlotView> plot(ChartLine line, StepResult result) {
        Plots plots = new Plots(unit, mm -> words.in(unit, mm, Unit.MILLIMETRES));
        return result.as(AlongTakings.Along.class).map(read -> plots.along(read, line.way()))
                .or(() -> result.as(AlongTakings.Across.class).map(plots::across))
                .or(() -> result.as(AlongTakings.Face.class).map(plots::face))
                .or(() -> result.as(RoundTakings.Pair.class).map(read -> plots.pair(read, line.way())))
                .or(() -> result.as(SeriesTakings.Row.class).map(plots::row))
                .or(() -> result.as(SeriesTakings.Moved.class).map(read -> plots.row(read.stood())))
                .or(() -> result.as(DifferenceTakings.Lengths.class).map(plots::lengths))
                .or(() -> result.as(AxisTakings.Tested.class).map(plots::axis))
                .or(() -> result.as(AxisTakings.Driven.class).map(plots::circle));
    }

    @Override
    public Beside finish(Finish finish) {
        return new Beside(words.say("promised.finish", rules.figures(Rule.FINISH_RATIO).get(0), rules.figures(Rule.FINISH_RATIO).get(1)),
                Optional.empty(), "",
                result -> result.as(Finish.Read.class).flatMap(Finish.Read::trace)
                        .map(trace -> new Picture("pictures/plot", new Plots(unit, mm -> words.in(unit, mm, Unit.MILLIMETRES)).trace(trace),
                                words.say(result.step().name()), result.entry())),
                log -> log);
    }

    @Override
    public Beside panel(PanelCheck panel) {
        return promises(words.say("promised.panel", rules.figures(Rule.OVERLOAD).get(0), rules.figures(Rule.OVERLOAD).get(1)));
    }

    @Override
    public Beside trialSpeeds(TrialSpeeds trials) {
        return promises(words.say("promised.trials", rules.number(Rule.SPEED_TOLERANCE)));
    }

    @Override
    public Beside cycle(WatchedCycle cycle) {
        return new Beside("", Optional.of(CycleView.blank(cycle, typed, unit, rules, words)), "",
                result -> CycleView.ofResult(result, rules, words)
                        .filter(view -> !view.lines().isEmpty())
                        .map(view -> new Picture("cycle/line", view, words.say(result.step().name()), result.entry())),
                log -> words.say("entry.events", log.lines().filter(l -> !l.isBlank()).count()));
    }

    @Override
    public Beside wheelMark(GrinderRecordings.WheelMark mark) {
        return nothing();
    }

    @Override
    public Beside toCentre(GrinderRecordings.ToCentre table) {
        return nothing();
    }

    @Override
    public Beside throughFeed(GrinderRecordings.ThroughFeed feed) {
        return nothing();
    }

    @Override
    public Beside spindleCheck(SpindleCheck check) {
        return nothing();
    }
}
