package tallledger.core.survey;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tallledger.core.film.FilmFile;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.ledger.NotedEntry;

/**
 * Films of the machine that somebody else made, and what is noted of them; nothing here was seen at the machine.
 *
 * @param films      each once, in the order they were opened; one opened again counts as it was said last
 * @param cuts       where they are cut
 * @param narrations what is said in them, as text
 * @param heard      what persons make of it
 * @param stills     pictures of a film kept at a step
 * @param letters    what somebody was asked to film
 * @param moments    where in a film an entry that counts was made from, by its number
 */
public record Footage(List<NotedEntry<FilmFile>> films, List<NotedEntry<FilmEvent.FilmCut>> cuts,
        List<NotedEntry<FilmEvent.NarrationKept>> narrations, List<HeardThing> heard, List<Still> stills,
        List<NotedEntry<FilmEvent.LetterSent>> letters, Map<Integer, FilmMoment> moments) {

    /** @param moment where in a film; empty for what was said elsewhere */
    public record HeardThing(int entry, String author, FilmEvent.Heard heard, Optional<FilmMoment> moment) {
    }

    /** A picture of a film, kept at a step. */
    public record Still(int entry, String step, FilmMoment moment) {
    }

    public Footage {
        films = List.copyOf(films);
        cuts = List.copyOf(cuts);
        narrations = List.copyOf(narrations);
        heard = List.copyOf(heard);
        stills = List.copyOf(stills);
        letters = List.copyOf(letters);
        moments = Map.copyOf(moments);
    }

    /** All of a book that counts, whatever order it was written in: a cut found late breaks what was told over it. */
    static Footage of(Decoded decoded) {
        List<NotedEntry<FilmFile>> films = new ArrayList<>();
        List<NotedEntry<FilmEvent.FilmCut>> cuts = new ArrayList<>();
        List<NotedEntry<FilmEvent.NarrationKept>> narrations = new ArrayList<>();
        List<HeardThing> heard = new ArrayList<>();
        List<Still> stills = new ArrayList<>();
        List<NotedEntry<FilmEvent.LetterSent>> letters = new ArrayList<>();
        Map<Integer, FilmMoment> moments = new TreeMap<>();
        decoded.counting().forEach(h -> {
            Entry entry = h.entry();
            FilmMoment.of(entry).ifPresent(m -> moments.put(entry.sequence(), m));
            if (h.event() instanceof FilmEvent.FilmOpened opened) {
                films.removeIf(f -> f.what().sha256().equals(opened.film().sha256()));
                films.add(new NotedEntry<>(opened.film(), entry.sequence()));
            } else if (h.event() instanceof FilmEvent.FilmCut cut) {
                cuts.add(new NotedEntry<>(cut, entry.sequence()));
            } else if (h.event() instanceof FilmEvent.NarrationKept kept) {
                narrations.add(new NotedEntry<>(kept, entry.sequence()));
            } else if (h.event() instanceof FilmEvent.Heard said) {
                heard.add(new HeardThing(entry.sequence(), entry.by().author().written(), said,
                        Optional.ofNullable(moments.get(entry.sequence()))));
            } else if (h.event() instanceof FilmEvent.LetterSent sent) {
                letters.add(new NotedEntry<>(sent, entry.sequence()));
            } else if (h.event() instanceof BookEvent.PhotoTaken photo) {
                Optional.ofNullable(moments.get(entry.sequence()))
                        .ifPresent(m -> stills.add(new Still(entry.sequence(), photo.photo().step(), m)));
            }
        });
        return new Footage(films, cuts, narrations, heard, stills, letters, moments);
    }

    public Optional<FilmFile> film(String sha256) {
        return films.stream().map(NotedEntry::what).filter(f -> f.sha256().equals(sha256)).findFirst();
    }

    /** Its number among the films, from 1; nought for one that is not among them. */
    public int number(String sha256) {
        for (int i = 0; i < films.size(); i++) {
            if (films.get(i).what().sha256().equals(sha256)) {
                return i + 1;
            }
        }
        return 0;
    }

    /** Seconds at which a film is cut, ascending. */
    public List<BigDecimal> cutsOf(String sha256) {
        return cuts.stream().map(NotedEntry::what).filter(c -> c.film().equals(sha256)).map(FilmEvent.FilmCut::second).sorted().toList();
    }

    /** The first cut strictly between the ends of a moment. */
    public Optional<BigDecimal> cutWithin(FilmMoment moment) {
        return cutsOf(moment.film()).stream().filter(moment::holds).findFirst();
    }

    /** A cut between where the picture shows what is set and what follows, so that the one does not bear on the other. */
    public Optional<BigDecimal> cutAfterSetting(FilmMoment moment) {
        return moment.set().flatMap(set -> cutsOf(moment.film()).stream()
                .filter(c -> c.compareTo(set.min(moment.from())) > 0 && c.compareTo(set.max(moment.until())) < 0).findFirst());
    }

    boolean hasStill(String step, String film) {
        return stills.stream().anyMatch(s -> s.step().equals(step) && s.moment().film().equals(film));
    }

    /** Claims that somebody was heard to make, in the order they were noted. */
    public List<HeardThing> claims() {
        return heard.stream().filter(h -> h.heard().claim().isPresent()).toList();
    }
}
