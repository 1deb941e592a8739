package tallledger.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.StageKind;
import tallledger.core.rules.Rule;
import tallledger.core.survey.Run;
import tallledger.core.survey.SpindleSurvey;

/**
 * Lever positions on which a single run said something: with chance 1 − s ({@link Rule#SHOWS}) a faulty one is silent once, so that
 * after a plan with nothing heard a second run is worth most there.
 *
 * @param once positions that one good run alone was heard on
 * @param runs good runs to make again, the fewest found that have all of them on their routes
 */
public record SecondRuns(List<Elements.Element> once, List<Run> runs) {

    public static SecondRuns of(SpindleSurvey survey) {
        List<Run> good = survey.counting(Outcome.PROVEN);
        List<Elements.Element> once = survey.elements().in(survey.elements().reachable()).stream().filter(survey.elements()::isChoice)
                .filter(e -> isPlace(survey.machine().train().stages().get(e.stage()).kind()))
                .filter(e -> heard(survey, e) == 1 && good.stream().anyMatch(r -> r.route().at(e.stage()) == e.position())).toList();
        List<Run> runs = new ArrayList<>();
        List<Elements.Element> left = new ArrayList<>(once);
        while (!left.isEmpty()) {
            Run best = good.stream().max(Comparator.comparingLong(r -> on(r, left))).orElseThrow();
            runs.add(best);
            left.removeIf(e -> best.route().at(e.stage()) == e.position());
        }
        return new SecondRuns(once, List.copyOf(runs));
    }

    /** How often something with the element on its route was run and heard, whichever of its runs counts. */
    private static long heard(SpindleSurvey survey, Elements.Element e) {
        return survey.runs().stream().filter(r -> !survey.isFromBeforeRepair(r)).filter(r -> r.outcome() == Outcome.PROVEN)
                .filter(r -> r.route().at(e.stage()) == e.position()).count();
    }

    private static boolean isPlace(StageKind kind) {
        return !kind.slides() && kind != StageKind.DIRECTION;
    }

    private static long on(Run run, List<Elements.Element> elements) {
        return elements.stream().filter(e -> run.route().at(e.stage()) == e.position()).count();
    }
}
