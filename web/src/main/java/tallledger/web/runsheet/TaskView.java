package tallledger.web.runsheet;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.reading.LengthUnit;
import tallledger.core.family.Phase;
import tallledger.core.survey.Photo;
import tallledger.core.evidence.Recording;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Step;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;
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
 * @param picture  of the one that counts
 */
public record TaskView(String key, Phase phase, String name, String task, String look, List<Ask> asked, List<Recording.Field> fields, String code, boolean decides,
                       Optional<GradedLimit> limit, String promised, Severity ifBad, BigDecimal minutes, String page, Optional<CycleView> cycle,
                       List<StepResult> history, Optional<Picture> picture, List<Photo> photos, boolean timed) {

    /** One need: its words, its key in the form, whether it must be ticked. */
    public record Ask(String text, String value, boolean changed) {
    }

    static TaskView of(Survey survey, Step step, Map<String, String> typed, Words words) {
        StepLedger ledger = survey.steps();
        LengthUnit unit = survey.machine().identity().unit();
        List<Ask> asked = ledger.asked(step).stream().map(a -> new Ask(words.say("need." + a.need().kind().name(), a.need().of()), a.need().written(), a.changed())).toList();
        StepMargin.Beside beside = step.recording().tell(new StepMargin(typed, unit, survey.rules(), words));
        return new TaskView(step.id().written(), step.phase(), words.say(step.name()), words.say("step." + step.code() + ".do", step.about().toArray()),
                words.say("step." + step.code() + ".look", step.about().toArray()), asked, step.recording().fields(), step.recording().code(), step.recording().decides(),
                step.recording().limit(survey.rules()), beside.promised(), step.ifBad(), BigDecimal.valueOf(step.seconds()).divide(BigDecimal.valueOf(60), 1, RoundingMode.HALF_UP).stripTrailingZeros(),
                beside.page(), beside.cycle(), ledger.all().stream().filter(r -> r.step().id().equals(step.id())).toList(),
                Optional.ofNullable(ledger.latest().get(step.id())).flatMap(r -> StepMargin.picture(r, survey.rules(), words)), survey.photosOf(step.id().written()), step.recording().isTimed());
    }
}
