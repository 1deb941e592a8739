package tallledger.core.survey;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import tallledger.core.ledger.Entry;

/**
 * The films of a visit (W 4.6): a film runs from "camera started" to "camera stopped", to the next start, or until the survey is closed;
 * an entry written meanwhile has its time in that film, which is its own time less that of the start, plus what the camera is known to
 * have been started earlier.
 *
 * <p>Worked: started 10:00:00, an entry at 10:03:20: 0:03:20; with a shift of 7 s 0:03:27.
 */
public record Films(List<Film> films) {

    /** A clock that is further off is another film, s. */
    public static final int MOST_SHIFT = 3600;

    /**
     * One film.
     *
     * @param number from 1
     * @param shift  seconds the camera was started before its entry
     * @param until  where it was stopped; empty where nobody did
     */
    public record Film(int number, Instant from, Optional<Instant> until, int shift) {

        /** Time of an instant in it; empty outside it. */
        public Optional<Duration> at(Instant at) {
            Duration into = Duration.between(from, at).plusSeconds(shift);
            return at.isBefore(from) || until.filter(at::isAfter).isPresent() || into.isNegative() ? Optional.empty() : Optional.of(into);
        }

        /** Its length; empty where nobody stopped it. */
        public Optional<Duration> length() {
            return until.map(end -> Duration.between(from, end).plusSeconds(shift));
        }
    }

    /** A place in a film. */
    public record FilmPlace(int film, Duration into) {

        /** h:mm:ss. */
        public String shown() {
            return String.format(Locale.ROOT, "%d:%02d:%02d", into.toHours(), into.toMinutesPart(), into.toSecondsPart());
        }
    }

    /**
     * A chapter: entries of one second share one; it ends where the next begins, the last with the second in which the camera was
     * stopped. Begins and ends are whole seconds, and no chapter ends where it begins.
     *
     * @param until a second after it begins where nobody knows when the camera was stopped
     */
    public record Chapter(int film, Duration from, Duration until, List<Entry> entries) {
    }

    /** @param struck numbers of entries that do not count */
    public static Films of(List<Entry> entries, Set<Integer> struck) {
        List<Film> films = new ArrayList<>();
        for (Entry e : entries) {
            if (e.damage().isEmpty() && e.kind().equals(Kind.CAMERA.name()) && !struck.contains(e.sequence())) {
                read(e).ifPresent(camera -> take(films, camera, e.at()));
            } else if (e.kind().equals(Kind.CLOSED.name())) {
                stop(films, e.at());
            }
        }
        return new Films(List.copyOf(films));
    }

    private static Optional<BookEvent.Camera> read(Entry e) {
        try {
            return Optional.of(BookEvent.Camera.from(e));
        } catch (RuntimeException unread) {
            return Optional.empty();
        }
    }

    private static void take(List<Film> films, BookEvent.Camera camera, Instant at) {
        int last = films.size() - 1;
        switch (camera.what()) {
            case STARTED -> {
                stop(films, at);
                films.add(new Film(films.size() + 1, at, Optional.empty(), 0));
            }
            case STOPPED -> stop(films, at);
            case SHIFTED -> {
                if (last >= 0) {
                    Film f = films.get(last);
                    films.set(last, new Film(f.number, f.from, f.until, f.shift + camera.seconds()));
                }
            }
        }
    }

    private static void stop(List<Film> films, Instant at) {
        int last = films.size() - 1;
        if (last >= 0 && films.get(last).until.isEmpty()) {
            Film f = films.get(last);
            films.set(last, new Film(f.number, f.from, Optional.of(at), f.shift));
        }
    }

    /** Whether the camera runs now. */
    public boolean running() {
        return !films.isEmpty() && films.get(films.size() - 1).until.isEmpty();
    }

    /** Where an entry is in the films; the camera's own entries are in none. */
    public Optional<FilmPlace> at(Entry entry) {
        return entry.kind().equals(Kind.CAMERA.name()) ? Optional.empty()
                : films.stream().flatMap(f -> f.at(entry.at()).map(into -> new FilmPlace(f.number, into)).stream()).reduce((a, b) -> b);
    }

    /** Chapters of one film. */
    public List<Chapter> chapters(int film, List<Entry> entries) {
        TreeMap<Duration, List<Entry>> bySecond = new TreeMap<>();
        entries.forEach(e -> at(e).filter(p -> p.film == film)
                .ifPresent(p -> bySecond.computeIfAbsent(Duration.ofSeconds(p.into.toSeconds()), s -> new ArrayList<>()).add(e)));
        List<Chapter> chapters = new ArrayList<>();
        bySecond.forEach((from, some) -> {
            Duration end = Optional.ofNullable(bySecond.higherKey(from))
                    .or(() -> films.get(film - 1).length().map(l -> Duration.ofSeconds(l.plusMillis(999).toSeconds()))
                            .filter(l -> l.compareTo(from) > 0))
                    .orElse(from.plusSeconds(1));
            chapters.add(new Chapter(film, from, end, List.copyOf(some)));
        });
        return chapters;
    }
}
