package tallledger.web.runsheet;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Phase;
import tallledger.core.family.Step;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.measuring.Recording;
import tallledger.core.price.Stakes;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;
import tallledger.core.unit.Unit;
import tallledger.core.verdict.Money;
import tallledger.web.accuracy.AccuracyView;
import tallledger.web.accuracy.Drawing;
import tallledger.web.cycle.CycleView;
import tallledger.web.words.Words;

/**
 * Everything the run sheet shows of an open step of the catalogue.
 *
 * @param asked   what must be free or safe, and whether it is to be confirmed afresh
 * @param ifBad   how bad it is
 * @param minutes it takes
 * @param form    where it is written down
 * @param margin  what stands beside the form
 * @param past    what was recorded of it so far
 * @param way     how it is measured, as it is drawn; empty where nothing is
 */
public record TaskView(String key, Phase phase, String name, String task, String look, List<NeedLine> asked, Severity ifBad,
        BigDecimal minutes,
        StepForm form, StepMargin margin, Past past, Optional<Drawing> way) {

    /** One need: its words, its key in the form, whether it must be ticked. */
    public record NeedLine(String text, String value, boolean changed) {
    }

    /**
     * Where a step is written down.
     *
     * @param fields  what is asked
     * @param more    fields of another way, folded until somebody takes it
     * @param decides whether the numbers decide
     * @param timed   whether a stopwatch helps
     */
    public record StepForm(List<RecordField> fields, List<RecordField> more, boolean decides, boolean timed) {
    }

    /**
     * Beside the form.
     *
     * @param limit    in three grades, in words; empty where there is none
     * @param promised what the plate or a claim promises, in words
     * @param page     where it is done, where that is another screen
     * @param cycle    event keys and script of a cycle
     * @param worth    what looking at it is worth, in money; empty where the table of checks has no cost for it
     */
    public record StepMargin(String limit, String promised, String page, Optional<CycleView> cycle, String worth) {
    }

    /**
     * What was recorded so far.
     *
     * @param history results of this step
     * @param picture of the one that counts
     */
    public record Past(List<StepResult> history, Optional<Picture> picture) {
    }

    private static final BigDecimal MINUTE = BigDecimal.valueOf(60);

    static TaskView of(Survey survey, Step step, Map<String, String> typed, Words words) {
        StepLedger ledger = survey.steps();
        Recording<?> recording = step.recording();
        List<NeedLine> asked = ledger.asked(step).stream()
                .map(a -> new NeedLine(words.say("need." + a.need().kind().name(), a.need().of()), a.need().written(), a.changed()))
                .toList();
        RecordingView beside = recording.accept(new RecordingViews(typed, survey.machine().unit(), survey.rules(), words));
        Past past = new Past(ledger.all().stream().filter(r -> r.step().id().equals(step.id())).toList(),
                Optional.ofNullable(ledger.latest().get(step.id())).flatMap(r -> RecordingPictures.of(r, survey.rules(), words)));
        return new TaskView(step.id().written(), step.phase(), words.say(step.name()), words.say(step.says("do")),
                words.say(step.says("look")), asked, step.ifBad(),
                BigDecimal.valueOf(step.seconds()).divide(MINUTE, 1, RoundingMode.HALF_UP).stripTrailingZeros(),
                new StepForm(recording.fields().stream().filter(f -> !f.another()).toList(),
                        recording.fields().stream().filter(RecordField::another).toList(), recording.decides(), recording.isTimed()),
                new StepMargin(recording.limit(step.judgedBy(survey.rules()))
                        .map(l -> grades(l, survey, words) + AccuracyView.per(step, survey.rules())
                                .map(p -> words.say("page.per", words.in(survey.machine().unit(), p, Unit.MILLIMETRES))).orElse(""))
                        .orElse(""),
                        beside.promised(), beside.page(), beside.cycle(), worth(survey, step, words)),
                past, recording.limitRule()
                        .filter(r -> recording.usualGauge().isPresent()).map(r -> Drawing.of(step)));
    }

    /** Under half a unit of money looking is worth nothing that could be said. */
    private static final double LEAST = 0.5;

    private static String worth(Survey survey, Step step, Words words) {
        String currency = survey.stakes().map(Stakes::currency).orElse("");
        return Money.worth(survey, step).filter(u -> u.worth() >= LEAST)
                .map(u -> words.say(currency.isEmpty() ? "page.worth-own" : "page.worth", words.money(u.worth(), currency),
                        Math.round(100 * u.chance()),
                        words.money(u.cost(), currency)))
                .orElse("");
    }

    private static String grades(GradedLimit limit, Survey survey, Words words) {
        return Stream.of(limit.rebuilt(), limit.sound(), limit.workable()).map(l -> words.in(survey.machine().unit(), l, limit.unit()))
                .collect(Collectors.joining(" · "));
    }
}
