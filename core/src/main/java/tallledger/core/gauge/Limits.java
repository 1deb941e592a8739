package tallledger.core.gauge;

import java.math.BigDecimal;
import tallledger.core.reason.Reason;
import tallledger.core.unit.Unit;

/** What a figure is held against: an upper limit in three grades, or two ends. */
public sealed interface Limits permits GradedLimit, Limit {

    Unit unit();

    /** Where the limit comes from: a house rule, the machine's own chart, the plate, or what somebody claims. */
    Reason source();

    /** The highest value that is good in any grade. */
    BigDecimal most();

    /** Whether only what is too large is outside it. */
    boolean isOneSided();
}
