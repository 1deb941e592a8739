package tallledger.core.drive;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import tallledger.core.reason.Reason;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * The same spindle speed reached in several ranges of an inverter-fed drive: by gears with the motor fast, or by turning the
 * inverter down. It is not the same to a cutter.
 *
 * @param rpm  the speed, min⁻¹: the middle (in ln) of what two ranges share, or, where the inverter has a place for its plate frequency,
 *             about the middle between the two ranges' speeds there
 * @param ways torque and power there in each range that has it, strongest first
 */
public record SameSpeed(double rpm, List<LeverWay> ways) {

    /** One range at the speed, with its inverter at {@code share} of the plate frequency. */
    public record LeverWay(Route sweep, double share, SpindlePower power) {
    }

    /** One comparison for each overlap of two ranges; none where the drive is not known through. */
    public static List<SameSpeed> of(SpeedTable table, MotorRating rating) {
        DriveTrain train = table.train();
        Ranges ranges = Ranges.of(table);
        List<SameSpeed> same = new ArrayList<>();
        for (Span overlap : ranges.overlaps()) {
            double rpm = between(table, ranges, overlap);
            List<LeverWay> ways = new ArrayList<>();
            for (Ranges.Range range : ranges.ranges()) {
                Optional<Span> inverter = inverter(train, range.sweep());
                if (inverter.isPresent() && range.speeds().low() <= rpm && rpm <= range.speeds().high()) {
                    double share = inverter.get().low() * rpm / range.speeds().low();
                    SpindlePower.at(train, rating, range.sweep(), rpm, share)
                            .ifPresent(power -> ways.add(new LeverWay(range.sweep(), share, power)));
                }
            }
            ways.sort(Comparator.comparingDouble((LeverWay w) -> -w.power().newtonMetres()));
            if (ways.size() > 1) {
                same.add(new SameSpeed(rpm, List.copyOf(ways)));
            }
        }
        return same;
    }

    /** One says why they are not the same, strongest and weakest; powers and torques of {@code ways} are the motor's. */
    public Reason says(DriveTrain train) {
        LeverWay most = ways.get(0);
        LeverWay least = ways.get(ways.size() - 1);
        return Reason.of(DriveReason.SAME_SPEED, rounded(rpm, 3), levers(train, most.sweep), rounded(most.share * 100, 3),
                Quantity.of(rounded(most.power.kilowatts(), 3), Unit.KILOWATTS), levers(train, least.sweep), rounded(least.share * 100, 3),
                Quantity.of(rounded(least.power.kilowatts(), 3), Unit.KILOWATTS),
                rounded(most.power.newtonMetres() / least.power.newtonMetres(), 3));
    }

    /** The levers that differ between ranges: "range B, gear 2". */
    private static String levers(DriveTrain train, Route sweep) {
        return IntStream.range(0, train.stages().size()).filter(s -> train.stages().get(s).isOnPlate()
                && !train.stages().get(s).kind().slides()).mapToObj(s -> train.stages().get(s).name() + " "
                        + train.position(sweep, s).label())
                .collect(Collectors.joining(", "));
    }

    private static BigDecimal rounded(double value, int digits) {
        BigDecimal figure = new BigDecimal(value).round(new MathContext(digits)).stripTrailingZeros();
        return figure.setScale(Math.max(figure.scale(), 0));
    }

    private static double between(SpeedTable table, Ranges ranges, Span overlap) {
        List<Double> own = ranges.ranges().stream().filter(r -> r.speeds().low() <= overlap.low() && overlap.high() <= r.speeds().high())
                .flatMap(r -> ownPlace(table, r.sweep()).stream()).toList();
        if (own.size() == 2) {
            double middle = rounded(Math.sqrt(own.get(0) * own.get(1)), 2).doubleValue();
            if (overlap.low() <= middle && middle <= overlap.high()) {
                return middle;
            }
        }
        return Math.sqrt(overlap.low() * overlap.high());
    }

    /** The speed of a range with its inverter at the place that is its own. */
    private static Optional<Double> ownPlace(SpeedTable table, Route sweep) {
        return table.counted().stream().flatMap(s -> s.routes().stream()).filter(r -> Ranges.differsOnlyInSlide(table.train(), r, sweep))
                .filter(r -> IntStream.range(0, table.train().stages().size()).anyMatch(s -> table.train().stages()
                        .get(s).ownPlace().filter(table.train().position(r, s).label()::equals).isPresent()))
                .findFirst().flatMap(table::nominal).map(BigDecimal::doubleValue);
    }

    private static Optional<Span> inverter(DriveTrain train, Route route) {
        for (int s = 0; s < train.stages().size(); s++) {
            if (train.stages().get(s).kind() == StageKind.INVERTER) {
                return train.position(route, s).transmission().factor();
            }
        }
        return Optional.empty();
    }
}
