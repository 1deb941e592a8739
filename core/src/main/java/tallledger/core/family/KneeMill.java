package tallledger.core.family;

import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.family.Phase.MOVEMENT;
import static tallledger.core.family.Phase.TRAVELS;
import static tallledger.core.family.Template.step;

import java.util.List;
import java.util.Optional;
import tallledger.core.cutting.Job;
import tallledger.core.drive.Position;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.drive.Transmission;
import tallledger.core.family.Need.Kind;
import tallledger.core.measuring.PieceCount;
import tallledger.core.motion.Axis;
import tallledger.core.motion.Axis.Ability;

/** Knee and bed mills. */
final class KneeMill {

    static final Traits TRAITS = Traits.of(
            List.of(Traits.axis("table", "left", "right", Ability.FEED, Ability.TRIP, Ability.LOCK, Ability.HAND_WHEEL),
                    Traits.axis("saddle", "in", "out", Ability.LOCK, Ability.HAND_WHEEL), Traits.axis("knee", "up", "down", Ability.LOCK,
                            Ability.HAND_WHEEL),
                    Traits.axis("quill", "down", "up", Ability.FEED, Ability.KNOCK_OFF, Ability.LOCK)))
            .features(Feature.FOOT_BRAKE, Feature.DRAWBAR, Feature.POWER_DRAWBAR, Feature.HEAD_SWIVELS, Feature.HEAD_NODS, Feature.RAM,
                    Feature.POWER_DRAWBAR)
            .unusual(Feature.POWER_DRAWBAR, Feature.FOOT_BRAKE, Feature.HEAD_NODS, Feature.RAM, Feature.POWER_DRAWBAR, Feature.GUARD_SWITCH,
                    Feature.WAY_COVERS)
            .kit("collets", "vice", "drawbar")
            .startingFrom(
                    StartingDescription.of("variator-mill", Family.KNEE_MILL,
                            StartingDescription.motor("1420"), new Stage("range", StageKind.GEAR, Shifting.STOP_TO_SHIFT,
                                    List.of(StartingDescription.unknown("low"), new Position("N", new Transmission.Neutral()),
                                            StartingDescription.unknown("high"))),
                            Stage.sliding("variator", StageKind.VARIATOR, Optional.empty()),
                            Stage.direction(Shifting.STOP_TO_SHIFT)),
                    StartingDescription.of("step-pulley-mill", Family.KNEE_MILL, StartingDescription.motor("1420"),
                            StartingDescription.belt("1 2 3 4"), StartingDescription.backGear("in out"),
                            Stage.direction(Shifting.STOP_TO_SHIFT)))
            .tried(Job.Kind.FACE_MILLING)
            .steps(
                    CommonSteps.DESK, CommonSteps.STANDING, MillSteps.TABLE_TOP, MillSteps.MILL_WAYS, MillSteps.MILL_SCREWS,
                    MillSteps.SPINDLE_TAPER, CommonSteps.ELECTRICS, CommonSteps.FIRST_START, MillSteps.DRAWBAR_SEATED,
                    CommonSteps.STARTED, CommonSteps.SPEEDS, CommonSteps.MILL_AXES_MOVE, CommonSteps.FEED_PLATE,
                    step("quill-rates", MOVEMENT, SOON, 90).when(KneeMill::quillFeeds)
                            .records(new PieceCount(Optional.empty())).of("quill feed").needs(Kind.POWER_ON),
                    step("quill-reverse", MOVEMENT, SOON, 45).when(KneeMill::quillFeeds).of("quill feed").needs(Kind.POWER_ON),
                    step("quill-off-stops", MOVEMENT, SOON, 45).when(KneeMill::quillFeeds).of("quill feed").needs(Kind.POWER_ON),
                    MillSteps.TOOL_DRAWBAR, CommonSteps.AXES_TRAVEL, MillSteps.HEAD_SWIVELS,
                    step("head-nods", TRAVELS, SOON, 60).with(Feature.HEAD_NODS).of("head").needs(Kind.POWER_ISOLATED),
                    MillSteps.RAM, MillSteps.LEVEL, MillSteps.MILL_NOSE_RUNOUT, MillSteps.NOSE_ROUND, MillSteps.MILL_BAR_RUNOUT,
                    MillSteps.AXIAL_FLOAT, MillSteps.TRAM, MillSteps.TABLE_PARALLEL, ChartLines.MILL_CHART, ChartLines.MILL_QUILL_CHART,
                    CommonSteps.AXES_ACCURACY, MillSteps.MILL_CUT, ChartLines.MILL_CUT_CHART,
                    MillSteps.CLIMB_CUT, CommonSteps.HOT, CommonSteps.PAPERS, CommonSteps.CLOSE);

    private KneeMill() {
    }

    private static boolean quillFeeds(Described machine) {
        return machine.fitOut().axis(Axis.Role.QUILL).filter(Axis::isPowered).isPresent();
    }
}
