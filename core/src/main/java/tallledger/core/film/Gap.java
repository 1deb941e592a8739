package tallledger.core.film;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tallledger.core.ledger.FilmMoment;

/** A piece of a film in which something is not, from one second to another. */
public record Gap(BigDecimal from, BigDecimal until) {

    /**
     * What lies between pieces, before the first and after the last; pieces may overlap and stand in any order.
     *
     * @param end      second at which the film ends
     * @param shortest a shorter one is none, s
     */
    public static List<Gap> between(List<Gap> pieces, BigDecimal end, BigDecimal shortest) {
        List<Gap> gaps = new ArrayList<>();
        BigDecimal from = BigDecimal.ZERO;
        for (Gap piece : pieces.stream().sorted(Comparator.comparing(Gap::from)).toList()) {
            add(gaps, from, piece.from.min(end), shortest);
            from = from.max(piece.until);
        }
        add(gaps, from, end, shortest);
        return List.copyOf(gaps);
    }

    /** The same as a place in a film. */
    public FilmMoment asMoment(String film) {
        return new FilmMoment(film, from, until, Optional.empty());
    }

    public String shown() {
        return FilmMoment.shown(from) + " to " + FilmMoment.shown(until);
    }

    private static void add(List<Gap> gaps, BigDecimal from, BigDecimal until, BigDecimal shortest) {
        if (until.subtract(from).compareTo(shortest) >= 0) {
            gaps.add(new Gap(from, until));
        }
    }
}
