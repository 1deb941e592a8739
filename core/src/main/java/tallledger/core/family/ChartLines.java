package tallledger.core.family;

import static tallledger.core.evidence.Severity.LIVE_WITH;
import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.family.Phase.ACCURACY;
import static tallledger.core.family.Phase.TEST_CUT;
import static tallledger.core.family.Template.step;

import java.util.Optional;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.family.Need.Kind;
import tallledger.core.measuring.AxisPositioning;
import tallledger.core.measuring.ChartLine;
import tallledger.core.measuring.ChartLine.Sense;
import tallledger.core.measuring.CircularPath;
import tallledger.core.measuring.DipUnderThrust;
import tallledger.core.measuring.DirectionByTurnedBar;
import tallledger.core.measuring.FlatnessByGrid;
import tallledger.core.measuring.InfeedByWork;
import tallledger.core.measuring.ParallelismByIndicator;
import tallledger.core.measuring.RepeatabilityOfPlace;
import tallledger.core.measuring.RoundnessOfPiece;
import tallledger.core.measuring.SingleSwing;
import tallledger.core.measuring.SpreadOfPieces;
import tallledger.core.measuring.SquarenessBySweep;
import tallledger.core.measuring.SquarenessByTurnedSquare;
import tallledger.core.measuring.StepResponse;
import tallledger.core.measuring.StraightnessByIndicator;
import tallledger.core.measuring.StraightnessByLevel;
import tallledger.core.measuring.SurfaceFinish;
import tallledger.core.motion.Axis;
import tallledger.core.motion.Axis.Ability;
import tallledger.core.rules.Rule;

/**
 * Lines of the acceptance charts, each a step: how it is measured, what must be level, warm, clean and free first, its limit, and which
 * side of nought is allowed. Kinds of test after the standards of each family, named with the limits in the house's rules; the limits are
 * the house's until the machine's own chart is typed.
 */
final class ChartLines {

