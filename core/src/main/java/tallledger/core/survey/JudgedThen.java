package tallledger.core.survey;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.gauge.Grade;
import tallledger.core.ledger.Payload;
import tallledger.core.reason.Reason;

/**
 * How a record was judged when it was written. It is never judged by again: it stands beside the judgement by what holds now, and
 * where the two differ both are shown.
 *
 * @param outcome what it came to
 * @param grade   best grade proven within
 * @param because the comparisons that decided then, with their numbers
 */
public record JudgedThen(Outcome outcome, Optional<Grade> grade, List<Reason> because) {

    public JudgedThen {
        because = List.copyOf(because);
    }

    Map<String, Object> toPayload() {
        Map<String, Object> fields = new HashMap<>(Map.of("outcome", outcome.name(), "because",
                because.stream().map(WrittenReason::write).toList()));
        grade.ifPresent(g -> fields.put("grade", g.name()));
        return fields;
    }

    /** Empty for records of before it was kept. */
    static Optional<JudgedThen> from(Payload record) {
        if (!record.has("judged")) {
            return Optional.empty();
        }
        Payload p = record.part("judged");
        return Optional.of(new JudgedThen(Outcome.valueOf(p.text("outcome")), p.optionalText("grade").map(Grade::valueOf),
                p.parts("because").stream().map(WrittenReason::read).toList()));
    }

    /** Whether what holds now comes to something else. */
    public boolean differsFrom(Outcome now, Optional<Grade> gradeNow) {
        return outcome != now || !grade.equals(gradeNow);
    }
}
