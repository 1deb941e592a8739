package tallledger.web.fitout;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.family.Catalogue;
import tallledger.core.family.FitOut;
import tallledger.core.family.Step;
import tallledger.core.ledger.LedgerReason;
import tallledger.core.motion.Axis;
import tallledger.core.reason.Reason;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.MachineWriter;
import tallledger.web.housebook.Houses;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/** Fit-out: axes, features, electrical plate and change-wheel chart; beside them, how many steps they make. */
@Controller
@RequestMapping("/machines/{id}/fitout")
class FitOutController {

    private final SurveyLibrary library;
    private final Houses houses;
    private final AuthorCookie writer;
    private final MachineWriter machines;

    FitOutController(SurveyLibrary library, Houses houses, AuthorCookie writer, MachineWriter machines) {
        this.machines = machines;
        this.library = library;
        this.houses = houses;
        this.writer = writer;
    }

    @GetMapping
    String show(@PathVariable long id, Model model, HttpServletRequest request) {
        StoredMachine machine = library.machine(id);
        FormInput typed = FormInput.blank();
        FitOutForm.write(machine.description().fitOut(), typed);
        typed.set("author", writer.known(request).orElse(machine.lastAuthor()));
        return page(machine, typed, Submission.fresh(machine.head()), model);
    }

    @PostMapping
    String save(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredMachine machine = library.machine(id);
        FormInput typed = FormInput.of(fields);
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        if (!typed.has("author")) {
            typed.refuse("author", Reason.of(LedgerReason.AUTHOR_MISSING));
        }
        Optional<FitOut> fitOut = FitOutForm.read(typed, machine.description().family(), machine.description().unit());
        if (fitOut.isEmpty() || !typed.isClean()) {
            response.setStatus(422);
            return page(machine, typed, submission, model);
        }
        return machines.write(Optional.of(machine),
                machine.description().with(fitOut.get().with(machine.description().fitOut().ownChart())), typed, submission, response,
                next -> page(machine, typed, next, model));
    }

    /** Room for more axes; nothing is saved. */
    @PostMapping("/axes/rows")
    String rows(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model) {
        FormInput typed = FormInput.of(fields);
        FitOutForm.addRows(typed);
        return shown(id, typed, model);
    }

    /** What was left half typed, laid out with the rows that it needs. */
    @PostMapping("/show")
    String show(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model) {
        return shown(id, FormInput.of(fields), model);
    }

    /** A page asked for again that a key of the form answered: what was typed was never sent to this address. */
    @GetMapping("/**")
    String again(@PathVariable long id) {
        return "redirect:/machines/" + id + "/fitout";
    }

    private String shown(long id, FormInput typed, Model model) {
        return page(library.machine(id), typed, new Submission(typed.get("submission"), typed.wholeOr("seen", 0)), model);
    }

    private String page(StoredMachine machine, FormInput typed, Submission submission, Model model) {
        var steps = Catalogue.of(machine.description(), houses.newest().rules());
        model.addAttribute("machine", machine);
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("rows", IntStream.range(0, FitOutForm.rows(typed)).boxed().toList());
        model.addAttribute("roles", Axis.Role.values());
        model.addAttribute("abilities", Axis.Ability.values());
        model.addAttribute("features", machine.description().identity().family().traits().features());
        model.addAttribute("stepCount", steps.size());
        model.addAttribute("stepMinutes", Math.round(Step.minutes(steps)));
        return "fitout/fitout";
    }
}