    static final Template BED_STRAIGHT = step("bed-straight", ACCURACY, SOON, 300).needs(Kind.LEVEL_AND_WARM)
            .of("bed").records(ChartLine.per(new StraightnessByLevel(), Rule.STRAIGHT_1000, 1000).only(Sense.HUMPED));
    static final Template CARRIAGE_STRAIGHT = step("carriage-straight", ACCURACY, SOON, 240).needs(Kind.LEVEL_AND_WARM)
            .of("carriage").records(ChartLine.per(new StraightnessByIndicator(), Rule.STRAIGHT_1000, 1000));
    static final Template TAILSTOCK_WAYS = step("tailstock-ways", ACCURACY, SOON, 240).with(Feature.TAILSTOCK).needs(Kind.LEVEL_AND_WARM)
            .of("bed").records(ChartLine.per(new ParallelismByIndicator(), Rule.TAILSTOCK_WAYS_1000, 1000));
    static final Template NOSE_CAMMING = step("nose-camming", ACCURACY, SOON, 60).needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN)
            .of("spindle").records(ChartLine.of(new SingleSwing(), Rule.NOSE_CAMMING));
    static final Template SPINDLE_CARRIAGE_V = step("spindle-carriage-v", ACCURACY, SOON, 150).needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN)
            .of("headstock").records(ChartLine.per(new DirectionByTurnedBar(), Rule.SPINDLE_CARRIAGE_V_300, 300).only(Sense.FREE_END_UP));
    static final Template SPINDLE_CARRIAGE_H = step("spindle-carriage-h", ACCURACY, SOON, 150).needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN)
            .of("headstock").records(ChartLine.per(new DirectionByTurnedBar(), Rule.SPINDLE_CARRIAGE_H_300, 300).only(Sense.TO_THE_TOOL));
    static final Template CENTRE_RUNOUT = step("centre-runout", ACCURACY, SOON, 60).needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN)
            .of("spindle").records(ChartLine.of(new SingleSwing(), Rule.CENTRE_TIR));
    static final Template TOP_SLIDE_SPINDLE = step("top-slide-spindle", ACCURACY, LIVE_WITH, 120).needs(Kind.LEVEL_AND_WARM)
            .of("top slide").records(ChartLine.per(new ParallelismByIndicator(), Rule.TOP_SLIDE_150, 150));
    static final Template BARREL_CARRIAGE_V = step("barrel-carriage-v", ACCURACY, SOON, 90).with(Feature.TAILSTOCK)
            .needs(Kind.LEVEL_AND_WARM)
            .of("tailstock").records(ChartLine.per(new ParallelismByIndicator(), Rule.BARREL_100, 100).only(Sense.FREE_END_UP));
    static final Template BARREL_CARRIAGE_H = step("barrel-carriage-h", ACCURACY, SOON, 90).with(Feature.TAILSTOCK)
            .needs(Kind.LEVEL_AND_WARM)
            .of("tailstock").records(ChartLine.per(new ParallelismByIndicator(), Rule.BARREL_100, 100).only(Sense.TO_THE_TOOL));
    static final Template CENTRES_LEVEL = step("centres-level", ACCURACY, SOON, 120).with(Feature.TAILSTOCK).needs(Kind.LEVEL_AND_WARM)
            .of("tailstock").records(ChartLine.of(new SingleSwing(), Rule.CENTRES_LEVEL).only(Sense.TAILSTOCK_HIGH));
    static final Template LEAD_SCREW_FLOAT = step("lead-screw-float", ACCURACY, LIVE_WITH, 60).with(Feature.LEAD_SCREW)
            .of("lead screw").records(ChartLine.of(new SingleSwing(), Rule.LEAD_FLOAT));
    static final Template FACING_HOLLOW = step("facing-hollow", TEST_CUT, LIVE_WITH, 60).still().needs(Kind.LEVEL_AND_WARM)
            .of("cross slide").records(ChartLine.per(new SingleSwing(), Rule.FACING_300, 300).only(Sense.HOLLOW));
    static final Template TURNED_ROUND = step("turned-round", TEST_CUT, SOON, 60).still()
            .of("spindle").records(ChartLine.of(new RoundnessOfPiece(), Rule.TURNED_ROUND));
    static final Template TABLE_FLAT = step("table-flat", ACCURACY, SOON, 300).needs(Kind.LEVEL_AND_WARM)
            .of("table").records(ChartLine.per(new FlatnessByGrid(), Rule.TABLE_FLAT_1000, 1000));
    static final Template TABLE_PARALLEL_Y = step("table-parallel-y", ACCURACY, SOON, 120).needs(Kind.LEVEL_AND_WARM)
            .of("table").records(ChartLine.per(new ParallelismByIndicator(), Rule.TABLE_500, 500));
    static final Template T_SLOT = step("t-slot", ACCURACY, SOON, 120).needs(Kind.LEVEL_AND_WARM)
            .of("table").records(ChartLine.per(new ParallelismByIndicator(), Rule.TSLOT_300, 300));
    static final Template XY_SQUARE = step("xy-square", ACCURACY, SOON, 180).needs(Kind.LEVEL_AND_WARM)
            .of("saddle").records(ChartLine.per(new SquarenessByTurnedSquare(), Rule.XY_SQUARE_300, 300));
    static final Template KNEE_SQUARE_X = step("knee-square-x", ACCURACY, SOON, 150).when(ChartLines::hasKnee)
            .needs(Kind.LEVEL_AND_WARM).of("knee").records(ChartLine.per(new SquarenessByTurnedSquare(), Rule.KNEE_SQUARE_300, 300));
    /** Of a bed mill, whose head moves up and down. */
    static final Template HEAD_SQUARE_X = step("knee-square-x", ACCURACY, SOON, 150).when(ChartLines::headMoves)
            .needs(Kind.LEVEL_AND_WARM).of("head").records(ChartLine.per(new SquarenessByTurnedSquare(), Rule.KNEE_SQUARE_300, 300));
    static final Template KNEE_SQUARE_Y = step("knee-square-y", ACCURACY, SOON, 150).when(ChartLines::hasKnee)
            .needs(Kind.LEVEL_AND_WARM).of("knee").records(ChartLine.per(new SquarenessByTurnedSquare(), Rule.KNEE_SQUARE_300, 300));
    /** Of a bed mill, whose head moves up and down. */
    static final Template HEAD_SQUARE_Y = step("knee-square-y", ACCURACY, SOON, 150).when(ChartLines::headMoves)
            .needs(Kind.LEVEL_AND_WARM).of("head").records(ChartLine.per(new SquarenessByTurnedSquare(), Rule.KNEE_SQUARE_300, 300));
    static final Template QUILL_SQUARE = step("quill-square", ACCURACY, SOON, 90).when(CommonSteps::hasQuill).needs(Kind.LEVEL_AND_WARM)
            .of("head").records(ChartLine.per(new SingleSwing(), Rule.QUILL_100, 100));
    static final Template SPINDLE_TABLE = step("spindle-table", ACCURACY, SOON, 150)
            .needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN, Kind.DRAWBAR_SEATED)
            .of("spindle").records(ChartLine.per(new DirectionByTurnedBar(), Rule.LYING_300, 300));
    static final Template SPINDLE_CROSS = step("spindle-cross", ACCURACY, SOON, 120).needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN)
            .of("saddle").records(ChartLine.per(new SingleSwing(), Rule.LYING_300, 300));
    static final Template SLOT_SQUARE = step("slot-square", ACCURACY, SOON, 120).needs(Kind.LEVEL_AND_WARM)
            .of("table").records(ChartLine.per(new SingleSwing(), Rule.LYING_300, 300));
    static final Template ARBOR_SUPPORT_LINE = step("arbor-support-line", ACCURACY, SOON, 120).with(Feature.ARBOR_SUPPORT)
            .needs(Kind.LEVEL_AND_WARM)
            .of("arbor").records(ChartLine.of(new SingleSwing(), Rule.ARBOR_SUPPORT));
    static final Template OVERARM_SPINDLE = step("overarm-spindle", ACCURACY, SOON, 120).with(Feature.OVERARM).needs(Kind.LEVEL_AND_WARM)
            .of("overarm").records(ChartLine.per(new ParallelismByIndicator(), Rule.LYING_300, 300));
    static final Template SWIVEL_ZERO = step("swivel-zero", ACCURACY, SOON, 90).with(Feature.TABLE_SWIVELS).needs(Kind.LEVEL_AND_WARM)
            .of("table").records(ChartLine.per(new SingleSwing(), Rule.LYING_300, 300));
    static final Template BLOCK_FLAT = step("block-flat", TEST_CUT, LIVE_WITH, 60).still()
            .of("table").records(ChartLine.per(new SingleSwing(), Rule.BLOCK_100, 100));
    static final Template BLOCK_SQUARE = step("block-square", TEST_CUT, LIVE_WITH, 60).still()
            .of("head").records(ChartLine.per(new SingleSwing(), Rule.BLOCK_100, 100));
    static final Template BLOCK_STEP = step("block-step", TEST_CUT, LIVE_WITH, 60).still()
            .of("head").records(ChartLine.per(new SingleSwing(), Rule.BLOCK_100, 100));
    static final Template BASE_FLAT = step("base-flat", ACCURACY, LIVE_WITH, 240).needs(Kind.LEVEL_AND_WARM)
            .of("base").records(ChartLine.per(new FlatnessByGrid(), Rule.BASE_FLAT_1000, 1000));
    static final Template DRILL_OUT = step("drill-out", ACCURACY, SOON, 90).needs(Kind.BAR_CLEAN)
            .naming(300).of("spindle").records(ChartLine.per(new SingleSwing(), Rule.DRILL_OUT_300, 300).from(Rule.DRILL_NOSE));
    static final Template DRILL_QUILL_SQUARE = step("drill-quill-square", ACCURACY, SOON, 90).needs(Kind.LEVEL_AND_WARM)
            .of("spindle").records(ChartLine.per(new SingleSwing(), Rule.DRILL_QUILL_100, 100));
    static final Template THRUST_DIP = step("thrust-dip", ACCURACY, SOON, 150).naming("1 kN", "225 lbf").needs(Kind.LEVEL_AND_WARM)
            .of("arm").records(ChartLine.of(new DipUnderThrust(), Rule.THRUST_DIP));
    static final Template SPINDLE_SQUARE_IN = step("spindle-square-in", ACCURACY, SOON, 120).needs(Kind.LEVEL_AND_WARM)
            .of("column").records(ChartLine.per(new SquarenessBySweep(), Rule.DRILL_SQUARE_300, 300));
    static final Template SPINDLE_SQUARE_OUT = step("spindle-square-out", ACCURACY, SOON, 120).needs(Kind.LEVEL_AND_WARM)
            .of("column").records(ChartLine.per(new SquarenessBySweep(), Rule.DRILL_SQUARE_300, 300));
    static final Template HEAD_LEVEL = step("head-level", ACCURACY, SOON, 180).needs(Kind.LEVEL_AND_WARM)
            .of("arm").records(ChartLine.per(new ParallelismByIndicator(), Rule.HEAD_LEVEL_1000, 1000));
    static final Template HOLE_PLACE = step("hole-place", TEST_CUT, LIVE_WITH, 120).still()
            .of("spindle").records(ChartLine.of(new SingleSwing(), Rule.HOLE_PLACE));
    static final Template INFEED_REPEAT = step("infeed-repeat", ACCURACY, SOON, 180).needs(Kind.CLEAR_OF_WHEEL)
            .of("infeed").records(ChartLine.of(new RepeatabilityOfPlace(), Rule.INFEED_REPEAT));
    static final Template CENTRES_LINE_V = step("centres-line-v", ACCURACY, SOON, 150).needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN)
            .of("work head").records(ChartLine.per(new DirectionByTurnedBar(), Rule.CENTRES_LINE_300, 300));
    static final Template CENTRES_LINE_H = step("centres-line-h", ACCURACY, SOON, 150).needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN)
            .of("work head").records(ChartLine.per(new DirectionByTurnedBar(), Rule.CENTRES_LINE_300, 300));
    static final Template BARREL_TO_TRAVEL = step("barrel-to-travel", ACCURACY, SOON, 90).needs(Kind.LEVEL_AND_WARM)
            .of("tailstock").records(ChartLine.per(new ParallelismByIndicator(), Rule.GRINDER_TO_TRAVEL_100, 100));
    static final Template WHEEL_SPINDLE_TRAVEL = step("wheel-spindle-travel", ACCURACY, SOON, 120)
            .needs(Kind.POWER_ISOLATED, Kind.LEVEL_AND_WARM)
            .of("wheel head").records(ChartLine.per(new ParallelismByIndicator(), Rule.GRINDER_TO_TRAVEL_100, 100));
    static final Template INFEED_SQUARE = step("infeed-square", ACCURACY, SOON, 120).needs(Kind.LEVEL_AND_WARM)
            .of("wheel head").records(ChartLine.per(new SquarenessByTurnedSquare(), Rule.INFEED_SQUARE_300, 300));
    static final Template GROUND_ROUND = step("ground-round", TEST_CUT, SOON, 90).still()
            .of("work head").records(ChartLine.of(new RoundnessOfPiece(), Rule.GROUND_ROUND));
    static final Template ROTARY_TRUE = step("rotary-true", ACCURACY, SOON, 90).needs(Kind.LEVEL_AND_WARM, Kind.CLEAR_OF_WHEEL)
            .of("table").records(ChartLine.of(new SingleSwing(), Rule.ROTARY_TRUE));
    static final Template ROTARY_FLAT = step("rotary-flat", ACCURACY, SOON, 120).needs(Kind.LEVEL_AND_WARM, Kind.CLEAR_OF_WHEEL)
            .of("table").records(ChartLine.per(new StraightnessByIndicator(), Rule.ROTARY_FLAT_300, 300));
    static final Template COLUMN_TO_TABLE = step("column-to-table", ACCURACY, SOON, 120).needs(Kind.LEVEL_AND_WARM, Kind.CLEAR_OF_WHEEL)
            .of("column").records(ChartLine.per(new SquarenessBySweep(), Rule.ROTARY_FLAT_300, 300));
    static final Template DOWN_FEED_STEPS = step("down-feed-steps", ACCURACY, SOON, 180).needs(Kind.CLEAR_OF_WHEEL)
            .of("wheel head").records(ChartLine.of(new StepResponse(), Rule.INFEED_REPEAT));
    static final Template GROUND_SPREAD = step("ground-spread", TEST_CUT, SOON, 240).still()
            .of("table").records(ChartLine.of(new SpreadOfPieces(), Rule.GROUND_SPREAD));
    static final Template REGULATING_SPINDLE = step("regulating-spindle", ACCURACY, SOON, 90).needs(Kind.POWER_ISOLATED)
            .of("regulating wheel").records(ChartLine.of(new SingleSwing(), Rule.GRINDER_NOSE));
    static final Template REGULATING_FLOAT = step("regulating-float", ACCURACY, SOON, 60).needs(Kind.POWER_ISOLATED)
            .of("regulating wheel").records(ChartLine.of(new SingleSwing(), Rule.AXIAL_FLOAT));
    static final Template SPINDLES_PARALLEL_V = step("spindles-parallel-v", ACCURACY, SOON, 150)
            .needs(Kind.LEVEL_AND_WARM, Kind.POWER_ISOLATED)
            .of("wheel head").records(ChartLine.per(new SingleSwing(), Rule.CENTRELESS_PARALLEL_300, 300));
    static final Template SPINDLES_PARALLEL_H = step("spindles-parallel-h", ACCURACY, SOON, 150)
            .needs(Kind.LEVEL_AND_WARM, Kind.POWER_ISOLATED)
            .of("wheel head").records(ChartLine.per(new SingleSwing(), Rule.CENTRELESS_PARALLEL_300, 300));
    static final Template SLOT_PARALLEL = step("slot-parallel", ACCURACY, SOON, 120).needs(Kind.LEVEL_AND_WARM)
            .of("work rest").records(ChartLine.per(new SingleSwing(), Rule.CENTRELESS_PARALLEL_300, 300));
    static final Template CENTRELESS_SPREAD = step("centreless-spread", TEST_CUT, SOON, 240).still()
            .of("infeed").records(ChartLine.of(new SpreadOfPieces(), Rule.GROUND_SPREAD));
    static final Template CENTRELESS_ROUND = step("centreless-round", TEST_CUT, SOON, 90).still()
            .of("work rest").records(ChartLine.of(new RoundnessOfPiece(), Rule.GROUND_ROUND));
    static final Template CENTRELESS_TAPER = step("centreless-taper", TEST_CUT, SOON, 60).still()
            .of("work rest").records(ChartLine.of(new SingleSwing(), Rule.CENTRELESS_TAPER));
    static final Template AXES_XY_SQUARE = step("axes-xy-square", ACCURACY, SOON, 180).needs(Kind.LEVEL_AND_WARM)
            .of("Y").records(ChartLine.per(new SquarenessByTurnedSquare(), Rule.AXES_SQUARE_300, 300));
    static final Template YZ_SQUARE = step("yz-square", ACCURACY, SOON, 180).needs(Kind.LEVEL_AND_WARM)
            .of("Z").records(ChartLine.per(new SquarenessByTurnedSquare(), Rule.AXES_SQUARE_300, 300));
    static final Template ZX_SQUARE = step("zx-square", ACCURACY, SOON, 180).needs(Kind.LEVEL_AND_WARM)
            .of("Z").records(ChartLine.per(new SquarenessByTurnedSquare(), Rule.AXES_SQUARE_300, 300));
    static final Template CIRCLE_TEST = step("circle-test", TEST_CUT, SOON, 420).naming(FieldUnit.DEVIATION).needs(Kind.LEVEL_AND_WARM)
            .of("control").records(ChartLine.of(new CircularPath(), Rule.CIRCLE_FORM));
    static final Template MILLED_SQUARE = step("milled-square", TEST_CUT, LIVE_WITH, 60).still()
            .of("control").records(ChartLine.per(new SingleSwing(), Rule.AXES_SQUARE_300, 300));
    static final Template MILLED_CIRCLE = step("milled-circle", TEST_CUT, LIVE_WITH, 60).still()
            .of("control").records(ChartLine.of(new RoundnessOfPiece(), Rule.MILLED_CIRCLE));

    static final Template TURNED_ROUGHNESS = step("turned-roughness", TEST_CUT, LIVE_WITH, 90).still()
            .of("spindle").records(s -> finish(SurfaceFinish.Process.TURNED, s));
    static final Template MILLED_ROUGHNESS = step("milled-roughness", TEST_CUT, LIVE_WITH, 90).still()
            .of("spindle").records(s -> finish(SurfaceFinish.Process.MILLED, s));
    static final Template GROUND_ROUGHNESS = step("ground-roughness", TEST_CUT, LIVE_WITH, 90).still()
            .of("wheel head").records(s -> finish(SurfaceFinish.Process.GROUND, s));
    static final Template DRILLED_ROUGHNESS = step("drilled-roughness", TEST_CUT, LIVE_WITH, 90).still()
            .of("spindle").records(s -> finish(SurfaceFinish.Process.DRILLED, s));

    /** Every axis of a machining centre: straight, and at its targets from both sides. */
    static final CatalogueLine AXES = CatalogueLine.eachAxis(
            step("axis-straight", ACCURACY, SOON, 240).eachAxis(a -> a.has(Ability.READOUT)).needs(Kind.LEVEL_AND_WARM).of("slide")
                    .records(ChartLine.per(new StraightnessByIndicator(), Rule.STRAIGHT_1000, 1000)),
            step("axis-test", ACCURACY, SOON, 600).naming(FieldUnit.DEVIATION).eachAxis(a -> a.has(Ability.READOUT))
                    .needs(Kind.LEVEL_AND_WARM).of("scale")
                    .records(ChartLine.of(new AxisPositioning(), Rule.AXIS_ACCURACY)));

    static final CatalogueLine LATHE_CHART = CatalogueLine.of(BED_STRAIGHT, CARRIAGE_STRAIGHT, TAILSTOCK_WAYS, NOSE_CAMMING,
            SPINDLE_CARRIAGE_V, SPINDLE_CARRIAGE_H, CENTRE_RUNOUT, TOP_SLIDE_SPINDLE, BARREL_CARRIAGE_V, BARREL_CARRIAGE_H,
            CENTRES_LEVEL, LEAD_SCREW_FLOAT);
    static final CatalogueLine LATHE_CUT_CHART = CatalogueLine.of(FACING_HOLLOW, TURNED_ROUND, TURNED_ROUGHNESS);
    static final CatalogueLine MILL_CHART =
            CatalogueLine.of(NOSE_CAMMING, TABLE_FLAT, TABLE_PARALLEL_Y, T_SLOT, XY_SQUARE, KNEE_SQUARE_X, KNEE_SQUARE_Y,
                    HEAD_SQUARE_X, HEAD_SQUARE_Y);
    static final CatalogueLine MILL_QUILL_CHART = CatalogueLine.of(QUILL_SQUARE);
    static final CatalogueLine LYING_CHART =
            CatalogueLine.of(SPINDLE_TABLE, SPINDLE_CROSS, SLOT_SQUARE, ARBOR_SUPPORT_LINE, OVERARM_SPINDLE);
    static final CatalogueLine SWIVEL_CHART = CatalogueLine.of(SWIVEL_ZERO);
    static final CatalogueLine MILL_CUT_CHART = CatalogueLine.of(BLOCK_FLAT, BLOCK_SQUARE, BLOCK_STEP, MILLED_ROUGHNESS);
    static final CatalogueLine DRILL_CHART = CatalogueLine.of(BASE_FLAT, DRILL_OUT, DRILL_QUILL_SQUARE, THRUST_DIP);
    static final CatalogueLine RADIAL_CHART = CatalogueLine.of(SPINDLE_SQUARE_IN, SPINDLE_SQUARE_OUT, HEAD_LEVEL);
    static final CatalogueLine DRILL_CUT_CHART = CatalogueLine.of(HOLE_PLACE, DRILLED_ROUGHNESS);
    static final Template INFEED_SUM = step("infeed-sum", TEST_CUT, LIVE_WITH, 180).needs(Kind.GLASSES, Kind.WORK_HELD, Kind.CLEAR_OF_WHEEL)
            .of("infeed").records(ChartLine.of(new InfeedByWork(), Rule.INFEED_SUM));

    static final CatalogueLine INFEED_CHART = CatalogueLine.of(INFEED_REPEAT);
    static final CatalogueLine CYLINDRICAL_CHART =
            CatalogueLine.of(CENTRES_LINE_V, CENTRES_LINE_H, BARREL_TO_TRAVEL, WHEEL_SPINDLE_TRAVEL, INFEED_SQUARE);
    static final CatalogueLine CYLINDRICAL_CUT_CHART = CatalogueLine.of(INFEED_SUM, GROUND_ROUND, GROUND_ROUGHNESS);
    static final CatalogueLine ROTARY_CHART = CatalogueLine.of(ROTARY_TRUE, ROTARY_FLAT, COLUMN_TO_TABLE, DOWN_FEED_STEPS);
    static final CatalogueLine ROTARY_CUT_CHART = CatalogueLine.of(INFEED_SUM, GROUND_SPREAD, GROUND_ROUGHNESS);
    static final CatalogueLine CENTRELESS_CHART = CatalogueLine.of(REGULATING_SPINDLE, REGULATING_FLOAT, SPINDLES_PARALLEL_V,
            SPINDLES_PARALLEL_H, SLOT_PARALLEL);
    static final CatalogueLine CENTRELESS_CUT_CHART = CatalogueLine.of(CENTRELESS_SPREAD, CENTRELESS_ROUND, CENTRELESS_TAPER);
    static final CatalogueLine CENTRE_CHART = CatalogueLine.of(AXES_XY_SQUARE, YZ_SQUARE, ZX_SQUARE);
    static final CatalogueLine CENTRE_CUT_CHART = CatalogueLine.of(CIRCLE_TEST, MILLED_SQUARE, MILLED_CIRCLE);

    private ChartLines() {
    }

    /** With the drive whose marks a trace may show. */
    private static SurfaceFinish finish(SurfaceFinish.Process process, Template.StepSubject on) {
        return new SurfaceFinish(process,
                Optional.of(new SurfaceFinish.TurningParts(on.machine().train(), on.machine().plate(),
                        on.machine().fitOut().supply().hertz())));
    }

    private static boolean hasKnee(Described machine) {
        return machine.fitOut().axis(Axis.Role.KNEE).isPresent();
    }

    private static boolean headMoves(Described machine) {
        return !hasKnee(machine) && machine.fitOut().axis(Axis.Role.HEAD).isPresent();
    }
}
