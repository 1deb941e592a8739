package tallledger.core.cutting;

import java.math.BigDecimal;
import tallledger.core.reason.Refused;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * A cut as it is wanted.
 *
 * <p>Power at the tool, kW: turning a_p·f·v_c·k_c/60 000; drilling f·v_c·D·k_c/240 000; face milling a_p·a_e·v_f·k_c/6·10⁷ with v_f = f·n,
 * mm/min.
 *
 * <p>Worked: drilling 40 mm in steel, f 0.3, v_c 20.1 (160 min⁻¹), k_c 2 000: 2.01 kW.
 *
 * @param kind     of cut
 * @param diameter of the work turned, of the drill, or of the cutter, mm
 * @param speed    v_c, m/min
 * @param feed     f, mm/rev
 * @param depth    a_p, mm; of no account in drilling
 * @param width    a_e, mm; in milling only
 * @param force    k_c, N/mm²
 */
public record Job(Kind kind, double diameter, double speed, double feed, double depth, double width, double force) {

    /** What is done. */
    public enum Kind { DRILLING, TURNING, FACE_MILLING }

    /**
     * What is cut, with typical values: k_c at a chip of about 0.3 mm, v_c with high-speed steel. They are starting points.
     */
    public enum Material {
        STEEL(2000, 20, 25), CAST_IRON(1200, 20, 20), ALUMINIUM(700, 60, 100), BRASS(800, 40, 60);

        private final int force;
        private final int drilling;
        private final int turning;

        Material(int force, int drilling, int turning) {
            this.force = force;
            this.drilling = drilling;
            this.turning = turning;
        }

        /** k_c, N/mm². */
        public int force() {
            return force;
        }

        /** v_c, m/min. */
        public int speed(Kind kind) {
            return kind == Kind.DRILLING ? drilling : turning;
        }
    }

    public Job {
        check(diameter, "diameter");
        check(speed, "speed");
        check(feed, "feed");
        check(force, "force");
        if (kind != Kind.DRILLING) {
            check(depth, "depth");
        }
        if (kind == Kind.FACE_MILLING) {
            check(width, "width");
            if (width > diameter) {
                throw Refused.because(CuttingReason.CUT_WIDE, Quantity.of(BigDecimal.valueOf(width), Unit.MILLIMETRES),
                        Quantity.of(BigDecimal.valueOf(diameter), Unit.MILLIMETRES)).at("width");
            }
        }
    }

    private static void check(double figure, String field) {
        if (!(figure > 0) || figure > 1e5) {
            throw Refused.because(CuttingReason.CUT_FIGURE).at(field);
        }
    }

    /** n = 1000·v_c/(π·D), min⁻¹. */
    public double wanted() {
        return 1000 * speed / (Math.PI * diameter);
    }

    /** v_c at a speed of the machine, m/min. */
    public double surface(double rpm) {
        return Math.PI * diameter * rpm / 1000;
    }

    /** Power at the tool at a speed of the machine, kW. */
    public double power(double rpm) {
        return switch (kind) {
            case DRILLING -> feed * surface(rpm) * diameter * force / 240_000;
            case TURNING -> depth * feed * surface(rpm) * force / 60_000;
            case FACE_MILLING -> depth * width * feed * rpm * force / 6e7;
        };
    }

    /** Torque at the tool, N·m: 9 550·P/n. */
    public double torque(double rpm) {
        return 9_550 * power(rpm) / rpm;
    }
}
