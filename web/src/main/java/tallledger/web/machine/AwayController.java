package tallledger.web.machine;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.ledger.LedgerReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.StaleFormException;
import tallledger.web.store.Submission;
import tallledger.web.store.WriteRefusedException;
import tallledger.web.words.WebReason;

/** A machine put away from the shelf, and taken out again. */
@Controller
@RequestMapping("/machines/{id}/away")
class AwayController {

    private final SurveyLibrary library;
    private final MachineBooks machineBooks;
    private final AuthorCookie writer;

    AwayController(SurveyLibrary library, MachineBooks machineBooks, AuthorCookie writer) {
        this.library = library;
        this.machineBooks = machineBooks;
        this.writer = writer;
    }

    @GetMapping
    String ask(@PathVariable long id, Model model, HttpServletRequest request) {
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(""));
        StoredMachine machine = library.machine(id);
        return page(model, machine, typed, Submission.fresh(machine.head()));
    }

    @PostMapping
    String write(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredMachine machine = library.machine(id);
        FormInput typed = FormInput.of(fields);
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        if (!typed.has("author")) {
            typed.refuse("author", Reason.of(LedgerReason.AUTHOR_MISSING));
        }
        try {
            if (typed.isClean() && typed.get("do").equals("out")) {
                machineBooks.takeOut(id, typed.get("author"), submission);
            } else if (typed.isClean()) {
                machineBooks.putAway(id, typed.get("why"), typed.get("author"), submission);
            }
        } catch (Refused refused) {
            typed.refuse(refused.field().orElse("form"), refused.reason());
        } catch (StaleFormException moved) {
            response.setStatus(409);
            typed.refuse("form", Reason.of(WebReason.MACHINE_MOVED_ON, moved.head()));
            return page(model, machine, typed, new Submission(submission.key(), moved.head()));
        } catch (WriteRefusedException not) {
            response.setStatus(503);
            typed.refuse("form", not.reason());
            return page(model, machine, typed, submission);
        }
        if (!typed.isClean()) {
            response.setStatus(422);
            return page(model, machine, typed, submission);
        }
        writer.remember(response, typed.get("author"), submission);
        return typed.get("do").equals("out") ? "redirect:/machines/" + id : "redirect:/";
    }

    private static String page(Model model, StoredMachine machine, FormInput typed, Submission submission) {
        model.addAttribute("machine", machine);
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        return "machine/away";
    }
}
