package tallledger.core.survey;

import java.math.BigDecimal;
import java.util.Map;
import tallledger.core.ledger.Payload;
import tallledger.core.reading.Temperature;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/**
 * How warm the machine and the gauges were in this sitting, °C: what a length is out by for that is U's thermal part (W 3.1).
 *
 * @param machine of the part that is measured
 * @param gauge   of what it is held against
 * @param bare    system of what was typed without a unit: °C, or °F
 */
public record Temperatures(TypedNumber machine, TypedNumber gauge, LengthUnit bare) {

    private static final BigDecimal MOST_APART = BigDecimal.valueOf(60);

    /**
     * @throws Refused naming "machine" or "gauge"
     */
    public static Temperatures typed(String machine, String gauge, LengthUnit bare) {
        Temperatures both = new Temperatures(at("machine", machine, bare), at("gauge", gauge, bare), bare);
        if (both.apart().abs().compareTo(MOST_APART) > 0) {
            throw Refused.because(SurveyReason.TEMPERATURES_APART, both.machine.typed(), both.gauge.typed(),
                    bare == LengthUnit.INCH ? 1 : 0).at("gauge");
        }
        return both;
    }

    private static TypedNumber at(String field, String text, LengthUnit bare) {
        try {
            return Temperature.parse(text, bare);
        } catch (Refused refused) {
            throw refused.at(field);
        }
    }

    static Temperatures from(Payload p) {
        return typed(p.text("machine"), p.text("gauge"), p.has("bare") ? LengthUnit.valueOf(p.text("bare")) : LengthUnit.MM);
    }

    /** One of the two as typed, with its unit. */
    public String says(TypedNumber one) {
        return one.typed().chars().anyMatch(Character::isLetter) ? one.typed() : one.typed() + (bare == LengthUnit.INCH ? " °F" : " °C");
    }

    /** How much warmer the machine is, K. */
    public BigDecimal apart() {
        return machine.value().subtract(gauge.value());
    }

    Map<String, Object> toPayload() {
        return bare == LengthUnit.MM ? Map.of("machine", machine.typed(), "gauge", gauge.typed())
                : Map.of("machine", machine.typed(), "gauge", gauge.typed(), "bare", bare.name());
    }
}
