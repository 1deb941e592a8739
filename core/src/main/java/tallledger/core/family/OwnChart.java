package tallledger.core.family;

import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import tallledger.core.ledger.Payload;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/**
 * A machine's own test chart: by characteristic the value its maker or rebuilder permits, and the value they measured. What is permitted
 * stands for the house's rebuilt grade of that line; the house's other two stay, and are never stricter than it.
 *
 * @param lines by the step that measures it
 */
public record OwnChart(Map<StepId, PrintedFigure> lines) {

    public static final OwnChart NONE = new OwnChart(Map.of());
    public static final int MOST = 80;

    /**
     * One line, as printed.
     *
     * @param permissible as typed, for the length the house's limit of that line is stated for
     * @param measured    as typed; empty where only the limit is printed
     */
    public record PrintedFigure(String permissible, String measured) {

        /** @throws Refused naming which of the two is no length above nought */
        public PrintedFigure checked(LengthUnit unit) {
            if (permitted(unit).signum() <= 0) {
                throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, permissible).at("permissible");
            }
            measured(unit);
            return this;
        }

        public BigDecimal permitted(LengthUnit unit) {
            return length("permissible", permissible, unit);
        }

        public Optional<BigDecimal> measured(LengthUnit unit) {
            return measured.isBlank() ? Optional.empty() : Optional.of(length("measured", measured, unit));
        }

        private static BigDecimal length(String field, String typed, LengthUnit unit) {
            try {
                return TypedLength.parse(typed, unit).mm();
            } catch (Refused refused) {
                throw refused.at(field);
            }
        }
    }

    public OwnChart {
        lines = Map.copyOf(lines);
        if (lines.size() > MOST) {
            throw Refused.because(FamilyReason.OWN_CHART_LONG, lines.size(), MOST);
        }
    }

    /** What it says of a step, mm; nothing where it says nothing of it. */
    Optional<Step.OwnLimit> limit(StepId step, LengthUnit unit) {
        return Optional.ofNullable(lines.get(step)).map(line -> new Step.OwnLimit(line.permitted(unit), line.measured(unit)));
    }

    Map<String, Object> toPayload() {
        return lines.entrySet().stream()
                .collect(Collectors.toMap(e -> e.getKey().written(),
                        e -> Map.of("permissible", e.getValue().permissible, "measured", e.getValue().measured)));
    }

    static OwnChart from(Payload p) {
        Map<StepId, PrintedFigure> lines = new LinkedHashMap<>();
        p.fields().keySet().forEach(step -> {
            Payload line = p.part(step);
            lines.put(StepId.read(step), new PrintedFigure(line.text("permissible"), line.text("measured")));
        });
        return new OwnChart(lines);
    }
}
