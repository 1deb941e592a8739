package tallledger.web.runsheet;

import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import tallledger.core.evidence.GrinderRecordings;
import tallledger.core.evidence.MotionRecordings;
import tallledger.core.evidence.Recording;
import tallledger.core.evidence.Recordings;
import tallledger.core.evidence.Rounds;
import tallledger.core.evidence.SpindleCheck;
import tallledger.core.evidence.SupplyCheck;
import tallledger.core.evidence.WatchedCycle;
import tallledger.core.motion.Axis;
import tallledger.core.reading.LengthUnit;
import tallledger.core.rules.Rules;
import tallledger.core.survey.StepResult;
import tallledger.web.cycle.CycleView;
import tallledger.web.words.Words;

/**
 * What stands beside the form of each kind of record.
 *
 * @param typed what stands in the form so far
 * @param rules of the house, as judged by
 * @param unit  of lengths typed without one
 */
public record StepMargin(Map<String, String> typed, LengthUnit unit, Rules rules, Words words) implements Recording.Kinds<StepMargin.Beside> {

    private static final Beside NOTHING = new Beside("", Optional.empty(), "", result -> Optional.empty());

    /**
     * Beside a form.
     *
     * @param promised what the plate or a claim promises, in words
     * @param cycle    event keys and script of a cycle
     * @param page     where it is done, where that is another screen
     * @param draws    the picture of a result of this kind, where it has one
     */
    record Beside(String promised, Optional<CycleView> cycle, String page, Function<StepResult, Optional<Picture>> draws) {
    }

    /** The picture of a result: one for page, print and PDF. */
    public static Optional<Picture> picture(StepResult result, Rules rules, Words words) {
        return result.step().recording().tell(new StepMargin(Map.of(), result.values().unit(), rules, words)).draws.apply(result);
    }

    private static Beside promises(String words) {
        return new Beside(words, Optional.empty(), "", NOTHING.draws);
    }

    @Override
    public Beside rounds(Rounds rounds) {
        return new Beside("", Optional.empty(), "", result -> result.as(Rounds.Read.class)
                .map(read -> new Picture("runsheet/polar", PolarView.of(read.round()), words.say(result.step().name()), result.entry())));
    }

    @Override
    public Beside look(Recordings.Look look) {
        return NOTHING;
    }

    @Override
    public Beside note(Recordings.Note note) {
        return NOTHING;
    }

    @Override
    public Beside count(Recordings.Count count) {
        return NOTHING;
    }

    @Override
    public Beside measure(Recordings.Measure measure) {
        return NOTHING;
    }

    @Override
    public Beside scaled(Recordings.Scaled scaled) {
        return NOTHING;
    }

    @Override
    public Beside rise(Recordings.Rise rise) {
        return NOTHING;
    }

    @Override
    public Beside elsewhere(Recordings.Elsewhere elsewhere) {
        return new Beside("", Optional.empty(), elsewhere.page(), NOTHING.draws);
    }

    @Override
    public Beside feed(MotionRecordings.Feed feed) {
        String unit = feed.per() == Axis.Per.REV ? "mm/rev" : "mm/min";
        String promised = feed.promised().map(p -> words.say("promised.feed", p, unit, feed.tolerance(rules).movePointRight(2).stripTrailingZeros()))
                .orElse(words.say("promised.nothing"));
        return promises(words.of(feed.rate()) + " " + promised);
    }

    @Override
    public Beside travel(MotionRecordings.Travel travel) {
        return promises(travel.claimed().map(c -> words.say("promised.travel", c.stripTrailingZeros())).orElse(words.say("promised.nothing")));
    }

    @Override
    public Beside trips(MotionRecordings.FiveTrips trips) {
        return NOTHING;
    }

    @Override
    public Beside backlash(MotionRecordings.BacklashAlong backlash) {
        return NOTHING;
    }

    @Override
    public Beside wheels(MotionRecordings.Wheels wheels) {
        return NOTHING;
    }

    @Override
    public Beside thread(MotionRecordings.ThreadCut thread) {
        return NOTHING;
    }

    @Override
    public Beside supply(SupplyCheck supply) {
        return NOTHING;
    }

    @Override
    public Beside cycle(WatchedCycle cycle) {
        return new Beside("", Optional.of(CycleView.blank(cycle, typed, unit, rules, words)), "", result -> CycleView.ofResult(result, rules, words)
                .filter(view -> !view.lines().isEmpty()).map(view -> new Picture("cycle/line", view, words.say(result.step().name()), result.entry())));
    }

    @Override
    public Beside wheelMark(GrinderRecordings.WheelMark mark) {
        return NOTHING;
    }

    @Override
    public Beside toCentre(GrinderRecordings.ToCentre table) {
        return NOTHING;
    }

    @Override
    public Beside throughFeed(GrinderRecordings.ThroughFeed feed) {
        return NOTHING;
    }

    @Override
    public Beside spindleCheck(SpindleCheck check) {
        return NOTHING;
    }
}
