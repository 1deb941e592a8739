package tallledger.core.drive;

import java.util.ArrayList;
import java.util.List;

/**
 * A belt of a route, and how often it comes round at most. Its length is in no description; it cannot be shorter than round pulleys
 * that touch, L = (d + D)·(1 + π/2), and one turn of a pulley takes π·d of it along (W 3.8: π·d·n/(60·L)).
 *
 * <p>Worked: 100 mm on the motor drives 200 mm at 300 min⁻¹: L is 771 mm at least, π·200 of it a turn, so at most 0.815 turns for one of
 * the shaft.
 *
 * @param stage as it is called on the machine
 * @param most  its turns for one of the spindle, at most
 */
public record BeltTurn(String stage, double most) {

    /** Of a route, spindle first, as far back as ratios are known; only where the grooves are. */
    public static List<BeltTurn> of(DriveTrain train, Route route) {
        List<BeltTurn> all = new ArrayList<>();
        double shaft = 1;
        for (int s = train.stages().size() - 1; s > 0; s--) {
            Transmission by = train.position(route, s).transmission();
            if (by instanceof Transmission.Grooves grooves) {
                double driven = grooves.driven().doubleValue();
                double shortest = (grooves.driver().doubleValue() + driven) * (1 + Math.PI / 2);
                all.add(new BeltTurn(train.stages().get(s).name(), shaft * Math.PI * driven / shortest));
            }
            if (by.factor().isEmpty() || by instanceof Transmission.Sweep) {
                break;
            }
            shaft /= by.factor().get().low();
        }
        return List.copyOf(all);
    }
}
