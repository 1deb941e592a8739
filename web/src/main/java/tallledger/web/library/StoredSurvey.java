package tallledger.web.library;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import tallledger.core.ledger.Author;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rules;
import tallledger.core.survey.Basis;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.Stray;

/**
 * A survey's book, read and folded.
 *
 * @param id             its book
 * @param machine        the machine, at its newest version
 * @param machineVersion the version this survey judges by
 * @param core           what its entries come to
 * @param newestRules the house's rules as they stand now; the survey judges by those it names
 * @param unjudged       entries that name a version of the description that cannot be read
 * @param own            where its own chain breaks: it takes no entry then
 * @param underneath     where what it judges by is not what was written: the description or the house's rules
 */
public record StoredSurvey(long id, StoredMachine machine, int machineVersion, tallledger.core.survey.Survey core, int newestRules,
        List<Stray> unjudged, Optional<Chain.Break> own, Optional<Chain.Break> underneath) {

    /** Where its record is not what was written. */
    public Optional<Chain.Break> broken() {
        return own.or(() -> underneath);
    }

    /** What its spindle runs come to. */
    public SpindleSurvey folded() {
        return core.drive();
    }

    /** What its steps come to. */
    public StepLedger steps() {
        return core.steps();
    }

    public List<Entry> entries() {
        return core.entries();
    }

    /** Sequence of the last entry: what a form shown now has seen. */
    public int head() {
        return entries().get(entries().size() - 1).sequence();
    }

    public Rules rules() {
        return core.rules();
    }

    public boolean isBehindRules() {
        return core.house().version() < newestRules;
    }

    public boolean isBehindDescription() {
        return machineVersion < machine.version();
    }

    /** Who writes here now, as typed; in the role they last gave in this survey, unless they give one. */
    public Authorship by(Clock clock, String typed) {
        Author author = Author.parse(typed);
        String usual = "";
        for (Entry entry : entries()) {
            if (entry.author().equals(author.name()) && !entry.by().author().role().isEmpty()) {
                usual = entry.by().author().role();
            }
        }
        return new Authorship(clock.instant(), clock.getZone(), author.or(usual));
    }

    /** What a record is judged by now. */
    public Basis basis() {
        return Basis.of(core.machine().identity().unit(), machineVersion, core.house().version());
    }

    public String lastAuthor() {
        return entries().get(entries().size() - 1).author();
    }

    /** Entries that count as nothing, each with its reason. */
    public Map<Integer, Reason> strays() {
        Map<Integer, Reason> strays = new TreeMap<>();
        Stream.of(unjudged, core.strays()).flatMap(List::stream).forEach(s -> strays.putIfAbsent(s.entry().sequence(), s.because()));
        return strays;
    }
}
