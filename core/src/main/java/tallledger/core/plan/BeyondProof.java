package tallledger.core.plan;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.Route;
import tallledger.core.reason.Reason;
import tallledger.core.survey.RunGate;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.Survey;

/** Why no run is left in the plan for a part of the drive, and what would change that. What is merely open is never called faulty. */
public final class BeyondProof {

    /** The reasons there are, the one that asks for most first. */
    private enum Why {
        /** Run, and it failed: to be put right first. */
        FAILED(PlanReason.PLAN_BEYOND_FAILED),
        /** Something that stops use is open. */
        STOP_USE(PlanReason.PLAN_BEYOND_STOP_USE),
        /** Faster than what is mounted may turn, or nobody knows how fast. */
        GATE(PlanReason.PLAN_BEYOND_GATE),
        PASSED(PlanReason.PLAN_BEYOND_PASSED),
        /** Run, and too close to call or not read. */
        UNDECIDED(PlanReason.PLAN_BEYOND_UNDECIDED);

        private final PlanReason code;

        Why(PlanReason code) {
            this.code = code;
        }
    }

    private BeyondProof() {
    }

    /** @param elements those the plan has no run for */
    public static List<Reason> of(Survey survey, List<Elements.Element> elements) {
        if (elements.isEmpty()) {
            return List.of();
        }
        Set<Route> refused = RunGate.refused(survey);
        Map<Why, List<Object>> named = new EnumMap<>(Why.class);
        for (Elements.Element element : elements) {
            List<Route> through = survey.machine().train().routes().stream().filter(r -> r.at(element.stage()) == element.position())
                    .toList();
            why(survey, through, refused)
                    .ifPresent(why -> named.computeIfAbsent(why, w -> new ArrayList<>()).add(element.stageName() + " " + element.label()));
        }
        return named.entrySet().stream().map(e -> Reason.of(e.getKey().code, e.getValue())).toList();
    }

    private static Optional<Why> why(Survey survey, List<Route> through, Set<Route> refused) {
        if (ran(survey.drive(), through, Outcome.FAILED)) {
            return Optional.of(Why.FAILED);
        } else if (through.stream().anyMatch(refused::contains)) {
            return Optional.of(RunGate.stopping(survey).isEmpty() ? Why.GATE : Why.STOP_USE);
        } else if (through.stream().anyMatch(survey.drive().passed()::containsKey)) {
            return Optional.of(Why.PASSED);
        }
        return ran(survey.drive(), through, Outcome.UNDECIDED) ? Optional.of(Why.UNDECIDED) : Optional.empty();
    }

    private static boolean ran(SpindleSurvey survey, List<Route> through, Outcome outcome) {
        return through.stream().anyMatch(r -> survey.outcomes().get(r) == outcome);
    }
}
