package tallledger.core.family;

import static tallledger.core.evidence.Severity.BEFORE_USE;
import static tallledger.core.evidence.Severity.LIVE_WITH;
import static tallledger.core.evidence.Severity.NOTE;
import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.evidence.Severity.STOP_USE;
import static tallledger.core.family.Phase.ACCURACY;
import static tallledger.core.family.Phase.HOT_CHECK;
import static tallledger.core.family.Phase.KIT;
import static tallledger.core.family.Phase.MOVEMENT;
import static tallledger.core.family.Phase.SPINDLE;
import static tallledger.core.family.Phase.TRAVELS;
import static tallledger.core.family.Template.step;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.drive.StageKind;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.family.Need.Kind;
import tallledger.core.measuring.AxisTravel;
import tallledger.core.measuring.BearingTemperature;
import tallledger.core.measuring.ChangeWheelCount;
import tallledger.core.measuring.ChartLine;
import tallledger.core.measuring.FeedRate;
import tallledger.core.measuring.FeedRate.Rate;
import tallledger.core.measuring.PanelCheck;
import tallledger.core.measuring.PlateFigure;
import tallledger.core.measuring.PlateNote;
import tallledger.core.measuring.Recording;
import tallledger.core.measuring.ScaleByGaugeLengths;
import tallledger.core.measuring.ScrewBacklash;
import tallledger.core.measuring.SeparateScreen;
import tallledger.core.measuring.SingleMeasurement;
import tallledger.core.measuring.SpindleCheck;
import tallledger.core.measuring.SupplyCheck;
import tallledger.core.measuring.TrialSpeeds;
import tallledger.core.measuring.TripRepeatability;
import tallledger.core.motion.Axis;
import tallledger.core.motion.Axis.Ability;
import tallledger.core.reading.TypedLength;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * Steps every family has, each list standing where the family's own file puts it; and those every axis has by what it can do. Slowest one
 * way and fastest the other prove both ways and both ends of the feeds in two measurements.
 */
final class CommonSteps {

    static final CatalogueLine DESK = CatalogueLine.of(
            step("desk-claims", Phase.DESK, NOTE, 300).records(new SeparateScreen("machine")),
            step("desk-power", Phase.DESK, NOTE, 60),
            step("desk-papers", Phase.DESK, NOTE, 120));

    static final CatalogueLine STANDING = CatalogueLine.of(
            step("serial", Phase.STANDING, NOTE, 60).records(new PlateNote(PlateFigure.YEAR)),
            step("plates", Phase.STANDING, NOTE, 120).records(new SeparateScreen("machine")),
            step("castings", Phase.STANDING, BEFORE_USE, 180).needs(Kind.POWER_ISOLATED),
            step("missing-parts", Phase.STANDING, SOON, 120),
            step("covers", Phase.STANDING, BEFORE_USE, 90).needs(Kind.POWER_ISOLATED),
            step("oil-levels", Phase.STANDING, BEFORE_USE, 60),
            step("oilers", Phase.STANDING, SOON, 90),
            step("way-covers", Phase.STANDING, SOON, 60).with(Feature.WAY_COVERS).needs(Kind.POWER_ISOLATED));

    static final CatalogueLine ELECTRICS = CatalogueLine.of(
            step("supply", Phase.ELECTRICS, BEFORE_USE, 240).records(s -> new SupplyCheck(s.machine().fitOut().supply()))
                    .needs(Kind.ELECTRICIAN),
            step("isolator", Phase.ELECTRICS, STOP_USE, 45),
            step("cables", Phase.ELECTRICS, STOP_USE, 90).needs(Kind.POWER_ISOLATED),
            step("earth", Phase.ELECTRICS, STOP_USE, 60).needs(Kind.ELECTRICIAN),
            step("panel", Phase.ELECTRICS, BEFORE_USE, 150).records(s -> new PanelCheck(s.machine().fitOut().supply().amperes()))
                    .needs(Kind.POWER_ISOLATED, Kind.ELECTRICIAN),
            step("motor-plate", Phase.ELECTRICS, NOTE, 60).records(new PlateNote(PlateFigure.POWER)));

