package tallledger.core.survey;

import tallledger.core.family.Step;
import java.math.BigDecimal;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tallledger.core.drive.Route;
import tallledger.core.evidence.EvidenceReason;
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
        if (!survey.steps().stopUse().isEmpty()) {
            return Optional.of(stopUse(survey.steps()));
        }
        return survey.steps().mounted().filter(m -> m.kind() != Mounted.Kind.NOTHING).flatMap(mounted -> {
            Optional<BigDecimal> rpm = fastest(survey.drive(), route);
            if (rpm.isEmpty()) {
                return Optional.of(Reason.of(SurveyReason.GATE_UNKNOWN, mounted.kind()));
            }
            // The mark somebody read off the wheel counts as well as the one typed at the start: the stricter decides.
            return SpeedGate.of(mounted, rpm.get(), top(survey.drive()), survey.rules()).refused()
                    .or(() -> survey.steps().wheelMark().filter(w -> mounted.kind() == Mounted.Kind.WHEEL).flatMap(w -> SpeedGate.of(w, rpm.get(), top(survey.drive()), survey.rules()).refused()));
        });
    }

    /**
     * Why a step may not be done: something turns or travels for it, and something else stops use. What stops use itself is tested
     * again by its own steps.
     */
    public static Optional<Reason> refusal(StepLedger ledger, Step step) {
        boolean own = ledger.stopUse().stream().anyMatch(r -> r.step().system().equals(step.system()));
        return step.runs() && !own && !ledger.stopUse().isEmpty() ? Optional.of(stopUse(ledger)) : Optional.empty();
    }

    /** Nothing is run, and what may still be done: the open steps for which nothing turns. */
    public static Reason stopUse(StepLedger ledger) {
        int still = (int) ledger.open().stream().filter(s -> !s.runs()).count();
        return Reason.of(SurveyReason.GATE_STOP_USE, ledger.stopUse().stream().map(RunGate::named).toList(), still);
    }

    private static Reason named(StepResult result) {
        // That a hazard stops use is said of all of them already.
        List<Reason> because = result.judgement().because().stream().filter(r -> !r.is(EvidenceReason.CYCLE_HAZARD)).toList();
        return because.isEmpty() ? result.step().name() : Reason.of(SurveyReason.GATE_STOP_ITEM, result.step().name(), because);
    }

    /** What a route may turn at, min⁻¹: the plate's value, the drive's own estimate, or the top of a range. */
    private static Optional<BigDecimal> fastest(SpindleSurvey survey, Route route) {
        return survey.table().nominal(route).or(() -> survey.table().speedOf(route).flatMap(s -> s.expected()).map(BigDecimal::valueOf));
    }

    /** The machine's top speed, min⁻¹. */
    private static Optional<BigDecimal> top(SpindleSurvey survey) {
        return survey.table().speeds().stream().flatMap(s -> s.expected().stream()).max(Double::compare).map(BigDecimal::valueOf);
    }

    /** Every route that may not be run now. */
    public static Set<Route> refused(Survey survey) {
        Set<Route> refused = new HashSet<>();
        if (survey.steps().mounted().isPresent() || !survey.steps().stopUse().isEmpty()) {
            survey.drive().table().speeds().forEach(s -> s.routes().stream().filter(r -> refusal(survey, r).isPresent()).forEach(refused::add));
        }
        return refused;
    }

    /** @throws Refused where the step may not be done: with its reason */
    public static void check(StepLedger ledger, Step step) {
        refusal(ledger, step).ifPresent(reason -> {
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
