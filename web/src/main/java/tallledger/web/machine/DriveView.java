package tallledger.web.machine;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.MotorRating;
import tallledger.core.drive.Ranges;
import tallledger.core.drive.Route;
import tallledger.core.drive.SameSpeed;
import tallledger.core.drive.Span;
import tallledger.core.drive.Speed;
import tallledger.core.drive.SpeedTable;
import tallledger.core.drive.SpindlePower;
import tallledger.core.drive.StageCheck;
import tallledger.core.plate.PlateCheck;
import tallledger.core.plate.PlateRemark;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reason.Reason;
import tallledger.core.unit.LengthUnit;
import tallledger.web.speeds.RayChartView;
import tallledger.web.words.Figures;

/**
 * What a drive as described gives: chart, speeds with power and torque, ranges, and what the plate gives away.
 *
 * @param chart  ray chart, where the plate or the ratios settle it
 * @param lines  every speed
 * @param ranges sliding ranges
 * @param same   the same speed by different ranges
 * @param remarks what the plate, and the stages beside it, give away
 * @param factors what each lever does by the plate
 * @param units   of power and torque here
 * @param noPower why some speed has no power beside it, though the motor's is known
 */
public record DriveView(Optional<RayChartView> chart, List<DriveLine> lines, List<RangeLine> ranges, List<String> overlaps,
        List<String> gaps,
        List<SameLine> same, List<PlateRemark> remarks, List<Factors> factors, Optional<Reason> noPower, Units units) {

    private static final MathContext SHOWN = new MathContext(3);

    /** Power and torque as people of a metric or an inch machine say them: what one of theirs is worth in kW and N·m. */
    public enum Units {
        METRIC("kW", 1, "N·m", 1), INCH("hp", 0.7457, "lb·ft", 1.3558);

        private final String power;
        private final double kilowatts;
        private final String torque;
        private final double newtonMetres;

        Units(String power, double kilowatts, String torque, double newtonMetres) {
            this.power = power;
            this.kilowatts = kilowatts;
            this.torque = torque;
            this.newtonMetres = newtonMetres;
        }

        public String power() {
            return power;
        }

        public String torque() {
            return torque;
        }

        static Units of(LengthUnit unit) {
            return unit == LengthUnit.INCH ? INCH : METRIC;
        }
    }

    /** One speed with what the spindle has there. */
    public record DriveLine(String name, String rpm, String routes, String power, String torque) {
    }

    /** One sliding range. */
    public record RangeLine(String name, String from, String to) {
    }

    /** One speed in one of several ranges. */
    public record SameLine(String rpm, String name, String frequency, String torque) {
    }

    /** What one lever does, relative to its first position. */
    public record Factors(String lever, String text) {
    }

    static DriveView of(DriveTrain train, SpeedPlate plate, Optional<MotorRating> motor, OptionalInt claimed, Units units) {
        SpeedTable table = SpeedTable.of(train, plate);
        PlateCheck check = PlateCheck.of(plate, claimed, table.factors());
        Ranges ranges = Ranges.of(table);
        return new DriveView(RayChartView.plain(table),
                table.counted().stream().map(speed -> line(table, speed, motor, units)).toList(),
                ranges.ranges().stream().map(r -> new RangeLine(train.name(r.sweep()), shown(r.speeds().low()), shown(r.speeds().high())))
                        .toList(),
                spans(ranges.overlaps()), spans(ranges.gaps()), motor.map(m -> same(table, m, units)).orElse(List.of()),
                Stream.concat(check.remarks().stream(), StageCheck.of(table).stream()).toList(), factors(check),
                motor.flatMap(m -> noPower(table, m)), units);
    }

    private static DriveLine line(SpeedTable table, Speed speed, Optional<MotorRating> motor, Units units) {
        Route route = speed.routes().get(0);
        String routes = String.join(", ", speed.routes().stream().filter(r -> !table.train().isReverse(r)).map(table.train()::name)
                .toList());
        Optional<SpindlePower> power = motor.flatMap(m -> speed.expected().flatMap(n -> SpindlePower.at(table.train(), m, route, n)));
        String rpm = speed.nominal().map(Figures::plain).or(() -> speed.expected().map(n -> "about " + shown(n))).orElse("?");
        return new DriveLine(table.train().name(route), rpm, routes, power.map(p -> shown(p.kilowatts() / units.kilowatts)).orElse(""),
                power.map(p -> shown(p.newtonMetres() / units.newtonMetres)).orElse(""));
    }

    private static Optional<Reason> noPower(SpeedTable table, MotorRating motor) {
        return table.counted().stream().flatMap(s -> SpindlePower.unknown(table.train(), motor, s.routes().get(0)).stream()).findFirst();
    }

    private static List<SameLine> same(SpeedTable table, MotorRating motor, Units units) {
        return SameSpeed.of(table, motor).stream().flatMap(s -> s.ways().stream().map(w -> new SameLine(shown(s.rpm()),
                table.train().name(w.sweep()), shown(w.share() * 100), shown(w.power().newtonMetres() / units.newtonMetres)))).toList();
    }

    private static List<Factors> factors(PlateCheck check) {
        var levers = check.factors().levers();
        // The cells of a sliding range are its ends: their quotient is no factor of any lever.
        if (levers.stream().anyMatch(l -> l.slides())) {
            return List.of();
        }
        return java.util.stream.IntStream.range(0, levers.size()).filter(l -> levers.get(l).positions().size() > 1).mapToObj(l -> {
            List<Optional<Double>> factors = check.factors().factors(l);
            String text = String.join(", ", java.util.stream.IntStream.range(1, factors.size()).filter(p -> factors.get(p).isPresent())
                    .mapToObj(p -> levers.get(l).positions().get(p) + " is " + shown(factors.get(p).get()) + " × "
                            + levers.get(l).positions().get(0))
                    .toList());
            return new Factors(levers.get(l).name(), text);
        }).filter(f -> !f.text().isEmpty()).toList();
    }

    private static List<String> spans(List<Span> spans) {
        return spans.stream().map(s -> shown(s.low()) + " to " + shown(s.high())).toList();
    }

    private static String shown(double value) {
        return Figures.plain(new BigDecimal(value).round(SHOWN));
    }
}
