package tallledger.core.survey;

import java.math.BigDecimal;
import java.math.MathContext;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.Route;
import tallledger.core.drive.Speed;
import tallledger.core.drive.SpeedTable;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Verdict;
import tallledger.core.ledger.Entry;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * One run with its judgement.
 *
 * @param entry     sequence of its entry
 * @param at        when
 * @param author    by whom
 * @param route     which route
 * @param record    what was recorded
 * @param nominal   what it was judged against, min⁻¹
 * @param source    where that comes from
 * @param judgement the verdict on the reading, where there is one to judge
 * @param outcome   what the run comes to
 * @param then      how it was judged when it was written
 */
public record Run(int entry, Instant at, String author, Route route, RunRecord record, Optional<BigDecimal> nominal,
                  SpeedTable.Source source, Optional<Judgement> judgement, Outcome outcome, Optional<JudgedThen> then) {

    private static final MathContext RECKONED = new MathContext(4);
    private static final MathContext RATIO = MathContext.DECIMAL64;

    static Run of(Entry entry, Route route, Event.RunMade made, SpeedTable table, Rules rules) {
        RunRecord record = made.record();
        Optional<Judgement> judgement = judgement(route, record, table, rules);
        return new Run(entry.sequence(), entry.at(), entry.by().author().written(), route, record, nominal(table, route), table.source(route), judgement,
                outcome(record, judgement), made.then());
    }

    /** What a run comes to as it is written. */
    static JudgedThen judged(Route route, RunRecord record, SpeedTable table, Rules rules) {
        Optional<Judgement> judgement = judgement(route, record, table, rules);
        return new JudgedThen(outcome(record, judgement), Optional.empty(), judgement.map(j -> List.of(j.because())).orElse(List.of()));
    }

    /** ± share of a plate speed: the plate's own, else the house's. */
    public static BigDecimal tolerance(SpeedTable table, Rules rules) {
        return table.plate().tolerance().orElseGet(() -> rules.share(Rule.SPEED_TOLERANCE));
    }

    private static Optional<Judgement> judgement(Route route, RunRecord record, SpeedTable table, Rules rules) {
        return record.reading().flatMap(reading -> nominal(table, route).map(n ->
                Judgement.of(reading.rpm(), reading.expanded(rules), Limit.aboutSpeed(n, tolerance(table, rules)))));
    }

    /** What the plate says; where it cannot be read, what its other cells say stands there. */
    static Optional<BigDecimal> nominal(SpeedTable table, Route route) {
        return table.nominal(route).or(() -> table.speedOf(route).filter(s -> s.kind() == Speed.Kind.UNREADABLE)
                .flatMap(Speed::expected).map(n -> new BigDecimal(n).round(RECKONED)));
    }

    private static Outcome outcome(RunRecord record, Optional<Judgement> judgement) {
        if (!record.symptoms().isEmpty() || judgement.filter(j -> j.verdict() == Verdict.OUTSIDE).isPresent()) {
            return Outcome.FAILED;
        }
        boolean within = judgement.filter(j -> j.verdict() == Verdict.WITHIN).isPresent();
        return within || record.swept() ? Outcome.PROVEN : Outcome.UNDECIDED;
    }

    /** How it was judged when it was written, where that was something else. */
    public Optional<JudgedThen> otherwiseThen() {
        return then.filter(t -> t.differsFrom(outcome, Optional.empty()));
    }

    /** δ = (n_read − n_plate)/n_plate, a share. */
    public Optional<BigDecimal> deviation() {
        return record.reading().flatMap(r -> nominal.map(n -> r.rpm().subtract(n).divide(n, RATIO)));
    }
}
