package tallledger.core.family;

import static tallledger.core.evidence.Severity.LIVE_WITH;
import static tallledger.core.evidence.Severity.NOTE;
import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.family.Phase.ACCURACY;
import static tallledger.core.family.Phase.MOVEMENT;
import static tallledger.core.family.Phase.STANDING;
import static tallledger.core.family.Phase.TEST_CUT;
import static tallledger.core.family.Phase.TRAVELS;
import static tallledger.core.family.Template.step;

import tallledger.core.family.Need.Kind;
import tallledger.core.measuring.ChartLine;
import tallledger.core.measuring.SingleMeasurement;
import tallledger.core.measuring.SquarenessBySweep;
import tallledger.core.rules.Rule;

/** What both kinds of drill have. */
final class DrillSteps {

    static final Template COLUMN_SURFACE = step("column-surface", STANDING, SOON, 60).of("column");
    static final Template DRILL_TAPER = step("drill-taper", STANDING, SOON, 45).needs(Kind.POWER_ISOLATED).of("spindle");
    static final Template TAPPING = step("tapping", MOVEMENT, SOON, 60).with(Feature.TAPPING);
    static final Template DEPTH_STOP = step("depth-stop", TRAVELS, LIVE_WITH, 45).with(Feature.DEPTH_STOP);
    static final Template QUILL_SPRING = step("quill-spring", TRAVELS, SOON, 20);
    static final Template LEVEL = step("level", ACCURACY, NOTE, 120);
    static final Template DRILL_RUNOUT = step("drill-runout", ACCURACY, SOON, 90).needs(Kind.BAR_CLEAN).of("spindle")
            .records(new SingleMeasurement(Rule.DRILL_NOSE, Rule.INDICATOR, true));
    static final Template SPINDLE_SQUARE = step("spindle-square", ACCURACY, SOON, 120).needs(Kind.LEVEL_AND_WARM).of("column")
            .records(ChartLine.per(new SquarenessBySweep(), Rule.DRILL_SQUARE_300, 300));
    static final Template DRILL_CUT = step("drill-cut", TEST_CUT, SOON, 300).needs(Kind.GLASSES, Kind.WORK_HELD);
    static final Template DRILLED_SIZE = step("drilled-size", TEST_CUT, LIVE_WITH, 60).still();

    private DrillSteps() {
    }
}
