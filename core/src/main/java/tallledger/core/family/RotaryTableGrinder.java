package tallledger.core.family;

import static tallledger.core.evidence.Severity.LIVE_WITH;
import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.evidence.Severity.STOP_USE;
import static tallledger.core.family.Phase.FIRST_START;
import static tallledger.core.family.Phase.MOVEMENT;
import static tallledger.core.family.Phase.STANDING;
import static tallledger.core.family.Phase.TEST_CUT;
import static tallledger.core.family.Phase.TRAVELS;
import static tallledger.core.family.Template.step;

import java.math.BigDecimal;
import java.util.List;
import tallledger.core.family.Need.Kind;
import tallledger.core.measuring.MeasurementOverLength;
import tallledger.core.measuring.SpeedToCentre;
import tallledger.core.motion.Axis.Ability;
import tallledger.core.rules.Rule;
import tallledger.core.safety.Mounted;

/** Rotary-table surface grinders. */
final class RotaryTableGrinder {

    static final Traits TRAITS = Traits.of(
            List.of(Traits.axis("wheel head", "down", "up", Ability.RAPID, Ability.HAND_WHEEL), Traits.axis("saddle", "in", "out",
                    Ability.FEED)))
            .features(Feature.HYDRAULICS, Feature.DRESSER, Feature.MAGNETIC_CHUCK, Feature.AUTO_DOWN_FEED, Feature.SPARK_OUT,
                    Feature.PARKS, Feature.SPEEDS_TO_CENTRE, Feature.TABLE_TILTS_FOR_HOLLOW)
            .unusual(Feature.TABLE_TILTS_FOR_HOLLOW, Feature.GUARD_SWITCH, Feature.WAY_COVERS)
            .kit("wheel-flanges", "balancing-arbor", "dresser")
            .startChecks(StartItem.WHEEL_SOUND, StartItem.WHEEL_GUARDED, StartItem.WHEEL_DRESSED, StartItem.CLEAR_OF_WHEEL)
            .mountables(Mounted.Kind.NOTHING, Mounted.Kind.WHEEL)
            .steps(
                    CommonSteps.DESK, CommonSteps.STANDING, GrinderSteps.GRINDER_WAYS, GrinderSteps.WHEEL_MARK,
                    GrinderSteps.WHEEL_SOUND, GrinderSteps.WHEEL_GUARD, GrinderSteps.HYDRAULIC_OIL,
                    step("chuck-face", STANDING, SOON, 45).with(Feature.MAGNETIC_CHUCK).of("chuck"),
                    CommonSteps.ELECTRICS, CommonSteps.FIRST_START, GrinderSteps.WHEEL_FIRST_START, GrinderSteps.BLED,
                    step("magnetic-chuck", FIRST_START, STOP_USE, 60).still().with(Feature.MAGNETIC_CHUCK).of("chuck")
                            .needs(Kind.POWER_ON),
                    CommonSteps.STARTED, CommonSteps.SPEEDS, CommonSteps.AXES_MOVE, CommonSteps.FEED_PLATE,
                    step("down-feed-inner", MOVEMENT, SOON, 60).with(Feature.AUTO_DOWN_FEED).cycle("down-feed-inner").of("down-feed"),
                    step("down-feed-outer", MOVEMENT, SOON, 60).with(Feature.AUTO_DOWN_FEED).cycle("down-feed-outer").of("down-feed"),
                    step("down-feed-both", MOVEMENT, SOON, 60).with(Feature.AUTO_DOWN_FEED).cycle("down-feed-both").of("down-feed"),
                    step("spark-out", MOVEMENT, SOON, 120).with(Feature.SPARK_OUT).cycle("spark-out").of("down-feed").spares("parks"),
                    step("parks", MOVEMENT, LIVE_WITH, 45).with(Feature.PARKS).of("down-feed"),
                    step("speeds-to-centre", MOVEMENT, SOON, 90).with(Feature.SPEEDS_TO_CENTRE)
                            .records(new SpeedToCentre()).of("table drive"),
                    CommonSteps.AXES_TRAVEL,
                    step("head-tilts", TRAVELS, LIVE_WITH, 60).with(Feature.TABLE_TILTS_FOR_HOLLOW),
                    GrinderSteps.DRESSER, GrinderSteps.LEVEL, GrinderSteps.WHEEL_SPINDLE, GrinderSteps.WORK_SPINDLE,
                    GrinderSteps.AXIAL_FLOAT, ChartLines.ROTARY_CHART, CommonSteps.AXES_ACCURACY,
                    step("grind-flat", TEST_CUT, SOON, 600).needs(Kind.GLASSES, Kind.WORK_HELD, Kind.CLEAR_OF_WHEEL)
                            .records(new MeasurementOverLength(Rule.TABLE_500, BigDecimal.valueOf(500))),
                    ChartLines.ROTARY_CUT_CHART, GrinderSteps.GROUND_FINISH, CommonSteps.HOT, CommonSteps.PAPERS, CommonSteps.CLOSE);

    private RotaryTableGrinder() {
    }
}
