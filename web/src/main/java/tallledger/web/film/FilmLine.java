package tallledger.web.film;

import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.survey.FilmEvent;
import tallledger.web.entries.EntryLine;
import tallledger.web.library.StoredSurvey;
import tallledger.web.words.Words;

/**
 * An entry of a film, at its second.
 *
 * @param entry  its number
 * @param second where it begins
 * @param time   the same as it is shown
 * @param words  which step, and what it says
 * @param cut    whether it is a cut
 */
public record FilmLine(int entry, BigDecimal second, String time, String words, boolean cut) {

    /** All of one film that were not struck, as the film runs. */
    static List<FilmLine> of(StoredSurvey survey, String film, Words words) {
        Map<Integer, Entry> struck = survey.core().struck();
        List<Entry> seen = survey.entries().stream().filter(e -> !struck.containsKey(e.sequence()))
                .filter(e -> FilmMoment.of(e).filter(m -> m.film().equals(film)).isPresent() || cutOf(survey, e, film)).toList();
        return EntryLine.of(survey, seen, words).stream().map(line -> {
            Entry entry = seen.stream().filter(e -> e.sequence() == line.sequence()).findFirst().orElseThrow();
            boolean cut = cutOf(survey, entry, film);
            BigDecimal second = cut ? ((FilmEvent.FilmCut) survey.core().decoded().event(entry.sequence()).orElseThrow()).second()
                    : FilmMoment.of(entry).orElseThrow().from();
            String says = (line.step().isEmpty() ? line.kind() : line.step()) + (line.says().isEmpty() ? "" : ": " + line.says());
            return new FilmLine(entry.sequence(), second, FilmMoment.shown(second), cut ? line.kind() : says, cut);
        }).sorted(Comparator.comparing(FilmLine::second)).toList();
    }

    private static boolean cutOf(StoredSurvey survey, Entry entry, String film) {
        return survey.core().decoded().event(entry.sequence()).filter(FilmEvent.FilmCut.class::isInstance)
                .map(FilmEvent.FilmCut.class::cast).filter(c -> c.film().equals(film)).isPresent();
    }

    /** Where it begins in its film. */
    public FilmMoment moment(String film) {
        return FilmMoment.at(film, second);
    }

    Map<String, Object> mark() {
        return Map.of("entry", entry, "second", second, "time", time, "words", words, "cut", cut);
    }
}
