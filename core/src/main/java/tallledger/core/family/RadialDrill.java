package tallledger.core.family;

import static tallledger.core.evidence.Severity.BEFORE_USE;
import static tallledger.core.evidence.Severity.LIVE_WITH;
import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.evidence.Severity.STOP_USE;
import static tallledger.core.family.Phase.ACCURACY;
import static tallledger.core.family.Phase.MOVEMENT;
import static tallledger.core.family.Phase.STANDING;
import static tallledger.core.family.Phase.TRAVELS;
import static tallledger.core.family.Template.step;

import java.util.List;
import tallledger.core.cutting.Job;
import tallledger.core.drive.LeverPattern;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.family.Need.Kind;
import tallledger.core.measuring.SingleMeasurement;
import tallledger.core.motion.Axis.Ability;
import tallledger.core.rules.Rule;

/** Radial drills. */
final class RadialDrill {

    static final Traits TRAITS = Traits.of(
            List.of(Traits.perTurn("spindle", "down", "up", Ability.FEED, Ability.KNOCK_OFF), Traits.axis("head", "in", "out",
                    Ability.HAND_WHEEL),
                    Traits.axis("arm", "up", "down", Ability.RAPID)))
            .features(Feature.ARM_CLAMP, Feature.HEAD_CLAMP, Feature.COLUMN_CLAMP, Feature.CLAMPED_TOGETHER, Feature.BOX_TABLE,
                    Feature.DEPTH_STOP, Feature.TAPPING)
            .unusual(Feature.TAPPING, Feature.GUARD_SWITCH, Feature.WAY_COVERS)
            .kit("sleeves", "drift", "box-table")
            .startChecks(StartItem.CHUCK_KEY_OUT, StartItem.DRIFT_OUT)
            .startingFrom(
                    StartingDescription.of("radial-drill", Family.RADIAL_DRILL, StartingDescription.motor("1440"),
                            StartingDescription.gears("range", LeverPattern.ROW, "A B C"),
                            StartingDescription.gears("dial", LeverPattern.DIAL, "1 2 3 4 5 6 7"), Stage.direction(Shifting.STOP_TO_SHIFT)))
            .tried(Job.Kind.DRILLING)
            .steps(
                    CommonSteps.DESK, CommonSteps.STANDING, DrillSteps.COLUMN_SURFACE,
                    step("arm-ways", STANDING, SOON, 60).of("arm"),
                    step("elevating-nut", STANDING, STOP_USE, 60).needs(Kind.POWER_ISOLATED, Kind.NOTHING_UNDER).of("elevation"),
                    step("base-slots", STANDING, LIVE_WITH, 45),
                    step("box-table", STANDING, LIVE_WITH, 60).with(Feature.BOX_TABLE),
                    DrillSteps.DRILL_TAPER, CommonSteps.ELECTRICS, CommonSteps.FIRST_START, CommonSteps.STARTED, CommonSteps.SPEEDS,
                    CommonSteps.AXES_MOVE, CommonSteps.FEED_PLATE,
                    step("fine-feed", MOVEMENT, LIVE_WITH, 30).still().of("feed"),
                    step("feed-clutch", MOVEMENT, SOON, 45).of("feed").needs(Kind.POWER_ON),
                    DrillSteps.TAPPING, CommonSteps.AXES_TRAVEL,
                    step("clamp-arm", TRAVELS, BEFORE_USE, 45).with(Feature.ARM_CLAMP).cycle("clamp-arm").of("arm clamp")
                            .needs(Kind.POWER_ON, Kind.NOTHING_UNDER),
                    step("clamp-head", TRAVELS, BEFORE_USE, 45).with(Feature.HEAD_CLAMP).cycle("clamp-head").of("head clamp")
                            .needs(Kind.POWER_ON),
                    step("clamp-column", TRAVELS, BEFORE_USE, 45).with(Feature.COLUMN_CLAMP).cycle("clamp-column").of("column clamp")
                            .needs(Kind.POWER_ON),
                    step("clamps-together", TRAVELS, SOON, 30).with(Feature.CLAMPED_TOGETHER).of("clamps"),
                    step("clamped-elevation", TRAVELS, STOP_USE, 60).underPower().with(Feature.ARM_CLAMP).cycle("clamped-elevation")
                            .of("elevation").needs(Kind.NOTHING_UNDER),
                    step("column-swings", TRAVELS, LIVE_WITH, 45).of("column"),
                    DrillSteps.DEPTH_STOP, DrillSteps.QUILL_SPRING, DrillSteps.LEVEL, DrillSteps.DRILL_RUNOUT,
                    DrillSteps.SPINDLE_SQUARE,
                    step("clamp-shift", ACCURACY, SOON, 90).with(Feature.COLUMN_CLAMP).of("column clamp").needs(Kind.POWER_ON)
                            .records(new SingleMeasurement(Rule.DRILL_NOSE, Rule.INDICATOR, true)),
                    ChartLines.RADIAL_CHART, ChartLines.DRILL_CHART, CommonSteps.AXES_ACCURACY, DrillSteps.DRILL_CUT,
                    ChartLines.DRILL_CUT_CHART, DrillSteps.DRILLED_SIZE,
                    CommonSteps.HOT, CommonSteps.PAPERS, CommonSteps.CLOSE);

    private RadialDrill() {
    }
}
