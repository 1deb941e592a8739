package tallledger.core.plan;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tallledger.core.drive.Route;
import tallledger.core.family.Phase;
import tallledger.core.family.Step;
import tallledger.core.family.StepId;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.survey.RunGate;
import tallledger.core.survey.Scope;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.Survey;
import tallledger.core.survey.Task;

/**
 * The plan of the whole sheet: what a repair wants repeated first; then on from where the surveyor is, phase by phase; what was
 * put off comes at the end. In "my minutes" it holds the speeds and steps that take most off the unknown ({@link MinuteChoice}).
 *
 * @param spindle      plan of the spindle's runs
 * @param chosen       ids of open steps that fit the minutes; all of them unless minutes are stated
 * @param next         the next step or speed
 * @param why          why that one
 * @param minutesSpent from the first entry to the last, long pauses left out
 * @param minutesOpen  what is open would take
 */
public record SheetPlan(SurveyPlan spindle, Set<StepId> chosen, Optional<Task> next, Reason why, double minutesSpent, double minutesOpen) {

    private static final double MINUTE = 60;

    public static SheetPlan of(Survey survey, Instant now) {
        Set<Route> held = new HashSet<>(RunGate.refused(survey));
        Set<Route> put = putOff(survey);
        held.addAll(put);
        // While something stops use nothing is run: what is still offered is what nothing turns for.
        List<Step> open = survey.steps().open().stream().filter(s -> RunGate.refusal(survey, s).isEmpty()).toList();
        SurveyPlan spindle = SurveyPlan.of(survey, now, held, open);
        Set<StepId> chosen = spindle.minutes().map(MinuteChoice::steps)
                .orElseGet(() -> new HashSet<>(open.stream().map(Step::id).toList()));
        double minutesOpen = Step.minutes(open) + spindle.plan().seconds() / MINUTE;
        Optional<Task> repeat = survey.steps().repeats().stream().flatMap(id -> survey.steps().step(id).stream())
                .filter(s -> RunGate.refusal(survey, s).isEmpty()).map(Task::of).filter(task -> !survey.steps().later().contains(task))
                .findFirst();
        if (repeat.isPresent()) {
            return new SheetPlan(spindle, chosen, repeat, Reason.of(PlanReason.NEXT_REPEAT), spent(survey), minutesOpen);
        }
        Next next = next(survey.steps(), spindle, open.stream().filter(s -> chosen.contains(s.id())).toList(), put);
        return new SheetPlan(spindle, chosen, next.task, next.why, spent(survey), minutesOpen);
    }

    private record Next(Optional<Task> task, Reason why) {
    }

    private static Set<Route> putOff(Survey survey) {
        Set<Route> put = new HashSet<>();
        survey.steps().later().forEach(task -> task.route().ifPresent(put::add));
        return put;
    }

    /** On from the phase last worked in, round to its beginning; the spindle's runs come before the other steps of their phase. */
    private static Next next(StepLedger ledger, SurveyPlan spindle, List<Step> open, Set<Route> put) {
        for (Phase phase : from(ledger)) {
            if (phase == Phase.SPINDLE && spindle.next().isPresent()) {
                return new Next(spindle.next().map(Task::of), spindle.why());
            }
            Optional<Step> step = open.stream().filter(s -> s.phase() == phase && !ledger.later().contains(Task.of(s))).findFirst();
            if (step.isPresent()) {
                return new Next(step.map(Task::of), Reason.of(PlanReason.NEXT_PLAN));
            }
        }
        Optional<Task> later = ledger.later().stream()
                .filter(task -> task.step().filter(open::contains).isPresent() || task.route().filter(put::contains).isPresent())
                .findFirst();
        return new Next(later, Reason.of(later.isPresent() ? PlanReason.NEXT_LATER : PlanReason.NEXT_NONE));
    }

    private static List<Phase> from(StepLedger ledger) {
        Phase here = ledger.last().map(Task::phase).orElse(ledger.scope() == Scope.WHOLE ? Phase.DESK : Phase.SPINDLE);
        List<Phase> phases = new ArrayList<>(List.of(here));
        if (ledger.scope() == Scope.SPINDLE_DRIVE) {
            phases.add(0, Phase.SPINDLE);
        }
        phases.addAll(List.of(Phase.values()));
        return phases;
    }

    private static double spent(Survey survey) {
        Duration pause = survey.rules().time(Rule.CONFIRMED_FOR);
        List<Instant> times = survey.entries().stream().filter(e -> e.damage().isEmpty()).map(Entry::at).toList();
        double seconds = 0;
        for (int i = 1; i < times.size(); i++) {
            Duration gap = Duration.between(times.get(i - 1), times.get(i));
            seconds += gap.isNegative() || gap.compareTo(pause) > 0 ? 0 : gap.toMillis() / 1000.0;
        }
        return seconds / MINUTE;
    }
}
