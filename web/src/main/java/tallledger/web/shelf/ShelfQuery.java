package tallledger.web.shelf;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import tallledger.core.family.Family;
import tallledger.web.record.Summary;

/**
 * What of the shelf is asked for, and in which order; all of it stands in the address.
 *
 * @param text  somewhere in name, maker, model, serial, place or who offers it
 * @param state begun or not; empty for either
 * @param page  from 1
 */
public record ShelfQuery(String text, Optional<Family> family, Optional<State> state, Sort sort, int page) {

    /** How far a machine is. */
    public enum State { SURVEYED, NOT_BEGUN }

    /** What comes first. */
    public enum Sort {
        KNOWN, NAME, PUT_RIGHT, UNKNOWN, OFFER, WORST
    }

    static final int A_PAGE = 50;

    /** What is no choice is none; a page beyond the last is the last. */
    static ShelfQuery of(String text, String family, String state, String sort, String page) {
        return new ShelfQuery(text.strip().toLowerCase(Locale.ROOT), named(Family.values(), family), named(State.values(), state), named(Sort.values(), sort).orElse(Sort.KNOWN),
                page.matches("\\d{1,6}") ? Math.max(1, Integer.parseInt(page)) : 1);
    }

    private static <E extends Enum<E>> Optional<E> named(E[] all, String name) {
        return Stream.of(all).filter(e -> e.name().equals(name)).findFirst();
    }

    public boolean isAll() {
        return text.isEmpty() && family.isEmpty() && state.isEmpty();
    }

    List<Summary> of(Stream<Summary> all) {
        return all.filter(this::holds).sorted(order()).toList();
    }

    private boolean holds(Summary line) {
        boolean inState = state.isEmpty() || (state.get() == State.SURVEYED) == line.survey().isPresent();
        var i = line.identity();
        return inState && family.filter(f -> f != i.family()).isEmpty()
                && (text.isEmpty() || Stream.of(i.name(), i.maker(), i.model(), i.serial(), i.seenAt(), i.offeredBy()).anyMatch(t -> t.toLowerCase(Locale.ROOT).contains(text)));
    }

    private Comparator<Summary> order() {
        Comparator<Summary> known = Comparator.comparing(Summary::share).reversed().thenComparing(Comparator.comparing(Summary::runShare).reversed()).thenComparing(line -> line.identity().name());
        return switch (sort) {
            case KNOWN -> known;
            case NAME -> Comparator.comparing(line -> line.identity().name());
            case PUT_RIGHT -> amount(Summary.Amounts::putRight).thenComparing(known);
            case UNKNOWN -> amount(Summary.Amounts::unknown).thenComparing(known);
            case OFFER -> amount(a -> -a.offerToAsking()).thenComparing(known);
            case WORST -> Comparator.comparing((Summary line) -> line.worst().map(w -> w.severity().ordinal()).orElse(line.survey().isPresent() ? 90 : 99)).thenComparing(known);
        };
    }

    /** The least first; what nobody knows last. */
    private static Comparator<Summary> amount(ToDoubleFunction<Summary.Amounts> of) {
        return Comparator.comparingDouble(line -> line.money().map(of::applyAsDouble).orElse(Double.MAX_VALUE));
    }
}
