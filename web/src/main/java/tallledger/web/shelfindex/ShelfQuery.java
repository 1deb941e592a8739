package tallledger.web.shelfindex;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.family.Family;

/**
 * What of the shelf is asked for, and in which order; all of it stands in the address.
 *
 * @param text  somewhere in name, maker, model, serial, place or who offers it
 * @param place somewhere in where it stands
 * @param state begun, not begun or put away; empty for all but those put away
 * @param page  from 1
 */
public record ShelfQuery(String text, Optional<Family> family, String place, Optional<State> state, Sort sort, int page) {

    /** How far a machine is. */
    public enum State { SURVEYED, NOT_BEGUN, AWAY }

    /** What comes first. */
    public enum Sort {
        KNOWN, NAME, PUT_RIGHT, UNKNOWN, OFFER, WORST
    }

    public static final int A_PAGE = 50;

    /** Everything, the best known first. */
    public static final ShelfQuery ALL = of("", "", "", "", "", "");

    /** What is no choice is none; a page that is none is the first. */
    public static ShelfQuery of(String text, String family, String place, String state, String sort, String page) {
        return new ShelfQuery(lower(text), named(Family.values(), family), lower(place), named(State.values(), state),
                named(Sort.values(), sort).orElse(Sort.KNOWN), page.matches("\\d{1,6}") ? Math.max(1, Integer.parseInt(page)) : 1);
    }

    static String lower(String text) {
        return text.strip().toLowerCase(Locale.ROOT);
    }

    private static <E extends Enum<E>> Optional<E> named(E[] all, String name) {
        return Stream.of(all).filter(e -> e.name().equals(name)).findFirst();
    }

    public boolean isAll() {
        return text.isEmpty() && family.isEmpty() && place.isEmpty() && state.isEmpty();
    }

    ShelfQuery at(int other) {
        return new ShelfQuery(text, family, place, state, sort, other);
    }

    /** For the mapper: empty is any. */
    String like() {
        return text.isEmpty() ? null : contains(text);
    }

    String placeLike() {
        return place.isEmpty() ? null : contains(place);
    }

    private static String contains(String text) {
        return "%" + text.replace("!", "!!").replace("%", "!%").replace("_", "!_") + "%";
    }

    String familyName() {
        return family.map(Enum::name).orElse(null);
    }

    Boolean surveyed() {
        return state.filter(s -> s != State.AWAY).map(s -> s == State.SURVEYED).orElse(null);
    }

    boolean away() {
        return state.filter(s -> s == State.AWAY).isPresent();
    }

    int skipped() {
        return (page - 1) * A_PAGE;
    }
}
