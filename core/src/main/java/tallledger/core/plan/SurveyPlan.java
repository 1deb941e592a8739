package tallledger.core.plan;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import tallledger.core.blame.Blame;
import tallledger.core.blame.SpeedCause;
import tallledger.core.blame.SpeedCauses;
import tallledger.core.blame.Trial;
import tallledger.core.coverage.ColdSpindle;
import tallledger.core.coverage.HouseTimes;
import tallledger.core.coverage.Outcome;
import tallledger.core.coverage.RunChoice;
import tallledger.core.coverage.RunPlan;
import tallledger.core.coverage.RunPlanner;
import tallledger.core.coverage.School;
import tallledger.core.drive.Route;
import tallledger.core.family.Step;
import tallledger.core.gauge.Verdict;
import tallledger.core.reason.Reason;
import tallledger.core.survey.PlanChoice;
import tallledger.core.survey.Run;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.Survey;

/**
 * What to do next, made afresh from a survey's entries: repeats after a repair first; then, where something failed and no one
 * part is clear yet, the run that tells most; then the plan of the chosen school.
 *
 * @param school      chosen school
 * @param minutesLeft minutes left of those stated, never below nought; empty where none were
 * @param plan        runs that are left, in order
 * @param minutes     what the minutes stated buy of speeds and other steps together; empty where none were
 * @param blame       suspects behind symptoms; empty while nothing failed by one
 * @param causes      what explains wrong readings, best first
 * @param next        the next step
 * @param why         why that one
 */