    static final CatalogueLine FIRST_START = CatalogueLine.of(
            step("emergency-stop", Phase.FIRST_START, STOP_USE, 90).with(Feature.EMERGENCY_STOP).cycle("emergency-stop").of("stop"),
            step("direction", Phase.FIRST_START, BEFORE_USE, 60).when(Described::reverses).cycle("direction")
                    .needs(Kind.POWER_ON, Kind.CHUCK_KEY_OUT, Kind.BRAKE_OFF).of("direction"),
            step("direction-one-way", Phase.FIRST_START, BEFORE_USE, 30).when(m -> !m.reverses()).needs(Kind.POWER_ON).of("direction"),
            step("control-boots", Phase.FIRST_START, BEFORE_USE, 120).still().with(Feature.CONTROL).of("control"),
            step("reference-run", Phase.FIRST_START, BEFORE_USE, 120).with(Feature.CONTROL).of("control").needs(Kind.POWER_ON));

    static final CatalogueLine STARTED = CatalogueLine.of(
            driveCheck(DriveCheck.NEUTRAL, Phase.FIRST_START, 45),
            driveCheck(DriveCheck.JOG, Phase.FIRST_START, 20),
            driveCheck(DriveCheck.BRAKE, Phase.FIRST_START, 60),
            step("guard", Phase.FIRST_START, STOP_USE, 90).with(Feature.GUARD_SWITCH).cycle("guard").needs(Kind.POWER_ON),
            step("cover-switch", Phase.FIRST_START, STOP_USE, 90).with(Feature.COVER_SWITCH).cycle("guard").of("guard")
                    .needs(Kind.POWER_ON),
            step("foot-brake", Phase.FIRST_START, BEFORE_USE, 60).with(Feature.FOOT_BRAKE).cycle("foot-brake").of("brake")
                    .needs(Kind.POWER_ON),
            step("brake-before-start", Phase.FIRST_START, SOON, 45).with(Feature.FOOT_BRAKE).cycle("brake-before-start").of("brake")
                    .needs(Kind.POWER_ON),
            step("kick-bar", Phase.FIRST_START, BEFORE_USE, 60).with(Feature.KICK_BAR).cycle("kick-bar").of("stop").needs(Kind.POWER_ON),
            step("pedal", Phase.FIRST_START, BEFORE_USE, 60).with(Feature.PEDAL).cycle("pedal").needs(Kind.POWER_ON),
            step("dead-man-pedal", Phase.FIRST_START, STOP_USE, 60).with(Feature.DEAD_MAN_PEDAL).cycle("dead-man-pedal").of("stop")
                    .needs(Kind.POWER_ON),
            step("lubrication", Phase.FIRST_START, BEFORE_USE, 60).still().with(Feature.CENTRAL_LUBRICATION),
            step("coolant", Phase.FIRST_START, LIVE_WITH, 60).still().with(Feature.COOLANT),
            step("lamp", Phase.FIRST_START, LIVE_WITH, 15).still().with(Feature.LAMP));

    static final CatalogueLine SPEEDS = CatalogueLine.of(
            step("trial-speeds", SPINDLE, BEFORE_USE, 180).when(CommonSteps::changesRangeByCommand).records(new TrialSpeeds()).of("shift")
                    .needs(Kind.POWER_ON)
                    .spares(SpindleCheck.id(DriveCheck.SHIFT_UP), SpindleCheck.id(DriveCheck.SHIFT_DOWN)),
            step("shift-sound", SPINDLE, SOON, 45).when(CommonSteps::changesRangeByCommand).of("shift"),
            step("commanded-shift", SPINDLE, BEFORE_USE, 90).when(CommonSteps::changesRangeByCommand)
                    .cycle("commanded-shift").of("shift").needs(Kind.POWER_ON).spares(SpindleCheck.id(DriveCheck.SHIFT_UP)),
            driveCheck(DriveCheck.SHIFT_UP, SPINDLE, 45),
            driveCheck(DriveCheck.SHIFT_DOWN, SPINDLE, 45));

    static final CatalogueLine HOT = CatalogueLine.of(
            step("bearing-rise", HOT_CHECK, SOON, 1800).records(new BearingTemperature(Rule.BEARING_RISE)).of("bearings")
                    .needs(Kind.POWER_ON),
            step("hot-sound", HOT_CHECK, SOON, 60).of("bearings"),
            step("hot-leaks", HOT_CHECK, LIVE_WITH, 60).still());

