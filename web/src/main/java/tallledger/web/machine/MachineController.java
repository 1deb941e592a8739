package tallledger.web.machine;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.gauge.Grade;
import tallledger.core.machine.MachineDescription;
import tallledger.core.survey.PlateDoubt;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/** The Machine screen: what it is, what is said of it, its drive and plates, its surveys. */
@Controller
@RequestMapping("/machines/{id}")
class MachineController {

    private final SurveyLibrary library;
    private final MachineBooks machineBooks;
    private final AuthorCookie writer;
    private final MachineReckoning reckoning;

    MachineController(SurveyLibrary library, MachineBooks machineBooks, AuthorCookie writer, MachineReckoning reckoning) {
        this.library = library;
        this.machineBooks = machineBooks;
        this.writer = writer;
        this.reckoning = reckoning;
    }

    @GetMapping
    String show(@PathVariable long id, @RequestParam Optional<String> unnamed, Model model, HttpServletRequest request) {
        StoredMachine machine = library.machine(id);
        MachineDescription d = machine.description();
        model.addAttribute("machine", machine);
        model.addAttribute("grid", PlateGrid.of(d.plate().levers()));
        model.addAttribute("surveys", library.surveysOf(machine));
        model.addAttribute("submission", Submission.fresh(0));
        model.addAttribute("feedGrid", d.feeds().map(f -> PlateGrid.of(f.plate().levers(), FormPlate.FEED)));
        model.addAttribute("feedCheck", d.feeds().map(reckoning::feeds));
        model.addAttribute("threadGrid", d.threads().map(t -> PlateGrid.of(t.plate().levers(), FormPlate.THREAD)));
        model.addAttribute("threadCheck", d.threads().map(reckoning::threads));
        model.addAttribute("change", Submission.fresh(machine.head()));
        DriveView drive = reckoning.drive(d);
        model.addAttribute("drive", drive);
        model.addAttribute("doubts", drive.remarks().stream().map(r -> new PlateDoubt(r, Optional.empty())).toList());
        model.addAttribute("author", writer.known(request).orElse(machine.lastAuthor()));
        model.addAttribute("unnamed", unnamed.isPresent());
        model.addAttribute("grades", Grade.values());
        return "machine/show";
    }

    /** Accepts what a suspect cell means, as a new version of the description; the plate's own reading is kept beside it. */
    @PostMapping("/accept")
    String accept(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, HttpServletResponse response) {
        StoredMachine machine = library.machine(id);
        FormInput typed = FormInput.of(fields);
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        machineBooks.acceptReading(machine, typed.all("at"), typed.get("means"), typed.get("author"), submission);
        writer.remember(response, typed.get("author"), submission);
        return "redirect:/machines/" + id;
    }
}
