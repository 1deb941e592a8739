package tallledger.core.survey;

import static tallledger.core.machine.Family.CENTRELESS_GRINDER;
import static tallledger.core.machine.Family.CYLINDRICAL_GRINDER;
import static tallledger.core.machine.Family.ROTARY_TABLE_GRINDER;
import static tallledger.core.survey.Phase.ACCURACY;
import static tallledger.core.survey.Phase.FIRST_START;
import static tallledger.core.survey.Phase.MOVEMENT;
import static tallledger.core.survey.Phase.SPINDLE;
import static tallledger.core.survey.Phase.STANDING;
import static tallledger.core.survey.Phase.TEST_CUT;
import static tallledger.core.survey.Phase.TRAVELS;
import static tallledger.core.evidence.Severity.BEFORE_USE;
import static tallledger.core.evidence.Severity.LIVE_WITH;
import static tallledger.core.evidence.Severity.NOTE;
import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.evidence.Severity.STOP_USE;
import static tallledger.core.survey.Template.step;

import java.math.BigDecimal;
import java.util.List;
import tallledger.core.evidence.Recordings;
import tallledger.core.evidence.GrinderRecordings;
import tallledger.core.rules.Rule;
import tallledger.core.machine.Family;
import tallledger.core.machine.Feature;
import tallledger.core.survey.Need.Kind;

/** What the three kinds of grinder have besides their axes. */
final class GrinderSteps {

    private static final Family[] GRINDERS = {CYLINDRICAL_GRINDER, ROTARY_TABLE_GRINDER, CENTRELESS_GRINDER};

