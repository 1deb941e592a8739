package tallledger.web.runsheet;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import tallledger.core.coverage.Elements;
import tallledger.core.drive.Position;
import tallledger.core.drive.Route;
import tallledger.core.drive.Span;
import tallledger.core.drive.Speed;
import tallledger.core.drive.SpeedTable;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.gauge.Limit;
import tallledger.core.measuring.SpeedRead;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.survey.Run;
import tallledger.core.survey.SpindleSurvey;
import tallledger.web.words.Figures;
import tallledger.web.words.WebReason;

/**
 * Everything the open step of the run sheet shows.
 *
 * @param key      of its route
 * @param name     as people call it
 * @param nominal  what it should turn at, min⁻¹
 * @param limit    what is still good, where there is something to judge
 * @param why      where the nominal and the limit come from
 * @param levers   to set
 * @param worth    what a good run would newly prove
 * @param tooFast  the cold-spindle caution, where it applies
 * @param turns    turns worth counting, where tapping is possible
 * @param history  runs of this very route so far
 * @param sweep    whether it is a range to sweep
 */
public record SheetView(String key, String name, Optional<BigDecimal> nominal, Optional<Limit> limit, Optional<Reason> why,
        List<LeverView> levers, Reason worth, Optional<Reason> tooFast, Optional<Integer> turns,
        List<Run> history, boolean sweep, boolean geared, String gear) {

    static SheetView of(SpindleSurvey survey, Route route) {
        Speed speed = survey.table().speedOf(route).orElseThrow();
        Optional<BigDecimal> nominal = survey.table().nominal(route)
                .or(() -> speed.isSweep() ? Optional.empty()
                        : speed.expected().map(n -> BigDecimal.valueOf(n).setScale(1, RoundingMode.HALF_UP)));
        Optional<Limit> limit = new SpeedRead(nominal, survey.table().plate().tolerance()).about(survey.rules());
        List<Run> runs = survey.runs();
        Optional<Route> before = runs.isEmpty() ? Optional.empty() : Optional.of(runs.get(runs.size() - 1).route());
        return new SheetView(route.key(), survey.machine().train().name(route), nominal, limit, limit.map(l -> why(survey, route, l)),
                LeverView.of(survey.machine(), route, before), worth(survey, route), tooFast(survey, route),
                nominal.filter(n -> n.compareTo(SpeedReading.FASTEST_TAPPED) <= 0)
                        .map(n -> SpeedReading.turnsToCount(n.doubleValue(), survey.rules().value(Rule.LISTEN))),
                runs.stream().filter(run -> run.route().equals(route)).toList(), speed.isSweep(),
                survey.machine().train().stages().stream().anyMatch(s -> s.kind() == StageKind.BACK_GEAR), gear(survey, route));
    }

    /** The back gear set, as the stages or the plate have it over going direct; empty where neither says. */
    private static String gear(SpindleSurvey survey, Route route) {
        List<Stage> stages = survey.machine().train().stages();
        return IntStream.range(0, stages.size()).filter(s -> stages.get(s).kind() == StageKind.BACK_GEAR).boxed().findFirst().flatMap(s -> {
            Position set = survey.machine().train().position(route, s);
            return set.transmission().factor().map(Span::low).or(() -> byPlate(survey, set.label(), stages.get(s).name()));
        }).map(Figures::ratio).orElse("");
    }

    private static Optional<Double> byPlate(SpindleSurvey survey, String label, String lever) {
        var levers = survey.table().factors().levers();
        for (int l = 0; l < levers.size(); l++) {
            if (levers.get(l).name().equals(lever)) {
                List<Optional<Double>> factors = survey.table().factors().factors(l);
                double direct = factors.stream().flatMap(Optional::stream).mapToDouble(f -> f).max().orElse(1);
                return factors.get(levers.get(l).positions().indexOf(label)).map(f -> f / direct);
            }
        }
        return Optional.empty();
    }

    private static Reason why(SpindleSurvey survey, Route route, Limit limit) {
        SpeedTable.Source source = survey.table().source(route);
        boolean own = source == SpeedTable.Source.SHOWN && survey.table().plate().tolerance().isPresent();
        return own ? Reason.of(WebReason.LIMIT_PLATE_OWN, limit.source()) : Reason.each(WebReason.LIMIT_OF, source, limit.source());
    }

    /** What this run newly exercises if it goes well. */
    private static Reason worth(SpindleSurvey survey, Route route) {
        Elements elements = survey.elements();
        long fresh = elements.mask(route) & ~survey.coverage().exercised();
        List<String> names = new ArrayList<>();
        elements.in(fresh).stream().filter(elements::isChoice).forEach(e -> names.add(e.stageName() + " " + e.label()));
        return names.isEmpty() ? Reason.of(WebReason.WORTH_REPEAT) : Reason.of(WebReason.WORTH_PROVES, String.join(", ", names));
    }

    private static Optional<Reason> tooFast(SpindleSurvey survey, Route route) {
        if (!survey.isTooFastYet(route)) {
            return Optional.empty();
        }
        return Optional.of(survey.highestRun().isPresent()
                ? Reason.of(WebReason.COLD_TOO_FAST, new BigDecimal(survey.highestRun().getAsDouble()).setScale(1, RoundingMode.HALF_UP),
                        survey.rules().number(Rule.COLD_STEP))
                : Reason.of(WebReason.COLD_START_LOW));
    }
}
