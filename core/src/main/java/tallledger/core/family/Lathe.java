package tallledger.core.family;

import static tallledger.core.evidence.Severity.BEFORE_USE;
import static tallledger.core.evidence.Severity.LIVE_WITH;
import static tallledger.core.evidence.Severity.NOTE;
import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.family.Phase.ACCURACY;
import static tallledger.core.family.Phase.MOVEMENT;
import static tallledger.core.family.Phase.STANDING;
import static tallledger.core.family.Phase.TEST_CUT;
import static tallledger.core.family.Phase.TRAVELS;
import static tallledger.core.family.Template.step;

import java.util.List;
import java.util.Optional;
import tallledger.core.cutting.Job;
import tallledger.core.drive.LeverPattern;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.family.Need.Kind;
import tallledger.core.measuring.AxisTravel;
import tallledger.core.measuring.ChartLine;
import tallledger.core.measuring.RunoutInTwoPlanes;
import tallledger.core.measuring.RunoutRound;
import tallledger.core.measuring.SingleMeasurement;
import tallledger.core.measuring.TaperByCollars;
import tallledger.core.measuring.ThreadLead;
import tallledger.core.measuring.TwistByLevels;
import tallledger.core.motion.Axis.Ability;
import tallledger.core.rules.Rule;
import tallledger.core.safety.Mounted;

/** Lathes. */
final class Lathe {

