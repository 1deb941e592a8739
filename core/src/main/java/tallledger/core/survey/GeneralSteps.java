package tallledger.core.survey;

import static tallledger.core.survey.Phase.CLOSE;
import static tallledger.core.survey.Phase.DESK;
import static tallledger.core.survey.Phase.ELECTRICS;
import static tallledger.core.survey.Phase.FIRST_START;
import static tallledger.core.survey.Phase.HOT_CHECK;
import static tallledger.core.survey.Phase.KIT;
import static tallledger.core.survey.Phase.SPINDLE;
import static tallledger.core.survey.Phase.STANDING;
import static tallledger.core.evidence.Severity.BEFORE_USE;
import static tallledger.core.evidence.Severity.LIVE_WITH;
import static tallledger.core.evidence.Severity.NOTE;
import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.evidence.Severity.STOP_USE;
import static tallledger.core.survey.Template.step;

import java.util.List;
import tallledger.core.evidence.Recordings;
import tallledger.core.evidence.SupplyCheck;
import tallledger.core.evidence.SpindleCheck;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.drive.StageKind;
import tallledger.core.rules.Rule;
import tallledger.core.machine.Feature;
import tallledger.core.machine.MachineDescription;
import tallledger.core.survey.Need.Kind;

/** Steps every family has: desk, standing, electrics, first start, hot, papers, close. */
final class GeneralSteps {

    static final List<Template> BEFORE = List.of(
            step("desk-claims", DESK, NOTE, 300).records(new Recordings.Elsewhere("machine")),
            step("desk-power", DESK, NOTE, 60),
            step("desk-papers", DESK, NOTE, 120),
            step("serial", STANDING, NOTE, 60).records(new Recordings.Note()),
            step("plates", STANDING, NOTE, 120).records(new Recordings.Elsewhere("machine")),
            step("castings", STANDING, BEFORE_USE, 180).needs(Kind.POWER_ISOLATED),
            step("missing-parts", STANDING, SOON, 120),
            step("covers", STANDING, BEFORE_USE, 90).needs(Kind.POWER_ISOLATED),
            step("oil-levels", STANDING, BEFORE_USE, 60),
            step("oilers", STANDING, SOON, 90),
            step("way-covers", STANDING, SOON, 60).with(Feature.WAY_COVERS).needs(Kind.POWER_ISOLATED));

    static final List<Template> AFTER_STANDING = List.of(
            step("supply", ELECTRICS, BEFORE_USE, 240).records(s -> new SupplyCheck(s.machine().fitOut().supply())).needs(Kind.ELECTRICIAN),
            step("isolator", ELECTRICS, STOP_USE, 45),
            step("cables", ELECTRICS, STOP_USE, 90).needs(Kind.POWER_ISOLATED),
            step("earth", ELECTRICS, STOP_USE, 60).needs(Kind.ELECTRICIAN),
            step("motor-plate", ELECTRICS, NOTE, 60).records(new Recordings.Note()),
            step("emergency-stop", FIRST_START, STOP_USE, 90).with(Feature.EMERGENCY_STOP).cycle("emergency-stop").of("stop"),
            step("direction", FIRST_START, BEFORE_USE, 60).when(MachineDescription::reverses).cycle("direction").needs(Kind.POWER_ON, Kind.CHUCK_KEY_OUT, Kind.BRAKE_OFF).of("direction"),
            step("direction-one-way", FIRST_START, BEFORE_USE, 30).when(m -> !m.reverses()).needs(Kind.POWER_ON).of("direction"));

    static final List<Template> STARTED = List.of(
            driveCheck(DriveCheck.NEUTRAL, FIRST_START, 45), driveCheck(DriveCheck.JOG, FIRST_START, 20), driveCheck(DriveCheck.BRAKE, FIRST_START, 60),
            step("guard", FIRST_START, STOP_USE, 90).with(Feature.GUARD_SWITCH).cycle("guard").needs(Kind.POWER_ON),
            step("foot-brake", FIRST_START, BEFORE_USE, 60).with(Feature.FOOT_BRAKE).cycle("foot-brake").of("brake").needs(Kind.POWER_ON),
            step("brake-before-start", FIRST_START, SOON, 45).with(Feature.FOOT_BRAKE).cycle("brake-before-start").of("brake").needs(Kind.POWER_ON),
            step("kick-bar", FIRST_START, BEFORE_USE, 60).with(Feature.KICK_BAR).cycle("kick-bar").of("stop").needs(Kind.POWER_ON),
            step("pedal", FIRST_START, BEFORE_USE, 60).with(Feature.PEDAL).cycle("pedal").needs(Kind.POWER_ON),
            step("lubrication", FIRST_START, BEFORE_USE, 60).still().with(Feature.CENTRAL_LUBRICATION),
            step("coolant", FIRST_START, LIVE_WITH, 60).still().with(Feature.COOLANT),
            step("lamp", FIRST_START, LIVE_WITH, 15).still().with(Feature.LAMP));

    static final List<Template> SPEEDS = List.of(
            step("commanded-shift", SPINDLE, BEFORE_USE, 90).when(GeneralSteps::changesRangeByCommand)
                    .cycle("commanded-shift").of("shift").needs(Kind.POWER_ON).spares(SpindleCheck.id(DriveCheck.SHIFT_UP)),
            driveCheck(DriveCheck.SHIFT_UP, SPINDLE, 45), driveCheck(DriveCheck.SHIFT_DOWN, SPINDLE, 45));

    static final List<Template> AFTER = List.of(
            step("bearing-rise", HOT_CHECK, SOON, 1800).records(new Recordings.Rise(Rule.BEARING_RISE)).of("bearings").needs(Kind.POWER_ON),
            step("hot-sound", HOT_CHECK, SOON, 60).of("bearings"),
            step("hot-leaks", HOT_CHECK, LIVE_WITH, 60).still(),
            step("kit", KIT, SOON, 240).records(new Recordings.Elsewhere("kit")),
            step("manual", KIT, LIVE_WITH, 30),
            step("wiring-diagram", KIT, SOON, 30),
            step("test-chart", KIT, NOTE, 30),
            step("lift", KIT, STOP_USE, 90).records(new Recordings.Elsewhere("kit")),
            step("left-safe", CLOSE, STOP_USE, 60).needs(Kind.POWER_ISOLATED),
            step("said-what-is-open", CLOSE, NOTE, 60));

    private GeneralSteps() {
    }

    static boolean changesRangeByCommand(MachineDescription machine) {
        return machine.train().stages().stream().anyMatch(s -> s.kind() == StageKind.COMMANDED);
    }

    private static Template driveCheck(DriveCheck check, Phase phase, int seconds) {
        return step(SpindleCheck.id(check), phase, check == DriveCheck.JOG ? LIVE_WITH : BEFORE_USE, seconds)
                .when(m -> DriveCheck.of(m.train()).contains(check)).records(new SpindleCheck(check)).of("spindle controls");
    }
}
