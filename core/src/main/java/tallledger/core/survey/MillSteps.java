package tallledger.core.survey;

import static tallledger.core.machine.Family.HORIZONTAL_MILL;
import static tallledger.core.machine.Family.KNEE_MILL;
import static tallledger.core.machine.Family.MACHINING_CENTRE;
import static tallledger.core.machine.Family.UNIVERSAL_MILL;
import static tallledger.core.survey.Phase.ACCURACY;
import static tallledger.core.survey.Phase.FIRST_START;
import static tallledger.core.survey.Phase.MOVEMENT;
import static tallledger.core.survey.Phase.SPINDLE;
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
import java.util.Optional;
import tallledger.core.evidence.Recordings;
import tallledger.core.evidence.Rounds;
import tallledger.core.rules.Rule;
import tallledger.core.machine.Family;
import tallledger.core.machine.Feature;
import tallledger.core.machine.MachineDescription;
import tallledger.core.survey.Need.Kind;

/** What mills and machining centres have besides their axes. */
final class MillSteps {

    private static final Family[] MILLS = {KNEE_MILL, HORIZONTAL_MILL, UNIVERSAL_MILL, MACHINING_CENTRE};
    private static final Family[] HAND_MILLS = {KNEE_MILL, HORIZONTAL_MILL, UNIVERSAL_MILL};

