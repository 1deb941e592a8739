package tallledger.core.measuring;

import java.util.Optional;
import tallledger.core.gauge.Gauge;
import tallledger.core.geometry.Straightness;

/**
 * Points along a way.
 *
 * @param digit u of one rise, mm, of its last digit
 */
public record HeightsAlong(Straightness run, double digit, Optional<Gauge> by) {
}
