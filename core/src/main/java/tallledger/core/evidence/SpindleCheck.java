package tallledger.core.evidence;

import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.rules.Rules;

/** A check at the spindle: kept as an entry of its own kind, which may also hold a stopping time. */
public record SpindleCheck(DriveCheck check) implements Recording<Recordings.Nothing> {

    private static final String PREFIX = "check-";

    /** The step's id. */
    public static String id(DriveCheck check) {
        return PREFIX + check.name();
    }

    @Override
    public <T> T tell(Kinds<T> kinds) {
        return kinds.spindleCheck(this);
    }

    @Override
    public Optional<DriveCheck> driveCheck() {
        return Optional.of(check);
    }

    @Override
    public String code() {
        return "check";
    }

    @Override
    public List<Field> fields() {
        return List.of();
    }

    @Override
    public Recordings.Nothing read(Values values) {
        return Recordings.Nothing.WRITTEN;
    }

    @Override
    public StepJudgement judge(Recordings.Nothing nothing, Rules rules) {
        return StepJudgement.of(Outcome.PROVEN);
    }
}
