package tallledger.core.survey;

import static tallledger.core.survey.Phase.ACCURACY;
import static tallledger.core.survey.Phase.MOVEMENT;
import static tallledger.core.survey.Phase.TRAVELS;
import static tallledger.core.evidence.Severity.BEFORE_USE;
import static tallledger.core.evidence.Severity.LIVE_WITH;
import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.survey.Template.step;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import tallledger.core.evidence.Recording;
import tallledger.core.evidence.Recordings;
import tallledger.core.evidence.MotionRecordings;
import tallledger.core.rules.Rule;
import tallledger.core.motion.Axis;
import tallledger.core.motion.Axis.Ability;
import tallledger.core.reading.TypedLength;
import tallledger.core.evidence.MotionRecordings.Feed.Rate;
import tallledger.core.survey.Need.Kind;

/**
 * Steps every axis has by what it can do. Slowest one way and fastest the other prove both ways and both ends of the feeds in
 * two measurements.
 */
final class AxisSteps {

    static final List<Template> MOVEMENT_STEPS = List.of(
            step("feed", MOVEMENT, BEFORE_USE, 75).eachAxis(a -> a.has(Ability.FEED)).eachWay().records(AxisSteps::feed).of("feed")
                    .needs(Kind.LOCK_FREE, Kind.CLAMP_FREE, Kind.HALF_NUT_OUT, Kind.ENDS_KNOWN, Kind.WAY_CLEAR),
            step("rapid", MOVEMENT, SOON, 45).eachAxis(a -> a.has(Ability.RAPID)).eachWay().records(AxisSteps::rapid).of("rapid")
                    .needs(Kind.LOCK_FREE, Kind.CLAMP_FREE, Kind.ENDS_KNOWN, Kind.WAY_CLEAR),
            step("trip", MOVEMENT, BEFORE_USE, 45).eachAxis(a -> a.has(Ability.TRIP)).eachWay().cycle("feed-trip").of("trip").needs(Kind.LOCK_FREE, Kind.WAY_CLEAR),
            step("hidden-stops", MOVEMENT, BEFORE_USE, 60).still().eachAxis(a -> a.has(Ability.TRIP))
                    .when(m -> m.identity().family().isMill()).of("trip").needs(Kind.LOCK_FREE),
            step("knock-off", MOVEMENT, BEFORE_USE, 45).eachAxis(a -> a.has(Ability.KNOCK_OFF)).cycle("quill-knock-off").of("trip").needs(Kind.LOCK_FREE),
            step("trip-repeat", MOVEMENT, SOON, 150).eachAxis(a -> a.has(Ability.TRIP) || a.has(Ability.KNOCK_OFF)).records(new MotionRecordings.FiveTrips())
                    .of("trip").needs(Kind.LOCK_FREE));

    static final List<Template> TRAVEL_STEPS = List.of(
            step("travel", TRAVELS, SOON, 60).eachAxis(a -> true).records(AxisSteps::travel).of("slide").needs(Kind.LOCK_FREE, Kind.CLAMP_FREE, Kind.WAY_CLEAR),
            step("lock", TRAVELS, BEFORE_USE, 30).eachAxis(a -> a.has(Ability.LOCK)).of("lock").needs(Kind.OTHER_LOCKS_FREE, Kind.LOCK_ON),
            step("hand-wheel", TRAVELS, LIVE_WITH, 30).eachAxis(a -> a.has(Ability.HAND_WHEEL)).of("screw").needs(Kind.LOCK_FREE, Kind.FEED_OUT),
            step("backlash", TRAVELS, SOON, 180).eachAxis(a -> a.has(Ability.HAND_WHEEL)).of("screw").needs(Kind.LOCK_FREE, Kind.FEED_OUT)
                    .records(s -> new MotionRecordings.BacklashAlong(s.moves().minus(), s.moves().plus(), s.moves().has(Ability.READOUT))),
            step("play", TRAVELS, SOON, 60).eachAxis(a -> true).of("slide").needs(Kind.LOCK_FREE)
                    .records(new Recordings.Measure(Rule.PLAY, Rule.INDICATOR, true)));

    static final List<Template> ACCURACY_STEPS = List.of(
            step("readout", ACCURACY, SOON, 120).eachAxis(a -> a.has(Ability.READOUT)).of("scale").needs(Kind.LEVEL_AND_WARM)
                    .records(new Recordings.Scaled(Rule.SCALE_300, BigDecimal.valueOf(300))));

    private AxisSteps() {
    }

    /** Slowest to the minus side, fastest to the plus side. */
    private static Recording<?> feed(Template.Subject s) {
        Axis.Rates rates = s.moves().rates();
        return new MotionRecordings.Feed(rates.per(), promised(s, s.plus() ? rates.fastest() : rates.slowest()), s.plus() ? Rate.FASTEST : Rate.SLOWEST);
    }

    private static Recording<?> rapid(Template.Subject s) {
        return new MotionRecordings.Feed(Axis.Per.MIN, promised(s, s.moves().rates().rapid()), Rate.RAPID);
    }

    private static Recording<?> travel(Template.Subject s) {
        return new MotionRecordings.Travel(promised(s, s.moves().travel()));
    }

    private static Optional<BigDecimal> promised(Template.Subject s, String typed) {
        return typed.isBlank() ? Optional.empty() : Optional.of(TypedLength.parse(typed, s.machine().identity().unit()).mm());
    }
}
