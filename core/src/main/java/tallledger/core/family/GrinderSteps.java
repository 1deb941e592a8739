package tallledger.core.family;

import static tallledger.core.evidence.Severity.LIVE_WITH;
import static tallledger.core.evidence.Severity.NOTE;
import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.evidence.Severity.STOP_USE;
import static tallledger.core.family.Phase.ACCURACY;
import static tallledger.core.family.Phase.FIRST_START;
import static tallledger.core.family.Phase.STANDING;
import static tallledger.core.family.Phase.TEST_CUT;
import static tallledger.core.family.Phase.TRAVELS;
import static tallledger.core.family.Template.step;

import tallledger.core.evidence.FieldUnit;
import tallledger.core.family.Need.Kind;
import tallledger.core.measuring.ChartLine;
import tallledger.core.measuring.GrindingWheelMark;
import tallledger.core.measuring.SingleMeasurement;
import tallledger.core.measuring.TaperByCollars;
import tallledger.core.rules.Rule;

/** What several kinds of grinder have. */
final class GrinderSteps {

    static final Template GRINDER_WAYS = step("grinder-ways", STANDING, SOON, 90).needs(Kind.POWER_ISOLATED).of("ways");
    static final Template WHEEL_MARK = step("wheel-mark", STANDING, STOP_USE, 60).naming(FieldUnit.WHEEL)
            .records(new GrindingWheelMark()).of("wheel");
    static final Template WHEEL_SOUND = step("wheel-sound", STANDING, STOP_USE, 120).needs(Kind.POWER_ISOLATED).of("wheel");
    static final Template WHEEL_GUARD = step("wheel-guard", STANDING, STOP_USE, 45).needs(Kind.POWER_ISOLATED).of("guard");
    static final Template HYDRAULIC_OIL = step("hydraulic-oil", STANDING, SOON, 45).with(Feature.HYDRAULICS).of("hydraulics");
    static final Template WHEEL_FIRST_START = step("wheel-first-start", FIRST_START, STOP_USE, 90)
            .needs(Kind.WHEEL_GUARDED, Kind.CLEAR_OF_WHEEL, Kind.POWER_ON).of("wheel");
    static final Template BLED = step("bled", FIRST_START, SOON, 120).with(Feature.HYDRAULICS).of("hydraulics").needs(Kind.POWER_ON);
    static final Template DRESSER = step("dresser", TRAVELS, SOON, 90).with(Feature.DRESSER).needs(Kind.GLASSES, Kind.CLEAR_OF_WHEEL);
    static final Template LEVEL = step("level", ACCURACY, NOTE, 180);
    static final Template WHEEL_SPINDLE = step("wheel-spindle", ACCURACY, SOON, 90).needs(Kind.POWER_ISOLATED).of("spindle")
            .records(new SingleMeasurement(Rule.GRINDER_NOSE, Rule.INDICATOR, true));
    static final Template WORK_SPINDLE = step("work-spindle", ACCURACY, SOON, 90).needs(Kind.LEVEL_AND_WARM).of("work head")
            .records(new SingleMeasurement(Rule.GRINDER_NOSE, Rule.INDICATOR, true));
    static final Template AXIAL_FLOAT = step("axial-float", ACCURACY, SOON, 60).needs(Kind.POWER_ISOLATED).of("spindle")
            .records(new SingleMeasurement(Rule.AXIAL_FLOAT, Rule.INDICATOR, true));
    static final Template GRIND_PARALLEL = step("grind-parallel", TEST_CUT, SOON, 600)
            .needs(Kind.GLASSES, Kind.WORK_HELD, Kind.CLEAR_OF_WHEEL)
            .records(ChartLine.per(new TaperByCollars(), Rule.GROUND_PARALLEL_300, 300));
    static final Template GROUND_FINISH = step("ground-finish", TEST_CUT, LIVE_WITH, 60).still();

    private GrinderSteps() {
    }
}
