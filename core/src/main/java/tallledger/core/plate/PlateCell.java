package tallledger.core.plate;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.Set;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;

/** What the plate says at one combination of lever positions. */
public sealed interface PlateCell {

    Set<String> NO_SPEED_SIGNS = Set.of("x", "X", "-", "–", "—");
    String UNREADABLE_SIGN = "?";

    /** The value, where there is one to read. */
    default Optional<BigDecimal> value() {
        return Optional.empty();
    }

    /** As it stands in the grid. */
    String typed();

    record Value(TypedNumber number) implements PlateCell {
        private static final BigDecimal MOST = new BigDecimal("60000");

        public Value {
            if (number.value().compareTo(MOST) > 0) {
                throw Refused.because("plate.impossible", number.typed(), MOST);
            }
        }

        @Override
        public Optional<BigDecimal> value() {
            return Optional.of(number.value());
        }

        @Override
        public String typed() {
            return number.typed();
        }
    }

    /** Worn or painted over: the combination gives a speed, the plate no longer says which. */
    record Unreadable() implements PlateCell {
        @Override
        public String typed() {
            return UNREADABLE_SIGN;
        }
    }

    /** Interlocked or blank on the plate: no such combination. */
    record NoSpeed() implements PlateCell {
        @Override
        public String typed() {
            return "x";
        }
    }

    /** Reads one cell as typed: a number, {@code ?} for unreadable, {@code x} for no such combination. */
    static PlateCell parse(String text) {
        String typed = text == null ? "" : text.strip();
        if (typed.isEmpty()) {
            throw Refused.because("plate.missing");
        }
        if (typed.equals(UNREADABLE_SIGN)) {
            return new Unreadable();
        }
        if (NO_SPEED_SIGNS.contains(typed)) {
            return new NoSpeed();
        }
        return new Value(TypedNumber.parsePositive(typed));
    }
}
