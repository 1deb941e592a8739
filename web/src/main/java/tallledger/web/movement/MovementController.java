package tallledger.web.movement;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import tallledger.web.record.Shelves;
import tallledger.web.record.StoredSurvey;
import tallledger.web.words.Words;

/** The Movement screen: every axis drawn with what was proven of it. */
@Controller
class MovementController {

    private final Shelves shelves;
    private final Words words;

    MovementController(Shelves shelves, Words words) {
        this.shelves = shelves;
        this.words = words;
    }

    @GetMapping("/surveys/{id}/movement")
    String show(@PathVariable long id, Model model) {
        StoredSurvey survey = shelves.survey(id);
        var machine = survey.folded().machine();
        model.addAttribute("survey", survey);
        model.addAttribute("axes",
                machine.fitOut().axes().stream().map(a -> AxisView.of(survey.steps(), a, machine.identity().unit(), words)).toList());
        return "movement/movement";
    }
}
