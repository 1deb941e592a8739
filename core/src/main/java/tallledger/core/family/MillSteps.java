package tallledger.core.family;

import static tallledger.core.evidence.Severity.LIVE_WITH;
import static tallledger.core.evidence.Severity.NOTE;
import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.evidence.Severity.STOP_USE;
import static tallledger.core.family.Phase.ACCURACY;
import static tallledger.core.family.Phase.FIRST_START;
import static tallledger.core.family.Phase.MOVEMENT;
import static tallledger.core.family.Phase.STANDING;
import static tallledger.core.family.Phase.TEST_CUT;
import static tallledger.core.family.Phase.TRAVELS;
import static tallledger.core.family.Template.step;

import tallledger.core.family.Need.Kind;
import tallledger.core.measuring.ChartLine;
import tallledger.core.measuring.ParallelismByIndicator;
import tallledger.core.measuring.RunoutByHalfTurn;
import tallledger.core.measuring.RunoutInTwoPlanes;
import tallledger.core.measuring.RunoutRound;
import tallledger.core.measuring.SingleMeasurement;
import tallledger.core.measuring.SquarenessBySweep;
import tallledger.core.rules.Rule;

/** What several kinds of mill have. */
final class MillSteps {

    static final Template TABLE_TOP = step("table-top", STANDING, LIVE_WITH, 60).of("table");
    static final Template MILL_WAYS = step("mill-ways", STANDING, SOON, 120).needs(Kind.POWER_ISOLATED).of("ways");
    static final Template MILL_SCREWS = step("mill-screws", STANDING, SOON, 60).of("screws");
    static final Template SPINDLE_TAPER = step("spindle-taper", STANDING, SOON, 45).needs(Kind.POWER_ISOLATED).of("spindle");
    static final Template OVERARM_WAYS = step("overarm-ways", STANDING, SOON, 45).with(Feature.OVERARM).of("overarm");
    static final Template ARBOR_COLLARS = step("arbor-collars", STANDING, SOON, 90).with(Feature.ARBOR).of("arbor");
    static final Template DIVIDING_WHEELS = step("dividing-wheels", STANDING, LIVE_WITH, 120).with(Feature.CHANGE_WHEELS)
            .records(CommonSteps::wheels);
    /** Of a feed that is set by wheels. */
    static final Template CHANGE_WHEELS = step("change-wheels", STANDING, SOON, 120).with(Feature.CHANGE_WHEELS)
            .records(CommonSteps::wheels);
    static final Template DRAWBAR_SEATED = step("drawbar-seated", FIRST_START, NOTE, 30).still().with(Feature.DRAWBAR).of("drawbar");
    static final Template TOOL_DRAWBAR = step("tool-drawbar", MOVEMENT, STOP_USE, 90).still().with(Feature.POWER_DRAWBAR)
            .needs(Kind.SPINDLE_STILL);
    static final Template HEAD_SWIVELS = step("head-swivels", TRAVELS, SOON, 60).with(Feature.HEAD_SWIVELS).of("head")
            .needs(Kind.POWER_ISOLATED);
    static final Template RAM = step("ram", TRAVELS, SOON, 45).with(Feature.RAM);
    static final Template OVERARM_MOVES = step("overarm-moves", TRAVELS, SOON, 45).with(Feature.OVERARM).of("overarm");
    static final Template ARBOR_SUPPORTS = step("arbor-supports", TRAVELS, SOON, 60).with(Feature.ARBOR_SUPPORT).of("arbor");
    static final Template LEVEL = step("level", ACCURACY, NOTE, 180);
    static final Template MILL_NOSE_RUNOUT = step("mill-nose-runout", ACCURACY, SOON, 90).needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN)
            .of("spindle")
            .records(new SingleMeasurement(Rule.MILL_NOSE, Rule.INDICATOR, true));
    static final Template NOSE_ROUND = step("nose-round", ACCURACY, SOON, 150).needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN).of("spindle")
            .records(new RunoutRound(Rule.MILL_NOSE));
    static final Template MILL_BAR_RUNOUT = step("mill-bar-runout", ACCURACY, SOON, 90).naming(300)
            .needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN, Kind.DRAWBAR_SEATED).of("spindle")
            .records(ChartLine.out(new RunoutInTwoPlanes(), Rule.MILL_300, Rule.MILL_NOSE));
    static final Template AXIAL_FLOAT = step("axial-float", ACCURACY, SOON, 60).needs(Kind.LEVEL_AND_WARM).of("spindle")
            .records(new SingleMeasurement(Rule.AXIAL_FLOAT, Rule.INDICATOR, true));
    static final Template ARBOR_RUNOUT = step("arbor-runout", ACCURACY, SOON, 120).with(Feature.ARBOR)
            .needs(Kind.LEVEL_AND_WARM, Kind.DRAWBAR_SEATED).of("arbor")
            .records(ChartLine.of(new RunoutByHalfTurn(), Rule.MILL_300));
    static final Template TRAM = step("tram", ACCURACY, SOON, 150).needs(Kind.LEVEL_AND_WARM).of("head")
            .records(ChartLine.per(new SquarenessBySweep(), Rule.SQUARE_300, 300));
    static final Template TABLE_PARALLEL = step("table-parallel", ACCURACY, SOON, 150).needs(Kind.LEVEL_AND_WARM).of("table")
            .records(ChartLine.per(new ParallelismByIndicator(), Rule.TABLE_500, 500));
    static final Template MILL_CUT = step("mill-cut", TEST_CUT, SOON, 420).needs(Kind.GLASSES, Kind.WORK_HELD, Kind.DRAWBAR_SEATED);
    static final Template CLIMB_CUT = step("climb-cut", TEST_CUT, LIVE_WITH, 180).needs(Kind.GLASSES, Kind.WORK_HELD);

    private MillSteps() {
    }
}
