package tallledger.web.film;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import tallledger.core.film.FilmFile;
import tallledger.web.library.StoredSurvey;
import tallledger.web.words.Words;

/**
 * Chapters that lie beside a film of somebody else's: what was recorded from it, at its second. They name the film by its hash, so that
 * film, chapters and sealed survey hang together.
 */
@Component
public class FilmChapters {

    private final Words words;

    FilmChapters(Words words) {
        this.words = words;
    }

    /** Entries of one second share a chapter; it ends where the next begins, the last with the film, or after a second. */
    public String of(StoredSurvey survey, FilmFile film) {
        TreeMap<BigDecimal, List<FilmLine>> bySecond = FilmLine.of(survey, film.sha256(), words).stream()
                .collect(Collectors.groupingBy(FilmLine::second, TreeMap::new, Collectors.toList()));
        WebVtt vtt = new WebVtt().note("Film " + film.name() + ", SHA-256 " + film.sha256())
                .note("From " + film.from() + (film.made().isEmpty() ? "" : ", " + film.made()))
                .note("Recorded from it in survey " + survey.id() + " of " + survey.machine().name() + ", to entry " + survey.head());
        bySecond.forEach((from, lines) -> {
            BigDecimal until = Optional.ofNullable(bySecond.higherKey(from)).or(() -> film.seconds().filter(end -> end.compareTo(from) > 0))
                    .orElse(from.add(BigDecimal.ONE));
            vtt.cue(from, until, lines.stream().map(l -> l.entry() + " " + l.words()).collect(Collectors.joining("; ")));
        });
        return vtt.written();
    }
}
