package tallledger.web.runsheet;

import java.math.BigDecimal;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import tallledger.core.rules.Rule;
import tallledger.core.safety.SpeedGate;
import tallledger.core.survey.RunGate;
import tallledger.web.forms.FormInput;
import tallledger.web.library.StoredSurvey;
import tallledger.web.store.Submission;

/** The run sheet as a device keeps it: nothing open, every step beside it, and what a start asks. */
@Component
public class PocketSheet {

    /**
     * What a device must know to refuse a run by itself.
     *
     * @param due      whether the start checks are due now
     * @param goodFor  minutes that a start is good for when nothing is recorded
     * @param last     when the last entry was made, ms
     * @param top      the machine's highest speed, min⁻¹; null where it is not known
     * @param wheel    speed that the mark read off the wheel allows, min⁻¹; null where none was read
     * @param unmarked share of it that a chuck without a mark may turn at
     */
    public record Safety(boolean due, long goodFor, long last, BigDecimal top, BigDecimal unmarked, BigDecimal wheel) {
    }

    private final SheetPage page;

    PocketSheet(SheetPage page) {
        this.page = page;
    }

    /** Its model. */
    public void show(StoredSurvey survey, FormInput typed, Submission submission, Model model) {
        RunSheetView shell = page.shell(survey);
        model.addAttribute("survey", survey);
        SoundChoices.begin(survey, typed);
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("view", shell);
        model.addAttribute("start", page.pocketStart(survey, typed));
        model.addAttribute("steps", page.pocket(survey, shell, typed.get("author")));
        model.addAttribute("safety", new Safety(page.isStartDue(survey), survey.rules().time(Rule.CONFIRMED_FOR).toMinutes(),
                survey.entries().get(survey.entries().size() - 1).at().toEpochMilli(), RunGate.top(survey.folded()).orElse(null),
                survey.rules().share(Rule.UNMARKED_SPEED),
                survey.steps().wheelMark().flatMap(SpeedGate::greatest).orElse(null)));
    }
}
