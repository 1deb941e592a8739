package tallledger.core.drive;

import java.util.Optional;
import tallledger.core.reason.Reason;

/**
 * Power and torque at the spindle: M = 9 550 · P · η / n, N·m with kW and min⁻¹.
 *
 * <p>Gears and belts keep the motor's power, so torque rises as speed falls. Below its plate frequency an inverter-fed motor
 * keeps torque, not power: P = P_plate · f/f_plate; above it, power at best stays. So 250 min⁻¹ by gears and 250 min⁻¹ by
 * turning an inverter down are not the same speed to a cutter.
 *
 * <p>Worked: 4 kW, η 0.8, 250 min⁻¹ by gears: 9 550 · 3.2 / 250 = 122 N·m; the same with the inverter at half its plate
 * frequency: 61 N·m.
 *
 * @param kilowatts    power at the spindle, kW
 * @param newtonMetres torque at the spindle, N·m
 */
public record SpindlePower(double kilowatts, double newtonMetres) {

    private static final double NEWTON_METRES = 9_550;

    /**
     * At one route and speed; empty where something it depends on is not known ({@link #unknown}).
     *
     * @param train  the drive
     * @param rating what the motor's plate says
     * @param route  which positions; windings and inverter ends among them
     * @param rpm    spindle speed, min⁻¹
     */
    public static Optional<SpindlePower> at(DriveTrain train, MotorRating rating, Route route, double rpm) {
        return unknown(train, rating, route).isPresent() ? Optional.empty()
                : Optional.of(reckoned(train, rating, route, rpm, inverter(train, route).map(Span::high).orElse(1.0)));
    }

    /** The same at any setting of an inverter, {@code frequencyShare} = f/f_plate. */
    public static Optional<SpindlePower> at(DriveTrain train, MotorRating rating, Route route, double rpm, double frequencyShare) {
        return unknown(train, rating, route).isPresent() ? Optional.empty()
                : Optional.of(reckoned(train, rating, route, rpm, frequencyShare));
    }

    /** What must be known first: never a wrong number. */
    public static Optional<Reason> unknown(DriveTrain train, MotorRating rating, Route route) {
        boolean inverted = train.stages().stream().anyMatch(s -> s.kind() == StageKind.INVERTER);
        if (inverted && inverter(train, route).isEmpty()) {
            return Optional.of(Reason.of(DriveReason.POWER_INVERTER_UNKNOWN));
        }
        Stage motor = train.stages().get(0);
        boolean windings = motor.kind() == StageKind.MOTOR && motor.isChoice() && rating.law() != MotorRating.Law.CONSTANT_POWER;
        return windings && motor.positions().stream().anyMatch(p -> p.transmission().factor().isEmpty())
                ? Optional.of(Reason.of(DriveReason.POWER_WINDINGS_UNKNOWN, rating.law()))
                : Optional.empty();
    }

    private static SpindlePower reckoned(DriveTrain train, MotorRating rating, Route route, double rpm, double frequencyShare) {
        double power = rating.kilowatts().doubleValue() * rating.law().share(windingShare(train, route))
                * Math.min(1, frequencyShare) * rating.efficiency().doubleValue();
        return new SpindlePower(power, NEWTON_METRES * power / rpm);
    }

    /** Speed of the route's winding over the fastest winding's; 1 where there is one, or none is typed and power does not depend on it. */
    private static double windingShare(DriveTrain train, Route route) {
        Stage motor = train.stages().get(0);
        if (motor.kind() != StageKind.MOTOR || !motor.isChoice()) {
            return 1;
        }
        double fastest = motor.positions().stream().flatMap(p -> p.transmission().factor().stream()).mapToDouble(Span::high).max()
                .orElse(1);
        return train.position(route, 0).transmission().factor().map(f -> f.high() / fastest).orElse(1.0);
    }

    /** Where the route's inverter stands, as a share of its plate frequency. */
    private static Optional<Span> inverter(DriveTrain train, Route route) {
        for (int s = 0; s < train.stages().size(); s++) {
            if (train.stages().get(s).kind() == StageKind.INVERTER) {
                return train.position(route, s).transmission().factor();
            }
        }
        return Optional.empty();
    }
}
