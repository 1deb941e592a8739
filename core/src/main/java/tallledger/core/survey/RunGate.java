package tallledger.core.survey;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.drive.StageKind;
import tallledger.core.drive.Transmission;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Step;
import tallledger.core.measuring.MeasuringReason;
import tallledger.core.measuring.PanelCheck;
import tallledger.core.measuring.SupplyCheck;
import tallledger.core.measuring.WatchedCycle;
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.safety.Mounted;
import tallledger.core.safety.SpeedGate;

/** Which runs may not be made with what is on the spindle now. */
public final class RunGate {

    private RunGate() {
    }

    /**
     * Why a route may not be run: something that stops use is open; or what is on the spindle is marked, or held without a mark, and the
     * speed is beyond it or nobody knows it. Empty where it may, or where nobody said what is mounted.
     */
    public static Optional<Reason> refusal(Survey survey, Route route) {
        List<TaskResult> stopping = unnamed(survey);
        if (!stopping.isEmpty()) {
            // A speed that a person says stops use is run again where it was put right, and that alone.
            boolean own = stopping.stream().allMatch(m -> m.task().route().filter(route::equals).isPresent());
            return own ? mounted(survey, route) : Optional.of(stopUse(survey));
        }
        return mounted(survey, route);
    }

    private static Optional<Reason> mounted(Survey survey, Route route) {
        return survey.steps().mounted().filter(m -> m.kind() != Mounted.Kind.NOTHING).<Reason>flatMap(mounted -> {
            Optional<BigDecimal> rpm = fastest(survey.drive(), route);
            if (rpm.isEmpty()) {
                return Optional.of(Reason.of(SurveyReason.GATE_UNKNOWN, mounted.kind()));
            }
            // The mark somebody read off the wheel counts as well as the one typed at the start: the stricter decides.
            return SpeedGate.of(mounted, rpm.get(), top(survey.drive()), survey.rules()).refused()
                    .or(() -> survey.steps().wheelMark().filter(w -> mounted.kind() == Mounted.Kind.WHEEL)
                            .flatMap(w -> SpeedGate.of(w, rpm.get(), top(survey.drive()), survey.rules()).refused()));
        }).map(why -> InUnit.of(why, survey.machine().unit()));
    }

    /**
     * Why a step may not be done: something turns or travels for it, and something else stops use. What stops use itself is tested
     * again by its own steps.
     */
    public static Optional<Reason> refusal(Survey survey, Step step) {
        boolean own = survey.steps().stopUse().stream().anyMatch(r -> r.step().system().equals(step.system()));
        return step.runs() && !own && !unnamed(survey).isEmpty() ? Optional.of(stopUse(survey)) : Optional.empty();
    }

    /** What stops use: steps by the rules or because somebody says so, and runs that count and of which somebody says so. */
    public static List<TaskResult> stopping(Survey survey) {
        Stream<TaskResult> runs = survey.drive().counting().stream()
                .filter(run -> survey.steps().results().severities().get(run.entry()) == Severity.STOP_USE)
                .map(TaskResult.class::cast);
        return Stream.concat(survey.steps().stopUse().stream().map(TaskResult.class::cast), runs).toList();
    }

    /**
     * What stops use and was not named at this start. Who stops the machine, leaves it and starts it again with the danger named and
     * kept clear of may run on for the survey's sake; what is found after that start stops it anew.
     */
    public static List<TaskResult> unnamed(Survey survey) {
        return stopping(survey).stream().filter(made -> !survey.steps().sitting().despite().contains(made.entry())).toList();
    }

    /** Whether a start may name what stops use: only after the machine was stopped and left, with all of it known. */
    public static boolean mayName(Survey survey) {
        return stopping(survey).stream().allMatch(made -> made.entry() < survey.steps().sitting().left());
    }

    /** Nothing is run, and what may still be done: the open steps for which nothing turns. */
    public static Reason stopUse(Survey survey) {
        int still = (int) survey.steps().open().stream().filter(s -> !s.runs()).count();
        return Reason.of(SurveyReason.GATE_STOP_USE, stopping(survey).stream().map(made -> named(survey, made)).toList(), still);
    }

