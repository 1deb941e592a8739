package tallledger.core.family;

import java.util.List;
import tallledger.core.cutting.Job;
import tallledger.core.drive.LeverPattern;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.motion.Axis.Ability;

/** Horizontal mills. */
final class HorizontalMill {

    static final Traits TRAITS = Traits.of(
            List.of(Traits.axis("table", "left", "right", Ability.FEED, Ability.TRIP, Ability.LOCK, Ability.HAND_WHEEL),
                    Traits.axis("saddle", "in", "out", Ability.LOCK, Ability.HAND_WHEEL), Traits.axis("knee", "up", "down", Ability.LOCK,
                            Ability.HAND_WHEEL)))
            .features(Feature.CHANGE_WHEELS, Feature.DRAWBAR, Feature.POWER_DRAWBAR, Feature.OVERARM, Feature.ARBOR, Feature.ARBOR_SUPPORT)
            .unusual(Feature.POWER_DRAWBAR, Feature.GUARD_SWITCH, Feature.WAY_COVERS)
            .kit("arbors", "collars", "vice", "dividing-head", "drawbar")
            .startingFrom(
                    StartingDescription.of("horizontal-mill", Family.HORIZONTAL_MILL, StartingDescription.motor("1425"),
                            StartingDescription.belt("1 2 3"), StartingDescription.gears("left lever", LeverPattern.ROW, "in out"),
                            StartingDescription.gears("right lever", LeverPattern.ROW, "low high"),
                            Stage.direction(Shifting.STOP_TO_SHIFT)))
            .tried(Job.Kind.FACE_MILLING)
            .steps(
                    CommonSteps.DESK, CommonSteps.STANDING, MillSteps.TABLE_TOP, MillSteps.MILL_WAYS, MillSteps.MILL_SCREWS,
                    MillSteps.SPINDLE_TAPER, MillSteps.OVERARM_WAYS, MillSteps.ARBOR_COLLARS, MillSteps.CHANGE_WHEELS,
                    MillSteps.DIVIDING_WHEELS,
                    CommonSteps.ELECTRICS, CommonSteps.FIRST_START, MillSteps.DRAWBAR_SEATED, CommonSteps.STARTED, CommonSteps.SPEEDS,
                    CommonSteps.MILL_AXES_MOVE, CommonSteps.FEED_PLATE, CommonSteps.AXES_TRAVEL, MillSteps.OVERARM_MOVES,
                    MillSteps.ARBOR_SUPPORTS, MillSteps.LEVEL, MillSteps.MILL_NOSE_RUNOUT, MillSteps.NOSE_ROUND,
                    MillSteps.MILL_BAR_RUNOUT, MillSteps.AXIAL_FLOAT, MillSteps.ARBOR_RUNOUT, MillSteps.TABLE_PARALLEL,
                    ChartLines.MILL_CHART, ChartLines.LYING_CHART, CommonSteps.AXES_ACCURACY, MillSteps.MILL_CUT, ChartLines.MILL_CUT_CHART,
                    MillSteps.CLIMB_CUT,
                    CommonSteps.HOT, CommonSteps.PAPERS, CommonSteps.CLOSE);

    private HorizontalMill() {
    }
}
