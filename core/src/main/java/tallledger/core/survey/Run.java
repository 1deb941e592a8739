package tallledger.core.survey;

import java.math.BigDecimal;
import java.math.MathContext;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.Route;
import tallledger.core.drive.Speed;
import tallledger.core.drive.SpeedTable;
import tallledger.core.gauge.Grade;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Verdict;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.measuring.SpeedRead;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.Reason;
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
 * @param overdue   that the calibration of its gauge had run out, where it had
 * @param seen      where in a film it was seen; empty for one made at the machine
 * @param doubt     why what the film shows decides nothing, where it does not
 */
public record Run(int entry, Instant at, String author, Route route, RunRecord record, Optional<BigDecimal> nominal,
        SpeedTable.Source source, Optional<Judgement> judgement, Outcome outcome, Optional<JudgedThen> then,
        Optional<Reason> overdue, Optional<FilmMoment> seen, Optional<Reason> doubt) implements TaskResult {

    private static final MathContext RECKONED = new MathContext(4);
    private static final MathContext RATIO = MathContext.DECIMAL64;

    static Run of(Entry entry, Route route, WorkEvent.RunMade made, SpeedTable table, Rules rules, Footage footage) {
        RunRecord record = made.record();
        Optional<FilmMoment> seen = FilmMoment.of(entry);
        Optional<Reason> doubt = FilmedRun.doubt(route, record.reading(), seen, table, rules, footage);
        Optional<Judgement> judgement = doubt.isPresent() ? Optional.empty() : judgement(route, record, table, rules);
        return new Run(entry.sequence(), entry.at(), entry.by().author().written(), route, record, nominal(table, route),
                table.source(route), judgement,
                outcome(record, judgement, doubt), made.then(), record.reading().flatMap(SpeedReading::readWith)
                        .flatMap(by -> Overdue.said(by, entry)),
                seen, doubt);
    }

    /** What a run comes to as it is written. */
    static JudgedThen judged(Route route, RunRecord record, SpeedTable table, Rules rules, Optional<FilmMoment> seen, Footage footage) {
        Optional<Reason> doubt = FilmedRun.doubt(route, record.reading(), seen, table, rules, footage);
        Optional<Judgement> judgement = doubt.isPresent() ? Optional.empty() : judgement(route, record, table, rules);
        return new JudgedThen(outcome(record, judgement, doubt), Optional.empty(),
                Stream.concat(doubt.stream(), judgement.map(Judgement::because).stream()).toList());
    }

    private static Optional<Judgement> judgement(Route route, RunRecord record, SpeedTable table, Rules rules) {
        return record.reading().flatMap(reading -> recording(table, route).verdict(reading, rules));
    }

    /** Why what a film shows of a route would decide nothing; empty at the machine, and where it would. */
    public static Optional<Reason> doubt(SpindleSurvey drive, Route route, SpeedReading reading, Optional<FilmMoment> seen) {
        return FilmedRun.doubt(route, Optional.of(reading), seen, drive.table(), drive.rules(), drive.drive().footage());
    }

    /** How a speed of this route is read and judged. */
    public static SpeedRead recording(SpeedTable table, Route route) {
        return new SpeedRead(nominal(table, route), table.plate().tolerance());
    }

    /** What the plate says; where it cannot be read, what its other cells say stands there. */
    static Optional<BigDecimal> nominal(SpeedTable table, Route route) {
        return table.nominal(route).or(() -> table.speedOf(route).filter(s -> s.kind() == Speed.Kind.UNREADABLE)
                .flatMap(Speed::expected).map(n -> new BigDecimal(n).round(RECKONED)));
    }

    private static Outcome outcome(RunRecord record, Optional<Judgement> judgement, Optional<Reason> doubt) {
        if (!record.symptoms().isEmpty() || judgement.filter(j -> j.verdict() == Verdict.OUTSIDE).isPresent()) {
            return Outcome.FAILED;
        }
        boolean within = judgement.filter(j -> j.verdict() == Verdict.WITHIN).isPresent();
        return within || record.swept() && doubt.isEmpty() ? Outcome.PROVEN : Outcome.UNDECIDED;
    }

    @Override
    public Task task() {
        return Task.of(route);
    }

    /** A speed is right or not: there are no grades. */
    @Override
    public Optional<Grade> grade() {
        return Optional.empty();
    }

    @Override
    public List<Reason> because() {
        return Stream.of(doubt, judgement.map(Judgement::because), overdue).flatMap(Optional::stream).toList();
    }

    @Override
    public String remark() {
        return record.remark();
    }

    /** What was read and bears on the machine: not what a film leaves open. */
    public Optional<SpeedReading> reading() {
        return doubt.isPresent() ? Optional.empty() : record.reading();
    }

    /** δ = (n_read − n_plate)/n_plate, a share. */
    public Optional<BigDecimal> deviation() {
        return reading().flatMap(r -> nominal.map(n -> r.rpm().subtract(n).divide(n, RATIO)));
    }
}
