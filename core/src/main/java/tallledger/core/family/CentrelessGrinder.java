package tallledger.core.family;

import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.family.Phase.MOVEMENT;
import static tallledger.core.family.Phase.SPINDLE;
import static tallledger.core.family.Phase.STANDING;
import static tallledger.core.family.Phase.TRAVELS;
import static tallledger.core.family.Template.step;

import java.util.List;
import tallledger.core.family.Need.Kind;
import tallledger.core.measuring.ThroughFeedRate;
import tallledger.core.motion.Axis.Ability;
import tallledger.core.safety.Mounted;

/** Centreless grinders. */
final class CentrelessGrinder {

    static final Traits TRAITS = Traits.of(
            List.of(Traits.axis("infeed slide", "in", "out", Ability.FEED, Ability.HAND_WHEEL)))
            .features(Feature.HYDRAULICS, Feature.DRESSER, Feature.REGULATING_WHEEL, Feature.INFEED_CYCLE, Feature.WORK_REST,
                    Feature.THROUGH_FEED)
            .unusual(Feature.GUARD_SWITCH, Feature.WAY_COVERS)
            .kit("wheel-flanges", "work-rest-blades", "dresser")
            .startChecks(StartItem.WHEEL_SOUND, StartItem.WHEEL_GUARDED, StartItem.WHEEL_DRESSED, StartItem.CLEAR_OF_WHEEL)
            .mountables(Mounted.Kind.NOTHING, Mounted.Kind.WHEEL)
            .steps(
                    CommonSteps.DESK, CommonSteps.STANDING, GrinderSteps.GRINDER_WAYS, GrinderSteps.WHEEL_MARK,
                    GrinderSteps.WHEEL_SOUND, GrinderSteps.WHEEL_GUARD, GrinderSteps.HYDRAULIC_OIL,
                    step("work-rest-blade", STANDING, SOON, 60).with(Feature.WORK_REST).needs(Kind.POWER_ISOLATED),
                    CommonSteps.ELECTRICS, CommonSteps.FIRST_START, GrinderSteps.WHEEL_FIRST_START, GrinderSteps.BLED,
                    CommonSteps.STARTED,
                    step("regulating-wheel", SPINDLE, SOON, 60).with(Feature.REGULATING_WHEEL).cycle("regulating-wheel")
                            .of("regulating wheel").needs(Kind.CLEAR_OF_WHEEL),
                    CommonSteps.SPEEDS, CommonSteps.AXES_MOVE, CommonSteps.FEED_PLATE,
                    step("centreless-infeed", MOVEMENT, SOON, 120).with(Feature.INFEED_CYCLE).cycle("centreless-infeed").of("infeed")
                            .needs(Kind.CLEAR_OF_WHEEL),
                    step("through-feed", MOVEMENT, SOON, 120).with(Feature.THROUGH_FEED)
                            .records(new ThroughFeedRate()).of("regulating wheel").needs(Kind.CLEAR_OF_WHEEL),
                    CommonSteps.AXES_TRAVEL,
                    step("work-rest-height", TRAVELS, SOON, 60).with(Feature.WORK_REST).needs(Kind.POWER_ISOLATED),
                    step("through-feed-angle", TRAVELS, SOON, 60).with(Feature.THROUGH_FEED).of("regulating wheel"),
                    GrinderSteps.DRESSER, GrinderSteps.LEVEL, GrinderSteps.WHEEL_SPINDLE, GrinderSteps.AXIAL_FLOAT,
                    ChartLines.CENTRELESS_CHART, ChartLines.INFEED_CHART, CommonSteps.AXES_ACCURACY, GrinderSteps.GRIND_PARALLEL,
                    ChartLines.CENTRELESS_CUT_CHART, GrinderSteps.GROUND_FINISH,
                    CommonSteps.HOT, CommonSteps.PAPERS, CommonSteps.CLOSE);

    private CentrelessGrinder() {
    }
}
