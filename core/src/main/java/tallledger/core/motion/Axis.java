package tallledger.core.motion;

import java.util.EnumSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/**
 * One direction something moves in, and what it can do.
 *
 * @param id        what it is known by for good
 * @param role      what it is on the machine: what must be free before it moves hangs on this, not on its name
 * @param name      as people call it, such as "table" or "cross slide"
 * @param minus     name of one way, such as "left"
 * @param plus      name of the other
 * @param abilities what it has; contradictions are refused
 * @param travel    travel claimed, as typed; empty where nobody says
 * @param rates     what its feed plate promises
 */
public record Axis(AxisId id, Role role, String name, String minus, String plus, Set<Ability> abilities, String travel, AxisRates rates) {

    public static final int LONGEST_NAME = 30;

    /** What an axis is on its machine. */
    public enum Role {
        CARRIAGE, CROSS_SLIDE, TOP_SLIDE, TABLE, SADDLE, KNEE, QUILL, SPINDLE, HEAD, ARM, WHEEL_SLIDE, WHEEL_HEAD, INFEED_SLIDE,
        /** None of these. */
        OTHER;

        /** The role that a usual name says; {@link #OTHER} where it says none. */
        public static Role named(String name) {
            String constant = name.strip().toUpperCase(Locale.ROOT).replaceAll("[^A-Z]+", "_");
            return Stream.of(values()).filter(r -> r.name().equals(constant)).findFirst().orElse(OTHER);
        }
    }

    /** What an axis can have. */
    public enum Ability {
        FEED, RAPID,
        /** Dogs or stops that put the feed off. */
        TRIP,
        /** A feed that knocks off at a set depth. */
        KNOCK_OFF,
        LOCK,
        /** Moved by hand through a screw or rack, so there is backlash to feel. */
        HAND_WHEEL,
        /** A scale or readout shows where it is. */
        READOUT
    }

    /** Whether a feed plate counts by the turn of the spindle or by the minute. */
    public enum Per { REV, MIN }

    /**
     * What the plate promises, as typed in the machine's unit; empty where it does not say.
     *
     * @param slowest lowest feed
     * @param fastest highest feed
     * @param rapid   rapid traverse, by the minute
     */
    public record AxisRates(Per per, String slowest, String fastest, String rapid) {
        public static final AxisRates UNKNOWN = new AxisRates(Per.MIN, "", "", "");
    }

    /** An axis known by its first name. */
    public Axis(String name, String minus, String plus, Set<Ability> abilities, String travel, AxisRates rates) {
        this(AxisId.named(name, Set.of()), Role.named(name), name, minus, plus, abilities, travel, rates);
    }

    public Axis {
        name = name.strip();
        minus = minus.strip();
        plus = plus.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw Refused.because(MotionReason.AXIS_NAME, LONGEST_NAME).at("name");
        }
        if (minus.isEmpty() || plus.isEmpty() || minus.equals(plus) || minus.length() > LONGEST_NAME || plus.length() > LONGEST_NAME) {
            throw Refused.because(MotionReason.AXIS_WAYS, name).at("ways");
        }
        EnumSet<Ability> set = EnumSet.noneOf(Ability.class);
        set.addAll(abilities);
        abilities = java.util.Collections.unmodifiableSet(set);
        for (Ability needsFeed : Set.of(Ability.TRIP, Ability.KNOCK_OFF)) {
            if (set.contains(needsFeed) && !set.contains(Ability.FEED)) {
                throw Refused.because(MotionReason.AXIS_TRIP_WITHOUT_FEED, name).at("abilities");
            }
        }
        if (!set.contains(Ability.FEED) && !(rates.slowest.isBlank() && rates.fastest.isBlank())) {
            throw Refused.because(MotionReason.AXIS_RATE_WITHOUT_FEED, name).at("slowest");
        }
        if (!set.contains(Ability.RAPID) && !rates.rapid.isBlank()) {
            throw Refused.because(MotionReason.AXIS_RAPID_WITHOUT_RAPID, name).at("rapid");
        }
    }

    /** Checks the lengths against the machine's unit, so that a mistyped one is caught where it was typed. */
    public Axis checked(LengthUnit unit) {
        positive(travel, unit, "travel");
        Optional<TypedLength> slow = positive(rates.slowest, unit, "slowest");
        Optional<TypedLength> fast = positive(rates.fastest, unit, "fastest");
        positive(rates.rapid, unit, "rapid");
        if (slow.isPresent() && fast.isPresent() && slow.get().mm().compareTo(fast.get().mm()) > 0) {
            throw Refused.because(MotionReason.AXIS_RATES_CROSSED, rates.slowest, rates.fastest).at("fastest");
        }
        return this;
    }

    private static Optional<TypedLength> positive(String typed, LengthUnit unit, String field) {
        if (typed.isBlank()) {
            return Optional.empty();
        }
        try {
            TypedLength length = TypedLength.parse(typed, unit);
            if (length.mm().signum() <= 0) {
                throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, typed);
            }
            return Optional.of(length);
        } catch (Refused refused) {
            throw refused.at(field);
        }
    }

    public boolean has(Ability ability) {
        return abilities.contains(ability);
    }

    public boolean isPowered() {
        return has(Ability.FEED) || has(Ability.RAPID);
    }
}
