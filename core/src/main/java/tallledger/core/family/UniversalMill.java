package tallledger.core.family;

import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.family.Phase.TRAVELS;
import static tallledger.core.family.Template.step;

import java.util.List;
import tallledger.core.cutting.Job;
import tallledger.core.drive.LeverPattern;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;

/** Universal mills. */
final class UniversalMill {

    static final Traits TRAITS = Traits.of(
            List.of(Traits.milled("table", "left", "right"), Traits.milled("saddle", "in", "out"), Traits.milled("knee", "up", "down")))
            .features(Feature.FOOT_BRAKE, Feature.CHANGE_WHEELS, Feature.DRAWBAR, Feature.POWER_DRAWBAR, Feature.HEAD_SWIVELS, Feature.RAM,
                    Feature.TABLE_SWIVELS, Feature.OVERARM, Feature.ARBOR, Feature.ARBOR_SUPPORT)
            .unusual(Feature.POWER_DRAWBAR, Feature.FOOT_BRAKE, Feature.RAM, Feature.GUARD_SWITCH, Feature.WAY_COVERS)
            .kit("arbors", "collars", "vice", "dividing-head", "drawbar")
            .startingFrom(
                    StartingDescription.of("universal-mill", Family.UNIVERSAL_MILL, StartingDescription.motor("1440"),
                            StartingDescription.backGear("L H"), StartingDescription.gears("middle", LeverPattern.ROW, "a b c"),
                            StartingDescription.gears("quick", LeverPattern.DIAL, "1 2 3"), Stage.direction(Shifting.STOP_TO_SHIFT)))
            .tried(Job.Kind.FACE_MILLING)
            .steps(
                    CommonSteps.DESK, CommonSteps.STANDING, MillSteps.TABLE_TOP, MillSteps.MILL_WAYS, MillSteps.MILL_SCREWS,
                    MillSteps.SPINDLE_TAPER, MillSteps.OVERARM_WAYS, MillSteps.ARBOR_COLLARS, MillSteps.DIVIDING_WHEELS,
                    CommonSteps.ELECTRICS, CommonSteps.FIRST_START, MillSteps.DRAWBAR_SEATED, CommonSteps.STARTED, CommonSteps.SPEEDS,
                    CommonSteps.MILL_AXES_MOVE, CommonSteps.FEED_PLATE, CommonSteps.AXES_TRAVEL, MillSteps.HEAD_SWIVELS, MillSteps.RAM,
                    step("mill-table-swivels", TRAVELS, SOON, 60).with(Feature.TABLE_SWIVELS).of("table"),
                    MillSteps.OVERARM_MOVES, MillSteps.ARBOR_SUPPORTS, MillSteps.LEVEL, MillSteps.MILL_NOSE_RUNOUT,
                    MillSteps.NOSE_ROUND, MillSteps.MILL_BAR_RUNOUT, MillSteps.AXIAL_FLOAT, MillSteps.ARBOR_RUNOUT, MillSteps.TRAM,
                    MillSteps.TABLE_PARALLEL, ChartLines.MILL_CHART, ChartLines.LYING_CHART, ChartLines.SWIVEL_CHART,
                    CommonSteps.AXES_ACCURACY, MillSteps.MILL_CUT, ChartLines.MILL_CUT_CHART, MillSteps.CLIMB_CUT,
                    CommonSteps.HOT, CommonSteps.PAPERS, CommonSteps.CLOSE);

    private UniversalMill() {
    }
}
