package tallledger.core.survey;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.evidence.Severity;
import tallledger.core.ledger.Payload;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;

/**
 * How a person judges a finding, against what the rules make of it, with why. One that stops use is never lowered so: it is put right
 * and tested again.
 *
 * @param target   number of the entry the finding rests on
 * @param severity as they judge it
 * @param why      in their words
 * @param whose    whether it is a fault of the machine at all
 * @param cost     to put it right, low, likely and high, in the user's money; empty where nobody says
 * @param time     minutes it costs each time, and how many times a day; empty where it costs none
 * @param repair   which repair of the house's table it leads to, where somebody chose one
 */
public record Regrade(int target, Severity severity, String why, Whose whose, List<BigDecimal> cost, List<BigDecimal> time,
        Optional<String> repair) {

    private static final BigDecimal MOST = new BigDecimal("10000000");

    /** Whether a finding is a fault of the machine, is made so, or comes from outside it: its supply, its air, a tool, its seat. */
    public enum Whose {
        FAULT, BY_DESIGN, OUTSIDE
    }

    public Regrade {
        cost = List.copyOf(cost);
        time = List.copyOf(time);
    }

    /** @throws Refused where nobody says why, or a figure is none */
    public static Regrade parse(int target, Severity severity, String why, Whose whose, String cost, String minutes, String times) {
        return parse(target, severity, why, whose, cost, minutes, times, "");
    }

    /**
     * As typed.
     *
     * @param repair what is done, as the house's table has it; empty where nobody chose
     * @throws Refused where nobody says why, or a figure is none
     */
    public static Regrade parse(int target, Severity severity, String why, Whose whose, String cost, String minutes, String times,
            String repair) {
        if (why.isBlank()) {
            throw Refused.because(SurveyReason.REASON_MISSING).at("why");
        }
        if (why.strip().length() > SurveyEntries.LONGEST_TEXT) {
            throw Refused.because(CommonReason.TEXT_LONG, why.strip().length(), SurveyEntries.LONGEST_TEXT).at("why");
        }
        if (minutes.isBlank() != times.isBlank()) {
            throw Refused.because(SurveyReason.REGRADE_TIME).at(minutes.isBlank() ? "minutesEach" : "timesADay");
        }
        List<BigDecimal> time = minutes.isBlank() ? List.of() : List.of(figure(minutes, "minutesEach"), figure(times, "timesADay"));
        return new Regrade(target, severity, why.strip(), whose, cost.isBlank() ? List.of() : costs(cost), time,
                repair.isBlank() ? Optional.empty() : Optional.of(repair.strip()));
    }

    /** One figure, or low, likely and high. */
    private static List<BigDecimal> costs(String typed) {
        List<BigDecimal> parts = java.util.Arrays.stream(typed.strip().split("\\s*[/;]\\s*|\\s+to\\s+|\\s*–\\s*"))
                .map(part -> figure(part, "cost")).toList();
        List<BigDecimal> three = parts.size() == 1 ? List.of(parts.get(0), parts.get(0), parts.get(0))
                : parts.size() == 2 ? List.of(parts.get(0), parts.get(0).add(parts.get(1)).divide(BigDecimal.valueOf(2)), parts.get(1))
                        : parts;
        if (three.size() != 3 || three.get(0).compareTo(three.get(1)) > 0 || three.get(1).compareTo(three.get(2)) > 0) {
            throw Refused.because(SurveyReason.REGRADE_COST, typed.strip()).at("cost");
        }
        return three;
    }

    private static BigDecimal figure(String typed, String field) {
        try {
            BigDecimal figure = TypedNumber.parse(typed).value();
            if (figure.signum() < 0 || figure.compareTo(MOST) > 0) {
                throw Refused.because(SurveyReason.REGRADE_FIGURE, typed.strip(), MOST);
            }
            return figure;
        } catch (Refused refused) {
            throw refused.at(field);
        }
    }

    /** Minutes a day; empty where it costs none. */
    public Optional<BigDecimal> minutesADay() {
        return time.isEmpty() ? Optional.empty() : Optional.of(time.get(0).multiply(time.get(1)).stripTrailingZeros());
    }

    Map<String, Object> toPayload() {
        Map<String, Object> fields = new HashMap<>(Map.of("target", target, "severity", severity.name(), "why", why, "byDesign",
                whose == Whose.BY_DESIGN));
        fields.put("outside", whose == Whose.OUTSIDE);
        fields.put("cost", cost.stream().map(BigDecimal::toPlainString).toList());
        repair.ifPresent(r -> fields.put("repair", r));
        fields.put("time", time.stream().map(BigDecimal::toPlainString).toList());
        return fields;
    }

    static Regrade from(Payload p) {
        return new Regrade(p.whole("target"), Severity.valueOf(p.text("severity")), p.text("why"), whose(p), p.decimals("cost"),
                p.decimals("time"), p.optionalText("repair"));
    }

    /** Older entries know nothing of "outside". */
    private static Whose whose(Payload p) {
        return p.flag("byDesign") ? Whose.BY_DESIGN : p.has("outside") && p.flag("outside") ? Whose.OUTSIDE : Whose.FAULT;
    }
}