    /** What stops use is known to who started, and they run on: nobody else uses the machine. */
    public static Reason despite(Survey survey) {
        return Reason.of(SurveyReason.GATE_DESPITE, stopping(survey).stream().map(made -> named(survey, made)).toList());
    }

    /** What stops use, by name and why. */
    public static Object named(Survey survey, TaskResult made) {
        // That a hazard stops use is said of all of them already; why a person says so stands with what was found.
        List<Object> because = new ArrayList<>(made.because().stream().filter(r -> !r.is(MeasuringReason.CYCLE_HAZARD)).toList());
        Optional.ofNullable(survey.regrades().get(made.entry())).filter(r -> r.what().severity() == Severity.STOP_USE)
                .ifPresent(r -> because.add(r.what().why()));
        Object name = made.task().step().map(s -> (Object) s.name())
                .orElseGet(() -> survey.machine().train().name(made.task().route().orElseThrow()));
        return because.isEmpty() ? name : Reason.of(SurveyReason.GATE_STOP_ITEM, name, because);
    }

    /**
     * Whether a record of this step may come out as something that stops use, by a person's word or by its figures: until it has been
     * judged, nothing is run.
     */
    public static boolean mayStopUse(Step step) {
        return step.ifBad() == Severity.STOP_USE || step.recording() instanceof SupplyCheck || step.recording() instanceof PanelCheck
                || step.recording() instanceof WatchedCycle;
    }

    /** What a route may turn at, min⁻¹: the plate's value, the drive's own estimate, or the top of a range. */
    public static Optional<BigDecimal> fastest(SpindleSurvey survey, Route route) {
        return survey.table().nominal(route).or(() -> survey.table().speedOf(route).flatMap(s -> s.expected()).map(BigDecimal::valueOf))
                .or(() -> direct(survey, route));
    }

    /** A back gear only slows: whatever its ratio, it turns no faster than the same levers do without it. */
    private static Optional<BigDecimal> direct(SpindleSurvey survey, Route route) {
        DriveTrain train = survey.machine().train();
        return IntStream.range(0, train.stages().size()).filter(s -> train.stages().get(s).kind() == StageKind.BACK_GEAR
                && train.position(route, s).transmission() instanceof Transmission.Unknown).boxed()
                .flatMap(s -> train.routes().stream().filter(other -> IntStream.range(0, train.stages().size())
                        .allMatch(o -> (o == s) != (other.at(o) == route.at(o)))))
                .flatMap(other -> survey.table().nominal(other).stream()).max(Comparator.naturalOrder());
    }

    /** The machine's top speed, min⁻¹. */
    public static Optional<BigDecimal> top(SpindleSurvey survey) {
        return survey.table().speeds().stream().flatMap(s -> s.expected().stream()).max(Double::compare).map(BigDecimal::valueOf);
    }

    /** Every route that is not planned now: those that may not be run, and while something stops use every one, its own test too. */
    public static Set<Route> refused(Survey survey) {
        Set<Route> refused = new HashSet<>();
        if (!unnamed(survey).isEmpty()) {
            survey.drive().table().speeds().forEach(s -> refused.addAll(s.routes()));
        } else if (survey.steps().mounted().isPresent()) {
            survey.drive().table().speeds()
                    .forEach(s -> s.routes().stream().filter(r -> refusal(survey, r).isPresent()).forEach(refused::add));
        }
        return refused;
    }

    /** @throws Refused where the step may not be done: with its reason */
    public static void check(Survey survey, Step step) {
        refusal(survey, step).ifPresent(reason -> {
            throw new Refused(reason).at("form");
        });
    }

    /** @throws Refused where the run may not be made: with its reason */
    public static void check(Survey survey, Route route) {
        refusal(survey, route).ifPresent(reason -> {
            throw new Refused(reason).at("form");
        });
    }
}
