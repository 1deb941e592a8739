package tallledger.core.machine;

import tallledger.core.reason.CommonReason;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Map;
import java.util.Optional;
import tallledger.core.ledger.Payload;
import tallledger.core.motion.AxisId;
import tallledger.core.reading.LengthUnit;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;

/**
 * Something said of the machine, by whom, in their own words. Two sources that disagree are two claims.
 *
 * @param attribute what it is about
 * @param value     the value claimed, as typed
 * @param source    who says so
 * @param wording   their exact words, may be empty
 * @param axis      the axis it is about, where a person chose one; empty otherwise
 */
public record Claim(Attribute attribute, String value, Source source, String wording, Optional<AxisId> axis) {

    public static final int LONGEST_WORDING = 400;

    /** What a claim can be about, and how its value is read. */
    public enum Attribute {
        SPEED_COUNT(Form.COUNT), SLOWEST_SPEED(Form.SPEED), FASTEST_SPEED(Form.SPEED), REVERSES(Form.TEXT),
        SWING(Form.LENGTH), BETWEEN_CENTRES(Form.LENGTH), TRAVEL(Form.LENGTH), DRILLING_CAPACITY(Form.LENGTH),
        MOTOR_POWER(Form.TEXT), WEIGHT(Form.TEXT), CONDITION(Form.TEXT), OTHER(Form.TEXT);

        private final Form form;

        Attribute(Form form) {
            this.form = form;
        }

        public Form form() {
            return form;
        }
    }

    /** How a claimed value is read. */
    public enum Form { COUNT, SPEED, LENGTH, TEXT }

    /** Who says so. */
    public enum Source { PLATE, ADVERTISEMENT, SELLER, MANUAL, TEST_CHART }

    /** About no axis. */
    public Claim(Attribute attribute, String value, Source source, String wording) {
        this(attribute, value, source, wording, Optional.empty());
    }

    public Claim {
        if (value.isBlank()) {
            throw Refused.because(MachineReason.CLAIM_EMPTY);
        }
        if (value.length() > Identity.LONGEST) {
            throw Refused.because(CommonReason.TEXT_LONG, value.length(), Identity.LONGEST);
        }
        if (wording.length() > LONGEST_WORDING) {
            throw Refused.because(CommonReason.TEXT_LONG, wording.length(), LONGEST_WORDING);
        }
    }

    /** Checks the value against its form, so that a mistyped number is caught where it was typed. */
    public static Claim checked(Attribute attribute, String value, Source source, String wording, Optional<AxisId> axis, LengthUnit unit) {
        switch (attribute.form()) {
            case COUNT -> {
                TypedNumber count = TypedNumber.parsePositive(value);
                if (count.value().stripTrailingZeros().scale() > 0 || count.value().precision() > 4) {
                    throw Refused.because(MachineReason.CLAIM_COUNT, value);
                }
            }
            case SPEED -> TypedNumber.parsePositive(value);
            case LENGTH -> TypedLength.parse(value, unit);
            case TEXT -> { }
        }
        return new Claim(attribute, value.strip(), source, wording.strip(), axis);
    }

    /** A claimed length in mm, to a tenth, to stand beside what was typed; empty for anything that is no length. */
    public Optional<BigDecimal> millimetres(LengthUnit unit) {
        return attribute.form() == Form.LENGTH
                ? Optional.of(TypedLength.parse(value, unit).mm().setScale(1, RoundingMode.HALF_UP).stripTrailingZeros()) : Optional.empty();
    }

    Map<String, Object> toPayload() {
        return Map.of("attribute", attribute.name(), "value", value, "source", source.name(), "wording", wording, "axis", axis.map(AxisId::written).orElse(""));
    }

    static Claim from(Payload p) {
        return new Claim(Attribute.valueOf(p.text("attribute")), p.text("value"), Source.valueOf(p.text("source")),
                p.text("wording"), p.optionalText("axis").flatMap(AxisId::read));
    }
}