public record SurveyPlan(School school, Optional<BigDecimal> minutesLeft, RunPlan plan, Optional<MinuteChoice> minutes,
        Optional<Blame> blame, List<SpeedCause> causes, Optional<Route> next, Reason why) {

    private static final BigDecimal SECONDS = BigDecimal.valueOf(60);

    /** Of the spindle alone. */
    public static SurveyPlan of(Survey survey, Instant now) {
        return of(survey, now, Set.of(), List.of());
    }

    /**
     * @param held   routes not to be planned now: put off, or beyond what is marked on wheel or chuck
     * @param others steps that want a share of the minutes
     */
    public static SurveyPlan of(Survey whole, Instant now, Set<Route> held, List<Step> others) {
        SpindleSurvey survey = whole.drive();
        Optional<PlanChoice> chosen = whole.plan();
        School school = chosen.map(PlanChoice::school).orElse(School.EVERY_SPEED);
        Optional<BigDecimal> minutesLeft = chosen.flatMap(c -> minutesLeft(c, now));
        double seconds = minutesLeft.map(m -> m.multiply(SECONDS).doubleValue()).orElse(0.0);
        RunPlanner planner = new RunPlanner(survey.table(), survey.elements(), survey.rules());
        var outcomes = survey.outcomes();
        survey.repeats().forEach(outcomes::remove);
        Optional<Blame> blame = blame(survey, held);
        Set<Route> not = notToPlan(survey, school, blame);
        not.addAll(held);
        if (school != School.MY_MINUTES || minutesLeft.isEmpty()) {
            RunPlan plan = planner.plan(school, 0, 0, outcomes, not, survey.standing(), survey.highestRun());
            return choose(survey, school, minutesLeft, plan, Optional.empty(), blame, held);
        }
        LookingWorth worths = LookingWorth.of(whole);
        RunChoice choice = planner.choice(seconds, worths::of, outcomes, not, survey.standing(), survey.highestRun());
        MinuteChoice minutes = MinuteChoice.of(choice, others, worths, seconds, whole.rules());
        return choose(survey, school, minutesLeft, planner.minutes(choice, minutes.way(), seconds - minutes.seconds()),
                Optional.of(minutes), blame, held);
    }

    private static SurveyPlan choose(SpindleSurvey survey, School school, Optional<BigDecimal> minutesLeft, RunPlan plan,
            Optional<MinuteChoice> minutes, Optional<Blame> blame, Set<Route> held) {
        List<SpeedCause> causes = causes(survey);
        Optional<Route> repeat = survey.repeats().stream().filter(r -> !held.contains(r)).findFirst();
        if (repeat.isPresent()) {
            return new SurveyPlan(school, minutesLeft, plan, minutes, blame, causes, repeat, Reason.of(PlanReason.NEXT_REPEAT));
        }
        Optional<Route> first = plan.runs().stream().findFirst().map(RunPlan.PlannedRun::route);
        Optional<Blame.Telling> telling = blame.filter(b -> b.hunt() == Blame.Hunt.GOES_ON).flatMap(Blame::tellsMost);
        // "Every speed" goes through its speeds first: they are evidence too. What they leave open is hunted afterwards.
        if (telling.isPresent() && (school != School.EVERY_SPEED || first.isEmpty())) {
            return new SurveyPlan(school, minutesLeft, plan, minutes, blame, causes, telling.map(Blame.Telling::route),
                    Reason.of(telling.get().isRepeat() ? PlanReason.NEXT_TELLS_AGAIN : PlanReason.NEXT_TELLS, telling.get().gain()));
        }
        return new SurveyPlan(school, minutesLeft, plan, minutes, blame, causes, first,
                Reason.of(first.isPresent() ? PlanReason.NEXT_PLAN : PlanReason.NEXT_NONE));
    }

    /**
     * Chance that nothing is behind what was heard or felt. Empty where nothing was, and where one of those runs was read outside its limit
     * as well: a reading is not imagined.
     */
    public OptionalDouble imagined(SpindleSurvey survey) {
        boolean read = survey.runs().stream().filter(run -> !survey.isFromBeforeRepair(run) && !run.record().symptoms().isEmpty())
                .anyMatch(run -> run.judgement().filter(j -> j.verdict() == Verdict.OUTSIDE).isPresent());
        return read || blame.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(blame.get().noFault());
    }

    /** How the hunt ended; empty while it goes on, and where "imagined" would be said of what was read as well. */
    public Optional<Blame.Hunt> ended(SpindleSurvey survey) {
        return blame.map(Blame::hunt).filter(h -> h != Blame.Hunt.GOES_ON)
                .filter(h -> h != Blame.Hunt.NO_FAULT || imagined(survey).isPresent());
    }

    /** What explains readings that are off, best first. */
    public static List<SpeedCause> causes(SpindleSurvey survey) {
        return SpeedCauses.of(survey.table(), readings(survey), survey.rules());
    }

    /**
     * Routes passed over; and, where one part is clearly to blame, every route through it, which can prove nothing until it is put right.
     */
    private static Set<Route> notToPlan(SpindleSurvey survey, School school, Optional<Blame> blame) {
        Set<Route> not = new HashSet<>(survey.passed().keySet());
        if (school != School.EVERY_SPEED) {
            blame.filter(Blame::isClear).map(b -> b.suspects().get(0).element()).filter(survey.elements()::isChoice).ifPresent(
                    bad -> survey.machine().train().routes().stream().filter(r -> r.at(bad.stage()) == bad.position()).forEach(not::add));
        }
        return not;
    }

    private static Optional<BigDecimal> minutesLeft(PlanChoice choice, Instant now) {
        BigDecimal gone = BigDecimal.valueOf(Duration.between(choice.at(), now).toSeconds())
                .divide(SECONDS, 1, java.math.RoundingMode.HALF_UP);
        return choice.minutes().map(stated -> stated.subtract(gone).max(BigDecimal.ZERO));
    }

    /**
     * Blame over every run since the last repair of something on its route, once one of them failed by a symptom. One that was read and
     * heard nothing of passes here, whatever its speed: it turned, and quietly.
     *
     * @param held routes not to be run now: what tells most is looked for among the others
     */
    static Optional<Blame> blame(SpindleSurvey survey, Set<Route> held) {
        List<Trial> trials = trials(survey);
        if (trials.stream().noneMatch(Trial::failed)) {
            return Optional.empty();
        }
        OptionalDouble highest = survey.highestRun();
        ColdSpindle cold = ColdSpindle.of(survey.table(), survey.rules());
        HouseTimes times = HouseTimes.of(survey.rules());
        List<Route> allowed = survey.table().speeds().stream().filter(s -> !s.isSweep()).filter(s -> cold.allows(highest, s))
                .flatMap(s -> s.routes().stream()).filter(r -> !survey.passed().containsKey(r) && !held.contains(r)).toList();
        return Optional.of(Blame.of(survey.elements(), trials, allowed, route -> survey.standing()
                .map(s -> times.move(survey.machine().train(), s, route)).orElse(0.0), survey.rules()));
    }

    /** Every run since the last repair of something on its route that says something. */
    static List<Trial> trials(SpindleSurvey survey) {
        return SoundTrials.of(survey, survey.runs().stream().filter(run -> !survey.isFromBeforeRepair(run))
                .filter(run -> !run.record().symptoms().isEmpty() || run.reading().isPresent() || run.outcome() == Outcome.PROVEN)
                .toList());
    }

    private static List<SpeedCauses.SpeedDeviation> readings(SpindleSurvey survey) {
        return survey.runs().stream()
                .filter(run -> run.record().loaded() || run.equals(survey.latest().get(run.route())) || isLastUnloaded(survey, run))
                .flatMap(run -> run.reading()
                        .flatMap(reading -> run.nominal().map(plate -> new SpeedCauses.SpeedDeviation(run.route(),
                                reading.rpm().doubleValue(), plate.doubleValue(), run.record().loaded())))
                        .stream())
                .toList();
    }

    /** The unloaded reading stays evidence when a loaded one of the same route came after it. */
    private static boolean isLastUnloaded(SpindleSurvey survey, Run run) {
        Run counting = survey.latest().get(run.route());
        return counting != null && counting.record().loaded() && survey.runs().stream()
                .filter(r -> r.route().equals(run.route()) && !r.record().loaded()).reduce((a, b) -> b).filter(run::equals).isPresent();
    }
}
