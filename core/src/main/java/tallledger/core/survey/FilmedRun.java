package tallledger.core.survey;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import tallledger.core.drive.Route;
import tallledger.core.drive.Span;
import tallledger.core.drive.Speed;
import tallledger.core.drive.SpeedTable;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.reading.FilmCount;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rules;

/** What of a run that was seen in a film decides nothing (W 4.8). */
final class FilmedRun {

    private FilmedRun() {
    }

    /**
     * Why the run is undecided whatever was counted: what is set is only said, or a cut lies between it and what turns; a cut lies in
     * what was counted; another speed of the machine looks the same in this film.
     */
    static Optional<Reason> doubt(Route route, Optional<SpeedReading> reading, Optional<FilmMoment> seen, SpeedTable table, Rules rules,
            Footage footage) {
        Optional<FilmCount> count = reading.flatMap(SpeedReading::inFilm);
        if (seen.isEmpty()) {
            // A count of a film with no film named is nobody's reading at the machine.
            return count.isPresent() ? Optional.of(Reason.of(SurveyReason.FILM_UNKNOWN)) : Optional.empty();
        }
        FilmMoment moment = seen.get();
        Optional<Reason> within = footage.cutWithin(moment)
                .map(second -> Reason.of(SurveyReason.FILM_CUT_WITHIN, FilmMoment.shown(second)));
        return within.or(() -> footage.cutAfterSetting(moment)
                .map(second -> Reason.of(SurveyReason.FILM_SETTING_CUT, FilmMoment.shown(second))))
                // Where there is nothing to set, nothing about it is only said.
                .or(() -> moment.set().isEmpty() && !table.train().settings(route).isEmpty()
                        ? Optional.of(Reason.of(SurveyReason.FILM_SETTING_SAID))
                        : Optional.empty())
                .or(() -> count.flatMap(c -> alike(route, c, table, rules)));
    }

    private static Optional<Reason> alike(Route route, FilmCount count, SpeedTable table, Rules rules) {
        BigDecimal within = Run.recording(table, route).within(rules);
        double most = table.speeds().stream().flatMap(s -> s.expected().stream()).mapToDouble(Double::doubleValue).max().orElse(0)
                * (1 + within.doubleValue());
        List<Double> others = count.others(most);
        List<String> names = table.speeds().stream().filter(s -> !s.routes().contains(route) && looksAlike(s, others, table, within))
                .map(s -> named(s, table)).toList();
        return names.isEmpty() ? Optional.empty()
                : Optional
                        .of(Reason.of(SurveyReason.FILM_OTHER_SPEEDS, String.join(", ", names), count.frames(), count.marks().intValue()));
    }

    /** Whether one of the speeds that look the same is within the limit of this one; of a range, within it anywhere. */
    private static boolean looksAlike(Speed speed, List<Double> others, SpeedTable table, BigDecimal within) {
        double share = within.doubleValue();
        Optional<Span> span = speed.isSweep() ? table.range(speed) : speed.expected().map(Span::fixed);
        return span.filter(s -> others.stream().anyMatch(o -> o >= s.low() * (1 - share) && o <= s.high() * (1 + share))).isPresent();
    }

    private static String named(Speed speed, SpeedTable table) {
        if (speed.isSweep()) {
            return table.train().name(speed.routes().get(0));
        }
        return table.train().name(speed.routes().get(0)) + " ("
                + new BigDecimal(speed.expected().orElseThrow()).setScale(0, RoundingMode.HALF_UP).toPlainString() + " rpm)";
    }
}
