package tallledger.core.instrument;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.Optional;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;

/**
 * One reading as a line of text: {@code KIND FIGURE [UNIT]}, such as {@code indicator 0.012 mm} or {@code tachometer 251.3}. What stands
 * behind a {@code #} is a remark.
 *
 * @param figure as sent, so that its last digit says what it is worth
 */
public record InstrumentLine(InstrumentKind kind, TypedNumber figure, String unit) {

    public static final int LONGEST = 200;

    /** A line that says nothing is empty. @throws Refused for one that is no reading */
    public static Optional<InstrumentLine> parse(String line) {
        if (line.length() > LONGEST) {
            throw Refused.because(InstrumentReason.LINE_LONG, line.length(), LONGEST);
        }
        String said = line.replaceAll("#.*", "").strip();
        if (said.isEmpty()) {
            return Optional.empty();
        }
        String[] parts = said.split("\\s+");
        InstrumentKind kind = InstrumentKind.named(parts[0]).orElseThrow(() -> Refused.because(InstrumentReason.LINE_KIND, parts[0]));
        if (parts.length < 2 || parts.length > 3) {
            throw Refused.because(InstrumentReason.LINE_PARTS, said);
        }
        String unit = parts.length == 3 ? parts[2] : kind.units().get(0);
        if (!kind.units().contains(unit)) {
            throw Refused.because(InstrumentReason.LINE_UNIT, unit, kind.name().toLowerCase(Locale.ROOT), String.join(", ", kind.units()));
        }
        return Optional.of(new InstrumentLine(kind, TypedNumber.parse(parts[1]), unit));
    }

    /** As a person would type it: a length and a temperature with their unit, anything else bare. */
    public String typed() {
        return switch (unit) {
            case "mm", "in" -> figure.typed() + " " + unit;
            case "um" -> kind == InstrumentKind.ROUGHNESS ? figure.typed() : figure.value().movePointLeft(3).toPlainString() + " mm";
            case "F" -> figure.typed() + " °F";
            case "mm/m" -> figure.value().divide(DIVISION, java.math.MathContext.DECIMAL32).stripTrailingZeros().toPlainString();
            default -> figure.typed();
        };
    }

    /** A level's usual division, mm in a metre. */
    private static final BigDecimal DIVISION = new BigDecimal("0.02");
}