    static final List<Template> STEPS = List.of(
            step("table-top", STANDING, LIVE_WITH, 60).on(MILLS).of("table"),
            step("mill-ways", STANDING, SOON, 120).on(MILLS).needs(Kind.POWER_ISOLATED).of("ways"),
            step("mill-screws", STANDING, SOON, 60).on(HAND_MILLS).of("screws"),
            step("spindle-taper", STANDING, SOON, 45).on(MILLS).needs(Kind.POWER_ISOLATED).of("spindle"),
            step("overarm-ways", STANDING, SOON, 45).on(HORIZONTAL_MILL, UNIVERSAL_MILL).with(Feature.OVERARM).of("overarm"),
            step("arbor-collars", STANDING, SOON, 90).on(HORIZONTAL_MILL, UNIVERSAL_MILL).with(Feature.ARBOR).of("arbor"),
            step("dividing-wheels", STANDING, LIVE_WITH, 120).on(HORIZONTAL_MILL, UNIVERSAL_MILL).with(Feature.CHANGE_WHEELS).records(LatheSteps::wheels),
            step("tool-pockets", STANDING, SOON, 90).with(Feature.TOOL_CHANGER).needs(Kind.POWER_ISOLATED),

            step("control-boots", FIRST_START, BEFORE_USE, 120).still().with(Feature.CONTROL).of("control"),
            step("reference-run", FIRST_START, BEFORE_USE, 120).with(Feature.CONTROL).of("control").needs(Kind.POWER_ON),
            step("servo-lubrication", FIRST_START, BEFORE_USE, 60).still().with(Feature.SERVO_LUBRICATION),
            step("chip-conveyor", FIRST_START, LIVE_WITH, 45).with(Feature.CHIP_CONVEYOR),

            step("drawbar-seated", FIRST_START, NOTE, 30).still().with(Feature.DRAWBAR).of("drawbar"),
            step("shift-sound", SPINDLE, SOON, 45).when(GeneralSteps::changesRangeByCommand).of("shift"),

            step("quill-rates", MOVEMENT, SOON, 90).on(KNEE_MILL).when(MillSteps::quillFeeds).records(new Recordings.Count(Optional.empty())).of("quill feed").needs(Kind.POWER_ON),
            step("quill-reverse", MOVEMENT, SOON, 45).on(KNEE_MILL).when(MillSteps::quillFeeds).of("quill feed").needs(Kind.POWER_ON),
            step("quill-off-stops", MOVEMENT, SOON, 45).on(KNEE_MILL).when(MillSteps::quillFeeds).of("quill feed").needs(Kind.POWER_ON),
            step("tool-drawbar", MOVEMENT, STOP_USE, 90).still().with(Feature.POWER_DRAWBAR).needs(Kind.SPINDLE_STILL),
            step("tool-change", MOVEMENT, BEFORE_USE, 180).with(Feature.TOOL_CHANGER).needs(Kind.WAY_CLEAR),

            step("head-swivels", TRAVELS, SOON, 60).on(HAND_MILLS).with(Feature.HEAD_SWIVELS).of("head").needs(Kind.POWER_ISOLATED),
            step("head-nods", TRAVELS, SOON, 60).on(HAND_MILLS).with(Feature.HEAD_NODS).of("head").needs(Kind.POWER_ISOLATED),
            step("ram", TRAVELS, SOON, 45).with(Feature.RAM),
            step("mill-table-swivels", TRAVELS, SOON, 60).on(UNIVERSAL_MILL).with(Feature.TABLE_SWIVELS).of("table"),
            step("overarm-moves", TRAVELS, SOON, 45).on(HORIZONTAL_MILL, UNIVERSAL_MILL).with(Feature.OVERARM).of("overarm"),
            step("arbor-supports", TRAVELS, SOON, 60).on(HORIZONTAL_MILL, UNIVERSAL_MILL).with(Feature.ARBOR_SUPPORT).of("arbor"),

            step("level", ACCURACY, NOTE, 180).on(MILLS),
            step("mill-nose-runout", ACCURACY, SOON, 90).on(MILLS).needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN).of("spindle")
                    .records(new Recordings.Measure(Rule.MILL_NOSE, Rule.INDICATOR, true)),
            step("nose-round", ACCURACY, SOON, 150).on(MILLS).needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN).of("spindle").records(new Rounds(Rule.MILL_NOSE)),
            step("mill-bar-runout", ACCURACY, SOON, 90).on(MILLS).needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN, Kind.DRAWBAR_SEATED).of("spindle")
                    .records(new Recordings.Measure(Rule.MILL_300, Rule.INDICATOR, true)),
            step("axial-float", ACCURACY, SOON, 60).on(MILLS).needs(Kind.LEVEL_AND_WARM).of("spindle")
                    .records(new Recordings.Measure(Rule.AXIAL_FLOAT, Rule.INDICATOR, true)),
            step("arbor-runout", ACCURACY, SOON, 120).on(HORIZONTAL_MILL, UNIVERSAL_MILL).with(Feature.ARBOR).needs(Kind.LEVEL_AND_WARM, Kind.DRAWBAR_SEATED).of("arbor")
                    .records(new Recordings.Measure(Rule.MILL_300, Rule.INDICATOR, true)),
            step("tram", ACCURACY, SOON, 150).on(KNEE_MILL, UNIVERSAL_MILL, MACHINING_CENTRE).needs(Kind.LEVEL_AND_WARM).of("head")
                    .records(new Recordings.Scaled(Rule.SQUARE_300, BigDecimal.valueOf(300))),
            step("table-parallel", ACCURACY, SOON, 150).on(MILLS).needs(Kind.LEVEL_AND_WARM).of("table")
                    .records(new Recordings.Scaled(Rule.TABLE_500, BigDecimal.valueOf(500))),

            step("mill-cut", TEST_CUT, SOON, 420).on(MILLS).needs(Kind.GLASSES, Kind.WORK_HELD, Kind.DRAWBAR_SEATED),
            step("climb-cut", TEST_CUT, LIVE_WITH, 180).on(HAND_MILLS).needs(Kind.GLASSES, Kind.WORK_HELD),
            step("circle", TEST_CUT, SOON, 420).on(MACHINING_CENTRE).needs(Kind.GLASSES, Kind.WORK_HELD).of("control"));

    private MillSteps() {
    }

    private static boolean quillFeeds(MachineDescription machine) {
        return machine.fitOut().axis(tallledger.core.motion.Axis.Role.QUILL).filter(a -> a.isPowered()).isPresent();
    }
}
