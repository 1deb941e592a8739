package tallledger.core.survey;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.School;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Payload;
import tallledger.core.reading.TypedNumber;

/**
 * How the runs are planned, as somebody chose.
 *
 * @param minutes there are, from {@code at} on; empty for as long as it takes
 */
record PlanChoice(School school, Optional<BigDecimal> minutes, Instant at) {

    static PlanChoice from(Entry entry) {
        Payload p = entry.payload();
        String minutes = p.text("minutes");
        return new PlanChoice(School.valueOf(p.text("school")), minutes.isEmpty() ? Optional.empty() : Optional.of(TypedNumber.parsePositive(minutes).value()), entry.at());
    }

    /** The last one that can be read. */
    static Optional<PlanChoice> last(List<Entry> entries) {
        for (int i = entries.size() - 1; i >= 0; i--) {
            Entry entry = entries.get(i);
            if (entry.kind().equals(Kind.PLAN_CHOSEN.name()) && entry.damage().isEmpty()) {
                try {
                    return Optional.of(from(entry));
                } catch (IllegalArgumentException stray) {
                    // The fold lists it as a stray; the choice before it stands.
                    continue;
                }
            }
        }
        return Optional.empty();
    }
}
