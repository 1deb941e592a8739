package tallledger.core.film;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
public enum FilmReason implements ReasonCode {
    FILM_HASH("film.hash"),
    FILM_NAME("film.name"),
    FILM_SIZE("film.size", "typed"),
    FILM_LENGTH("film.length", "typed", "hours"),
    FILM_SIDE("film.side", "typed"),
    FILM_FROM("film.from"),
    FILM_TIMES("film.times", "typed"),
    FILM_TIMES_BACK("film.times-back", "earlier", "later"),
    FILM_TIMES_MANY("film.times-many", "count", "most"),
    FILM_RATE("film.rate", "frames"),
    FILM_RATE_VARIES("film.rate-varies", "frames", "longest"),
    FILM_RATE_UNKNOWN("film.rate-unknown"),
    PICTURE_POINTS("picture.points", "typed"),
    PICTURE_KNOWN("picture.known", "pixels", "fewest"),
    PICTURE_PLANE("picture.plane", "apart", "distance"),
    PICTURE_LENGTH("picture.length", "length", "measured", "known");

    private final Sentence sentence;

    FilmReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
