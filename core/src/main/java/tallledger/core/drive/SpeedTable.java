package tallledger.core.drive;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import tallledger.core.plate.LeverFactors;
import tallledger.core.plate.PlateCell;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reason.Refused;

/**
 * All speeds of a machine: what its drive gives and what its plate says, grouped into distinct speeds.
 *
 * @param train  the drive
 * @param plate  the plate
 * @param speeds ascending; those nobody can place come last, each sweep right after its high end
 * @param factors what the plate says each lever does
 */
public record SpeedTable(DriveTrain train, SpeedPlate plate, List<Speed> speeds, LeverFactors factors) {

    /** What a nominal speed was taken from. */
    public enum Source {
        /** The plate shows it. */
        SHOWN,
        /** The plate shows another value, and somebody accepted that it means this. */
        CORRECTED,
        /** The plate cannot be read; the stages as described give it. */
        STAGES,
        /** The plate cannot be read; its other cells give it. */
        OTHER_CELLS
    }

    /** Routes within this share of the group's lowest are one speed (house rule). */
    public static final double SAME_SPEED = 0.005;
    /** What a decimal loses in binary: 0.5 % exactly is still the same speed. */
    private static final double BINARY = 1e-12;
    private static final MathContext COMPUTED = new MathContext(4);

    public SpeedTable {
        speeds = List.copyOf(speeds);
    }

    public static SpeedTable of(DriveTrain train, SpeedPlate plate) {
        LeverFactors factors = LeverFactors.of(plate);
        List<Speed> placed = new ArrayList<>();
        List<Route> fixed = new ArrayList<>();
        Map<List<String>, List<Route>> unread = new LinkedHashMap<>();
        Map<List<String>, List<Route>> sweeps = new LinkedHashMap<>();
        for (Route route : train.routes()) {
            List<String> key = train.plateKey(route);
            if (train.isSweep(route)) {
                if (!(plate.cell(lowEndOf(key)) instanceof PlateCell.NoSpeed)) {
                    sweeps.computeIfAbsent(key, k -> new ArrayList<>()).add(route);
                }
            } else if (nominal(train, plate, route).isPresent()) {
                fixed.add(route);
            } else if (plate.cell(key) instanceof PlateCell.Unreadable) {
                unread.computeIfAbsent(key, k -> new ArrayList<>()).add(route);
            }
        }
        placed.addAll(distinct(train, plate, fixed));
        unread.forEach((key, routes) -> placed.add(new Speed(Speed.Kind.UNREADABLE, Optional.empty(), factors.predict(key), routes)));
        sweeps.forEach(
                (key, routes) -> placed.add(new Speed(Speed.Kind.SWEEP, Optional.empty(), top(train, placed, routes.get(0)), routes)));
        if (placed.isEmpty()) {
            throw Refused.because(DriveReason.TRAIN_NO_SPEED);
        }
        placed.sort(Comparator.comparing((Speed s) -> s.expected().orElse(Double.MAX_VALUE)).thenComparing(Speed::isSweep));
        return new SpeedTable(train, plate, placed, factors);
    }

    /** What a route should turn at, min⁻¹: the plate's value, else what a fully known drive gives. */
    public Optional<BigDecimal> nominal(Route route) {
        return nominal(train, plate, route);
    }

    /** Where a route's nominal speed comes from. */
    public Source source(Route route) {
        if (train.isSweep(route)) {
            return Source.STAGES;
        }
        PlateCell cell = plate.cell(train.plateKey(route));
        if (cell instanceof PlateCell.Corrected) {
            return Source.CORRECTED;
        }
        return cell.value().isPresent() ? Source.SHOWN : train.speed(route).isPresent() ? Source.STAGES : Source.OTHER_CELLS;
    }

    /** The speed a route belongs to; empty for a combination that gives none. */
    public Optional<Speed> speedOf(Route route) {
        return speeds.stream().filter(speed -> speed.routes().contains(route)).findFirst();
    }

    /** Speeds that count: everything but sweeps. */
    public List<Speed> counted() {
        return speeds.stream().filter(speed -> !speed.isSweep()).toList();
    }

    private static Optional<BigDecimal> nominal(DriveTrain train, SpeedPlate plate, Route route) {
        if (train.isSweep(route)) {
            return Optional.empty();
        }
        PlateCell cell = plate.cell(train.plateKey(route));
        if (cell instanceof PlateCell.NoSpeed) {
            return Optional.empty();
        }
        return cell.value().or(() -> train.speed(route).map(span -> new BigDecimal(span.low()).round(COMPUTED)))
                .or(() -> beside(train, plate, route).map(rpm -> new BigDecimal(rpm).round(COMPUTED)));
    }

