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
import tallledger.core.family.StartingDescription;
import tallledger.core.ledger.LedgerReason;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reason.Reason;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.MachineWriter;
import tallledger.web.housebook.Houses;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/** The Describe and Drive screens: the form of a machine, blank or as it is described, and its saving. */
@Controller
@RequestMapping("/machines")
class DescribeController {

    private final SurveyLibrary library;
    private final Houses houses;
    private final AuthorCookie writer;
    private final MachineWriter machines;
    private final MachineReckoning reckoning;
    private final DescriptionPage page;

    DescribeController(SurveyLibrary library, Houses houses, AuthorCookie writer, MachineWriter machines, MachineReckoning reckoning,
            DescriptionPage page) {
        this.library = library;
        this.houses = houses;
        this.writer = writer;
        this.machines = machines;
        this.reckoning = reckoning;
        this.page = page;
    }

    @GetMapping("/new")
    String blank(@RequestParam Optional<String> start, Model model, HttpServletRequest request) {
        FormInput typed = start.flatMap(StartingDescription::named).map(MachineForm::blank).orElseGet(MachineForm::blank);
        typed.set("author", writer.known(request).orElse(""));
        return page.show(model, Optional.empty(), typed, Submission.fresh(0));
    }

    @GetMapping("/{id}/edit")
    String edit(@PathVariable long id, Model model, HttpServletRequest request) {
        return edit(library.machine(id), false, model, request);
    }

    /** The Drive screen: the same form with identity and claims folded away. */
    @GetMapping("/{id}/drive")
    String drive(@PathVariable long id, Model model, HttpServletRequest request) {
        return edit(library.machine(id), true, model, request);
    }

    private String edit(StoredMachine machine, boolean driveOnly, Model model, HttpServletRequest request) {
        FormInput typed = MachineForm.write(machine.description());
        typed.set("author", writer.known(request).orElse(""));
        if (driveOnly) {
            DescriptionPage.fold(typed);
        }
        return page.show(model, Optional.of(machine), typed, Submission.fresh(machine.head()));
    }

    /** A sister machine: all of this one's but its serial number, its plate to be read again. */
    @GetMapping("/{id}/sister")
    String sister(@PathVariable long id, Model model, HttpServletRequest request) {
        FormInput typed = MachineForm.writeSister(library.machine(id).description());
        typed.set("author", writer.known(request).orElse(""));
        return page.show(model, Optional.empty(), typed, Submission.fresh(0));
    }

    /** A page asked for again that a key of the form answered: what was typed was never sent to this address. */
    @GetMapping("/new/**")
    String blankAgain() {
        return "redirect:/machines/new";
    }

    @GetMapping("/{id}/edit/**")
    String editAgain(@PathVariable long id) {
        return "redirect:/machines/" + id + "/edit";
    }

    /** A description left half typed, laid out by the server with the rows and cells that it needs. */
    @PostMapping({"/new/show", "/{id}/edit/show"})
    String show(@PathVariable Optional<Long> id, @RequestParam MultiValueMap<String, String> fields, Model model) {
        return page.changed(id, fields, model, FormPart.IS, (typed, machine) -> {
        });
    }

    /** What the drive as typed so far gives: the live half of the form. */
    @PostMapping("/preview")
    String preview(@RequestParam MultiValueMap<String, String> fields, Model model) {
        FormInput typed = FormInput.of(fields);
        model.addAttribute("typed", typed);
        model.addAttribute("panel", reckoning.panel(typed, reckoning.soFar(typed, Optional.empty())));
        return "machine/preview :: panel";
    }

    @PostMapping
    String add(@RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        return save(Optional.empty(), FormInput.of(fields), model, response);
    }

    @PostMapping("/{id}")
    String change(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        return save(Optional.of(library.machine(id)), FormInput.of(fields), model, response);
    }

    private String save(Optional<StoredMachine> machine, FormInput typed, Model model, HttpServletResponse response) {
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        if (!typed.has("author")) {
            typed.refuse("author", Reason.of(LedgerReason.AUTHOR_MISSING));
        }
        Optional<MachineDescription> before = machine.map(StoredMachine::description);
        TakenAlong.take(typed, DescriptionPage.axes(machine, typed));
        if (ClaimFields.areTied(typed)) {
            ClaimFields.tie(typed, reckoning.stepNames(reckoning.soFar(typed, before)));
        }
        Optional<MachineDescription> description = MachineForm.description(typed, before, houses.newest().rules());
        if (description.isEmpty() || !typed.isClean()) {
            response.setStatus(422);
            return page.show(model, machine, typed, submission);
        }
        return machines.write(machine, description.get(), typed, submission, response, next -> page.show(model, machine, typed, next));
    }
}
