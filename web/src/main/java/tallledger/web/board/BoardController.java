package tallledger.web.board;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import tallledger.core.ledger.Entry;
import tallledger.web.entries.EntryLine;
import tallledger.web.library.Plans;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.runsheet.PlanView;
import tallledger.web.sharing.Devices;
import tallledger.web.words.Words;

/** The board: for the large screen, while others work at the machine. What has come, what is being done, what is open, what comes next. */
@Controller
class BoardController {

    private static final int SHOWN = 6;

    private final SurveyLibrary library;
    private final Plans plans;
    private final Words words;
    private final Devices devices;

    BoardController(SurveyLibrary library, Plans plans, Words words, Devices devices) {
        this.devices = devices;
        this.library = library;
        this.plans = plans;
        this.words = words;
    }

    @GetMapping("/surveys/{id}/board")
    String show(@PathVariable long id, Model model) {
        StoredSurvey survey = library.survey(id);
        List<Entry> newest = new ArrayList<>(survey.entries().subList(Math.max(0, survey.entries().size() - SHOWN), survey.entries()
                .size()));
        Collections.reverse(newest);
        model.addAttribute("survey", survey);
        model.addAttribute("lines", EntryLine.of(survey, newest, words));
        model.addAttribute("plan", PlanView.of(survey, plans.sheet(survey), words));
        model.addAttribute("counts", survey.folded().coverage().counts());
        model.addAttribute("openSteps", survey.steps().open().size());
        model.addAttribute("holding", devices.holding(id));
        return "board/board";
    }
}
