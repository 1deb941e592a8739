package tallledger.web.runsheet;

import java.math.BigDecimal;
import java.util.Optional;
import tallledger.core.family.Step;
import tallledger.core.reason.Reason;
import tallledger.core.survey.RunGate;
import tallledger.core.survey.Task;
import tallledger.web.forms.FormInput;
import tallledger.web.library.StoredSurvey;

/**
 * A step as a device keeps it.
 *
 * @param typed   what stands in its fields before anybody types
 * @param view    as the run sheet shows it
 * @param route   whether it is a speed: what is marked on the wheel or chuck may refuse it
 * @param turns   whether something turns or travels for it: the start checks come first
 * @param rpm     what it turns at, min⁻¹; empty where nobody knows, or nothing turns
 * @param stops   whether a record of it may come out as something that stops use
 * @param decides whether its figures decide, and not whoever looks
 * @param sound   speed that a recording made at it is of; empty for the room
 * @param refused why it may not be done by what was recorded so far
 */
public record PocketStep(FormInput typed, RunSheetView view, boolean route, boolean turns, Optional<BigDecimal> rpm, boolean stops,
        boolean decides, String sound, Optional<Reason> refused) {

    static PocketStep of(StoredSurvey survey, Task task, FormInput typed, RunSheetView view, Optional<Reason> refused) {
        return new PocketStep(typed, view, task.route().isPresent(), task.route().isPresent() || task.step().filter(Step::runs).isPresent(),
                task.route().flatMap(route -> RunGate.fastest(survey.folded(), route)),
                task.step().filter(RunGate::mayStopUse).isPresent(), task.step().filter(s -> s.recording().decides()).isPresent(),
                SoundChoices.at(survey, task.key()), refused);
    }
}
