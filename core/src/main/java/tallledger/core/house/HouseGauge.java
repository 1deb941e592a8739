package tallledger.core.house;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import tallledger.core.gauge.Gauge;
import tallledger.core.ledger.Payload;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Shape;

/**
 * One gauge the house owns.
 *
 * @param id   its identity, whatever it is called
 * @param kind the rule with the figures of the usual gauge of its kind; the unit of its own figures is that rule's
 */
public record HouseGauge(String id, Rule kind, Gauge gauge) {

    private static final int LONGEST = 60;
    /** More than this of a reading is no gauge. */
    private static final BigDecimal MOST_PERCENT = BigDecimal.valueOf(50);
    private static final BigDecimal MOST = BigDecimal.valueOf(1000);

    public HouseGauge {
        if (kind.shape() != Shape.GAUGE) {
            throw Refused.because(CommonReason.CHOICE_UNKNOWN).at("kind");
        }
    }

    /**
     * As typed; the calibration is U_cal (k = 2), a figure in the unit of the kind, or with % a share of the reading.
     *
     * @throws Refused naming the field: name, resolution, calibration, repeatability, certificate, due
     */
    public static HouseGauge typed(String id, Rule kind, Map<String, String> fields) {
        String name = text(fields, "name");
        if (name.isEmpty()) {
            throw Refused.because(HouseReason.GAUGE_NAME).at("name");
        }
        String uncertainty = text(fields, "calibration");
        boolean share = uncertainty.endsWith("%");
        BigDecimal figure = figure("calibration", share ? uncertainty.substring(0, uncertainty.length() - 1) : uncertainty,
                share ? MOST_PERCENT : MOST);
        BigDecimal resolution = figure("resolution", text(fields, "resolution"), MOST);
        BigDecimal repeatability = text(fields, "repeatability").isEmpty() ? BigDecimal.ZERO
                : figure("repeatability", text(fields, "repeatability"), MOST);
        if (resolution.signum() == 0 && figure.signum() == 0) {
            throw Refused.because(HouseReason.GAUGE_NOTHING).at("resolution");
        }
        Gauge.Calibration paper = new Gauge.Calibration(share ? BigDecimal.ZERO : figure, repeatability, text(fields, "certificate"),
                day(text(fields, "due")));
        return new HouseGauge(id, kind, new Gauge(name, resolution, share ? figure.movePointLeft(2) : BigDecimal.ZERO, Optional.of(paper)));
    }

    private static String text(Map<String, String> fields, String name) {
        String text = fields.getOrDefault(name, "").strip();
        if (text.length() > LONGEST) {
            throw Refused.because(CommonReason.TEXT_LONG, text.length(), LONGEST).at(name);
        }
        return text;
    }

    private static BigDecimal figure(String field, String text, BigDecimal most) {
        try {
            BigDecimal value = TypedNumber.parse(text).value();
            if (value.signum() < 0 || value.compareTo(most) > 0) {
                throw Refused.because(CommonReason.RULE_RANGE, value, 0, most, "");
            }
            return value;
        } catch (Refused refused) {
            throw refused.at(field);
        }
    }

    private static Optional<LocalDate> day(String text) {
        try {
            return text.isEmpty() ? Optional.empty() : Optional.of(LocalDate.parse(text));
        } catch (DateTimeException no) {
            throw Refused.because(HouseReason.GAUGE_DUE, text).at("due");
        }
    }

    /** What would be typed to get it again. */
    public Map<String, String> asTyped() {
        Gauge.Calibration paper = gauge.paper().orElseThrow();
        Map<String, String> fields = new HashMap<>(Map.of("name", gauge.name(), "resolution", gauge.resolution().toPlainString(),
                "certificate", paper.certificate(), "due", paper.due().map(LocalDate::toString).orElse("")));
        fields.put("calibration", gauge.calibration().signum() > 0 ? gauge.calibration().movePointRight(2).stripTrailingZeros()
                .toPlainString() + " %" : paper.fixed().toPlainString());
        fields.put("repeatability", paper.repeatability().signum() == 0 ? "" : paper.repeatability().toPlainString());
        return fields;
    }

    Map<String, Object> toPayload() {
        return Map.of("id", id, "kind", kind.name(), "gauge", gauge.toPayload());
    }

    static HouseGauge from(Payload p) {
        Gauge gauge = Gauge.from(p.part("gauge").fields());
        gauge.paper().orElseThrow();
        return new HouseGauge(p.text("id"),
                Rule.named(p.text("kind")).orElseThrow(() -> Refused.because(HouseReason.RULE_UNKNOWN, p.text("kind"))), gauge);
    }
}
