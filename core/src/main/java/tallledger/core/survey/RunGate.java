package tallledger.core.survey;

import java.math.BigDecimal;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import tallledger.core.drive.Route;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.safety.SpeedGate;

/** Which runs may not be made with what is on the spindle now. */
public final class RunGate {

    private RunGate() {
    }

    /** Why a route may not be run; empty where it may, or where nobody said what is mounted. */
    public static Optional<Reason> refusal(SpindleSurvey survey, StepLedger ledger, Route route) {
        Optional<BigDecimal> rpm = survey.table().nominal(route).or(() -> survey.table().speedOf(route).flatMap(s -> s.expected()).map(BigDecimal::valueOf));
        return ledger.mounted().flatMap(mounted -> rpm.flatMap(n -> SpeedGate.of(mounted, n, top(survey)).refused()));
    }

    /** The machine's top speed, min⁻¹. */
    private static Optional<BigDecimal> top(SpindleSurvey survey) {
        return survey.table().speeds().stream().flatMap(s -> s.expected().stream()).max(Double::compare).map(BigDecimal::valueOf);
    }

    /** Every route that may not be run now. */
    public static Set<Route> refused(SpindleSurvey survey, StepLedger ledger) {
        Set<Route> refused = new HashSet<>();
        if (ledger.mounted().isPresent()) {
            survey.table().speeds().forEach(s -> s.routes().stream().filter(r -> refusal(survey, ledger, r).isPresent()).forEach(refused::add));
        }
        return refused;
    }

    /** @throws Refused where the run may not be made: with its reason */
    public static void check(SpindleSurvey survey, StepLedger ledger, Route route) {
        refusal(survey, ledger, route).ifPresent(reason -> {
            throw new Refused(reason).at("form");
        });
    }
}
