package tallledger.web.runsheet;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.motion.Axis;
import tallledger.core.reading.LengthUnit;
import tallledger.core.survey.MotionRecordings;
import tallledger.core.survey.Phase;
import tallledger.core.survey.Photo;
import tallledger.core.survey.Recording;
import tallledger.core.survey.Recordings;
import tallledger.core.survey.Severity;
import tallledger.core.survey.Step;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;
import tallledger.core.survey.WatchedCycle;
import tallledger.web.cycle.CycleView;
import tallledger.web.words.Words;

/**
 * Everything the run sheet shows of an open step of the catalogue.
 *
 * @param asked    what must be free or safe, and whether it is to be confirmed afresh
 * @param fields   what is written down
 * @param decides  whether the numbers decide
 * @param limit    in three grades
 * @param promised what the plate or a claim promises, in words
 * @param ifBad    how bad it is
 * @param minutes  it takes
 * @param page     where it is done, where that is another screen
 * @param cycle    event keys and script of a cycle
 * @param history  results of this step so far
 */
public record TaskView(String key, Phase phase, String name, String task, String look, List<Ask> asked, List<Recording.Field> fields, String code, boolean decides,
                       Optional<GradedLimit> limit, String promised, Severity ifBad, BigDecimal minutes, String page, Optional<CycleView> cycle,
                       List<StepResult> history, List<Photo> photos, boolean timed) {

    /** One need: its words, its key in the form, whether it must be ticked. */
    public record Ask(String text, String value, boolean changed) {
    }

    static TaskView of(Survey survey, Step step, Map<String, String> typed, Words words) {
        StepLedger ledger = survey.steps();
        LengthUnit unit = survey.machine().identity().unit();
        List<Ask> asked = ledger.asked(step).stream().map(a -> new Ask(words.say("need." + a.need().kind().name(), a.need().of()), a.need().written(), a.changed())).toList();
        Optional<CycleView> cycle = step.recording() instanceof WatchedCycle watched ? Optional.of(CycleView.blank(watched, typed, unit, words)) : Optional.empty();
        String page = step.recording() instanceof Recordings.Elsewhere e ? e.page() : "";
        return new TaskView(step.id(), step.phase(), words.say(step.name()), words.say("step." + step.code() + ".do", step.about().toArray()),
                words.say("step." + step.code() + ".look", step.about().toArray()), asked, step.recording().fields(), step.recording().code(), step.recording().decides(),
                step.recording().limit(), promised(step, words), step.ifBad(), BigDecimal.valueOf(step.seconds()).divide(BigDecimal.valueOf(60), 1, RoundingMode.HALF_UP).stripTrailingZeros(),
                page, cycle, ledger.all().stream().filter(r -> r.step().id().equals(step.id())).toList(), survey.photosOf(step.id()), step.recording().isTimed());
    }

    private static String promised(Step step, Words words) {
        if (step.recording() instanceof MotionRecordings.Feed feed) {
            String unit = feed.per() == Axis.Per.REV ? "mm/rev" : "mm/min";
            return words.of(feed.rate()) + " " + feed.promised().map(p -> words.say("promised.feed", p, unit, feed.tolerance().movePointRight(2).stripTrailingZeros())).orElse(words.say("promised.nothing"));
        } else if (step.recording() instanceof MotionRecordings.Travel travel) {
            return travel.claimed().map(c -> words.say("promised.travel", c.stripTrailingZeros())).orElse(words.say("promised.nothing"));
        }
        return "";
    }
}
