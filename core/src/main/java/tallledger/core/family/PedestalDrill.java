package tallledger.core.family;

import static tallledger.core.evidence.Severity.LIVE_WITH;
import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.family.Phase.STANDING;
import static tallledger.core.family.Phase.TRAVELS;
import static tallledger.core.family.Template.step;

import java.util.List;
import tallledger.core.cutting.Job;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.family.Need.Kind;
import tallledger.core.motion.Axis.Ability;

/** Pedestal drills. */
final class PedestalDrill {

    static final Traits TRAITS = Traits.of(
            List.of(Traits.perTurn("spindle", "down", "up", Ability.HAND_WHEEL), Traits.axis("table", "up", "down", Ability.LOCK,
                    Ability.HAND_WHEEL)))
            .features(Feature.DEPTH_STOP, Feature.PEDAL, Feature.TABLE_LIFTS, Feature.TABLE_TILTS, Feature.TAPPING)
            .unusual(Feature.TAPPING, Feature.GUARD_SWITCH, Feature.WAY_COVERS)
            .kit("drill-chuck", "sleeves", "drift")
            .startChecks(StartItem.CHUCK_KEY_OUT, StartItem.DRIFT_OUT)
            .startingFrom(
                    StartingDescription.of("winding-drill", Family.PEDESTAL_DRILL, new Stage("motor switch", StageKind.MOTOR,
                            Shifting.SHIFTS_TURNING, List.of(StartingDescription.unknown("I"),
                                    StartingDescription.unknown("II"))),
                            StartingDescription.belt("L H")))
            .tried(Job.Kind.DRILLING)
            .steps(
                    CommonSteps.DESK, CommonSteps.STANDING, DrillSteps.COLUMN_SURFACE,
                    step("drill-table", STANDING, LIVE_WITH, 45),
                    step("belts", STANDING, SOON, 60).needs(Kind.POWER_ISOLATED).of("belt"),
                    DrillSteps.DRILL_TAPER, CommonSteps.ELECTRICS, CommonSteps.FIRST_START, CommonSteps.STARTED, CommonSteps.SPEEDS,
                    CommonSteps.AXES_MOVE, CommonSteps.FEED_PLATE, DrillSteps.TAPPING, CommonSteps.AXES_TRAVEL,
                    step("table-raise", TRAVELS, LIVE_WITH, 45).with(Feature.TABLE_LIFTS).of("table"),
                    step("table-tilts", TRAVELS, LIVE_WITH, 45).with(Feature.TABLE_TILTS).of("table"),
                    DrillSteps.DEPTH_STOP, DrillSteps.QUILL_SPRING, DrillSteps.LEVEL, DrillSteps.DRILL_RUNOUT,
                    DrillSteps.SPINDLE_SQUARE, ChartLines.DRILL_CHART, CommonSteps.AXES_ACCURACY, DrillSteps.DRILL_CUT,
                    ChartLines.DRILL_CUT_CHART, DrillSteps.DRILLED_SIZE,
                    CommonSteps.HOT, CommonSteps.PAPERS, CommonSteps.CLOSE);

    private PedestalDrill() {
    }
}
