package tallledger.web.runsheet;

import java.nio.charset.StandardCharsets;
import org.springframework.web.util.UriUtils;
import tallledger.core.drive.Route;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.Survey;
import tallledger.core.survey.Task;
import tallledger.core.survey.TaskStatus;
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
 * @param says   what that stroke means
 * @param at     its address, so that a hundred lines need not be put together on the page
 */
public record StepView(String key, String name, String figure, String mark, String says, String at) {

    static StepView of(TaskStatus standing, Survey survey, String sheet, Words words) {
        Task task = standing.task();
        String itself = task.route().map(route -> plate(survey.drive(), route)).orElseGet(() -> standing.grade().map(words::of).orElse(""));
        String figure = standing.later() ? "later" : standing.again() && task.step().isPresent() ? "again" : itself;
        String mark = mark(standing);
        return new StepView(task.key(), words.name(task, survey.machine().train()), figure, mark, words.say("mark." + mark),
                sheet + UriUtils.encode(task.key(), StandardCharsets.UTF_8));
    }

    private static String plate(SpindleSurvey survey, Route route) {
        boolean sweep = survey.table().speedOf(route).orElseThrow().isSweep();
        return sweep ? "range" : survey.table().nominal(route).map(Figures::plain).orElse("?");
    }

    private static String mark(TaskStatus standing) {
        return standing.outcome().map(new Marks()::of).orElse(standing.passed().isPresent() ? "passed"
                : standing.inferred() ? "inferred"
                        : "open");
    }
}
