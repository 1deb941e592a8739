package tallledger.core.verdict;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tallledger.core.film.FilmFile;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.reason.Reason;
import tallledger.core.survey.Survey;

/** Entries that were made from a film, so that whatever rests on them says so (W 4.8). */
record SeenInFilms(Survey survey) {

    private static final int MOST_TIMES = 4;
    /** Signs of its hash that a film is called by, where the entry that names it cannot be read. */
    private static final int SHORT_HASH = 8;

    /** A sentence with the film it rests on, all of it or part; as it is where it rests on none. */
    Reason said(Reason sentence, List<Integer> entries) {
        Map<Integer, FilmMoment> moments = survey.footage().moments();
        List<FilmMoment> seen = entries.stream().distinct().filter(moments::containsKey).map(moments::get).toList();
        if (seen.isEmpty()) {
            return sentence;
        }
        boolean whole = seen.size() == entries.stream().distinct().count();
        return Reason.of(whole ? VerdictReason.STATEMENT_IN_FILM : VerdictReason.STATEMENT_PARTLY_FILM, films(seen), sentence);
    }

    private List<Reason> films(List<FilmMoment> seen) {
        Map<String, List<FilmMoment>> byFilm = new LinkedHashMap<>();
        seen.forEach(m -> byFilm.computeIfAbsent(m.film(), f -> new ArrayList<>()).add(m));
        return byFilm.entrySet().stream().map(f -> places(survey.footage().film(f.getKey()).map(SeenInFilms::named)
                .orElse(f.getKey().substring(0, SHORT_HASH)), f.getValue())).toList();
    }

    private static String named(FilmFile film) {
        return film.made().isEmpty() ? film.from() : film.from() + ", " + film.made();
    }

    private static Reason places(String film, List<FilmMoment> moments) {
        List<String> times = moments.stream().map(FilmMoment::from).sorted().map(FilmMoment::shown).distinct().toList();
        return Reason.of(VerdictReason.FILM_PLACES, film,
                times.size() > MOST_TIMES ? times.get(0) + " … " + times.get(times.size() - 1) : String.join(", ", times));
    }
}
