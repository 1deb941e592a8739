package tallledger.core.verdict;

import java.util.ArrayList;
import java.util.List;
import tallledger.core.evidence.Severity;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.survey.Regrade;
import tallledger.core.survey.Survey;
import tallledger.core.survey.TaskStatus;

/**
 * The visit in one look: what may be done with the machine, by rule, and the worst of what was found.
 *
 * @param use   one sentence, or two where so little was looked at that the first is not all
 * @param done  how much of it was done, and how it came out
 * @param worst three findings at most, those that stop use first
 * @param more  findings beyond those
 */
public record VerdictGlance(List<Reason> use, Reason done, List<Finding> worst, int more) {

    private static final int SHOWN = 3;

    public static VerdictGlance of(Survey survey, Money money) {
        List<Finding> findings = money.priced().stream().filter(p -> p.by() != Money.By.SELLER_REPAIRS).map(Money.PricedFinding::finding)
                // What stops use stops it whoever's fault it is.
                .filter(f -> f.severity() == Severity.STOP_USE || f.severity() != Severity.NOTE && f.whose() == Regrade.Whose.FAULT)
                .toList();
        List<Object> stop = named(findings, Severity.STOP_USE);
        List<Object> before = named(findings, Severity.BEFORE_USE);
        boolean enough = money.known() >= survey.rules().share(Rule.GLANCE_KNOWN).doubleValue();
        long known = Math.round(100 * money.known());
        List<Reason> use = new ArrayList<>();
        if (!stop.isEmpty()) {
            use.add(Reason.of(VerdictReason.GLANCE_STOP, stop));
        }
        // What is usable once a thing is put right was looked at; where it was not, that leads.
        if (!enough) {
            use.add(Reason.of(VerdictReason.GLANCE_LITTLE, known));
        }
        if (stop.isEmpty() && !before.isEmpty()) {
            use.add(Reason.of(enough ? VerdictReason.GLANCE_BEFORE : VerdictReason.GLANCE_BEFORE_AMONG, before));
        } else if (stop.isEmpty() && enough) {
            use.add(Reason.of(VerdictReason.GLANCE_NOTHING, known));
        }
        return new VerdictGlance(List.copyOf(use), done(TaskStatus.tally(TaskStatus.byPhase(survey))),
                findings.stream().limit(SHOWN).toList(),
                Math.max(0, findings.size() - SHOWN));
    }

    private static Reason done(TaskStatus.Tally t) {
        int done = t.good() + t.bad() + t.undecided();
        return done == 0 ? Reason.of(VerdictReason.GLANCE_NONE_DONE, t.all())
                : Reason.of(VerdictReason.GLANCE_DONE, done, t.all(), t.bad() + t.undecided(), t.bad(), t.undecided(), t.inferred(),
                        t.passed());
    }

    private static List<Object> named(List<Finding> findings, Severity severity) {
        return findings.stream().filter(f -> f.severity() == severity).map(f -> (Object) f.brief()).toList();
    }
}
