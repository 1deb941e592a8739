package tallledger.core.family;

import static tallledger.core.evidence.Severity.BEFORE_USE;
import static tallledger.core.evidence.Severity.LIVE_WITH;
import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.family.Phase.FIRST_START;
import static tallledger.core.family.Phase.MOVEMENT;
import static tallledger.core.family.Phase.STANDING;
import static tallledger.core.family.Phase.TEST_CUT;
import static tallledger.core.family.Template.step;

import java.util.List;
import java.util.Optional;
import tallledger.core.cutting.Job;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.family.Need.Kind;

/** Small machining centres. */
final class MachiningCentre {

    static final Traits TRAITS = Traits.of(
            List.of(Traits.controlled("X", "left", "right"), Traits.controlled("Y", "in", "out"), Traits.controlled("Z", "down", "up")))
            .features(Feature.POWER_DRAWBAR, Feature.TOOL_CHANGER, Feature.CHIP_CONVEYOR, Feature.SERVO_LUBRICATION)
            .unusual(Feature.TOOL_CHANGER, Feature.CHIP_CONVEYOR, Feature.GUARD_SWITCH, Feature.WAY_COVERS)
            .usually(Feature.CONTROL)
            .kit("tool-holders", "pull-studs", "parameters", "vice")
            .startingFrom(
                    StartingDescription.of("machining-centre", Family.MACHINING_CENTRE,
                            StartingDescription.motor("1500"), new Stage("range", StageKind.COMMANDED, Shifting.SHIFTS_TURNING,
                                    List.of(StartingDescription.unknown("low"),
                                            StartingDescription.unknown("high"))),
                            Stage.sliding("spindle drive", StageKind.INVERTER, Optional.empty()),
                            Stage.direction(Shifting.STOP_TO_SHIFT)))
            .tried(Job.Kind.FACE_MILLING)
            .steps(
                    CommonSteps.DESK, CommonSteps.STANDING, MillSteps.TABLE_TOP, MillSteps.MILL_WAYS, MillSteps.SPINDLE_TAPER,
                    step("tool-pockets", STANDING, SOON, 90).with(Feature.TOOL_CHANGER).needs(Kind.POWER_ISOLATED),
                    CommonSteps.ELECTRICS, CommonSteps.FIRST_START,
                    step("servo-lubrication", FIRST_START, BEFORE_USE, 60).still().with(Feature.SERVO_LUBRICATION),
                    step("chip-conveyor", FIRST_START, LIVE_WITH, 45).with(Feature.CHIP_CONVEYOR),
                    CommonSteps.STARTED, CommonSteps.SPEEDS, CommonSteps.MILL_AXES_MOVE, CommonSteps.FEED_PLATE, MillSteps.TOOL_DRAWBAR,
                    step("tool-change", MOVEMENT, BEFORE_USE, 180).with(Feature.TOOL_CHANGER).needs(Kind.WAY_CLEAR),
                    CommonSteps.AXES_TRAVEL, MillSteps.LEVEL, MillSteps.MILL_NOSE_RUNOUT, MillSteps.NOSE_ROUND,
                    MillSteps.MILL_BAR_RUNOUT, MillSteps.AXIAL_FLOAT, MillSteps.TRAM, MillSteps.TABLE_PARALLEL,
                    ChartLines.CENTRE_CHART, ChartLines.AXES, CommonSteps.AXES_ACCURACY, MillSteps.MILL_CUT, ChartLines.CENTRE_CUT_CHART,
                    step("circle", TEST_CUT, SOON, 420).needs(Kind.GLASSES, Kind.WORK_HELD).of("control"),
                    CommonSteps.HOT, CommonSteps.PAPERS, CommonSteps.CLOSE);

    private MachiningCentre() {
    }
}
