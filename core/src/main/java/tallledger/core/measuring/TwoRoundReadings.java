package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.Optional;
import tallledger.core.gauge.Gauge;
import tallledger.core.geometry.Round;
import tallledger.core.geometry.TwoRounds;
import tallledger.core.reading.TypedLength;

/**
 * Two rounds.
 *
 * @param apart mm from one plane to the other; empty where the arbor was turned
 */
public record TwoRoundReadings(Round first, Round second, Optional<TypedLength> apart, BigDecimal step, Optional<Gauge> by) {

    public TwoRounds vectors() {
        return TwoRounds.of(first, second);
    }
}
