package tallledger.core.survey;

import static tallledger.core.machine.Family.LATHE;
import static tallledger.core.survey.Phase.ACCURACY;
import static tallledger.core.survey.Phase.MOVEMENT;
import static tallledger.core.survey.Phase.STANDING;
import static tallledger.core.survey.Phase.TEST_CUT;
import static tallledger.core.survey.Phase.TRAVELS;
import static tallledger.core.evidence.Severity.BEFORE_USE;
import static tallledger.core.evidence.Severity.LIVE_WITH;
import static tallledger.core.evidence.Severity.NOTE;
import static tallledger.core.evidence.Severity.SOON;
import static tallledger.core.survey.Template.step;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import tallledger.core.evidence.Recording;
import tallledger.core.evidence.Recordings;
import tallledger.core.evidence.Rounds;
import tallledger.core.evidence.MotionRecordings;
import tallledger.core.rules.Rule;
import tallledger.core.machine.Feature;
import tallledger.core.survey.Need.Kind;

/** What a lathe has besides its axes. */
final class LatheSteps {

    static final List<Template> STEPS = List.of(
            step("bed-by-headstock", STANDING, SOON, 90).on(LATHE).needs(Kind.POWER_ISOLATED).of("bed"),
            step("gap-seat", STANDING, SOON, 60).on(LATHE).with(Feature.GAP).of("bed"),
            step("gap-dents", STANDING, SOON, 45).on(LATHE).with(Feature.GAP).of("bed"),
            step("rack", STANDING, SOON, 45).on(LATHE).of("rack"),
            step("lead-screw-wear", STANDING, SOON, 60).on(LATHE).with(Feature.LEAD_SCREW).of("lead screw"),
            step("feed-shaft-wear", STANDING, SOON, 45).on(LATHE).with(Feature.FEED_SHAFT).of("feed shaft"),
            step("spindle-nose", STANDING, SOON, 45).on(LATHE).of("spindle"),
            step("tailstock-base", STANDING, SOON, 45).on(LATHE).with(Feature.TAILSTOCK).of("tailstock"),
            step("change-wheels", STANDING, SOON, 120).on(LATHE).with(Feature.CHANGE_WHEELS).records(LatheSteps::wheels),

            step("feed-reverse", MOVEMENT, BEFORE_USE, 30).on(LATHE).with(Feature.FEED_REVERSE).of("apron"),
            step("half-nut-interlock", MOVEMENT, BEFORE_USE, 60).on(LATHE).with(Feature.LEAD_SCREW).cycle("half-nut-interlock").of("apron").needs(Kind.POWER_ON),
            step("half-nut", MOVEMENT, SOON, 45).on(LATHE).with(Feature.LEAD_SCREW).of("apron").needs(Kind.FEED_OUT, Kind.POWER_ON),
            step("thread-dial", MOVEMENT, SOON, 60).on(LATHE).with(Feature.THREAD_DIAL).of("apron"),
            step("thread-cut", MOVEMENT, SOON, 240).on(LATHE).with(Feature.LEAD_SCREW).records(new MotionRecordings.ThreadCut()).of("lead screw")
                    .needs(Kind.GLASSES, Kind.WORK_HELD, Kind.FEED_OUT),

            step("double-dials", TRAVELS, LIVE_WITH, 45).on(LATHE).with(Feature.DOUBLE_DIALS),
            step("tailstock-clamp", TRAVELS, BEFORE_USE, 30).on(LATHE).with(Feature.TAILSTOCK).of("tailstock"),
            step("barrel-lock", TRAVELS, SOON, 30).on(LATHE).with(Feature.TAILSTOCK).of("tailstock"),
            step("barrel-travel", TRAVELS, LIVE_WITH, 30).on(LATHE).with(Feature.TAILSTOCK).records(new MotionRecordings.Travel(Optional.empty())).of("tailstock"),
            step("steady", TRAVELS, LIVE_WITH, 45).on(LATHE).with(Feature.STEADY),
            step("follow-steady", TRAVELS, LIVE_WITH, 45).on(LATHE).with(Feature.FOLLOW_STEADY),

            step("level", ACCURACY, NOTE, 180).on(LATHE),
            step("nose-runout", ACCURACY, SOON, 90).on(LATHE).needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN).of("spindle")
                    .records(new Recordings.Measure(Rule.LATHE_NOSE, Rule.INDICATOR, true)),
            step("nose-round", ACCURACY, SOON, 150).on(LATHE).needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN).of("spindle").records(new Rounds(Rule.LATHE_NOSE)),
            step("bar-runout", ACCURACY, SOON, 90).on(LATHE).needs(Kind.LEVEL_AND_WARM, Kind.BAR_CLEAN).of("spindle")
                    .records(new Recordings.Measure(Rule.LATHE_300, Rule.INDICATOR, true)),
            step("axial-float", ACCURACY, SOON, 60).on(LATHE).needs(Kind.LEVEL_AND_WARM).of("spindle")
                    .records(new Recordings.Measure(Rule.AXIAL_FLOAT, Rule.INDICATOR, true)),
            step("bed-twist", ACCURACY, SOON, 180).on(LATHE).needs(Kind.LEVEL_AND_WARM).of("bed")
                    .records(new Recordings.Measure(Rule.TWIST, Rule.INDICATOR, true)),

            step("turn-parallel", TEST_CUT, SOON, 420).on(LATHE).needs(Kind.GLASSES, Kind.WORK_HELD, Kind.CHUCK_KEY_OUT).of("bed")
                    .records(new Recordings.Scaled(Rule.PARALLEL_300, BigDecimal.valueOf(300))),
            step("facing", TEST_CUT, SOON, 180).on(LATHE).needs(Kind.GLASSES, Kind.WORK_HELD),
            step("turned-finish", TEST_CUT, LIVE_WITH, 60).still().on(LATHE));

    private LatheSteps() {
    }

    static Recording<?> wheels(Template.Subject subject) {
        return new MotionRecordings.Wheels(subject.machine().fitOut().chart().map(c -> c.parse(subject.machine().identity().unit())));
    }
}
