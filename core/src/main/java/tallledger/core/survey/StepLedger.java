package tallledger.core.survey;

import tallledger.core.family.Catalogue;
import tallledger.core.family.Step;
import tallledger.core.family.StepId;
import tallledger.core.evidence.MotionRecordings;
import tallledger.core.family.Need;
import tallledger.core.family.Phase;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tallledger.core.evidence.Severity;
import tallledger.core.coverage.Outcome;
import tallledger.core.kit.KitList;
import tallledger.core.kit.Lift;
import tallledger.core.ledger.Noted;
import tallledger.core.rules.Rules;
import tallledger.core.safety.Mounted;

/**
 * A survey's steps.
 *
 * @param rules    of the house, as judged by
 * @param scope    how much is gone through
 * @param steps    the catalogue of this machine, in order
 * @param latest   the result that counts for each step
 * @param all      every result that was not struck, in order
 * @param passed   steps passed over and not done since, with why and the entry that says so
 * @param later    what was put off
 * @param repeats  steps to be done again after a repair
 * @param mounted  what is on the spindle, where it was said
 * @param wheelMark what is marked on the wheel, as the step of that name has it
 * @param standing what was confirmed last of each subject
 * @param kit      kit and papers as they stand
 * @param lift     weight against the lift, with its entry's number
 * @param last     the step or speed last recorded
 * @param judged   every result ever judged, those struck since as well
 */
public record StepLedger(Rules rules, Scope scope, List<Step> steps, Map<StepId, StepResult> latest, List<StepResult> all, Map<StepId, Noted<String>> passed, List<Task> later,
                         List<StepId> repeats, Optional<Mounted> mounted, Optional<Mounted> wheelMark, Map<String, Need> standing, KitList kit,
                         Optional<Noted<Lift>> lift, Optional<Task> last, List<StepResult> judged) {

    /** A step of the catalogue, or a cycle besides it. */
    public Optional<Step> step(String written) {
        return step(StepId.read(written));
    }

    public Optional<Step> step(StepId id) {
        return steps.stream().filter(s -> s.id().equals(id)).findFirst().or(() -> Catalogue.extra(id, rules));
    }

    /** Steps this survey goes through. */
    public List<Step> inScope() {
        return steps.stream().filter(scope::includes).toList();
    }

    /** Needs of a step with whether each must be confirmed afresh: only what changed since the last step is asked. */
    public List<Asked> asked(Step step) {
        List<Asked> asked = new ArrayList<>();
        if (reverses(step)) {
            asked.add(new Asked(new Need(Need.Kind.AT_REST, step.about().get(0)), true));
        }
        step.needs().forEach(need -> asked.add(new Asked(need, !need.equals(standing.get(need.subject())))));
        return asked;
    }

    /**
     * One need of a step.
     *
     * @param changed whether it differs from what was confirmed last
     */
    public record Asked(Need need, boolean changed) {
    }

    /** The step before moved the same axis the other way: let it come to rest. */
    private boolean reverses(Step step) {
        if (step.about().size() < 2 || all.isEmpty()) {
            return false;
        }
        Step before = all.get(all.size() - 1).step();
        return before.about().size() > 1 && before.axis().equals(step.axis()) && !before.about().get(1).equals(step.about().get(1));
    }

    /** Whether a step need not be done: a good one spares it, or every lever position of its feed was proven elsewhere. */
    public boolean isSpared(Step step) {
        if (latest.containsKey(step.id()) || repeats.contains(step.id())) {
            return false;
        }
        boolean named = latest.values().stream().anyMatch(r -> r.outcome() == Outcome.PROVEN && r.step().spares().contains(step.code()));
        return named || step.code().equals(Catalogue.FEED_PLATE) && isFeedInferred(step);
    }

    /** As with speeds: every position exercised by a proven feed and none of them on a failed one. */
    private boolean isFeedInferred(Step step) {
        Set<String> proven = new HashSet<>();
        Set<String> failed = new HashSet<>();
        for (StepResult result : latest.values()) {
            if (result.step().code().equals("feed-plate")) {
                (result.outcome() == Outcome.PROVEN ? proven : result.isBad() ? failed : new HashSet<String>()).addAll(positions(result.step()));
            }
        }
        Set<String> own = positions(step);
        return proven.containsAll(own) && own.stream().noneMatch(failed::contains);
    }

    private static Set<String> positions(Step step) {
        Set<String> positions = new HashSet<>();
        if (step.recording() instanceof MotionRecordings.Feed feed) {
            for (int i = 0; i < feed.at().size(); i++) {
                positions.add(i + ":" + feed.at().get(i));
            }
        }
        return positions;
    }

    /** Steps nobody has done, passed over or been spared. */
    public List<Step> open() {
        return inScope().stream().filter(s -> !latest.containsKey(s.id()) && !passed.containsKey(s.id()) && !isSpared(s)).toList();
    }

    /** Open findings that stop use, of the machine itself: while one stands nothing is run. */
    public List<StepResult> stopUse() {
        return latest.values().stream().filter(r -> r.isBad() && r.severity() == Severity.STOP_USE && r.step().phase().compareTo(Phase.KIT) < 0).toList();
    }
}
