package tallledger.web.runsheet;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.family.Step;
import tallledger.core.plan.SheetPlan;
import tallledger.core.reason.Reason;
import tallledger.core.survey.FilmBears;
import tallledger.core.survey.Survey;
import tallledger.core.survey.Task;
import tallledger.core.survey.TaskStatus;
import tallledger.web.words.WebReason;

/** What is looked for next in a film. */
final class FilmTasks {

    private FilmTasks() {
    }

    /** What the plan would do next, or else the first open one that a film can show. */
    static Optional<Task> next(Survey survey, SheetPlan plan) {
        List<Task> open = TaskStatus.byPhase(survey).values().stream().flatMap(List::stream).filter(TaskStatus::isOpen)
                .map(TaskStatus::task).filter(FilmTasks::isShown).toList();
        return Stream.concat(plan.next().stream().filter(open::contains), open.stream()).findFirst();
    }

    private static boolean isShown(Task task) {
        return task.step().map(s -> FilmBears.of(s) != FilmBears.Bears.NO).orElse(true);
    }

    /** Why a step is not recorded from a film. */
    static Optional<Reason> refusal(Step step) {
        return FilmBears.of(step) == FilmBears.Bears.NO ? Optional.of(Reason.of(WebReason.FILM_BEARS_NOT)) : Optional.empty();
    }
}
