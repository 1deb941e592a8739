package tallledger.core.measuring;

/** Looked at or listened to; the surveyor says how it is. */
public record Inspection() implements WithoutFields {
    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.inspection(this);
    }

    @Override
    public <T> T accept(NothingTyped value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.inspection(this, value);
    }

    @Override
    public String code() {
        return "look";
    }
}
