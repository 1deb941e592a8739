package tallledger.core.drive;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
        unread.forEach((key, routes) ->
                placed.add(new Speed(Speed.Kind.UNREADABLE, Optional.empty(), factors.predict(key), routes)));
        sweeps.forEach((key, routes) ->
                placed.add(new Speed(Speed.Kind.SWEEP, Optional.empty(), top(train, placed, routes.get(0)), routes)));
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
     * From a cell that can be read at the same levers but one, where the ratios of both its positions are known: range A is 3.5 times
     * slower than B, and B is 315.
     */
    private static Optional<Double> beside(DriveTrain train, SpeedPlate plate, Route route) {
        for (int s = 0; s < train.stages().size(); s++) {
            Optional<Double> own = fixed(train, route, s);
            int stage = s;
            if (own.isEmpty() || !train.stages().get(s).isChoice()) {
                continue;
            }
            Optional<Double> told = train.routes().stream().filter(o -> !train.isSweep(o) && o.at(stage) != route.at(stage))
                    .filter(o -> IntStream.range(0, train.stages().size()).allMatch(i -> i == stage || o.at(i) == route.at(i)))
                    .flatMap(o -> plate.cell(train.plateKey(o)).value().stream().flatMap(rpm -> fixed(train, o, stage).stream()
                            .map(other -> rpm.doubleValue() * own.get() / other))).findFirst();
            if (told.isPresent()) {
                return told;
            }
        }
        return Optional.empty();
    }

    /** What one stage does at a route, where that is known and one figure. */
    private static Optional<Double> fixed(DriveTrain train, Route route, int stage) {
        return train.position(route, stage).transmission().factor().filter(f -> f.low() == f.high()).map(Span::low);
    }

    private static List<Speed> distinct(DriveTrain train, SpeedPlate plate, List<Route> routes) {
        List<Route> ascending = routes.stream()
                .sorted(Comparator.comparingDouble((Route r) -> exact(train, plate, r))
                        .thenComparing(train::isReverse)).toList();
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

    /** Upper end of a sweep: the drive's, else the plate's high end beside it. */
    private static Optional<Double> top(DriveTrain train, List<Speed> placed, Route sweep) {
        return train.speed(sweep).map(Span::high).or(() -> placed.stream()
                .filter(s -> s.routes().stream().anyMatch(r -> Ranges.differsOnlyInSlide(train, r, sweep)))
                .flatMap(s -> s.expected().stream()).max(Double::compare));
    }
}
