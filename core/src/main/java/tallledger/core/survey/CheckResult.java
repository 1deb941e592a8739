package tallledger.core.survey;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.gauge.Verdict;
import tallledger.core.ledger.Entry;
import tallledger.core.reading.TypedNumber;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * One drive check as recorded.
 *
 * @param good    what the surveyor says of it
 * @param seconds stopping time, where it was measured
 * @param brake   which grade the stopping time is proven within
 * @param then    how it was judged when it was written
 */
public record CheckResult(int entry, Instant at, String author, DriveCheck check, boolean good, Optional<BigDecimal> seconds,
        Optional<Figure.Against> brake, String remark, Optional<JudgedThen> then) {

    static CheckResult of(Entry entry, WorkEvent.Checked checked, Rules rules) {
        return new CheckResult(entry.sequence(), entry.at(), entry.by().author().written(), checked.check(), checked.good(),
                checked.seconds().map(TypedNumber::value),
                brake(checked.check(), checked.seconds(), rules), checked.remark(), checked.then());
    }

    /**
     * What a check comes to as it is written.
     *
     * @param seconds as typed, may be empty
     */
    static JudgedThen judged(DriveCheck check, boolean good, String seconds, Rules rules) {
        Optional<Figure.Against> brake = brake(check, seconds(seconds), rules);
        return new JudgedThen(isBad(good, brake) ? Outcome.FAILED : Outcome.PROVEN, brake.flatMap(Figure.Against::grade), List.of());
    }

    static Optional<TypedNumber> seconds(String typed) {
        return typed.isEmpty() ? Optional.empty() : Optional.of(TypedNumber.parsePositive(typed));
    }

    private static Optional<Figure.Against> brake(DriveCheck check, Optional<TypedNumber> seconds, Rules rules) {
        return check == DriveCheck.BRAKE ? seconds.map(s -> reached(s, rules)) : Optional.empty();
    }

    private static Figure.Against reached(TypedNumber seconds, Rules rules) {
        double u = Uncertainty.of(rules.value(Rule.STOPWATCH), 0).withDigit(seconds.step().doubleValue() / Math.sqrt(12)).expanded();
        return rules.graded(Rule.SPINDLE_STOP).reached(seconds.value(), u);
    }

    /** Whether it is a finding: said to be bad, or slower than the widest limit. */
    public boolean isBad() {
        return isBad(good, brake);
    }

    private static boolean isBad(boolean good, Optional<Figure.Against> brake) {
        return !good || brake.filter(b -> b.verdict() == Verdict.OUTSIDE).isPresent();
    }
}
