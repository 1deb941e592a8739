package tallledger.core.family;

import static tallledger.core.evidence.Severity.BEFORE_USE;
import static tallledger.core.evidence.Severity.LIVE_WITH;
import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.family.Phase.ACCURACY;
import static tallledger.core.family.Phase.MOVEMENT;
import static tallledger.core.family.Phase.TRAVELS;
import static tallledger.core.family.Template.step;

import java.util.List;
import tallledger.core.family.Need.Kind;
import tallledger.core.measuring.ChartLine;
import tallledger.core.measuring.StraightnessByIndicator;
import tallledger.core.measuring.TaperAgainstNominal;
import tallledger.core.motion.Axis.Ability;
import tallledger.core.rules.Rule;
import tallledger.core.safety.Mounted;

/** Cylindrical grinders. */
final class CylindricalGrinder {

    static final Traits TRAITS = Traits.of(
            List.of(Traits.axis("table", "left", "right", Ability.FEED, Ability.HAND_WHEEL),
                    Traits.axis("wheel slide", "in", "out", Ability.RAPID, Ability.HAND_WHEEL)))
            .features(Feature.TAILSTOCK, Feature.STEADY, Feature.TABLE_SWIVELS, Feature.HYDRAULICS, Feature.DOGS, Feature.DWELL,
                    Feature.AUTO_INFEED, Feature.DEAD_STOP, Feature.WORK_STOPS_ON_RETREAT, Feature.DRESSER)
            .unusual(Feature.GUARD_SWITCH, Feature.WAY_COVERS)
            .kit("wheel-flanges", "balancing-arbor", "driving-dogs", "centres", "dresser")
            .startChecks(StartItem.CHUCK_KEY_OUT, StartItem.WHEEL_SOUND, StartItem.WHEEL_GUARDED, StartItem.WHEEL_DRESSED,
                    StartItem.CLEAR_OF_WHEEL)
            .mountables(Mounted.Kind.NOTHING, Mounted.Kind.WHEEL)
            .startingFrom(
                    StartingDescription.of("grinder", Family.CYLINDRICAL_GRINDER, StartingDescription.motor("1450"),
                            StartingDescription.belt("1 2")))
            .steps(
                    CommonSteps.DESK, CommonSteps.STANDING, GrinderSteps.GRINDER_WAYS, GrinderSteps.WHEEL_MARK,
                    GrinderSteps.WHEEL_SOUND, GrinderSteps.WHEEL_GUARD, GrinderSteps.HYDRAULIC_OIL,
                    CommonSteps.ELECTRICS, CommonSteps.FIRST_START, GrinderSteps.WHEEL_FIRST_START, GrinderSteps.BLED,
                    CommonSteps.STARTED, CommonSteps.SPEEDS, CommonSteps.AXES_MOVE, CommonSteps.FEED_PLATE,
                    step("table-reversal", MOVEMENT, BEFORE_USE, 120).with(Feature.DOGS).cycle("table-reversal").of("table")
                            .needs(Kind.BLED, Kind.ENDS_KNOWN),
                    step("infeed-left", MOVEMENT, SOON, 60).with(Feature.AUTO_INFEED).cycle("infeed-left").of("infeed").needs(Kind.BLED),
                    step("infeed-right", MOVEMENT, SOON, 60).with(Feature.AUTO_INFEED).cycle("infeed-right").of("infeed")
                            .needs(Kind.BLED),
                    step("infeed-both", MOVEMENT, SOON, 60).with(Feature.AUTO_INFEED).cycle("infeed-both").of("infeed").needs(Kind.BLED),
                    step("infeed-none", MOVEMENT, SOON, 60).with(Feature.AUTO_INFEED).cycle("infeed-none").of("infeed").needs(Kind.BLED),
                    step("dead-stop", MOVEMENT, SOON, 90).with(Feature.DEAD_STOP).cycle("dead-stop").of("infeed").needs(Kind.BLED),
                    step("work-stops-on-retreat", MOVEMENT, BEFORE_USE, 60).with(Feature.WORK_STOPS_ON_RETREAT)
                            .cycle("work-stops-on-retreat").of("work head").needs(Kind.CLEAR_OF_WHEEL),
                    step("work-speeds", MOVEMENT, SOON, 90).of("work head").needs(Kind.POWER_ON),
                    CommonSteps.AXES_TRAVEL,
                    step("grinder-table-swivels", TRAVELS, LIVE_WITH, 60).with(Feature.TABLE_SWIVELS).of("table"),
                    step("grinder-tailstock", TRAVELS, SOON, 45).with(Feature.TAILSTOCK).of("tailstock"),
                    step("grinder-steady", TRAVELS, LIVE_WITH, 45).with(Feature.STEADY),
                    GrinderSteps.DRESSER, GrinderSteps.LEVEL, GrinderSteps.WHEEL_SPINDLE, GrinderSteps.WORK_SPINDLE,
                    GrinderSteps.AXIAL_FLOAT,
                    step("table-straight", ACCURACY, SOON, 150).needs(Kind.LEVEL_AND_WARM).of("table")
                            .records(ChartLine.per(new StraightnessByIndicator(), Rule.STRAIGHT_1000, 1000)),
                    ChartLines.CYLINDRICAL_CHART, ChartLines.INFEED_CHART,
                    CommonSteps.AXES_ACCURACY, GrinderSteps.GRIND_PARALLEL,
                    step("ground-taper", Phase.TEST_CUT, SOON, 600).with(Feature.TABLE_SWIVELS).of("table")
                            .needs(Kind.GLASSES, Kind.WORK_HELD, Kind.CLEAR_OF_WHEEL)
                            .records(ChartLine.per(new TaperAgainstNominal(), Rule.GROUND_TAPER_100, 100)),
                    ChartLines.CYLINDRICAL_CUT_CHART, GrinderSteps.GROUND_FINISH,
                    CommonSteps.HOT, CommonSteps.PAPERS, CommonSteps.CLOSE);

    private CylindricalGrinder() {
    }
}
