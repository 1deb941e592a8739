package tallledger.core.measuring;

/** Done on a screen of its own; the step only says that it was gone through. */
public record SeparateScreen(String page) implements WithoutFields {
    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.separateScreen(this);
    }

    @Override
    public <T> T accept(NothingTyped value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.separateScreen(this, value);
    }

    @Override
    public String code() {
        return "elsewhere";
    }
}
