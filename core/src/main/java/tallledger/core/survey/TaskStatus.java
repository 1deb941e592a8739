package tallledger.core.survey;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import tallledger.core.coverage.Mark;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.Route;
import tallledger.core.family.Phase;
import tallledger.core.family.Step;
import tallledger.core.gauge.Grade;
import tallledger.core.ledger.NotedEntry;

/**
 * How one task of a survey stands, be it a speed, a step or a check at the spindle.
 *
 * @param task     which
 * @param counts   the record that counts, with its judgement; empty where it is open
 * @param entries  every record of it that was not struck, in order
 * @param passed   why it was passed over, with the entry that says so
 * @param inferred whether it need not be done: others prove it
 * @param later    whether it was put off
 * @param again    whether a repair wants it done again
 */
public record TaskStatus(Task task, Optional<TaskResult> counts, List<Integer> entries, Optional<NotedEntry<String>> passed,
        boolean inferred,
        boolean later, boolean again) {

    public TaskStatus {
        entries = List.copyOf(entries);
    }

    /**
     * Every task of a survey by its phase, in the order of work; phases without one are left out. In a survey of the spindle drive alone
     * its checks stand with its speeds.
     */
    public static Map<Phase, List<TaskStatus>> byPhase(Survey survey) {
        Map<Phase, List<TaskStatus>> phases = new EnumMap<>(Phase.class);
        Map<Task, List<Integer>> made = survey.made().stream()
                .collect(Collectors.groupingBy(TaskResult::task, Collectors.mapping(TaskResult::entry, Collectors.toList())));
        survey.drive().steps().forEach(route -> phases.computeIfAbsent(Phase.SPINDLE, x -> new ArrayList<>())
                .add(of(route, survey, made.getOrDefault(Task.of(route), List.of()))));
        boolean driveOnly = survey.steps().scope() == Scope.SPINDLE_DRIVE;
        survey.steps().inScope().forEach(step -> phases.computeIfAbsent(driveOnly ? Phase.SPINDLE : step.phase(), x -> new ArrayList<>())
                .add(of(step, survey, made.getOrDefault(Task.of(step), List.of()))));
        return phases;
    }

    /** Backwards nothing is inferred: a speed's mark is its own way's. */
    private static TaskStatus of(Route route, Survey survey, List<Integer> entries) {
        SpindleSurvey drive = survey.drive();
        Task task = Task.of(route);
        boolean inferred = drive.table().speedOf(route).filter(s -> drive.coverage().mark(s) == Mark.INFERRED).isPresent()
                && !drive.machine().train().isReverse(route);
        return new TaskStatus(task, Optional.ofNullable(drive.latest().get(route)), entries,
                Optional.ofNullable(drive.passed().get(route)), inferred, survey.steps().later().contains(task), drive.repeats()
                        .contains(route));
    }

    private static TaskStatus of(Step step, Survey survey, List<Integer> entries) {
        StepLedger steps = survey.steps();
        Task task = Task.of(step);
        return new TaskStatus(task, Optional.ofNullable(steps.latest().get(step.id())), entries,
                Optional.ofNullable(steps.passed().get(step.id())), steps.isSpared(step), steps.later().contains(task), steps.repeats()
                        .contains(step.id()));
    }

    /** What its record comes to; empty where it is open. */
    public Optional<Outcome> outcome() {
        return counts.map(TaskResult::outcome);
    }

    /** Best grade proven within, where there are grades. */
    public Optional<Grade> grade() {
        return counts.flatMap(TaskResult::grade);
    }

    /** Not recorded, not passed over, not inferred. */
    public boolean isOpen() {
        return counts.isEmpty() && passed.isEmpty() && !inferred;
    }

    /** Whether nobody has tried it and nothing proves it: open, put off, or passed over. */
    public boolean isUntested() {
        return counts.isEmpty() && !inferred;
    }

    /**
     * How many tasks stand how; each is counted once.
     *
     * @param all       tasks in the scope of the survey
     * @param good      recorded, as it should be
     * @param bad       recorded, not as it should be
     * @param undecided recorded, too close to call
     * @param inferred  not recorded: others prove it
     * @param passed    passed over, with a reason
     * @param open      nothing is known
     */
    public record Tally(int all, int good, int bad, int undecided, int inferred, int passed, int open) {
    }

    /** @param standings of a survey, by phase */
    public static Tally tally(Map<Phase, List<TaskStatus>> standings) {
        List<TaskStatus> all = standings.values().stream().flatMap(List::stream).toList();
        int good = count(all, s -> s.outcome().filter(Outcome.PROVEN::equals).isPresent());
        int bad = count(all, s -> s.outcome().filter(Outcome.FAILED::equals).isPresent());
        int undecided = count(all, s -> s.outcome().filter(Outcome.UNDECIDED::equals).isPresent());
        int inferred = count(all, s -> s.counts.isEmpty() && s.inferred);
        int passed = count(all, s -> s.isUntested() && s.passed.isPresent());
        return new Tally(all.size(), good, bad, undecided, inferred, passed, all.size() - good - bad - undecided - inferred - passed);
    }

    private static int count(List<TaskStatus> all, Predicate<TaskStatus> which) {
        return (int) all.stream().filter(which).count();
    }
}