    static final List<Template> STEPS = List.of(
            step("grinder-ways", STANDING, SOON, 90).on(GRINDERS).needs(Kind.POWER_ISOLATED).of("ways"),
            step("wheel-mark", STANDING, STOP_USE, 60).on(GRINDERS).records(new GrinderRecordings.WheelMark()).of("wheel"),
            step("wheel-sound", STANDING, STOP_USE, 120).on(GRINDERS).needs(Kind.POWER_ISOLATED).of("wheel"),
            step("wheel-guard", STANDING, STOP_USE, 45).on(GRINDERS).needs(Kind.POWER_ISOLATED).of("guard"),
            step("hydraulic-oil", STANDING, SOON, 45).with(Feature.HYDRAULICS).of("hydraulics"),
            step("chuck-face", STANDING, SOON, 45).with(Feature.MAGNETIC_CHUCK).of("chuck"),
            step("work-rest-blade", STANDING, SOON, 60).with(Feature.WORK_REST).needs(Kind.POWER_ISOLATED),

            step("wheel-first-start", FIRST_START, STOP_USE, 90).on(GRINDERS).needs(Kind.WHEEL_GUARDED, Kind.CLEAR_OF_WHEEL, Kind.POWER_ON).of("wheel"),
            step("bled", FIRST_START, SOON, 120).with(Feature.HYDRAULICS).of("hydraulics").needs(Kind.POWER_ON),
            step("magnetic-chuck", FIRST_START, STOP_USE, 60).still().with(Feature.MAGNETIC_CHUCK).of("chuck").needs(Kind.POWER_ON),

            step("regulating-wheel", SPINDLE, SOON, 60).with(Feature.REGULATING_WHEEL).cycle("regulating-wheel").of("regulating wheel").needs(Kind.CLEAR_OF_WHEEL),

            step("table-reversal", MOVEMENT, BEFORE_USE, 120).with(Feature.DOGS).cycle("table-reversal").of("table").needs(Kind.BLED, Kind.ENDS_KNOWN),
            step("infeed-left", MOVEMENT, SOON, 60).with(Feature.AUTO_INFEED).cycle("infeed-left").of("infeed").needs(Kind.BLED),
            step("infeed-right", MOVEMENT, SOON, 60).with(Feature.AUTO_INFEED).cycle("infeed-right").of("infeed").needs(Kind.BLED),
            step("infeed-both", MOVEMENT, SOON, 60).with(Feature.AUTO_INFEED).cycle("infeed-both").of("infeed").needs(Kind.BLED),
            step("infeed-none", MOVEMENT, SOON, 60).with(Feature.AUTO_INFEED).cycle("infeed-none").of("infeed").needs(Kind.BLED),
            step("dead-stop", MOVEMENT, SOON, 90).with(Feature.DEAD_STOP).cycle("dead-stop").of("infeed").needs(Kind.BLED),
            step("work-stops-on-retreat", MOVEMENT, BEFORE_USE, 60).with(Feature.WORK_STOPS_ON_RETREAT).cycle("work-stops-on-retreat").of("work head").needs(Kind.CLEAR_OF_WHEEL),
            step("work-speeds", MOVEMENT, SOON, 90).on(CYLINDRICAL_GRINDER).of("work head").needs(Kind.POWER_ON),
            step("down-feed-inner", MOVEMENT, SOON, 60).with(Feature.AUTO_DOWN_FEED).cycle("down-feed-inner").of("down-feed"),
            step("down-feed-outer", MOVEMENT, SOON, 60).with(Feature.AUTO_DOWN_FEED).cycle("down-feed-outer").of("down-feed"),
            step("down-feed-both", MOVEMENT, SOON, 60).with(Feature.AUTO_DOWN_FEED).cycle("down-feed-both").of("down-feed"),
            step("spark-out", MOVEMENT, SOON, 120).with(Feature.SPARK_OUT).cycle("spark-out").of("down-feed").spares("parks"),
            step("parks", MOVEMENT, LIVE_WITH, 45).with(Feature.PARKS).of("down-feed"),
            step("speeds-to-centre", MOVEMENT, SOON, 90).with(Feature.SPEEDS_TO_CENTRE).records(new GrinderRecordings.ToCentre()).of("table drive"),
            step("centreless-infeed", MOVEMENT, SOON, 120).with(Feature.INFEED_CYCLE).cycle("centreless-infeed").of("infeed").needs(Kind.CLEAR_OF_WHEEL),
            step("through-feed", MOVEMENT, SOON, 120).with(Feature.THROUGH_FEED).records(new GrinderRecordings.ThroughFeed()).of("regulating wheel").needs(Kind.CLEAR_OF_WHEEL),

            step("grinder-table-swivels", TRAVELS, LIVE_WITH, 60).on(CYLINDRICAL_GRINDER).with(Feature.TABLE_SWIVELS).of("table"),
            step("grinder-tailstock", TRAVELS, SOON, 45).on(CYLINDRICAL_GRINDER).with(Feature.TAILSTOCK).of("tailstock"),
            step("grinder-steady", TRAVELS, LIVE_WITH, 45).on(CYLINDRICAL_GRINDER).with(Feature.STEADY),
            step("head-tilts", TRAVELS, LIVE_WITH, 60).with(Feature.TABLE_TILTS_FOR_HOLLOW),
            step("work-rest-height", TRAVELS, SOON, 60).with(Feature.WORK_REST).needs(Kind.POWER_ISOLATED),
            step("through-feed-angle", TRAVELS, SOON, 60).with(Feature.THROUGH_FEED).of("regulating wheel"),
            step("dresser", TRAVELS, SOON, 90).with(Feature.DRESSER).needs(Kind.GLASSES, Kind.CLEAR_OF_WHEEL),

            step("level", ACCURACY, NOTE, 180).on(GRINDERS),
            step("wheel-spindle", ACCURACY, SOON, 90).on(GRINDERS).needs(Kind.POWER_ISOLATED).of("spindle")
                    .records(new Recordings.Measure(Rule.GRINDER_NOSE, Rule.INDICATOR, true)),
            step("work-spindle", ACCURACY, SOON, 90).on(CYLINDRICAL_GRINDER, ROTARY_TABLE_GRINDER).needs(Kind.LEVEL_AND_WARM).of("work head")
                    .records(new Recordings.Measure(Rule.GRINDER_NOSE, Rule.INDICATOR, true)),
            step("axial-float", ACCURACY, SOON, 60).on(GRINDERS).needs(Kind.POWER_ISOLATED).of("spindle")
                    .records(new Recordings.Measure(Rule.AXIAL_FLOAT, Rule.INDICATOR, true)),
            step("table-straight", ACCURACY, SOON, 150).on(CYLINDRICAL_GRINDER).needs(Kind.LEVEL_AND_WARM).of("table")
                    .records(new Recordings.Scaled(Rule.STRAIGHT_1000, BigDecimal.valueOf(1000))),

            step("grind-parallel", TEST_CUT, SOON, 600).on(CYLINDRICAL_GRINDER, CENTRELESS_GRINDER).needs(Kind.GLASSES, Kind.WORK_HELD, Kind.CLEAR_OF_WHEEL)
                    .records(new Recordings.Scaled(Rule.PARALLEL_300, BigDecimal.valueOf(300))),
            step("grind-flat", TEST_CUT, SOON, 600).on(ROTARY_TABLE_GRINDER).needs(Kind.GLASSES, Kind.WORK_HELD, Kind.CLEAR_OF_WHEEL)
                    .records(new Recordings.Scaled(Rule.TABLE_500, BigDecimal.valueOf(500))),
            step("ground-finish", TEST_CUT, LIVE_WITH, 60).still().on(GRINDERS));

    private GrinderSteps() {
    }
}
