package tallledger.web.movement;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.words.Words;

/** The Movement screen: every axis drawn with what was proven of it. */
@Controller
class MovementController {

    private final SurveyLibrary library;
    private final Words words;

    MovementController(SurveyLibrary library, Words words) {
        this.library = library;
        this.words = words;
    }

    @GetMapping("/surveys/{id}/movement")
    String show(@PathVariable long id, Model model) {
        StoredSurvey survey = library.survey(id);
        var machine = survey.folded().machine();
        model.addAttribute("survey", survey);
        model.addAttribute("axes",
                machine.fitOut().axes().stream().map(a -> AxisView.of(survey.steps(), a, machine.identity().unit(), words)).toList());
        return "movement/movement";
    }
}
