package tallledger.web.runsheet;

import java.util.ArrayList;
import java.util.List;
import tallledger.core.family.Phase;
import tallledger.core.survey.Scope;
import tallledger.core.family.Step;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.Survey;
import tallledger.web.words.Words;

/**
 * A phase on the spine.
 *
 * @param lines its speeds and steps
 * @param done  how many of them are not open any more
 * @param here  whether the open step is one of them
 */
public record PhaseView(Phase phase, List<StepView> lines, long done, boolean here) {

    static List<PhaseView> of(Survey survey, String key, Words words) {
        StepLedger ledger = survey.steps();
        List<PhaseView> phases = new ArrayList<>();
        for (Phase phase : Phase.values()) {
            List<StepView> lines = new ArrayList<>();
            if (phase == Phase.SPINDLE) {
                survey.drive().steps().forEach(route -> lines.add(StepView.of(survey, route)));
            }
            ledger.inScope().stream().filter(s -> phaseOf(ledger, s) == phase).forEach(s -> lines.add(StepView.of(ledger, s, words)));
            if (!lines.isEmpty()) {
                phases.add(new PhaseView(phase, lines, lines.stream().filter(l -> !l.mark().equals("open")).count(), lines.stream().anyMatch(l -> l.key().equals(key))));
            }
        }
        return phases;
    }

    /** In a survey of the spindle drive alone its checks stand with its speeds. */
    private static Phase phaseOf(StepLedger ledger, Step step) {
        return ledger.scope() == Scope.SPINDLE_DRIVE ? Phase.SPINDLE : step.phase();
    }
}
