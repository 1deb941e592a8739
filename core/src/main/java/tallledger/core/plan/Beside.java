package tallledger.core.plan;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.family.Step;
import tallledger.core.reason.Reason;
import tallledger.core.survey.RunGate;
import tallledger.core.survey.Survey;
import tallledger.core.survey.Task;

/**
 * What comes next for one of several who survey together: none takes what another is at, and while one is at something that turns, nobody
 * else is sent to the spindle.
 *
 * @param next the task; empty where nothing is open
 * @param why  why that one
 */
public record Beside(Optional<Task> next, Reason why) {

    /**
     * @param others what others are at now
     */
    public static Beside of(Survey survey, SheetPlan plan, Collection<Task> others) {
        if (others.isEmpty() || plan.next().isEmpty()) {
            return new Beside(plan.next(), plan.why());
        }
        boolean turns = others.stream().anyMatch(Beside::turns);
        Optional<Task> free = candidates(survey, plan).filter(task -> others.stream().noneMatch(o -> o.key().equals(task.key())))
                .filter(task -> !(turns && turns(task))).findFirst();
        Task next = free.orElse(plan.next().get());
        Reason why = free.isEmpty() ? Reason.of(PlanReason.NEXT_BESIDE_NONE)
                : next.key().equals(plan.next().get().key()) ? plan.why() : Reason.of(PlanReason.NEXT_BESIDE);
        // Whoever starts the spindle does not see where another's hands are.
        return new Beside(Optional.of(next), turns(next) ? Reason.of(PlanReason.NEXT_BESIDE_TURNS, why) : why);
    }

    /** The plan's own first; then its steps in the order of work, from where it is on and round; then its runs. */
    private static Stream<Task> candidates(Survey survey, SheetPlan plan) {
        List<Step> open = survey.steps().open().stream().filter(s -> plan.chosen().contains(s.id()))
                .filter(s -> RunGate.refusal(survey, s).isEmpty() && !survey.steps().later().contains(Task.of(s))).toList();
        int here = plan.next().get().phase().ordinal();
        return Stream.of(plan.next().stream(), open.stream().filter(s -> s.phase().ordinal() >= here).map(Task::of),
                open.stream().filter(s -> s.phase().ordinal() < here).map(Task::of),
                plan.spindle().plan().runs().stream().map(run -> Task.of(run.route()))).flatMap(s -> s);
    }

    private static boolean turns(Task task) {
        return task.route().isPresent() || task.step().filter(Step::runs).isPresent();
    }
}
