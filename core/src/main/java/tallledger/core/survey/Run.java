package tallledger.core.survey;

import java.math.BigDecimal;
import java.math.MathContext;
import java.time.Instant;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.Route;
import tallledger.core.drive.Speed;
import tallledger.core.drive.SpeedTable;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Verdict;

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
 */
public record Run(int entry, Instant at, String author, Route route, RunRecord record, Optional<BigDecimal> nominal,
                  SpeedTable.Source source, Optional<Judgement> judgement, Outcome outcome) {

    private static final MathContext RECKONED = new MathContext(4);
    private static final MathContext RATIO = MathContext.DECIMAL64;

    static Run of(int entry, Instant at, String author, Route route, RunRecord record, SpeedTable table) {
        Optional<BigDecimal> nominal = nominal(table, route);
        BigDecimal tolerance = table.plate().tolerance().orElse(Limit.HOUSE_SPEED_TOLERANCE);
        Optional<Judgement> judgement = record.reading().flatMap(reading -> nominal.map(n ->
                Judgement.of(reading.rpm(), reading.expanded(), Limit.aboutSpeed(n, tolerance))));
        return new Run(entry, at, author, route, record, nominal, table.source(route), judgement, outcome(record, judgement));
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

    /** δ = (n_read − n_plate)/n_plate, a share. */
    public Optional<BigDecimal> deviation() {
        return record.reading().flatMap(r -> nominal.map(n -> r.rpm().subtract(n).divide(n, RATIO)));
    }
}
