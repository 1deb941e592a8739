package tallledger.core.drive;

import tallledger.core.reason.Refused;

/**
 * A closed interval of factors or speeds; a fixed factor is a span of no width.
 *
 * @param low  lower end, above nought
 * @param high upper end, not below {@code low}
 */
public record Span(double low, double high) {

    public Span {
        if (!(low > 0) || !(high >= low) || Double.isInfinite(high)) {
            throw Refused.because(DriveReason.SPAN_CROSSED, low, high);
        }
    }

    public static Span fixed(double value) {
        return new Span(value, value);
    }

    public boolean slides() {
        return high > low;
    }

    public Span times(Span other) {
        return new Span(low * other.low, high * other.high);
    }
}
