package tallledger.core.measuring;

import java.util.Optional;
import tallledger.core.evidence.DriveCheck;

/** A check at the spindle: kept as an entry of its own kind, which may also hold a stopping time. */
public record SpindleCheck(DriveCheck check) implements WithoutFields {

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
}
