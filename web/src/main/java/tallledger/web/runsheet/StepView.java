package tallledger.web.runsheet;

import java.util.Optional;
import tallledger.core.coverage.Mark;
import tallledger.core.drive.Route;
import tallledger.core.drive.Speed;
import tallledger.core.survey.Run;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.family.Step;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;
import tallledger.core.survey.Task;
import tallledger.web.words.Figures;
import tallledger.web.words.Marks;
import tallledger.web.words.Words;

/**
 * One line of the spine: a speed or a step.
 *
 * @param key    of its route or step
 * @param name   as people call it
 * @param figure plate value, "?" or "range" of a speed; the grade reached, or "later", of a step
 * @param mark   stroke to draw
 */
public record StepView(String key, String name, String figure, String mark) {

    static StepView of(Survey whole, Route route) {
        SpindleSurvey survey = whole.drive();
        Run run = survey.latest().get(route);
        Speed speed = survey.table().speedOf(route).orElseThrow();
        String plate = speed.isSweep() ? "range" : survey.table().nominal(route).map(Figures::plain).orElse("?");
        String figure = whole.steps().later().contains(Task.of(route)) ? "later" : plate;
        return new StepView(route.key(), survey.machine().train().name(route), figure, mark(survey, route, speed, run));
    }

    private static String mark(SpindleSurvey survey, Route route, Speed speed, Run run) {
        Marks marks = new Marks();
        if (run != null) {
            return marks.of(run.outcome());
        }
        if (survey.passed().containsKey(route)) {
            return "passed";
        }
        boolean inferred = survey.coverage().mark(speed) == Mark.INFERRED && !survey.machine().train().isReverse(route);
        return inferred ? marks.of(Mark.INFERRED) : marks.of(Mark.OPEN);
    }

    static StepView of(StepLedger ledger, Step step, Words words) {
        Optional<StepResult> result = Optional.ofNullable(ledger.latest().get(step.id()));
        String grade = result.flatMap(r -> r.judgement().grade()).map(words::of).orElse("");
        String figure = ledger.later().contains(Task.of(step)) ? "later" : ledger.repeats().contains(step.id()) ? "again" : grade;
        return new StepView(step.id().written(), words.say(step.name()), figure, mark(ledger, step, result));
    }

    static String mark(StepLedger ledger, Step step, Optional<StepResult> result) {
        if (result.isPresent()) {
            return new Marks().of(result.get().outcome());
        }
        return ledger.passed().containsKey(step.id()) ? "passed" : ledger.isSpared(step) ? "inferred" : "open";
    }
}
