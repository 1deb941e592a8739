package tallledger.core.blame;

import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.StageKind;
import tallledger.core.reason.Refused;

/**
 * One thing to check behind a symptom, or behind a step's system that is not as it should be, with what it costs: look before
 * you dismantle.
 *
 * @param about   name of the symptom, or of the system
 * @param kind    which kind of element; empty for any: a free explanation that is asked first
 * @param what    what to look at
 * @param low     cost range, in the user's money
 */
public record Check(String about, Optional<StageKind> kind, String what, BigDecimal low, BigDecimal likely, BigDecimal high) {

    public Check {
        if (what.isBlank() || what.length() > 300) {
            throw Refused.because(BlameReason.CHECK_WHAT, 300);
        }
        if (low.signum() < 0 || likely.compareTo(low) < 0 || high.compareTo(likely) < 0) {
            throw Refused.because(BlameReason.CHECK_COSTS, low, likely, high);
        }
    }

    /** @param element name of the kind of element; empty for any */
    public static Check of(String about, String element, String what, BigDecimal low, BigDecimal likely, BigDecimal high) {
        Optional<StageKind> kind = element.isEmpty() ? Optional.empty()
                : Optional.of(Stream.of(StageKind.values()).filter(k -> k.name().equals(element))
                        .findFirst().orElseThrow(() -> Refused.because(BlameReason.CHECK_ELEMENT, element).at("element")));
        return new Check(about, kind, what, low, likely, high);
    }

    /** Checks for a symptom at an element, cheapest first; what costs nothing and fits any element comes before all. */
    public static List<Check> cheapestFirst(List<Check> table, Symptom symptom, StageKind kind) {
        return table.stream().filter(c -> c.about.equals(symptom.name()) && (c.kind.isEmpty() || c.kind.get() == kind))
                .sorted(Comparator.comparing(Check::likely).thenComparing(c -> c.kind.isPresent())).toList();
    }

    /** Checks for a step's system, whatever axis it is of, cheapest first. */
    public static List<Check> cheapestFirst(List<Check> table, String name) {
        return table.stream().filter(c -> c.about.equals(name)).sorted(Comparator.comparing(Check::likely)).toList();
    }
}
