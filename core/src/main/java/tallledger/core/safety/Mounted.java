package tallledger.core.safety;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import tallledger.core.ledger.Payload;
import tallledger.core.reading.SurfaceSpeed;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * What is on the spindle, and the speed marked on it.
 *
 * @param kind      what it is
 * @param diameter  outer diameter, mm; a wheel's surface speed needs it
 * @param markedRpm speed marked on it, min⁻¹; empty where there is no mark
 * @param markedMs  surface speed marked on a wheel, m/s
 * @param askedOf   who allowed an unmarked one above half the top speed; empty where nobody was asked
 * @param typed     fields as typed
 */
public record Mounted(Kind kind, Optional<BigDecimal> diameter, Optional<BigDecimal> markedRpm, Optional<BigDecimal> markedMs,
        String askedOf, Map<String, String> typed) {

    public enum Kind {
        NOTHING, CHUCK, FACEPLATE, WHEEL;

        /** Whether something is clamped in it. */
        public boolean isHeld() {
            return this == CHUCK || this == FACEPLATE;
        }
    }

    private static final BigDecimal MOST_MS = BigDecimal.valueOf(200);
    private static final int LONGEST_NAME = 80;

    public Mounted {
        typed = Map.copyOf(typed);
        askedOf = askedOf.strip();
        if (kind == Kind.WHEEL && diameter.isEmpty()) {
            throw Refused.because(SafetyReason.MOUNTED_WHEEL_DIAMETER).at("diameter");
        }
        if (kind == Kind.WHEEL && markedRpm.isEmpty() && markedMs.isEmpty()) {
            throw Refused.because(SafetyReason.MOUNTED_WHEEL_MARK).at("markedMs");
        }
        markedMs.filter(v -> v.compareTo(MOST_MS) > 0).ifPresent(v -> {
            throw Refused.because(SafetyReason.MOUNTED_SURFACE_SPEED, Quantity.of(v, Unit.METRES_PER_SECOND),
                    Quantity.of(MOST_MS, Unit.METRES_PER_SECOND)).at("markedMs");
        });
        if (askedOf.length() > LONGEST_NAME) {
            throw Refused.because(CommonReason.TEXT_LONG, askedOf.length(), LONGEST_NAME).at("askedOf");
        }
    }

    /** All that is typed without a unit being of the machine's. */
    public static Mounted parse(Kind kind, String diameter, String markedRpm, String markedMs, String askedOf, LengthUnit unit) {
        return parse(kind, diameter, markedRpm, markedMs, askedOf, unit, unit);
    }

    /**
     * As typed.
     *
     * @param unit of a diameter typed without one
     * @param bare system a surface speed typed without its unit is of
     * @throws Refused naming the field
     */
    public static Mounted parse(Kind kind, String diameter, String markedRpm, String markedMs, String askedOf, LengthUnit unit,
            LengthUnit bare) {
        Optional<BigDecimal> across = read(diameter, "diameter", () -> positive(TypedLength.parse(diameter, unit).mm(), diameter));
        Optional<BigDecimal> rpm = read(markedRpm, "markedRpm", () -> TypedNumber.parsePositive(markedRpm).value());
        Optional<BigDecimal> surface = read(markedMs, "markedMs", () -> SurfaceSpeed.ofWheel(markedMs, bare));
        return new Mounted(kind, across, rpm, surface, askedOf, Map.of("diameter", diameter.strip(), "markedRpm", markedRpm.strip(),
                "markedMs", markedMs.strip()));
    }

    private static BigDecimal positive(BigDecimal length, String typed) {
        if (length.signum() <= 0) {
            throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, typed);
        }
        return length;
    }

    private static Optional<BigDecimal> read(String text, String field, java.util.function.Supplier<BigDecimal> factory) {
        try {
            return text.isBlank() ? Optional.empty() : Optional.of(factory.get());
        } catch (Refused refused) {
            throw refused.at(field);
        }
    }

    public Map<String, Object> toPayload() {
        Map<String, Object> fields = new HashMap<>(typed);
        fields.put("kind", kind.name());
        fields.put("askedOf", askedOf);
        return fields;
    }

    /** @param bare system a mark typed without its unit is of */
    public static Mounted from(Payload p, LengthUnit unit, LengthUnit bare) {
        return parse(Kind.valueOf(p.text("kind")), p.text("diameter"), p.text("markedRpm"), p.text("markedMs"), p.text("askedOf"), unit,
                bare);
    }
}
