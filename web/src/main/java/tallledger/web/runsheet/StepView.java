package tallledger.web.runsheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Mark;
import tallledger.core.drive.Route;
import tallledger.core.drive.Speed;
import tallledger.core.survey.Run;
import tallledger.core.survey.SpindleSurvey;
import tallledger.web.words.Figures;
import tallledger.web.words.Marks;

/**
 * One line of the spine.
 *
 * @param key     of its route
 * @param name    as people call it
 * @param plate   plate value, "?" or "range"
 * @param mark    stroke to draw
 * @param reading what was read, where it was
 */
public record StepView(String key, String name, String plate, String mark, String reading) {

    static List<StepView> of(SpindleSurvey survey) {
        List<StepView> steps = new ArrayList<>();
        survey.steps().forEach(route -> steps.add(of(survey, route)));
        return steps;
    }

    private static StepView of(SpindleSurvey survey, Route route) {
        Run run = survey.latest().get(route);
        Speed speed = survey.table().speedOf(route).orElseThrow();
        String plate = speed.isSweep() ? "range"
                : survey.table().nominal(route).map(Figures::plain).orElse("?");
        String reading = Optional.ofNullable(run).flatMap(r -> r.record().reading()).map(r -> Figures.plain(r.rpm())).orElse("");
        return new StepView(route.key(), survey.machine().train().name(route), plate, mark(survey, route, speed, run), reading);
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
}