    static final CatalogueLine PAPERS = CatalogueLine.of(
            step("kit", KIT, SOON, 240).records(new SeparateScreen("kit")),
            step("manual", KIT, LIVE_WITH, 30),
            step("wiring-diagram", KIT, SOON, 30),
            step("dividing-plate", KIT, LIVE_WITH, 90).with(Feature.DIVIDING_PLATE),
            step("test-chart", KIT, NOTE, 30),
            step("lift", KIT, STOP_USE, 90).records(new SeparateScreen("kit")));

    static final CatalogueLine CLOSE = CatalogueLine.of(
            step("left-safe", Phase.CLOSE, STOP_USE, 60).needs(Kind.POWER_ISOLATED),
            step("said-what-is-open", Phase.CLOSE, NOTE, 60));

    private static final Template FEED = step("feed", MOVEMENT, BEFORE_USE, 75).eachAxis(a -> a.has(Ability.FEED)).eachWay()
            .records(CommonSteps::feed).of("feed")
            .needs(Kind.LOCK_FREE, Kind.CLAMP_FREE, Kind.HALF_NUT_OUT, Kind.ENDS_KNOWN, Kind.WAY_CLEAR);
    private static final Template RAPID = step("rapid", MOVEMENT, SOON, 45).eachAxis(a -> a.has(Ability.RAPID)).eachWay()
            .records(CommonSteps::rapid).of("rapid")
            .needs(Kind.LOCK_FREE, Kind.CLAMP_FREE, Kind.ENDS_KNOWN, Kind.WAY_CLEAR);
    private static final Template TRIP = step("trip", MOVEMENT, BEFORE_USE, 45).eachAxis(a -> a.has(Ability.TRIP)).eachWay()
            .cycle("feed-trip").of("trip").needs(Kind.LOCK_FREE, Kind.WAY_CLEAR);
    private static final Template HIDDEN_STOPS = step("hidden-stops", MOVEMENT, BEFORE_USE, 60).still()
            .eachAxis(a -> a.has(Ability.TRIP)).of("trip").needs(Kind.LOCK_FREE);
    private static final Template KNOCK_OFF = step("knock-off", MOVEMENT, BEFORE_USE, 45).eachAxis(a -> a.has(Ability.KNOCK_OFF))
            .cycle("quill-knock-off").of("trip").needs(Kind.LOCK_FREE);
    private static final Template TRIP_REPEAT = step("trip-repeat", MOVEMENT, SOON, 150)
            .eachAxis(a -> a.has(Ability.TRIP) || a.has(Ability.KNOCK_OFF)).records(new TripRepeatability())
            .of("trip").needs(Kind.LOCK_FREE);

    static final CatalogueLine AXES_MOVE = CatalogueLine.eachAxis(FEED, RAPID, TRIP, KNOCK_OFF, TRIP_REPEAT);
    static final CatalogueLine MILL_AXES_MOVE = CatalogueLine.eachAxis(FEED, RAPID, TRIP, HIDDEN_STOPS, KNOCK_OFF, TRIP_REPEAT);

    static final CatalogueLine AXES_TRAVEL = CatalogueLine.eachAxis(
            step("travel", TRAVELS, SOON, 60).eachAxis(a -> true).records(CommonSteps::travel).of("slide")
                    .needs(Kind.LOCK_FREE, Kind.CLAMP_FREE, Kind.WAY_CLEAR),
            step("lock", TRAVELS, BEFORE_USE, 30).eachAxis(a -> a.has(Ability.LOCK)).of("lock").needs(Kind.OTHER_LOCKS_FREE, Kind.LOCK_ON),
            step("hand-wheel", TRAVELS, LIVE_WITH, 30).eachAxis(CommonSteps::isOnScrew).of("screw").needs(Kind.LOCK_FREE, Kind.FEED_OUT),
            step("hand-wheel", TRAVELS, LIVE_WITH, 30).eachAxis(CommonSteps::isOnRack).of("rack").needs(Kind.LOCK_FREE, Kind.FEED_OUT),
            step("backlash", TRAVELS, SOON, 180).eachAxis(CommonSteps::isOnScrew).of("screw")
                    .needs(Kind.LOCK_FREE, Kind.FEED_OUT).records(s -> backlash(s, false)),
            step("backlash", TRAVELS, SOON, 180).eachAxis(CommonSteps::isOnRack).of("rack")
                    .needs(Kind.LOCK_FREE, Kind.FEED_OUT).records(s -> backlash(s, true)),
            step("play", TRAVELS, SOON, 60).eachAxis(a -> true).of("slide").needs(Kind.LOCK_FREE)
                    .records(new SingleMeasurement(Rule.PLAY, Rule.INDICATOR, true)));

