package tallledger.web.runsheet;

import java.util.ArrayList;
import java.util.List;
import tallledger.core.coverage.Coverage;
import tallledger.core.family.Phase;
import tallledger.core.survey.Survey;
import tallledger.core.survey.TaskStatus;
import tallledger.web.library.StoredSurvey;
import tallledger.web.words.Words;

/**
 * A phase on the spine.
 *
 * @param lines its speeds and steps
 * @param done  how many are not open any more: of speeds, how many distinct ones were run
 * @param all   of so many
 * @param here  whether the open step is one of them
 */
public record PhaseView(Phase phase, List<StepView> lines, long done, long all, boolean here) {

    static List<PhaseView> of(StoredSurvey stored, String key, Words words) {
        Survey survey = stored.core();
        String sheet = "/surveys/" + stored.id() + "/run?step=";
        List<PhaseView> phases = new ArrayList<>();
        TaskStatus.byPhase(survey).forEach((phase, standings) -> {
            List<StepView> lines = standings.stream().map(s -> StepView.of(s, survey, sheet, words)).toList();
            boolean here = lines.stream().anyMatch(l -> l.key().equals(key));
            // A speed by two routes is one speed, and one that is inferred was not run: the spine says what the statement says.
            List<TaskStatus> steps = standings.stream().filter(s -> s.task().step().isPresent()).toList();
            Coverage.Counts counts = survey.drive().coverage().counts();
            boolean speeds = steps.size() < standings.size();
            phases.add(new PhaseView(phase, lines, steps.stream().filter(s -> !s.isOpen()).count() + (speeds ? counts.run() : 0),
                    steps.size() + (speeds ? counts.all() : 0), here));
        });
        return phases;
    }
}
