package tallledger.web.accuracy;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import tallledger.web.record.Shelves;
import tallledger.web.record.Survey;
import tallledger.web.words.Marks;
import tallledger.web.words.Words;

/** The Accuracy screen: the acceptance chart, a row a line, each with a key to its step. */
@Controller
class AccuracyController {

    private final Shelves shelves;
    private final Words words;
    private final Marks marks;

    AccuracyController(Shelves shelves, Words words, Marks marks) {
        this.shelves = shelves;
        this.words = words;
        this.marks = marks;
    }

    @GetMapping("/surveys/{id}/accuracy")
    String show(@PathVariable long id, Model model) {
        Survey survey = shelves.survey(id);
        model.addAttribute("survey", survey);
        model.addAttribute("chart", AccuracyView.of(survey.core(), words, marks));
        model.addAttribute("judgedAs", survey.rules().judgedAs());
        return "accuracy/accuracy";
    }
}
