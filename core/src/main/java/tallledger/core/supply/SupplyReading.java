package tallledger.core.supply;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Verdict;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * What stands at the machine's terminals or socket, as a licensed person measured it or a meter on the board shows it.
 *
 * @param volts  between phases: three for three phases, one for one
 * @param source what feeds it
 * @param rating of a converter, kW, or of an inverter, A
 * @param connected for which of two voltages the machine is connected
 */
public record SupplyReading(List<BigDecimal> volts, Optional<BigDecimal> hertz, Source source, Optional<BigDecimal> rating,
        Connected connected) {

    public enum Source { MAINS, ROTARY_CONVERTER, STATIC_CONVERTER, INVERTER }

    /** For which of the two voltages of its plate a machine is connected. */
    public enum Connected { NOT_KNOWN, LOWER, HIGHER }

    private static final BigDecimal MOST_VOLTS = BigDecimal.valueOf(1000);

    public SupplyReading {
        volts = List.copyOf(volts);
        volts.stream().filter(v -> v.signum() <= 0 || v.compareTo(MOST_VOLTS) > 0).findFirst().ifPresent(v -> {
            throw Refused.because(SupplyReason.SUPPLY_VOLTS, v, MOST_VOLTS).at("l12");
        });
    }

    /** How it comes out: do not run; not before it is larger; load it less; not known; right. */
    public enum Weight {
        STOPS, FALLS_SHORT, WARNS, UNKNOWN, RIGHT
    }

    /** One thing judged. */
    public record SupplyPoint(Weight weight, Reason because) {
    }

    /** Voltage unbalance = 100 · max|V_i − V̄| / V̄, %. Worked: 400, 410, 390: 2.5 %. */
    public BigDecimal unbalance() {
        BigDecimal mean = mean();
        BigDecimal most = volts.stream().map(v -> v.subtract(mean).abs()).reduce(BigDecimal.ZERO, BigDecimal::max);
        return most.multiply(BigDecimal.valueOf(100)).divide(mean, MathContext.DECIMAL64).setScale(2, RoundingMode.HALF_UP);
    }

    public BigDecimal mean() {
        return volts.stream().reduce(BigDecimal.ZERO, BigDecimal::add).divide(BigDecimal.valueOf(volts.size()), MathContext.DECIMAL64);
    }

    /** Everything that can be judged against the plate, worst first. */
    public List<SupplyPoint> against(SupplyPlate plate, Rules rules) {
        List<SupplyPoint> points = new ArrayList<>();
        points.add(phases(plate));
        if (volts.size() == 3) {
            points.add(balance(rules));
        }
        points.add(plate.volts().map(v -> voltage(v, rules))
                // Three voltages are judged by how they agree, whatever the plate wants; that nobody read it is said.
                .orElse(new SupplyPoint(volts.size() > 1 ? Weight.RIGHT : Weight.UNKNOWN,
                        Reason.of(SupplyReason.SUPPLY_PLATE_VOLTS_UNREAD))));
        hertz.flatMap(h -> plate.hertz().map(p -> frequency(h, p, rules))).ifPresent(points::add);
        size(plate, rules).ifPresent(points::add);
        points.sort(java.util.Comparator.comparing(SupplyPoint::weight));
        return points;
    }

    /**
     * The mean voltage, how far three lie apart, the frequency: each with its limit where the plate was read. A dual plate has none until
     * it is known how the machine is connected.
     */
    public List<Figure> figures(SupplyPlate plate, Rules rules) {
        List<Figure> figures = new ArrayList<>();
        Figure volt = Figure.alone(Quantity.of(mean(), Unit.VOLTS)).named(Figure.Name.VOLTAGE);
        figures.add(plate.volts().filter(v -> !v.isDual() || connected != Connected.NOT_KNOWN)
                .map(v -> v.ways().get(connected == Connected.HIGHER ? v.ways().size() - 1 : 0))
                .map(way -> held(volt, about(way.low(), way.high(), Rule.VOLTAGE_TOLERANCE, Unit.VOLTS, rules,
                        Reason.of(SupplyReason.LIMIT_VOLTAGE, rules.number(Rule.VOLTAGE_TOLERANCE), plate.volts().get().typed()))))
                .orElse(volt));
        if (volts.size() == 3) {
            figures.add(held(Figure.alone(Quantity.of(unbalance(), Unit.PERCENT)).named(Figure.Name.UNBALANCE),
                    new Limit(BigDecimal.ZERO, rules.number(Rule.UNBALANCE_DERATE), Unit.PERCENT,
                            Reason.of(SupplyReason.LIMIT_UNBALANCE))));
        }
        hertz.ifPresent(there -> {
            Figure figure = Figure.alone(Quantity.of(there, Unit.HERTZ)).named(Figure.Name.FREQUENCY);
            figures.add(plate.hertz().map(wanted -> held(figure, about(wanted, wanted, Rule.FREQUENCY_TOLERANCE, Unit.HERTZ, rules,
                    Reason.of(SupplyReason.LIMIT_HERTZ, rules.number(Rule.FREQUENCY_TOLERANCE), wanted)))).orElse(figure));
        });
        return figures;
    }

    private static Limit about(BigDecimal low, BigDecimal high, Rule tolerance, Unit unit, Rules rules, Reason source) {
        BigDecimal share = rules.share(tolerance);
        return new Limit(low.subtract(low.multiply(share)), high.add(high.multiply(share)), unit, source);
    }

    private static Figure held(Figure figure, Limit limit) {
        BigDecimal value = figure.measured().value();
        boolean within = value.compareTo(limit.lower()) >= 0 && value.compareTo(limit.upper()) <= 0;
        return figure.against(limit, within ? Verdict.WITHIN : Verdict.OUTSIDE);
    }

    private SupplyPoint phases(SupplyPlate plate) {
        boolean enough = volts.size() >= plate.phases();
        return new SupplyPoint(enough ? Weight.RIGHT : Weight.STOPS,
                Reason.of(enough ? SupplyReason.SUPPLY_PHASES_RIGHT : SupplyReason.SUPPLY_PHASES_MISSING, plate.phases(), volts.size()));
    }

    private SupplyPoint balance(Rules rules) {
        BigDecimal stop = rules.number(Rule.UNBALANCE_STOP);
        BigDecimal derate = rules.number(Rule.UNBALANCE_DERATE);
        BigDecimal off = unbalance();
        if (off.compareTo(stop) > 0) {
            return new SupplyPoint(Weight.STOPS, Reason.of(SupplyReason.SUPPLY_UNBALANCE_STOP, off, stop));
        }
        return off.compareTo(derate) > 0 ? new SupplyPoint(Weight.WARNS, Reason.of(SupplyReason.SUPPLY_UNBALANCE_DERATE, off, derate))
                : new SupplyPoint(Weight.RIGHT, Reason.of(SupplyReason.SUPPLY_UNBALANCE_RIGHT, off, derate));
    }

    /** Against the way it is connected; where that is not known and a way fits, it is to be looked at: the wrong one burns the motor. */
    private SupplyPoint voltage(Voltage plate, Rules rules) {
        List<Voltage.VoltageRange> ways = plate.ways();
        if (plate.isDual() && connected == Connected.NOT_KNOWN) {
            boolean anyFits = ways.stream().anyMatch(way -> voltage(way, rules).weight == Weight.RIGHT);
            return anyFits ? new SupplyPoint(Weight.UNKNOWN,
                    Reason.of(SupplyReason.SUPPLY_CONNECTION, plate.typed(), mean().setScale(0, RoundingMode.HALF_UP)))
                    : voltage(nearest(ways), rules);
        }
        return voltage(ways.get(connected == Connected.HIGHER ? ways.size() - 1 : 0), rules);
    }

    private Voltage.VoltageRange nearest(List<Voltage.VoltageRange> ways) {
        return ways.stream().min(java.util.Comparator.comparing(way -> mean().subtract(way.low()).abs())).orElseThrow();
    }

    private SupplyPoint voltage(Voltage.VoltageRange way, Rules rules) {
        BigDecimal wanted = mean().max(way.low()).min(way.high());
        BigDecimal off = mean().subtract(wanted).divide(wanted, MathContext.DECIMAL64);
        boolean right = off.abs().compareTo(rules.share(Rule.VOLTAGE_TOLERANCE)) <= 0;
        return new SupplyPoint(right ? Weight.RIGHT : Weight.STOPS,
                Reason.of(right ? SupplyReason.SUPPLY_VOLTS_RIGHT : SupplyReason.SUPPLY_VOLTS_OFF,
                        mean().setScale(0, RoundingMode.HALF_UP), wanted, off.doubleValue() * 100, rules.number(Rule.VOLTAGE_TOLERANCE)
                                .stripTrailingZeros()));
    }

    private SupplyPoint frequency(BigDecimal there, BigDecimal wanted, Rules rules) {
        BigDecimal off = there.divide(wanted, MathContext.DECIMAL64).subtract(BigDecimal.ONE);
        boolean right = off.abs().compareTo(rules.share(Rule.FREQUENCY_TOLERANCE)) <= 0;
        return new SupplyPoint(right ? Weight.RIGHT : Weight.WARNS,
                Reason.of(right ? SupplyReason.SUPPLY_HERTZ_RIGHT : SupplyReason.SUPPLY_HERTZ_OFF, there, wanted,
                        there.divide(wanted, MathContext.DECIMAL64).doubleValue()));
    }

    /** A converter is sized by the largest motor, doubled for a heavy start; an inverter by the motor's current. */
    private Optional<SupplyPoint> size(SupplyPlate plate, Rules rules) {
        if (source == Source.MAINS) {
            return Optional.empty();
        }
        Optional<BigDecimal> motor = source == Source.INVERTER ? plate.amperes() : plate.kilowatts();
        if (rating.isEmpty() || motor.isEmpty()) {
            return Optional.of(new SupplyPoint(Weight.UNKNOWN, Reason.each(SupplyReason.SUPPLY_SIZE_UNKNOWN, source)));
        }
        BigDecimal wanted = source != Source.INVERTER && plate.heavyStart() ? motor.get().multiply(rules.number(Rule.HEAVY_START))
                : motor.get();
        boolean right = rating.get().compareTo(wanted) >= 0;
        SupplyReason.Sized sized = source == Source.INVERTER ? SupplyReason.Sized.INVERTER
                : plate.heavyStart() ? SupplyReason.Sized.HEAVY : SupplyReason.Sized.CONVERTER;
        Unit unit = source == Source.INVERTER ? Unit.AMPERES : Unit.KILOWATTS;
        SupplyReason row = right ? SupplyReason.SUPPLY_SIZE_RIGHT : SupplyReason.SUPPLY_SIZE_SMALL;
        return Optional.of(new SupplyPoint(right ? Weight.RIGHT : Weight.FALLS_SHORT,
                Reason.each(row, sized, Quantity.of(rating.get(), unit), Quantity.of(motor.get(), unit), Quantity.of(wanted,
                        unit))));
    }
}