    /**
     * From a cell that can be read, where whatever stands otherwise there has known ratios at both places: range A is 3.5 times slower
     * than B, and B is 315; at half its plate frequency an inverter gives half of that. The cell with the fewest levers otherwise tells.
     */
    private static Optional<Double> beside(DriveTrain train, SpeedPlate plate, Route route) {
        int fewest = Integer.MAX_VALUE;
        Optional<Double> told = Optional.empty();
        for (Route other : train.routes()) {
            int differing = (int) IntStream.range(0, train.stages().size()).filter(s -> route.at(s) != other.at(s)).count();
            if (differing < fewest && !train.isSweep(other)) {
                Optional<BigDecimal> read = plate.cell(train.plateKey(other)).value();
                OptionalDouble ratio = read.isPresent() ? ratio(train, route, other) : OptionalDouble.empty();
                if (ratio.isPresent()) {
                    fewest = differing;
                    told = Optional.of(read.get().doubleValue() * ratio.getAsDouble());
                }
            }
        }
        return told;
    }

    /** How much faster one route is than another, where every stage that stands otherwise has a known ratio at both. */
    private static OptionalDouble ratio(DriveTrain train, Route one, Route other) {
        double ratio = 1;
        for (int s = 0; s < train.stages().size(); s++) {
            if (one.at(s) != other.at(s)) {
                Optional<Double> here = fixed(train, one, s);
                Optional<Double> there = fixed(train, other, s);
                if (here.isEmpty() || there.isEmpty()) {
                    return OptionalDouble.empty();
                }
                ratio *= here.get() / there.get();
            }
        }
        return OptionalDouble.of(ratio);
    }

    /** What one stage does at a route, where that is known and one figure. */
    private static Optional<Double> fixed(DriveTrain train, Route route, int stage) {
        return train.position(route, stage).transmission().factor().filter(f -> f.low() == f.high()).map(Span::low);
    }

    private static List<Speed> distinct(DriveTrain train, SpeedPlate plate, List<Route> routes) {
        List<Route> ascending = routes.stream()
                .sorted(Comparator.comparingDouble((Route r) -> exact(train, plate, r))
                        .thenComparing(train::isReverse))
                .toList();
        List<Speed> speeds = new ArrayList<>();
        List<Route> group = new ArrayList<>();
        for (Route route : ascending) {
            if (!group.isEmpty() && !isSame(train, plate, group.get(0), route)) {
                speeds.add(grouped(train, plate, group));
                group = new ArrayList<>();
            }
            group.add(route);
        }
        if (!group.isEmpty()) {
            speeds.add(grouped(train, plate, group));
        }
        return speeds;
    }

    /** Compared as the drive gives them, not as they are shown. */
    private static boolean isSame(DriveTrain train, SpeedPlate plate, Route lowest, Route other) {
        return exact(train, plate, other) <= exact(train, plate, lowest) * (1 + SAME_SPEED) * (1 + BINARY);
    }

    private static double exact(DriveTrain train, SpeedPlate plate, Route route) {
        return plate.cell(train.plateKey(route)).value().map(BigDecimal::doubleValue).or(() -> train.speed(route).map(Span::low))
                .or(() -> beside(train, plate, route)).orElseThrow();
    }

    private static Speed grouped(DriveTrain train, SpeedPlate plate, List<Route> group) {
        BigDecimal lowest = nominal(train, plate, group.get(0)).orElseThrow();
        List<Route> forwardFirst = group.stream().sorted(Comparator.comparing(train::isReverse)).toList();
        return new Speed(Speed.Kind.SPEED, Optional.of(lowest), Optional.of(lowest.doubleValue()), forwardFirst);
    }

    /** The plate has no cell for a sweep; its low end stands for it. */
    private static List<String> lowEndOf(List<String> key) {
        return key.stream().map(label -> label.equals(Stage.SWEEP) ? Stage.LOW_END : label).toList();
    }

    /** What a sweep goes through, min⁻¹: the drive's, else what the plate says of its two ends; empty where nobody says. */
    public Optional<Span> range(Speed sweep) {
        Route route = sweep.routes().get(0);
        return train.speed(route).or(() -> {
            List<Double> ends = counted().stream()
                    .filter(s -> s.routes().stream().anyMatch(r -> Ranges.differsOnlyInSlide(train, r, route)))
                    .flatMap(s -> s.expected().stream()).sorted().toList();
            return ends.size() < 2 ? Optional.empty() : Optional.of(new Span(ends.get(0), ends.get(ends.size() - 1)));
        });
    }

    /** Upper end of a sweep: the drive's, else the plate's high end beside it. */
    private static Optional<Double> top(DriveTrain train, List<Speed> placed, Route sweep) {
        return train.speed(sweep).map(Span::high).or(() -> placed.stream()
                .filter(s -> s.routes().stream().anyMatch(r -> Ranges.differsOnlyInSlide(train, r, sweep)))
                .flatMap(s -> s.expected().stream()).max(Double::compare));
    }
}
