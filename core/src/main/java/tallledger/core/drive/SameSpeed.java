package tallledger.core.drive;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The same spindle speed reached in several ranges of an inverter-fed drive: by gears with the motor fast, or by turning the
 * inverter down. It is not the same to a cutter.
 *
 * @param rpm  the speed, min⁻¹, the middle (in ln) of what two ranges share
 * @param ways torque and power there in each range that has it, strongest first
 */
public record SameSpeed(double rpm, List<Way> ways) {

    /** One range at the speed, with its inverter at {@code share} of the plate frequency. */
    public record Way(Route sweep, double share, SpindlePower power) {
    }

    /** One comparison for each overlap of two ranges; none where the drive is not known through. */
    public static List<SameSpeed> of(SpeedTable table, MotorRating rating) {
        DriveTrain train = table.train();
        Ranges ranges = Ranges.of(table);
        List<SameSpeed> same = new ArrayList<>();
        for (Span overlap : ranges.overlaps()) {
            double rpm = Math.sqrt(overlap.low() * overlap.high());
            List<Way> ways = new ArrayList<>();
            for (Ranges.Range range : ranges.ranges()) {
                Optional<Span> inverter = inverter(train, range.sweep());
                if (inverter.isPresent() && range.speeds().low() <= rpm && rpm <= range.speeds().high()) {
                    double share = inverter.get().low() * rpm / range.speeds().low();
                    SpindlePower.at(train, rating, range.sweep(), rpm, share)
                            .ifPresent(power -> ways.add(new Way(range.sweep(), share, power)));
                }
            }
            ways.sort(java.util.Comparator.comparingDouble((Way w) -> -w.power().newtonMetres()));
            if (ways.size() > 1) {
                same.add(new SameSpeed(rpm, List.copyOf(ways)));
            }
        }
        return same;
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
