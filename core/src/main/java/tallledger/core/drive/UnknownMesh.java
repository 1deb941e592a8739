package tallledger.core.drive;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A mesh whose wheels nobody has counted, and between which orders of the spindle it must lie: a wheel of a machine tool's gearbox has 12
 * to 150 teeth (house). Where its ratio is known both wheels keep within that; where it is not, the wheel on the shaft it drives does.
 *
 * <p>Worked: a ratio of 0.5 (half as fast out) has 24 to 150 teeth on the driven wheel, since its driver has 12 at least; on the spindle it
 * lies between order 24 and 150.
 *
 * @param stage   as it is called on the machine
 * @param shaft   turns of the shaft that it drives, for one of the spindle
 * @param lowest  order of the spindle
 * @param highest order of the spindle
 */
public record UnknownMesh(String stage, double shaft, double lowest, double highest) {

    private static final Set<StageKind> GEARED = EnumSet.of(StageKind.GEAR, StageKind.BACK_GEAR, StageKind.CHANGE_WHEELS,
            StageKind.COMMANDED);
    private static final double FEWEST_TEETH = 12;
    private static final double MOST_TEETH = 150;
    private static final double MINUTE = 60;

    /** Of a route, spindle first, as far back as ratios are known. */
    public static List<UnknownMesh> of(DriveTrain train, Route route) {
        List<UnknownMesh> all = new ArrayList<>();
        double shaft = 1;
        for (int s = train.stages().size() - 1; s > 0; s--) {
            Transmission by = train.position(route, s).transmission();
            Optional<Double> ratio = by.factor().map(Span::low);
            boolean geared = GEARED.contains(train.stages().get(s).kind());
            if (geared && by instanceof Transmission.Unknown) {
                all.add(of(train.stages().get(s).name(), shaft, 1, MOST_TEETH));
            }
            // A ratio of 1 may be a clutch as well as two like wheels.
            if (geared && by instanceof Transmission.Ratio && ratio.filter(r -> r != 1).isPresent()) {
                all.add(of(train.stages().get(s).name(), shaft, Math.max(1, 1 / ratio.get()), MOST_TEETH / Math.max(1, ratio.get())));
            }
            if (ratio.isEmpty() || by instanceof Transmission.Sweep) {
                break;
            }
            shaft /= ratio.get();
        }
        return all.stream().filter(m -> m.lowest < m.highest).toList();
    }

    private static UnknownMesh of(String stage, double shaft, double timesFewest, double most) {
        return new UnknownMesh(stage, shaft, shaft * FEWEST_TEETH * timesFewest, shaft * most);
    }

    /** @param rpm of the spindle, min⁻¹ */
    public boolean isBetween(double hertz, double rpm) {
        double order = hertz * MINUTE / rpm;
        return order >= lowest && order <= highest;
    }
}
