package tallledger.core.survey;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.Optional;
import tallledger.core.coverage.School;

/**
 * How the runs are planned, as somebody chose.
 *
 * @param minutes there are, from {@code at} on; empty for as long as it takes
 */
public record PlanChoice(School school, Optional<BigDecimal> minutes, Instant at) {
}
