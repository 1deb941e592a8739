package tallledger.core.measuring;

import java.util.Optional;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.rules.Rules;

/**
 * What was read from a record, with the kind of record that read it: neither is any use without the other.
 *
 * @param <V> what that kind reads
 */
public record Recorded<V>(Recording<V> recording, V value) {

    public StepJudgement judge(Rules rules) {
        return recording.judge(value, rules);
    }

    public <T> T accept(RecordingVisitor.OfRecorded<T> visitor) {
        return recording.accept(value, visitor);
    }

    /** The value, where it is of that type. */
    public <T> Optional<T> as(Class<T> type) {
        return type.isInstance(value) ? Optional.of(type.cast(value)) : Optional.empty();
    }
}
