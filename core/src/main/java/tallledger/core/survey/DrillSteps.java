package tallledger.core.survey;

import static tallledger.core.machine.Family.PEDESTAL_DRILL;
import static tallledger.core.machine.Family.RADIAL_DRILL;
import static tallledger.core.survey.Phase.ACCURACY;
import static tallledger.core.survey.Phase.MOVEMENT;
import static tallledger.core.survey.Phase.STANDING;
import static tallledger.core.survey.Phase.TEST_CUT;
import static tallledger.core.survey.Phase.TRAVELS;
import static tallledger.core.evidence.Severity.BEFORE_USE;
import static tallledger.core.evidence.Severity.LIVE_WITH;
import static tallledger.core.evidence.Severity.NOTE;
import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.evidence.Severity.STOP_USE;
import static tallledger.core.survey.Template.step;

import java.math.BigDecimal;
import java.util.List;
import tallledger.core.evidence.Recordings;
import tallledger.core.rules.Rule;
import tallledger.core.machine.Family;
import tallledger.core.machine.Feature;
import tallledger.core.survey.Need.Kind;

/** What radial and pedestal drills have besides their axes. */
final class DrillSteps {

    private static final Family[] DRILLS = {RADIAL_DRILL, PEDESTAL_DRILL};

    static final List<Template> STEPS = List.of(
            step("column-surface", STANDING, SOON, 60).on(DRILLS).of("column"),
            step("arm-ways", STANDING, SOON, 60).on(RADIAL_DRILL).of("arm"),
            step("elevating-nut", STANDING, STOP_USE, 60).on(RADIAL_DRILL).needs(Kind.POWER_ISOLATED, Kind.NOTHING_UNDER).of("elevation"),
            step("base-slots", STANDING, LIVE_WITH, 45).on(RADIAL_DRILL),
            step("box-table", STANDING, LIVE_WITH, 60).on(RADIAL_DRILL).with(Feature.BOX_TABLE),
            step("drill-table", STANDING, LIVE_WITH, 45).on(PEDESTAL_DRILL),
            step("belts", STANDING, SOON, 60).on(PEDESTAL_DRILL).needs(Kind.POWER_ISOLATED).of("belt"),
            step("drill-taper", STANDING, SOON, 45).on(DRILLS).needs(Kind.POWER_ISOLATED).of("spindle"),

            step("fine-feed", MOVEMENT, LIVE_WITH, 30).still().on(RADIAL_DRILL).of("feed"),
            step("feed-clutch", MOVEMENT, SOON, 45).on(RADIAL_DRILL).of("feed").needs(Kind.POWER_ON),
            step("tapping", MOVEMENT, SOON, 60).on(DRILLS).with(Feature.TAPPING),

            step("clamp-arm", TRAVELS, BEFORE_USE, 45).on(RADIAL_DRILL).with(Feature.ARM_CLAMP).cycle("clamp-arm").of("arm clamp").needs(Kind.POWER_ON, Kind.NOTHING_UNDER),
            step("clamp-head", TRAVELS, BEFORE_USE, 45).on(RADIAL_DRILL).with(Feature.HEAD_CLAMP).cycle("clamp-head").of("head clamp").needs(Kind.POWER_ON),
            step("clamp-column", TRAVELS, BEFORE_USE, 45).on(RADIAL_DRILL).with(Feature.COLUMN_CLAMP).cycle("clamp-column").of("column clamp").needs(Kind.POWER_ON),
            step("clamps-together", TRAVELS, SOON, 30).on(RADIAL_DRILL).with(Feature.CLAMPED_TOGETHER).of("clamps"),
            step("clamped-elevation", TRAVELS, STOP_USE, 60).underPower().on(RADIAL_DRILL).with(Feature.ARM_CLAMP).cycle("clamped-elevation").of("elevation").needs(Kind.NOTHING_UNDER),
            step("column-swings", TRAVELS, LIVE_WITH, 45).on(RADIAL_DRILL).of("column"),
            step("table-raise", TRAVELS, LIVE_WITH, 45).on(PEDESTAL_DRILL).with(Feature.TABLE_LIFTS).of("table"),
            step("table-tilts", TRAVELS, LIVE_WITH, 45).on(PEDESTAL_DRILL).with(Feature.TABLE_TILTS).of("table"),
            step("depth-stop", TRAVELS, LIVE_WITH, 45).on(DRILLS).with(Feature.DEPTH_STOP),
            step("quill-spring", TRAVELS, SOON, 20).on(DRILLS),

            step("level", ACCURACY, NOTE, 120).on(DRILLS),
            step("drill-runout", ACCURACY, SOON, 90).on(DRILLS).needs(Kind.BAR_CLEAN).of("spindle")
                    .records(new Recordings.Measure(Rule.DRILL_NOSE, Rule.INDICATOR, true)),
            step("spindle-square", ACCURACY, SOON, 120).on(DRILLS).needs(Kind.LEVEL_AND_WARM).of("column")
                    .records(new Recordings.Scaled(Rule.SQUARE_300, BigDecimal.valueOf(300))),
            step("clamp-shift", ACCURACY, SOON, 90).on(RADIAL_DRILL).with(Feature.COLUMN_CLAMP).of("column clamp").needs(Kind.POWER_ON)
                    .records(new Recordings.Measure(Rule.DRILL_NOSE, Rule.INDICATOR, true)),

            step("drill-cut", TEST_CUT, SOON, 300).on(DRILLS).needs(Kind.GLASSES, Kind.WORK_HELD),
            step("drilled-size", TEST_CUT, LIVE_WITH, 60).still().on(DRILLS));

    private DrillSteps() {
    }
}
