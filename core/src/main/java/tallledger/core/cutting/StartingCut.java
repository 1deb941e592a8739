package tallledger.core.cutting;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import tallledger.core.cutting.Job.Kind;
import tallledger.core.cutting.Job.Material;
import tallledger.core.drive.MotorRating;
import tallledger.core.drive.SpeedTable;
import tallledger.core.unit.LengthUnit;

/**
 * A first cut to try on a machine: of three modest ones the heaviest that wants no more than half of what its spindle has at its own speed
 * for it; where nobody knows what it has, the middle one; where none is so light, the lightest. The sizes are conventions of ours, in round
 * figures of the machine's unit; whoever makes the cut changes them.
 *
 * <p>Worked: a drill of 20 mm in steel at 0.15 mm a turn and 315 min⁻¹ (19.8 m/min) wants 0.15·19.8·20·2 000/240 000 = 0.495 kW: of 1.52 kW
 * a third, of 0.8 kW more than half.
 *
 * @param diameter of the work turned, of the drill, or of the cutter, in the machine's unit
 * @param feed     a turn, in that unit
 * @param depth    in that unit; empty in drilling
 * @param width    in that unit; in milling only
 */
public record StartingCut(BigDecimal diameter, BigDecimal feed, Optional<BigDecimal> depth, Optional<BigDecimal> width) {

    private static final double HALF = 0.5;
    private static final int MIDDLE = 1;

    /**
     * The one to begin with.
     *
     * @param feed a turn of a drill by the house, in the machine's unit
     */
    public static StartingCut of(Kind kind, Material material, BigDecimal feed, SpeedTable table, Optional<MotorRating> motor,
            LengthUnit unit) {
        List<StartingCut> heaviestFirst = offered(kind, feed, unit);
        List<Optional<Double>> shares = heaviestFirst.stream()
                .map(cut -> TestCut.of(cut.job(kind, material, unit), table, motor).ways().stream().findFirst().flatMap(StartingCut::share))
                .toList();
        for (int i = 0; i < heaviestFirst.size(); i++) {
            if (shares.get(i).filter(share -> share <= HALF).isPresent()) {
                return heaviestFirst.get(i);
            }
        }
        return heaviestFirst.get(shares.stream().allMatch(Optional::isEmpty) ? MIDDLE : heaviestFirst.size() - 1);
    }

    /** Of the power there how much it wants. */
    private static Optional<Double> share(TestCut.CutWay way) {
        return way.has().map(has -> way.need().kilowatts() / has.kilowatts());
    }

    private static List<StartingCut> offered(Kind kind, BigDecimal feed, LengthUnit unit) {
        boolean inch = unit == LengthUnit.INCH;
        return switch (kind) {
            case DRILLING -> each(inch ? "0.75 0.5 0.25" : "20 12 6", across -> new StartingCut(across, feed, Optional.empty(),
                    Optional.empty()));
            case TURNING -> each(inch ? "0.08 0.04 0.02" : "2 1 0.5", deep -> new StartingCut(number(inch ? "1.5" : "40"),
                    number(inch ? "0.006" : "0.15"), Optional.of(deep), Optional.empty()));
            case FACE_MILLING -> each(inch ? "0.08 0.04 0.02" : "2 1 0.5", deep -> new StartingCut(number(inch ? "2.5" : "63"),
                    number(inch ? "0.012" : "0.3"), Optional.of(deep), Optional.of(number(inch ? "2" : "50"))));
        };
    }

    private static List<StartingCut> each(String sizes, Function<BigDecimal, StartingCut> cut) {
        return List.of(sizes.split(" ")).stream().map(BigDecimal::new).map(cut).toList();
    }

    private static BigDecimal number(String figure) {
        return new BigDecimal(figure);
    }

    private Job job(Kind kind, Material material, LengthUnit unit) {
        return new Job(kind, mm(diameter, unit), material.speed(kind), mm(feed, unit), depth.map(d -> mm(d, unit)).orElse(0.0),
                width.map(w -> mm(w, unit)).orElse(0.0), material.force());
    }

    private static double mm(BigDecimal size, LengthUnit unit) {
        return size.multiply(unit.millimetres()).doubleValue();
    }
}
