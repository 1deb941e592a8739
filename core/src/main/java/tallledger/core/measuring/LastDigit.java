package tallledger.core.measuring;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;

/**
 * Whether a verdict hangs on noughts that were not typed: "3" in of travel is read to ± ½ in by its last digit, "3.00" to ± 0.005 in.
 */
public final class LastDigit {

    private static final Pattern FIGURE = Pattern.compile("(?<![\\w./])\\d+(\\.\\d+)?(?![\\w./])(?! \\d+/)");

    private LastDigit() {
    }

    /**
     * Says of the first field for which two more noughts would settle the outcome or the grade, how it would be typed then.
     *
     * @throws Refused naming the field that cannot be read
     */
    public static Optional<Reason> hangs(Recording<?> recording, Values values, Rules rules) {
        StepJudgement asTyped = recording.weigh(values, rules);
        return recording.fields().stream().filter(f -> f.isLength() && values.has(f.name()))
                .flatMap(f -> said(recording, values, f, asTyped, rules).stream()).findFirst();
    }

    private static Optional<Reason> said(Recording<?> recording, Values values, RecordField field, StepJudgement asTyped, Rules rules) {
        String finer = FIGURE.matcher(values.text(field.name())).replaceAll(m -> m.group() + (m.group(1) == null ? ".00" : "00"));
        Map<String, String> retyped = new HashMap<>(values.typed());
        retyped.put(field.name(), finer);
        try {
            StepJudgement then = recording.weigh(new Values(retyped, values.unit(), values.readWith(), values.apart(), values.bare()),
                    rules);
            return then.outcome() == asTyped.outcome() && then.grade().equals(asTyped.grade()) ? Optional.empty()
                    : Optional.of(Reason.of(MeasuringReason.LAST_DIGIT, values.text(field.name()), finer));
        } catch (Refused notSo) {
            return Optional.empty();
        }
    }
}
