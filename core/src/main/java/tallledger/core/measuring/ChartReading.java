package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.Optional;
import tallledger.core.gauge.Gauge;
import tallledger.core.reading.TypedLength;

/**
 * What was read at a line of a chart: the result alone, a swing at some distance, or the readings themselves.
 *
 * @param <V> what the readings of its way of measuring are read to
 */
public sealed interface ChartReading<V> permits ChartReading.ResultAlone, ChartReading.AtDistance, ChartReading.Readings {

    /**
     * A result typed as it is.
     *
     * @param value mm, below nought where it lies the way it must not
     * @param over  length it was measured over; empty where the limit does not scale
     * @param apart machine less gauge, K; empty where nobody read it
     */
    record ResultAlone<V>(BigDecimal value, BigDecimal step, Optional<TypedLength> over, Optional<Gauge> by, Optional<BigDecimal> apart)
            implements
                ChartReading<V> {
    }

    /** A swing out from the nose. */
    record AtDistance<V>(SwingAtDistance swing) implements ChartReading<V> {
    }

    /** The readings of its way of measuring. */
    record Readings<V>(V readings) implements ChartReading<V> {
    }
}
