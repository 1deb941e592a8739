package tallledger.web.runsheet;

import java.math.BigDecimal;
import java.math.MathContext;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.gauge.Gauge;
import tallledger.core.house.House;
import tallledger.core.house.HouseGauge;
import tallledger.core.reading.Method;
import tallledger.core.reading.SpeedReading;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.StepResult;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Unit;
import tallledger.web.words.Words;

/**
 * One gauge a reading may be taken with.
 *
 * @param id   what the form sends; empty for the usual one of its kind
 * @param name with what its readings are good for, and that its calibration has run out, where it has
 */
public record GaugeChoice(String id, String name) {

    /** The usual one of the kind first, then the house's own. */
    static List<GaugeChoice> of(Rule kind, House house, Rules rules, LengthUnit unit, LocalDate today, Words words) {
        GaugeChoice usual = new GaugeChoice("",
                words.say("gauge.usual", words.say("rule." + kind), figures(rules.gauge(kind), kind, unit, words)));
        return Stream.concat(Stream.of(usual),
                house.gauges(kind).stream().map(own -> new GaugeChoice(own.id(), named(own, unit, today, words)))).toList();
    }

    /** Ways of reading a speed, each with the house's own gauges for it behind. */
    static List<GaugeChoice> speeds(House house, LocalDate today, Words words) {
        return Stream.of(Method.values()).filter(Method::isShown)
                .flatMap(m -> Stream.concat(Stream.of(new GaugeChoice(m.name(), words.of(m))),
                        SpeedReading.usual(m).map(house::gauges).orElse(List.of()).stream()
                                .map(own -> new GaugeChoice(m.name() + ":" + own.id(), named(own, LengthUnit.MM, today, words)))))
                .toList();
    }

    private static String named(HouseGauge own, LengthUnit unit, LocalDate today, Words words) {
        String name = words.say("gauge.own", own.gauge().name(), figures(own.gauge(), own.kind(), unit, words));
        return own.gauge().isOverdue(today) ? words.say("gauge.own-overdue", name, own.gauge().due().orElseThrow().toString()) : name;
    }

    /** Its last digit in the machine's unit. */
    private static String figures(Gauge gauge, Rule kind, LengthUnit unit, Words words) {
        // A thermometer's last digit is a difference of temperatures, and those are K or °F.
        BigDecimal digit = gauge.resolution().stripTrailingZeros();
        if (kind.unit() == Unit.ROUGHNESS && unit == LengthUnit.INCH) {
            // Nobody's roughness gauge shows thousandths of a microinch: to one digit.
            return words.in(unit, Unit.ROUGHNESS.to(Unit.MICROINCHES, digit).round(new MathContext(1)), Unit.MICROINCHES);
        }
        if (kind.unit() == Unit.MILLIMETRES && unit == LengthUnit.INCH) {
            // 0.001 mm is about 0.04 thou; 0.0005 in is 0.5 thou and stays so.
            BigDecimal thou = Unit.MILLIMETRES.to(Unit.THOU, digit);
            BigDecimal two = thou.round(new MathContext(2));
            return words.in(unit, two.compareTo(thou.round(new MathContext(5))) == 0 ? two : thou.round(new MathContext(1)), Unit.THOU);
        }
        return words.in(unit, digit, kind.unit() == Unit.CELSIUS ? Unit.KELVIN : kind.unit());
    }

    /** The one taken last for such a reading in this survey. */
    static String last(StepLedger ledger, Rule kind, House house) {
        Optional<Gauge> with = ledger.all().stream().filter(r -> r.step().recording().usualGauge().equals(Optional.of(kind)))
                .map(StepResult::values)
                .reduce((a, b) -> b).flatMap(v -> v.readWith());
        return id(with, house.gauges(kind));
    }

    /** That gauge among the house's, by what it is called; empty where it is none of them. */
    static String id(Optional<Gauge> with, List<HouseGauge> own) {
        return with.filter(g -> g.paper().isPresent()).flatMap(g -> own.stream().filter(o -> o.gauge().name().equals(g.name())).findFirst())
                .map(HouseGauge::id).orElse("");
    }
}
