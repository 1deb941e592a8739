package tallledger.core.survey;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import tallledger.core.gauge.Gauge;
import tallledger.core.ledger.Payload;
import tallledger.core.unit.LengthUnit;

/**
 * What an entry was written by, so that it stands by itself: typed figures without a unit are in this one, whatever is described
 * later.
 *
 * @param unit        of lengths typed without one
 * @param description version of the machine's description that was judged by
 * @param rules       version of the house's rules that was judged by
 * @param gauge       what was read with, where the record is a reading
 * @param apart       how much warmer the machine was than the gauge, K; empty where nobody read their temperatures
 * @param bare        system of all else typed without a unit; records of before named none and were metric
 */
public record Basis(LengthUnit unit, int description, int rules, Optional<Gauge> gauge, Optional<BigDecimal> apart, LengthUnit bare) {

    public static Basis of(LengthUnit unit, int description, int rules) {
        return new Basis(unit, description, rules, Optional.empty(), Optional.empty(), unit);
    }

    public Basis with(Optional<Gauge> readWith) {
        return new Basis(unit, description, rules, readWith, apart, bare);
    }

    /** With the temperatures there are of machine and gauge. */
    public Basis at(Optional<Temperatures> temperatures) {
        return new Basis(unit, description, rules, gauge, temperatures.map(Temperatures::apart), bare);
    }

    Map<String, Object> toPayload() {
        Map<String, Object> fields = new HashMap<>(Map.of("unit", unit.name(), "description", description, "rules", rules));
        if (bare == LengthUnit.INCH) {
            fields.put("bare", bare.name());
        }
        gauge.ifPresent(g -> fields.put("gauge", g.toPayload()));
        apart.ifPresent(k -> fields.put("apart", k.toPlainString()));
        return fields;
    }

    /** What a record names; empty for records of before they did. */
    static Optional<Basis> from(Payload record) {
        if (!record.has("basis")) {
            return Optional.empty();
        }
        Payload p = record.part("basis");
        Optional<Gauge> gauge = p.has("gauge") ? Optional.of(Gauge.from(p.part("gauge").fields())) : Optional.empty();
        Optional<BigDecimal> apart = p.has("apart") ? Optional.of(p.decimal("apart")) : Optional.empty();
        return Optional.of(new Basis(LengthUnit.valueOf(p.text("unit")), p.whole("description"), p.whole("rules"), gauge, apart,
                p.has("bare") ? LengthUnit.valueOf(p.text("bare")) : LengthUnit.MM));
    }
}
