package tallledger.core.cutting;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.MotorRating;
import tallledger.core.drive.Ranges;
import tallledger.core.drive.Route;
import tallledger.core.drive.Span;
import tallledger.core.drive.Speed;
import tallledger.core.drive.SpeedTable;
import tallledger.core.drive.SpindlePower;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.reason.Reason;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * A job on this machine's own speeds: its fastest not more than 2 % above what the job wants, every route that gives it with the power and
 * torque there, and the next speed above. Power is worked from that speed's own surface speed. A sliding range gives the speed itself.
 *
 * @param job  what is wanted
 * @param ways at the chosen speed, strongest first; empty where every speed of the machine is above it
 * @param next at the next speed above
 */
public record TestCut(Job job, List<CutWay> ways, List<CutWay> next) {

    private static final double ABOVE = 1.02;
    private static final MathContext SHOWN = new MathContext(3);

    /**
     * One route at one speed.
     *
     * @param need what the cut wants there, kW and N·m at the spindle
     * @param has  what the spindle has there; empty where it is not known
     */
    public record CutWay(Route route, double rpm, double surface, SpindlePower need, Optional<SpindlePower> has) {

        /** Whether it suffices; empty where nobody knows. */
        public Optional<Boolean> suffices() {
            return has.map(h -> h.kilowatts() >= need.kilowatts());
        }

        /** In a sentence. */
        Reason says(LengthUnit machine) {
            Quantity wanted = power(need, machine);
            return has.map(h -> Reason.of(h.kilowatts() >= need.kilowatts() ? CuttingReason.CUT_ENOUGH : CuttingReason.CUT_SHORT,
                    rounded(rpm), wanted, power(h, machine)))
                    .orElseGet(() -> Reason.of(CuttingReason.CUT_POWER_UNKNOWN, rounded(rpm), wanted));
        }

        /** To two digits of what it is shown in: of kW, or of hp. */
        private static Quantity power(SpindlePower power, LengthUnit machine) {
            BigDecimal worth = machine == LengthUnit.INCH ? HORSEPOWER : BigDecimal.ONE;
            BigDecimal shown = new BigDecimal(power.kilowatts()).divide(worth, MathContext.DECIMAL64).round(new MathContext(2));
            return Quantity.of(shown.multiply(worth), Unit.KILOWATTS);
        }

        private static final BigDecimal HORSEPOWER = new BigDecimal("0.7457");
    }

    private static BigDecimal rounded(double value) {
        return new BigDecimal(value).round(SHOWN);
    }

    public static TestCut of(Job job, SpeedTable table, Optional<MotorRating> motor) {
        double wanted = job.wanted();
        if (table.train().stages().stream().anyMatch(stage -> stage.kind().slides())) {
            return new TestCut(job, sliding(job, table, motor, wanted), List.of());
        }
        List<Speed> set = table.counted().stream().filter(s -> s.nominal().isPresent())
                .sorted(Comparator.comparing(s -> s.nominal().orElseThrow())).toList();
        Optional<Speed> own = set.stream().filter(s -> s.nominal().orElseThrow().doubleValue() <= wanted * ABOVE).reduce((a, b) -> b);
        Optional<Speed> above = set.stream().filter(s -> s.nominal().orElseThrow().doubleValue() > wanted * ABOVE).findFirst();
        return new TestCut(job, own.map(s -> ways(job, table, motor, s)).orElse(List.of()),
                above.map(s -> ways(job, table, motor, s)).orElse(List.of()));
    }

    private static List<CutWay> ways(Job job, SpeedTable table, Optional<MotorRating> motor, Speed speed) {
        double rpm = speed.nominal().orElseThrow().doubleValue();
        return strongest(speed.routes().stream().filter(r -> !table.train().isReverse(r))
                .map(route -> way(job, route, rpm, motor.flatMap(m -> SpindlePower.at(table.train(), m, route, rpm)))).toList());
    }

    /** The nearest to what is wanted that the ranges reach without going above it: the top of one where it lies beyond or in a gap. */
    private static List<CutWay> sliding(Job job, SpeedTable table, Optional<MotorRating> motor, double wanted) {
        List<CutWay> ways = new ArrayList<>();
        for (Ranges.Range range : Ranges.of(table).ranges()) {
            if (range.speeds().low() <= wanted * ABOVE && !table.train().isReverse(range.sweep())) {
                double rpm = Math.min(Math.max(wanted, range.speeds().low()), range.speeds().high());
                Optional<Span> inverter = inverter(table.train(), range.sweep());
                double share = inverter.map(i -> i.low() * rpm / range.speeds().low()).orElse(1.0);
                ways.add(way(job, range.sweep(), rpm, motor.flatMap(m -> SpindlePower.at(table.train(), m, range.sweep(), rpm, share))));
            }
        }
        double fastest = ways.stream().mapToDouble(CutWay::rpm).max().orElse(0);
        return strongest(ways.stream().filter(way -> way.rpm() == fastest).toList());
    }

    private static Optional<Span> inverter(DriveTrain train, Route route) {
        for (int s = 0; s < train.stages().size(); s++) {
            Stage stage = train.stages().get(s);
            if (stage.kind() == StageKind.INVERTER) {
                return train.position(route, s).transmission().factor();
            }
        }
        return Optional.empty();
    }

    private static CutWay way(Job job, Route route, double rpm, Optional<SpindlePower> has) {
        return new CutWay(route, rpm, job.surface(rpm), new SpindlePower(job.power(rpm), job.torque(rpm)), has);
    }

    private static List<CutWay> strongest(List<CutWay> ways) {
        return ways.stream().sorted(Comparator.comparingDouble((CutWay w) -> -w.has().map(SpindlePower::newtonMetres).orElse(0.0)))
                .toList();
    }

    /** Whether the strongest way suffices; empty where no speed of the machine is so slow, or its power is not known. */
    public Optional<Boolean> suffices() {
        return ways.stream().findFirst().flatMap(CutWay::suffices);
    }

    /** At the best way; powers to two digits of kW, or of hp on an inch machine. */
    public Reason says(LengthUnit machine) {
        return ways.isEmpty() ? Reason.of(CuttingReason.CUT_NO_SPEED, rounded(job.wanted()))
                : ways.get(0).says(machine);
    }
}