    static final CatalogueLine AXES_ACCURACY = CatalogueLine.eachAxis(
            step("readout", ACCURACY, SOON, 120).eachAxis(a -> a.has(Ability.READOUT)).of("scale").needs(Kind.LEVEL_AND_WARM)
                    .records(ChartLine.per(new ScaleByGaugeLengths(), Rule.SCALE_300, 300)));

    /** The feeds of the feed plate. */
    static final CatalogueLine FEED_PLATE = new CatalogueLine() {
        @Override
        public List<Step> on(Described machine, Rules rules) {
            return Catalogue.feedPlate(machine, rules);
        }

        @Override
        public Stream<Template> templates() {
            return Stream.empty();
        }
    };

    /** The threads of the thread plate. */
    static final CatalogueLine THREAD_PLATE = new CatalogueLine() {
        @Override
        public List<Step> on(Described machine, Rules rules) {
            return Catalogue.threadPlate(machine, rules);
        }

        @Override
        public Stream<Template> templates() {
            return Stream.empty();
        }
    };

    private CommonSteps() {
    }

    /** Whether a pinion on a rack moves it, as on every usual machine: there is no screw to be worn. The head of a drill, not of a mill. */
    private static boolean isOnRack(Described machine, Axis axis) {
        boolean rack = switch (axis.role()) {
            case CARRIAGE, QUILL, SPINDLE -> true;
            case HEAD -> machine.family() == Family.RADIAL_DRILL;
            default -> false;
        };
        return rack && axis.has(Ability.HAND_WHEEL);
    }

    private static boolean isOnScrew(Described machine, Axis axis) {
        return axis.has(Ability.HAND_WHEEL) && !isOnRack(machine, axis);
    }

    static boolean hasQuill(Described machine) {
        return machine.fitOut().axis(Axis.Role.QUILL).isPresent();
    }

    static boolean changesRangeByCommand(Described machine) {
        return machine.train().stages().stream().anyMatch(s -> s.kind() == StageKind.COMMANDED);
    }

    private static Template driveCheck(DriveCheck check, Phase phase, int seconds) {
        return step(SpindleCheck.id(check), phase, check == DriveCheck.JOG ? LIVE_WITH : BEFORE_USE, seconds)
                .when(m -> DriveCheck.of(m.train()).contains(check)).records(new SpindleCheck(check)).of("spindle controls");
    }

    static Recording<?> wheels(Template.StepSubject subject) {
        return new ChangeWheelCount(subject.machine().fitOut().chart().map(c -> c.parse(subject.machine().unit())));
    }

    private static Recording<?> backlash(Template.StepSubject s, boolean rack) {
        return new ScrewBacklash(s.moves().minus(), s.moves().plus(), s.moves().has(Ability.READOUT), rack);
    }

    /** Slowest to the minus side, fastest to the plus side. */
    private static Recording<?> feed(Template.StepSubject s) {
        Axis.AxisRates rates = s.moves().rates();
        return new FeedRate(rates.per(), promised(s, s.plus() ? rates.fastest() : rates.slowest()), s.plus() ? Rate.FASTEST
                : Rate.SLOWEST);
    }

    private static Recording<?> rapid(Template.StepSubject s) {
        return new FeedRate(Axis.Per.MIN, promised(s, s.moves().rates().rapid()), Rate.RAPID);
    }

    private static Recording<?> travel(Template.StepSubject s) {
        String typed = s.moves().travel();
        return new AxisTravel(typed.isBlank() ? Optional.empty() : Optional.of(TypedLength.parse(typed, s.machine().unit())));
    }

    private static Optional<BigDecimal> promised(Template.StepSubject s, String typed) {
        return typed.isBlank() ? Optional.empty() : Optional.of(TypedLength.parse(typed, s.machine().unit()).mm());
    }
}
