package tallledger.core.drive;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import tallledger.core.reason.Refused;

/**
 * One stage of the drive.
 *
 * @param name      what the lever, belt or switch is called on the machine
 * @param kind      what sort of thing it is
 * @param shifting  whether it is moved at rest
 * @param positions its positions, as they stand on the machine
 * @param pattern   how they stand: in a row, in a gate, round a dial
 * @param movedBy   what a person moves
 */
public record Stage(String name, StageKind kind, Shifting shifting, List<Position> positions, LeverPattern pattern, MovedBy movedBy) {

    public static final int MOST_POSITIONS = 16;
    public static final int LONGEST_NAME = 40;
    public static final String LOW_END = "low end";
    public static final String HIGH_END = "high end";
    public static final String SWEEP = "sweep";
    public static final String FORWARD = "forward";
    public static final String REVERSE = "reverse";

    /** A lever whose positions stand in a row. */
    public Stage(String name, StageKind kind, Shifting shifting, List<Position> positions) {
        this(name, kind, shifting, positions, LeverPattern.ROW);
    }

    /** Moved as is usual for its kind. */
    public Stage(String name, StageKind kind, Shifting shifting, List<Position> positions, LeverPattern pattern) {
        this(name, kind, shifting, positions, pattern, MovedBy.usual(kind));
    }

    public Stage {
        positions = List.copyOf(positions);
        if (name.isBlank() || name.length() > LONGEST_NAME) {
            throw Refused.because(DriveReason.STAGE_NAME, LONGEST_NAME);
        }
        if (positions.isEmpty()) {
            throw Refused.because(DriveReason.STAGE_EMPTY, name);
        }
        if (positions.size() > MOST_POSITIONS) {
            throw Refused.because(DriveReason.STAGE_TOO_MANY, name, positions.size(), MOST_POSITIONS);
        }
        Set<String> seen = new HashSet<>();
        for (Position position : positions) {
            if (!seen.add(position.label())) {
                throw Refused.because(DriveReason.STAGE_REPEATED, name, position.label());
            }
        }
        boolean each = positions.stream().allMatch(p -> p.lever().isPresent());
        if (pattern == LeverPattern.ONE_AT_A_TIME ? !each || levers(positions).size() < 2 : !levers(positions).isEmpty()) {
            throw Refused.because(DriveReason.STAGE_LEVERS, name);
        }
    }

    /** The same with one position doing this. */
    public Stage with(String label, Transmission does) {
        return new Stage(name, kind, shifting, positions.stream().map(p -> p.label().equals(label)
                ? new Position(p.label(), does, p.lever())
                : p).toList(), pattern, movedBy);
    }

    /** The levers of a stage that has several, in their order; empty where it has one. */
    public List<String> levers() {
        return levers(positions);
    }

    private static List<String> levers(List<Position> positions) {
        return positions.stream().flatMap(p -> p.lever().stream()).distinct().toList();
    }

    /** Whether going from one position to the other moves two levers: the one home to neutral first, then the other in. */
    public boolean changesLever(int from, int to) {
        return !positions.get(from).lever().equals(positions.get(to).lever());
    }

    /** A variator or inverter between two factors; either both known or neither. */
    public static Stage sliding(String name, StageKind kind, Optional<Span> factor) {
        return sliding(name, kind, factor, Optional.empty());
    }

    /**
     * With a place of its own between the ends, where its factor is 1: an inverter at its plate frequency, which is what the plates of
     * most machines with an inverter give their speeds at.
     *
     * @param ownPlace what that place is called on the machine, such as "50Hz"
     */
    public static Stage sliding(String name, StageKind kind, Optional<Span> factor, Optional<String> ownPlace) {
        Transmission low = factor.<Transmission>map(f -> new Transmission.Ratio(BigDecimal.valueOf(f.low())))
                .orElse(new Transmission.Unknown());
        Transmission high = factor.<Transmission>map(f -> new Transmission.Ratio(BigDecimal.valueOf(f.high())))
                .orElse(new Transmission.Unknown());
        List<Position> positions = new ArrayList<>(List.of(new Position(LOW_END, low)));
        ownPlace.ifPresent(label -> positions.add(new Position(label, new Transmission.Ratio(BigDecimal.ONE))));
        positions.add(new Position(HIGH_END, high));
        positions.add(new Position(SWEEP, new Transmission.Sweep(factor)));
        return new Stage(name, kind, Shifting.SHIFTS_TURNING, positions);
    }

    /** What the place between its ends is called; empty where it does not slide or has none. */
    public Optional<String> ownPlace() {
        return kind.slides() ? positions.stream().map(Position::label)
                .filter(label -> !Set.of(LOW_END, HIGH_END, SWEEP).contains(label)).findFirst() : Optional.empty();
    }

    /** Forward and reverse; a running change is never asked for unless the plate says so. */
    public static Stage direction(Shifting shifting) {
        Transmission direct = new Transmission.Ratio(BigDecimal.ONE);
        return new Stage("direction", StageKind.DIRECTION, shifting,
                List.of(new Position(FORWARD, direct), new Position(REVERSE, direct)));
    }

    /** Whether there is anything to choose here. */
    public boolean isChoice() {
        return positions.size() > 1;
    }

    /** Whether the speed plate has a lever for it. */
    public boolean isOnPlate() {
        return isChoice() && kind != StageKind.DIRECTION;
    }

    public int indexOf(String label) {
        return IntStream.range(0, positions.size()).filter(i -> positions.get(i).label().equals(label)).findFirst()
                .orElseThrow(() -> Refused.because(DriveReason.POSITION_UNKNOWN, name, label));
    }
}
