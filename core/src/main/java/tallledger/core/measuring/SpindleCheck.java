package tallledger.core.measuring;

import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.rules.Rules;

/** A check at the spindle: kept as an entry of its own kind, which may also hold a stopping time. */
public record SpindleCheck(DriveCheck check) implements Recording<NothingTyped> {

    private static final String PREFIX = "check-";

    /** The step's id. */
    public static String id(DriveCheck check) {
        return PREFIX + check.name();
    }

    @Override
    public Optional<DriveCheck> driveCheck() {
        return Optional.of(check);
    }

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.spindleCheck(this);
    }

    @Override
    public <T> T accept(NothingTyped value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.spindleCheck(this, value);
    }

    @Override
    public String code() {
        return "check";
    }

    @Override
    public List<RecordField> fields() {
        return List.of();
    }

    @Override
    public NothingTyped read(Values values) {
        return NothingTyped.WRITTEN;
    }

    @Override
    public StepJudgement judge(NothingTyped nothing, Rules rules) {
        return StepJudgement.of(Outcome.PROVEN);
    }
}
