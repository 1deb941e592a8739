package tallledger.core.cutting;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.ledger.Payload;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * A test cut as it was made: what its size, form and finish are measured on afterwards.
 *
 * @param tool     as it is called; may be empty
 * @param depth    empty in drilling
 * @param width    in milling only
 * @param rpm      of the spindle, as read or as the plate says
 */
public record CutMade(Job.Kind kind, Job.Material material, String tool, TypedLength diameter, TypedLength feed,
        Optional<TypedLength> depth, Optional<TypedLength> width, TypedNumber rpm) {

    private static final int LONGEST = 80;

    /**
     * As typed, with the names kind, material, tool, diameter, feed, depth, width, rpm.
     *
     * @param unit of lengths typed without one
     * @throws Refused naming the field
     */
    public static CutMade typed(Map<String, String> typed, LengthUnit unit) {
        Job.Kind kind = choice(typed, "kind", Job.Kind.values());
        Job.Material material = choice(typed, "material", Job.Material.values());
        String tool = text(typed, "tool");
        if (tool.length() > LONGEST) {
            throw Refused.because(CommonReason.TEXT_LONG, tool.length(), LONGEST).at("tool");
        }
        TypedNumber rpm = at("rpm", () -> TypedNumber.parsePositive(text(typed, "rpm")));
        return new CutMade(kind, material, tool, length(typed, "diameter", unit), length(typed, "feed", unit),
                kind == Job.Kind.DRILLING ? Optional.empty() : Optional.of(length(typed, "depth", unit)),
                kind == Job.Kind.FACE_MILLING ? Optional.of(length(typed, "width", unit)) : Optional.empty(), rpm);
    }

    private static String text(Map<String, String> typed, String field) {
        return typed.getOrDefault(field, "").strip();
    }

    private static <E extends Enum<E>> E choice(Map<String, String> typed, String field, E[] all) {
        return Stream.of(all).filter(c -> c.name().equals(text(typed, field))).findFirst()
                .orElseThrow(() -> Refused.because(CommonReason.CHOICE_UNKNOWN).at(field));
    }

    private static TypedLength length(Map<String, String> typed, String field, LengthUnit unit) {
        return at(field, () -> {
            TypedLength length = TypedLength.parse(text(typed, field), unit);
            if (length.mm().signum() <= 0) {
                throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, length.typed());
            }
            return length;
        });
    }

    private static <T> T at(String field, java.util.function.Supplier<T> read) {
        try {
            return read.get();
        } catch (Refused refused) {
            throw refused.at(field);
        }
    }

    /** How fast the surface went past the tool, m/min: round the work in turning, along the table in milling. */
    public BigDecimal past() {
        double mm = kind == Job.Kind.FACE_MILLING ? feed.mm().doubleValue() * rpm.value().doubleValue()
                : Math.PI * diameter.mm()
                        .doubleValue() * rpm.value().doubleValue();
        return new BigDecimal(mm / 1000).round(new java.math.MathContext(4));
    }

    /** In one line. */
    public Reason says() {
        return Reason.of(CuttingReason.CUT_MADE, kind, material, tool.isEmpty() ? 0 : 1, tool, Quantity.of(diameter.mm(), Unit.MILLIMETRES),
                Quantity.of(feed.mm(), Unit.MILLIMETRES), rpm.value());
    }

    /** @param unit of lengths typed without one */
    public Map<String, Object> toPayload(LengthUnit unit) {
        Map<String, Object> kept = new HashMap<>(Map.of("kind", kind.name(), "material", material.name(), "tool", tool, "diameter",
                diameter.typed(), "feed", feed.typed(), "rpm", rpm.typed(), "unit", unit.name()));
        depth.ifPresent(d -> kept.put("depth", d.typed()));
        width.ifPresent(w -> kept.put("width", w.typed()));
        return kept;
    }

    public static CutMade from(Payload p) {
        Map<String, String> typed = new HashMap<>();
        p.fields().forEach((name, value) -> typed.put(name, (String) value));
        return typed(typed, LengthUnit.valueOf(p.text("unit")));
    }
}
