package tallledger.core.drive;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Something of a drive that comes round so often: a shaft, a gear mesh, the motor, the supply (W 3.8).
 *
 * @param kind  what it is
 * @param stage what it belongs to, as it is called on the machine; empty for spindle, motor and supply
 * @param pair  wheels of a mesh, {@code 18:71}; empty otherwise
 * @param hertz how often a second
 */
public record Turning(Kind kind, String stage, String pair, double hertz) {

    /** What comes round. */
    public enum Kind { SPINDLE, SHAFT_INTO, MESH, MOTOR, SUPPLY_TWICE }

    private static final double MINUTE = 60;

    /**
     * Everything of a drive whose frequency follows from its spindle's speed at one route, spindle first, as far back as its wheels are
     * known; then what the motor's plate and the supply say.
     *
     * @param rpm   of the spindle, min⁻¹
     * @param hertz of the supply, Hz; empty where nobody says
     */
    public static List<Turning> of(DriveTrain train, Route route, double rpm, Optional<Double> hertz) {
        List<Turning> all = new ArrayList<>(List.of(new Turning(Kind.SPINDLE, "", "", rpm / MINUTE)));
        double turns = rpm;
        for (int s = train.stages().size() - 1; s > 0; s--) {
            Transmission by = train.position(route, s).transmission();
            if (by.factor().isEmpty() || by instanceof Transmission.Sweep) {
                break;
            }
            if (by instanceof Transmission.Gears gears) {
                turns = meshes(gears, train.stages().get(s).name(), turns, all);
            } else {
                double ratio = by.factor().get().low();
                turns /= ratio;
                if (ratio != 1) {
                    all.add(new Turning(Kind.SHAFT_INTO, train.stages().get(s).name(), "", turns / MINUTE));
                }
            }
        }
        if (train.position(route, 0).transmission() instanceof Transmission.MotorSpeed motor) {
            all.add(new Turning(Kind.MOTOR, "", "", motor.rpm().doubleValue() / MINUTE));
        }
        hertz.ifPresent(f -> all.add(new Turning(Kind.SUPPLY_TWICE, "", "", 2 * f)));
        return List.copyOf(all);
    }

    /** The meshes of a compound train from its last wheel back; what its first shaft turns at, min⁻¹. */
    private static double meshes(Transmission.Gears gears, String stage, double turns, List<Turning> all) {
        double out = turns;
        for (int p = gears.pairs().size() - 1; p >= 0; p--) {
            GearPair pair = gears.pairs().get(p);
            all.add(new Turning(Kind.MESH, stage, pair.driver() + ":" + pair.driven(), out * pair.driven() / MINUTE));
            out = out * pair.driven() / pair.driver();
            all.add(new Turning(Kind.SHAFT_INTO, stage, "", out / MINUTE));
        }
        return out;
    }
}
