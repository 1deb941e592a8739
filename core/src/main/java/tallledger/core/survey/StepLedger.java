package tallledger.core.survey;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tallledger.core.coverage.Outcome;
import tallledger.core.cutting.CutMade;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Catalogue;
import tallledger.core.family.Need;
import tallledger.core.family.Phase;
import tallledger.core.family.Step;
import tallledger.core.family.StepId;
import tallledger.core.kit.KitList;
import tallledger.core.kit.Lift;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.measuring.PlateText;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.safety.Mounted;

/**
 * A survey's steps.
 *
 * @param rules   of the house, as judged by
 * @param scope   how much is gone through
 * @param steps   the catalogue of this machine, in order
 * @param results what was recorded of them
 * @param sitting where the surveyor is, and what stands confirmed
 * @param goods   kit, papers and weights
 */
public record StepLedger(Rules rules, Scope scope, List<Step> steps, Results results, Sitting sitting, Goods goods) {

    private static final List<String> PLATES = List.of("serial", "motor-plate");

    /**
     * What was recorded of the steps.
     *
     * @param latest  the result that counts for each step
     * @param all     every result that was not struck, in order
     * @param passed  steps passed over and not done since, with why and the entry that says so
     * @param repeats steps to be done again after a repair
     * @param judged  every result ever judged, those struck since as well
     * @param severities how bad persons say some are, by entry
     */
    public record Results(Map<StepId, StepResult> latest, List<StepResult> all, Map<StepId, NotedEntry<String>> passed,
            List<StepId> repeats,
            List<StepResult> judged, Map<Integer, Severity> severities) {
    }

    /**
     * Where the surveyor is.
     *
     * @param last      the step or speed last recorded
     * @param later     what was put off
     * @param standing  what was confirmed last of each subject
     * @param mounted   what is on the spindle, where it was said
     * @param wheelMark what is marked on the wheel, as the step of that name has it
     * @param temperatures of machine and gauges, where they were read
     * @param cut       the test cut made last, with its entry
     * @param until     time of the last entry
     * @param despite   entries of what stops use and was named at the last start, by who starts: they keep clear of it
     * @param left      the entry by which the machine was last stopped and left; nought where it never was
     */
    public record Sitting(Optional<Task> last, List<Task> later, Map<String, Need> standing, Optional<Mounted> mounted,
            Optional<Mounted> wheelMark, Optional<Temperatures> temperatures, Optional<NotedEntry<CutMade>> cut, Instant until,
            Set<Integer> despite, int left) {
    }

    /**
     * What goes with the machine.
     *
     * @param kit  kit and papers as they stand
     * @param lift weight against the lift, with its entry's number
     */
    public record Goods(KitList kit, Optional<NotedEntry<Lift>> lift) {
    }

    public Map<StepId, StepResult> latest() {
        return results.latest;
    }

    public List<StepResult> all() {
        return results.all;
    }

    public Map<StepId, NotedEntry<String>> passed() {
        return results.passed;
    }

    public List<StepId> repeats() {
        return results.repeats;
    }

    public List<StepResult> judged() {
        return results.judged;
    }

    public Optional<Task> last() {
        return sitting.last;
    }

    public List<Task> later() {
        return sitting.later;
    }

    /** What was read off the machine's own plates, as typed: its serial number and its motor's. */
    public List<StepResult> platesRead() {
        return latest().values().stream().filter(r -> PLATES.contains(r.step().code()) && r.as(PlateText.class).isPresent())
                .sorted(Comparator.comparing(r -> PLATES.indexOf(r.step().code()))).toList();
    }

    public Optional<Mounted> mounted() {
        return sitting.mounted;
    }

    public Optional<Mounted> wheelMark() {
        return sitting.wheelMark;
    }

    /** How warm machine and gauges are, where that was read in this sitting; after a long pause nobody knows. */
    public Optional<Temperatures> temperatures(Instant now) {
        return sitting.temperatures.filter(t -> Duration.between(sitting.until, now).compareTo(rules.time(Rule.CONFIRMED_FOR)) <= 0);
    }

    /** The cut that a step of the test cut is measured on. */
    public Optional<NotedEntry<CutMade>> cut(Step step) {
        return step.phase() == Phase.TEST_CUT ? sitting.cut : Optional.empty();
    }

    public KitList kit() {
        return goods.kit;
    }

    public Optional<NotedEntry<Lift>> lift() {
        return goods.lift;
    }

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
    public List<AskedNeed> asked(Step step) {
        List<AskedNeed> asked = new ArrayList<>();
        if (reverses(step)) {
            asked.add(new AskedNeed(new Need(Need.Kind.AT_REST, step.about().get(0)), true));
        }
        step.needs().forEach(need -> asked.add(new AskedNeed(need, !need.equals(sitting.standing.get(need.subject())))));
        return asked;
    }

    /**
     * One need of a step.
     *
     * @param changed whether it differs from what was confirmed last
     */
    public record AskedNeed(Need need, boolean changed) {
    }

    /** The step before moved the same axis the other way: let it come to rest. */
    private boolean reverses(Step step) {
        if (step.about().size() < 2 || results.all.isEmpty()) {
            return false;
        }
        Step before = results.all.get(results.all.size() - 1).step();
        return before.about().size() > 1 && before.axis().equals(step.axis()) && !before.about().get(1).equals(step.about().get(1));
    }

    /** Whether a step need not be done: a good one spares it, or every lever position of its feed was proven elsewhere. */
    public boolean isSpared(Step step) {
        if (results.latest.containsKey(step.id()) || results.repeats.contains(step.id())) {
            return false;
        }
        boolean named = results.latest.values().stream()
                .anyMatch(r -> r.outcome() == Outcome.PROVEN && r.step().spares().contains(step.code()));
        return named || Set.of(Catalogue.FEED_PLATE, Catalogue.THREAD_PLATE).contains(step.code()) && isInferred(step);
    }

    /** As with speeds: every position exercised by a proven feed and none of them on a failed one. */
    private boolean isInferred(Step step) {
        Set<String> proven = new HashSet<>();
        Set<String> failed = new HashSet<>();
        for (StepResult result : results.latest.values()) {
            if (result.step().code().equals(step.code())) {
                (result.outcome() == Outcome.PROVEN ? proven : result.isBad() ? failed : new HashSet<String>())
                        .addAll(positions(result.step()));
            }
        }
        Set<String> own = positions(step);
        return proven.containsAll(own) && own.stream().noneMatch(failed::contains);
    }

    private static Set<String> positions(Step step) {
        Set<String> positions = new HashSet<>();
        List<String> at = step.recording().leverPositions();
        for (int i = 0; i < at.size(); i++) {
            positions.add(i + ":" + at.get(i));
        }
        return positions;
    }

    /** Steps nobody has done, passed over or been spared. */
    public List<Step> open() {
        return inScope().stream().filter(s -> !results.latest.containsKey(s.id()) && !results.passed.containsKey(s.id()) && !isSpared(s))
                .toList();
    }

    /** By the rules, or because somebody says so of a finding, one too close to call as well; nobody lowers it. */
    private boolean stopsUse(StepResult result) {
        boolean said = results.severities.get(result.entry()) == Severity.STOP_USE;
        return result.isBad() && (said || result.severity() == Severity.STOP_USE) || said && result.outcome() == Outcome.UNDECIDED;
    }

    /** Open findings that stop use, of the machine itself: while one stands nothing is run. */
    public List<StepResult> stopUse() {
        return results.latest.values().stream().filter(r -> stopsUse(r) && r.step().phase().compareTo(Phase.KIT) < 0).toList();
    }
}
