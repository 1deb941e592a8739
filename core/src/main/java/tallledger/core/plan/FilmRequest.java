package tallledger.core.plan;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import tallledger.core.coverage.HouseTimes;
import tallledger.core.coverage.RunPlan;
import tallledger.core.coverage.RunPlanner;
import tallledger.core.coverage.School;
import tallledger.core.drive.Route;
import tallledger.core.drive.Speed;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Need;
import tallledger.core.family.Phase;
import tallledger.core.family.Step;
import tallledger.core.measuring.SeparateScreen;
import tallledger.core.survey.FilmBears;
import tallledger.core.survey.Survey;
import tallledger.core.survey.Task;

/**
 * One thing to be filmed in one go: a speed or a step that a film can bear (W 4.9). Never one that wants a cover off, a hand in, or an
 * electrician.
 *
 * @param task    which
 * @param worth   what it takes off the unknown, in the user's money (W 4.2)
 * @param seconds of the filmer's time: setting and showing it, by the house's times, and 15 s a shot (house)
 * @param shows   seconds the picture should show it without a cut
 * @param needs   what must be safe or free first
 * @param set     labels to set, a lever each, in the drive's order; empty for a step
 */
public record FilmRequest(Task task, double worth, double seconds, double shows, List<Need> needs, List<String> set) {

    /** What a shot takes beside what it shows: walking, looking, pressing the key, s (house). */
    public static final double A_SHOT = 15;
    private static final double A_MINUTE = 60;
    /** Whoever films does not open anything, reach in, or measure with gauges. */
    private static final Set<Need.Kind> NOT_ASKED = EnumSet.of(Need.Kind.POWER_ISOLATED, Need.Kind.ELECTRICIAN, Need.Kind.LEVEL_AND_WARM,
            Need.Kind.BAR_CLEAN, Need.Kind.DRAWBAR_SEATED, Need.Kind.WORK_HELD, Need.Kind.BLED);
    private static final Set<Phase> NOT_FILMED = EnumSet.of(Phase.DESK, Phase.TEST_CUT, Phase.HOT_CHECK);

    public FilmRequest {
        needs = List.copyOf(needs);
        set = List.copyOf(set);
    }

    /** Worth a minute of the filmer's time. */
    public double aMinute() {
        return worth * A_MINUTE / seconds;
    }

    /** Whether it is asked of somebody who films: the picture bears it, and nothing is opened or reached into. */
    static boolean isAsked(Step step) {
        boolean written = step.ifBad() == Severity.NOTE || step.recording() instanceof SeparateScreen;
        return !written && FilmBears.of(step) == FilmBears.Bears.YES && !NOT_FILMED.contains(step.phase())
                && step.needs().stream().noneMatch(n -> NOT_ASKED.contains(n.kind()));
    }

    static FilmRequest of(Step step, LookingWorth worths) {
        return new FilmRequest(Task.of(step), worths.of(step), step.seconds() + A_SHOT, step.seconds(), step.needs(), List.of());
    }

    /** The fewest runs that exercise every gear, from cold, of what nothing proves yet; in their order. */
    static List<FilmRequest> runs(Survey survey, LookingWorth worths) {
        RunPlanner planner = new RunPlanner(survey.drive().table(), survey.drive().elements(), survey.rules());
        RunPlan plan = planner.plan(School.EVERY_GEAR, 0, 0, survey.drive().outcomes(), survey.drive().passed().keySet(), Optional.empty(),
                OptionalDouble.empty());
        HouseTimes times = HouseTimes.of(survey.rules());
        List<FilmRequest> runs = new ArrayList<>();
        for (RunPlan.PlannedRun run : plan.runs()) {
            double worth = run.proves().stream().mapToDouble(worths::of).sum();
            double rpm = survey.drive().table().speedOf(run.route()).flatMap(Speed::expected).orElse(Double.MAX_VALUE);
            boolean sweep = survey.machine().train().isSweep(run.route());
            runs.add(new FilmRequest(Task.of(run.route()), worth, run.seconds() + A_SHOT, times.run(rpm, sweep), List.of(),
                    settings(survey, run.route())));
        }
        // What proves nothing is only run on the way to what does.
        while (!runs.isEmpty() && runs.get(runs.size() - 1).worth <= 0) {
            runs.remove(runs.size() - 1);
        }
        return List.copyOf(runs);
    }

    private static List<String> settings(Survey survey, Route route) {
        return survey.machine().train().settings(route);
    }
}