    static final Traits TRAITS = Traits.of(
            List.of(Traits.perTurn("carriage", "to the headstock", "to the tailstock", Ability.FEED, Ability.TRIP, Ability.LOCK,
                    Ability.HAND_WHEEL),
                    Traits.perTurn("cross slide", "in", "out", Ability.FEED, Ability.HAND_WHEEL), Traits.axis("top slide", "in", "out",
                            Ability.HAND_WHEEL)))
            .features(Feature.FOOT_BRAKE, Feature.GAP, Feature.LEAD_SCREW, Feature.THREAD_LEVER, Feature.FEED_SHAFT, Feature.FEED_REVERSE,
                    Feature.THREAD_DIAL, Feature.CHANGE_WHEELS, Feature.DOUBLE_DIALS, Feature.TAILSTOCK, Feature.STEADY,
                    Feature.FOLLOW_STEADY, Feature.KICK_BAR)
            .unusual(Feature.FOOT_BRAKE, Feature.GAP, Feature.THREAD_LEVER, Feature.DOUBLE_DIALS, Feature.KICK_BAR, Feature.GUARD_SWITCH,
                    Feature.WAY_COVERS)
            .kit("three-jaw", "four-jaw", "faceplate", "centres", "tool-post", "chuck-keys")
            .startChecks(StartItem.CHUCK_KEY_OUT)
            .mountables(Mounted.Kind.NOTHING, Mounted.Kind.CHUCK, Mounted.Kind.FACEPLATE)
            .startingFrom(
                    StartingDescription.of("geared-head-lathe", Family.LATHE, StartingDescription.motor("1440"),
                            StartingDescription.gears("range", LeverPattern.ROW, "A B C"),
                            StartingDescription.gears("gear", LeverPattern.GATE, "1 2 3 4"), Stage.direction(Shifting.STOP_TO_SHIFT)),
                    StartingDescription.of("bench-lathe", Family.LATHE, StartingDescription.motor("1400"),
                            StartingDescription.belt("1 2 3"),
                            StartingDescription.backGear("in out"), Stage.direction(Shifting.STOP_TO_SHIFT)),
                    StartingDescription.of("inverter-lathe", Family.LATHE,
                            StartingDescription.motor("1400"), Stage.sliding("inverter", StageKind.INVERTER, Optional.empty()),
                            StartingDescription.belt("1 2 3"), StartingDescription.backGear("in out"),
                            Stage.direction(Shifting.STOP_TO_SHIFT)))
            .tried(Job.Kind.TURNING)
            .steps(
                    CommonSteps.DESK, CommonSteps.STANDING,
                    step("bed-by-headstock", STANDING, SOON, 90).needs(Kind.POWER_ISOLATED).of("bed"),
                    step("gap-seat", STANDING, SOON, 60).with(Feature.GAP).of("bed"),
                    step("gap-dents", STANDING, SOON, 45).with(Feature.GAP).of("bed"),
                    step("rack", STANDING, SOON, 45).of("rack"),
                    step("lead-screw-wear", STANDING, SOON, 60).with(Feature.LEAD_SCREW).of("lead screw"),
                    step("feed-shaft-wear", STANDING, SOON, 45).with(Feature.FEED_SHAFT).of("feed shaft"),
                    step("spindle-nose", STANDING, SOON, 45).of("spindle"),
                    step("tailstock-base", STANDING, SOON, 45).with(Feature.TAILSTOCK).of("tailstock"),
                    step("change-wheels", STANDING, SOON, 120).with(Feature.CHANGE_WHEELS).records(CommonSteps::wheels),
                    CommonSteps.ELECTRICS, CommonSteps.FIRST_START, CommonSteps.STARTED, CommonSteps.SPEEDS,
                    CommonSteps.AXES_MOVE, CommonSteps.FEED_PLATE,
                    step("feed-reverse", MOVEMENT, BEFORE_USE, 30).with(Feature.FEED_REVERSE).of("apron"),
                    step("half-nut-interlock", MOVEMENT, BEFORE_USE, 60).with(Feature.LEAD_SCREW).cycle("half-nut-interlock").of("apron")
                            .needs(Kind.POWER_ON),
                    step("half-nut", MOVEMENT, SOON, 45).with(Feature.LEAD_SCREW).of("apron").needs(Kind.FEED_OUT, Kind.POWER_ON),
                    step("thread-dial", MOVEMENT, SOON, 60).with(Feature.THREAD_DIAL).of("apron"),
                    CommonSteps.THREAD_PLATE,
                    step("thread-lever", MOVEMENT, SOON, 90).with(Feature.THREAD_LEVER).of("feed box").needs(Kind.FEED_OUT, Kind.POWER_ON),
                    step("thread-cut", MOVEMENT, SOON, 240).with(Feature.LEAD_SCREW)
                            .records(new ThreadLead()).of("lead screw").needs(Kind.GLASSES, Kind.WORK_HELD, Kind.FEED_OUT),
                    CommonSteps.AXES_TRAVEL,
                    step("double-dials", TRAVELS, LIVE_WITH, 45).with(Feature.DOUBLE_DIALS),
                    step("tailstock-clamp", TRAVELS, BEFORE_USE, 30).with(Feature.TAILSTOCK).of("tailstock"),
                    step("barrel-lock", TRAVELS, SOON, 30).with(Feature.TAILSTOCK).of("tailstock"),
                    step("barrel-travel", TRAVELS, LIVE_WITH, 30).with(Feature.TAILSTOCK)
                            .records(new AxisTravel(Optional.empty())).of("tailstock"),
                    step("steady", TRAVELS, LIVE_WITH, 45).with(Feature.STEADY),
                    step("follow-steady", TRAVELS, LIVE_WITH, 45).with(Feature.FOLLOW_STEADY),
                    step("level", ACCURACY, NOTE, 180),
                    step("nose-runout", ACCURACY, SOON, 90).needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN).of("spindle")
                            .records(new SingleMeasurement(Rule.LATHE_NOSE, Rule.INDICATOR, true)),
                    step("nose-round", ACCURACY, SOON, 150).needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN).of("spindle")
                            .records(new RunoutRound(Rule.LATHE_NOSE)),
                    step("bar-runout", ACCURACY, SOON, 90).naming(300).needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN).of("spindle")
                            .records(ChartLine.out(new RunoutInTwoPlanes(), Rule.LATHE_300, Rule.LATHE_NOSE)),
                    step("axial-float", ACCURACY, SOON, 60).needs(Kind.LEVEL_AND_WARM).of("spindle")
                            .records(new SingleMeasurement(Rule.AXIAL_FLOAT, Rule.INDICATOR, true)),
                    step("bed-twist", ACCURACY, SOON, 180).naming("a metre", "12 in").needs(Kind.LEVEL_AND_WARM).of("bed")
                            .records(ChartLine.of(new TwistByLevels(), Rule.TWIST)),
                    ChartLines.LATHE_CHART, CommonSteps.AXES_ACCURACY,
                    step("turn-parallel", TEST_CUT, SOON, 420).needs(Kind.GLASSES, Kind.WORK_HELD, Kind.CHUCK_KEY_OUT).of("bed")
                            .records(ChartLine.per(new TaperByCollars(), Rule.PARALLEL_300, 300)),
                    step("facing", TEST_CUT, SOON, 180).needs(Kind.GLASSES, Kind.WORK_HELD), ChartLines.LATHE_CUT_CHART,
                    step("turned-finish", TEST_CUT, LIVE_WITH, 60).still(),
                    CommonSteps.HOT, CommonSteps.PAPERS, CommonSteps.CLOSE);

    private Lathe() {
    }
}
