package tallledger.web.shelfindex;

import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Coverage;
import tallledger.core.evidence.Severity;
import tallledger.core.ledger.Chain;
import tallledger.core.machine.Identity;
import tallledger.core.price.Offer;
import tallledger.core.price.Stakes;
import tallledger.core.verdict.Finding;
import tallledger.core.verdict.Money;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.StoredSurvey;
import tallledger.web.words.Words;

/**
 * What the shelf shows of a machine. It is derived from the books and kept for as long as they have not grown; it is never trusted over
 * them, and made anew where it is missing. Its sentences are in words, since the build that made them is known.
 *
 * @param survey  its newest survey
 * @param counts  coverage of that
 * @param worst   its worst finding
 * @param known   speeds proven, failed or inferred, and steps done or spared
 * @param all     of so many speeds and steps
 * @param steps   steps done
 * @param inScope of so many
 * @param money   what its faults and the untested come to; empty before it is surveyed
 * @param away    whether it was put away
 * @param broken  entry at which the machine's record, or its newest survey's, is not what was written
 */
public record Summary(long machine, Identity identity, Optional<Long> survey, Optional<Coverage.Counts> counts, Optional<Worst> worst,
        int findings, int known, int all, int steps, int inScope, Optional<Amounts> money, Optional<Integer> broken, boolean away) {

    /** Its worst finding, in words. */
    public record Worst(Severity severity, String says) {
    }

    /**
     * In the currency of its survey, converted by nobody.
     *
     * @param known share of what testing is worth that was tested
     */
    public record Amounts(double putRight, double unknown, Optional<Double> offer, Optional<Double> asking, String currency, double known) {

        static Amounts of(Money money) {
            return new Amounts(money.putRight().mean(), money.unknown(), money.offer().map(Offer::offer),
                    money.stakes().flatMap(Stakes::asking).map(a -> a.value().doubleValue()),
                    money.stakes().map(Stakes::currency).orElse(""), money.known());
        }

        /** The offer as a share of what is asked; below nought where nobody can say. */
        public double offerToAsking() {
            return offer.isPresent() && asking.isPresent() ? offer.get() / asking.get() : -1;
        }
    }

    static Summary of(StoredMachine machine, Optional<StoredSurvey> newest, Words words) {
        Optional<Coverage.Counts> counts = newest.map(s -> s.folded().coverage().counts());
        List<Finding> findings = newest.map(s -> Finding.of(s.core())).orElse(List.of());
        int speeds = counts.map(c -> c.proven() + c.failed() + c.inferred()).orElse(0);
        int steps = newest.map(s -> s.steps().latest().size()).orElse(0);
        int spared = newest.map(s -> (int) s.steps().inScope().stream().filter(s.steps()::isSpared).count()).orElse(0);
        int inScope = newest.map(s -> s.steps().inScope().size()).orElse(0);
        return new Summary(machine.id(), machine.description().identity(), newest.map(StoredSurvey::id), counts,
                findings.stream().findFirst().map(f -> new Worst(f.severity(), words.say(f.what()))), findings.size(),
                speeds + steps + spared, counts.map(Coverage.Counts::all).orElse(0) + inScope, steps, inScope,
                newest.map(s -> Amounts.of(Money.of(s.core(), Money.WhatIf.NOTHING))), machine.broken()
                        .or(() -> newest.flatMap(StoredSurvey::broken)).map(Chain.Break::sequence),
                machine.away().isPresent());
    }

    /** Of two equally known, the one somebody ran more of comes first. */
    public double runShare() {
        return counts.map(c -> (double) c.run() / c.all()).orElse(-1.0);
    }

    public double share() {
        return all == 0 ? -1.0 : (double) known / all;
    }
}
