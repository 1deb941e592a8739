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
    /** "280=250": shows 280, means 250. */
    String MEANS = "=";

    /** The value, where there is one to read. */
    default Optional<BigDecimal> value() {
        return Optional.empty();
    }

    /** The value with its last digit, where there is one. */
    default Optional<TypedNumber> number() {
        return Optional.empty();
    }

    /** As it stands in the grid. */
    String typed();

    record Value(TypedNumber read) implements PlateCell {
        @Override
        public Optional<TypedNumber> number() {
            return Optional.of(read);
        }

        private static final BigDecimal MOST = new BigDecimal("60000");

        public Value {
            if (read.value().compareTo(MOST) > 0) {
                throw Refused.because(PlateReason.PLATE_IMPOSSIBLE, read.typed(), MOST);
            }
        }

        @Override
        public Optional<BigDecimal> value() {
            return Optional.of(read.value());
        }

        @Override
        public String typed() {
            return read.typed();
        }
    }

    /** The plate shows one value and somebody accepted that it means another; the plate's own reading is kept. */
    record Corrected(TypedNumber shown, TypedNumber means) implements PlateCell {
        @Override
        public Optional<BigDecimal> value() {
            return Optional.of(means.value());
        }

        @Override
        public Optional<TypedNumber> number() {
            return Optional.of(means);
        }

        @Override
        public String typed() {
            return shown.typed() + MEANS + means.typed();
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

    /** Reads one cell as typed: a number, {@code ?} for unreadable, {@code x} for no such combination, {@code 280=250} for a correction. */
    static PlateCell parse(String text) {
        String typed = text == null ? "" : text.strip();
        if (typed.isEmpty()) {
            throw Refused.because(PlateReason.PLATE_MISSING);
        }
        if (typed.equals(UNREADABLE_SIGN)) {
            return new Unreadable();
        }
        if (NO_SPEED_SIGNS.contains(typed)) {
            return new NoSpeed();
        }
        int means = typed.indexOf(MEANS);
        return means < 0 ? new Value(TypedNumber.parsePositive(typed))
                : new Corrected(
                        TypedNumber.parsePositive(typed.substring(0, means)), TypedNumber.parsePositive(typed.substring(means + 1)));
    }
}
