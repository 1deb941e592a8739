package tallledger.web.speeds;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import tallledger.web.record.Shelves;
import tallledger.web.record.Survey;

/** The Speeds screen: lattice and ray chart of a survey. */
@Controller
class SpeedsController {

    private final Shelves shelves;

    SpeedsController(Shelves shelves) {
        this.shelves = shelves;
    }

    @GetMapping("/surveys/{id}/speeds")
    String speeds(@PathVariable long id, Model model) {
        Survey survey = shelves.survey(id);
        model.addAttribute("survey", survey);
        model.addAttribute("lattice", LatticeView.of(survey.folded()));
        model.addAttribute("chart", RayChartView.of(survey.folded()).orElse(null));
        model.addAttribute("counts", survey.folded().coverage().counts());
        return "speeds/speeds";
    }
}
