package tallledger.web.runsheet;

import java.util.ArrayList;
import java.util.List;
import tallledger.core.family.Phase;
import tallledger.core.survey.Standing;
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
        List<PhaseView> phases = new ArrayList<>();
        Standing.byPhase(survey).forEach((phase, standings) -> {
            List<StepView> lines = standings.stream().map(s -> StepView.of(s, survey, words)).toList();
            phases.add(new PhaseView(phase, lines, standings.stream().filter(s -> !s.isOpen()).count(), lines.stream().anyMatch(l -> l.key().equals(key))));
        });
        return phases;
    }
}
