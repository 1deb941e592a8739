package tallledger.core.verdict;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.reason.Reason;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;
import tallledger.core.unit.Quantity;

/** The one figure of a step that was measured against a limit. */
final class MeasuredFigure {

    private MeasuredFigure() {
    }

    /** The figure that was judged, over the length its limit is stated for. */
    static Optional<Quantity> of(StepResult result, Survey survey) {
        StepJudgement judged = result.canonical(survey.rules());
        List<Reason> all = judged.because().stream().flatMap(MeasuredFigure::nested).toList();
        return Stream.of("scaled.per", "graded.reached", "graded.missed", "graded.near", "verdict.inside", "verdict.above", "verdict.below",
                "verdict.too-close")
                .flatMap(code -> all.stream().filter(r -> r.code().equals(code))
                        .map(r -> r.arguments().get(code.equals("scaled.per") ? 2 : 0)))
                .filter(Quantity.class::isInstance)
                .map(Quantity.class::cast)
                .findFirst();
    }

    private static Stream<Reason> nested(Reason reason) {
        return Stream.concat(Stream.of(reason), reason.arguments().stream().flatMap(a -> a instanceof Reason r ? Stream.of(r)
                : a instanceof List<?> list ? list.stream().filter(Reason.class::isInstance).map(Reason.class::cast) : Stream.empty())
                .flatMap(MeasuredFigure::nested));
    }
}
