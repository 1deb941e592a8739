package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Refused;

/** Readings in the order taken. */
public record ReadingSeries(List<TypedLength> readings, BigDecimal step, Optional<Gauge> by) {

    static final int MOST = 200;
    static final int FEWEST = 3;

    public BigDecimal range() {
        return readings.stream().map(TypedLength::mm).max(BigDecimal::compareTo).orElseThrow()
                .subtract(readings.stream().map(TypedLength::mm).min(BigDecimal::compareTo).orElseThrow());
    }

    double mean() {
        return readings.stream().mapToDouble(r -> r.mm().doubleValue()).average().orElse(0);
    }

    /** s, n − 1. */
    public double deviation() {
        double mean = mean();
        return Math.sqrt(readings.stream().mapToDouble(r -> Math.pow(r.mm().doubleValue() - mean, 2)).sum() / (readings.size() - 1));
    }

    /** Least squares over the order, mm a piece. */
    public double trend() {
        double mx = (readings.size() - 1) / 2.0;
        double mean = mean();
        double top = IntStream.range(0, readings.size()).mapToDouble(i -> (i - mx) * (readings.get(i).mm().doubleValue() - mean)).sum();
        return top / IntStream.range(0, readings.size()).mapToDouble(i -> (i - mx) * (i - mx)).sum();
    }

    /** Whether the trend over all of them is more than the scatter about it explains: by Student's t for n − 2, two-sided 95 %. */
    public boolean hasTrend() {
        int n = readings.size();
        double mx = (n - 1) / 2.0;
        double b = trend();
        double mean = mean();
        double rest = IntStream.range(0, n).mapToDouble(i -> Math.pow(readings.get(i).mm().doubleValue() - mean - b * (i - mx), 2))
                .sum();
        double sb = Math.sqrt(rest / Math.max(n - 2, 1) / IntStream.range(0, n).mapToDouble(i -> (i - mx) * (i - mx)).sum());
        return Math.abs(b) > Uncertainty.student(n - 2) * sb && Math.abs(b) > 1e-9;
    }

    static ReadingSeries row(Values values, String field) {
        List<TypedLength> readings = TypedRows.signed(values.text(field), values, field);
        if (readings.size() < FEWEST || readings.size() > MOST) {
            throw Refused.because(MeasuringReason.ROW_COUNT, readings.size(), FEWEST, MOST).at(field);
        }
        return new ReadingSeries(readings, Values.coarsest(readings), values.readWith());
    }
}
