package tallledger.core.verdict;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tallledger.core.coverage.Coverage;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.Route;
import tallledger.core.film.FilmFile;
import tallledger.core.film.Gap;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.survey.Footage.HeardThing;
import tallledger.core.survey.Run;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;
import tallledger.core.survey.TaskResult;

/**
 * What one film comes to, as if it were the whole visit (W 4.8, 1.4): which speeds it proves, what else it shows, and how much of it
 * proves anything. A speed shown running and not read is undecided.
 *
 * @param film      which
 * @param speeds    coverage by this film's runs alone
 * @param steps     how many steps it shows
 * @param stretches what is seen and said when, as the film runs
 * @param proving   seconds of it that decide something, each counted once; a single moment counts as one
 * @param unshown   claims heard in it that nothing decides
 * @param unsaid    entries that it shows and no claim speaks of
 */
public record FilmCoverage(FilmFile film, Coverage.Counts speeds, int steps, List<Stretch> stretches, BigDecimal proving,
        List<ClaimVerdict> unshown, List<TaskResult> unsaid) {

    /** What a stretch of a film is good for. */
    public enum Use {
        /** It decides something. */
        PROVES,
        /** It shows something and decides nothing. */
        SHOWS,
        /** Somebody says something. */
        SAYS
    }

    /** From one second to another. */
    public record Stretch(BigDecimal from, BigDecimal until, Use use, int entry) {
    }

    /** Empty where no such film was opened. */
    public static Optional<FilmCoverage> of(Survey survey, String sha256) {
        return survey.footage().film(sha256).map(film -> of(survey, film));
    }

    private static FilmCoverage of(Survey survey, FilmFile film) {
        Map<Integer, FilmMoment> moments = new LinkedHashMap<>();
        survey.footage().moments().forEach((entry, moment) -> {
            if (moment.film().equals(film.sha256())) {
                moments.put(entry, moment);
            }
        });
        List<TaskResult> seen = survey.made().stream().filter(m -> moments.containsKey(m.entry())).toList();
        List<HeardThing> heard = survey.footage().heard().stream().filter(h -> moments.containsKey(h.entry())).toList();
        List<Stretch> stretches = new ArrayList<>();
        seen.forEach(m -> stretches.add(stretch(moments.get(m.entry()), m.outcome() == Outcome.UNDECIDED ? Use.SHOWS : Use.PROVES,
                m.entry())));
        heard.forEach(h -> stretches.add(stretch(moments.get(h.entry()), Use.SAYS, h.entry())));
        stretches.sort(Comparator.comparing(Stretch::from).thenComparing(Stretch::entry));
        List<ClaimVerdict> claims = ClaimVerdict.of(survey);
        Set<Integer> spoken = new HashSet<>();
        claims.stream().filter(c -> c.heard().isPresent()).forEach(c -> spoken.addAll(c.entries()));
        return new FilmCoverage(film, speeds(survey, seen), (int) seen.stream().filter(StepResult.class::isInstance).count(),
                List.copyOf(stretches), proving(stretches),
                claims.stream().filter(c -> c.standing() == ClaimVerdict.Standing.UNTESTED
                        && c.heard().filter(h -> moments.containsKey(h.entry())).isPresent()).toList(),
                seen.stream().filter(m -> !spoken.contains(m.entry())).toList());
    }

    private static Stretch stretch(FilmMoment moment, Use use, int entry) {
        return new Stretch(moment.from(), moment.until().max(moment.from().add(BigDecimal.ONE)), use, entry);
    }

    /** The latest run of a route counts, of those the film shows. */
    private static Coverage.Counts speeds(Survey survey, List<TaskResult> seen) {
        Map<Route, Outcome> outcomes = new LinkedHashMap<>();
        seen.stream().filter(Run.class::isInstance).map(Run.class::cast).forEach(run -> outcomes.put(run.route(), run.outcome()));
        return Coverage.of(survey.drive().table(), survey.drive().elements(), outcomes).counts();
    }

    private static BigDecimal proving(List<Stretch> stretches) {
        BigDecimal sum = BigDecimal.ZERO;
        BigDecimal end = BigDecimal.ZERO;
        for (Stretch s : stretches) {
            BigDecimal from = s.from.max(end);
            if (s.use == Use.PROVES && s.until.compareTo(from) > 0) {
                sum = sum.add(s.until.subtract(from));
                end = s.until;
            }
        }
        return sum;
    }

    /** Shorter ones are a breath, or the time a lever takes, s (house). */
    private static final BigDecimal SHORTEST_REST = BigDecimal.valueOf(5);

    /** Where nothing of it was noted: nothing that it shows, nothing that is said; empty where nobody knows how long it is. */
    public List<Gap> unnoted() {
        return film.seconds().map(end -> Gap.between(stretches.stream().map(s -> new Gap(s.from, s.until)).toList(), end, SHORTEST_REST))
                .orElse(List.of());
    }

    /** Whole seconds of it that prove something. */
    public long provingSeconds() {
        return Math.round(proving.doubleValue());
    }

    /** Share of the film that proves something, in whole per cent; empty where nobody knows how long it is. */
    public Optional<Long> percent() {
        return film.seconds().map(all -> Math.round(Math.min(1, proving.doubleValue() / all.doubleValue()) * 100));
    }
}
