package tallledger.core.survey;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.Optional;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Payload;
import tallledger.core.reading.TypedNumber;

/**
 * One drive check as recorded.
 *
 * @param good    what the surveyor says of it
 * @param seconds stopping time, where it was measured
 * @param brake   which grade the stopping time is proven within
 */
public record CheckResult(int entry, Instant at, String author, DriveCheck check, boolean good, Optional<BigDecimal> seconds,
                          Optional<GradedLimit.Reached> brake, String remark) {

    /** A person's stopwatch, u in s (house rule). */
    private static final double STOPWATCH = 0.1;

    static CheckResult from(Entry entry) {
        Payload p = entry.payload();
        DriveCheck check = DriveCheck.valueOf(p.text("check"));
        Optional<TypedNumber> typed = p.text("seconds").isEmpty() ? Optional.empty() : Optional.of(TypedNumber.parsePositive(p.text("seconds")));
        Optional<BigDecimal> seconds = typed.map(TypedNumber::value);
        Optional<GradedLimit.Reached> brake = check == DriveCheck.BRAKE ? typed.map(CheckResult::reached) : Optional.empty();
        return new CheckResult(entry.sequence(), entry.at(), entry.author(), check, p.flag("good"), seconds, brake, p.text("remark"));
    }

    private static GradedLimit.Reached reached(TypedNumber seconds) {
        double u = Uncertainty.of(STOPWATCH, 0).withDigit(seconds.step().doubleValue() / Math.sqrt(12)).expanded();
        return GradedLimit.SPINDLE_STOP.reached(seconds.value(), u);
    }

    /** Whether it is a finding: said to be bad, or slower than the widest limit. */
    public boolean isBad() {
        return !good || brake.filter(b -> b.verdict() == tallledger.core.gauge.Verdict.OUTSIDE).isPresent();
    }
}
