package tallledger.core.drive;

import java.util.Optional;

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
     * At one route and speed.
     *
     * @param train  the drive
     * @param rating what the motor's plate says
     * @param route  which positions; windings and inverter ends among them
     * @param rpm    spindle speed, min⁻¹
     */
    public static SpindlePower at(DriveTrain train, MotorRating rating, Route route, double rpm) {
        return at(train, rating, route, rpm, inverterShare(train, route));
    }

    /** The same at any setting of an inverter, {@code frequencyShare} = f/f_plate. */
    public static SpindlePower at(DriveTrain train, MotorRating rating, Route route, double rpm, double frequencyShare) {
        double power = rating.kilowatts().doubleValue() * rating.law().share(windingShare(train, route))
                * Math.min(1, frequencyShare) * rating.efficiency().doubleValue();
        return new SpindlePower(power, NEWTON_METRES * power / rpm);
    }

    /** Speed of the route's winding over the fastest winding's. */
    private static double windingShare(DriveTrain train, Route route) {
        Stage motor = train.stages().get(0);
        if (motor.kind() != StageKind.MOTOR || !motor.isChoice()) {
            return 1;
        }
        double fastest = motor.positions().stream().flatMap(p -> p.transmission().factor().stream()).mapToDouble(Span::high).max().orElse(1);
        return train.position(route, 0).transmission().factor().map(f -> f.high() / fastest).orElse(1.0);
    }

    private static double inverterShare(DriveTrain train, Route route) {
        for (int s = 0; s < train.stages().size(); s++) {
            if (train.stages().get(s).kind() == StageKind.INVERTER) {
                Optional<Span> factor = train.position(route, s).transmission().factor();
                return factor.map(Span::high).orElse(1.0);
            }
        }
        return 1;
    }
}
