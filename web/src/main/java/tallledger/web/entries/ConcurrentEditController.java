package tallledger.web.entries;

import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ResponseStatus;
import tallledger.core.ledger.CanonicalJson;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Reason;
import tallledger.web.forms.ConcurrentEditException;
import tallledger.web.forms.SentLaterRequest;
import tallledger.web.words.WebReason;
import tallledger.web.words.Words;

/**
 * What came between a form and its sending: the entries written meanwhile and what was typed, on a small page; nothing else is reckoned.
 * From it the form is sent as it was typed, or its own page is shown again with all of it.
 */
@Controller
@ControllerAdvice
class ConcurrentEditController {

    /** So many of the newest entries are shown. */
    private static final int SHOWN = 8;
    /** What every form carries and nobody typed. */
    private static final Set<String> CARRIED = Set.of("submission", "seen", "_csrf", "whole");

    /**
     * One field of the form.
     *
     * @param called   in words; empty for what nobody typed
     */
    public record EditedField(String name, String value, String called) {
    }

    private final Words words;

    ConcurrentEditController(Words words) {
        this.words = words;
    }

    /** A device that kept it gets what came between in words, and shows both at the step. */
    @ExceptionHandler(ConcurrentEditException.class)
    @ResponseStatus(HttpStatus.CONFLICT)
    Object show(ConcurrentEditException meanwhile, HttpServletRequest request, Model model) {
        return SentLaterRequest.is(request) ? told(meanwhile) : page(meanwhile, request, model);
    }

    private ResponseEntity<String> told(ConcurrentEditException meanwhile) {
        List<Entry> others = meanwhile.survey().entries().stream()
                .filter(e -> e.sequence() > meanwhile.moved().seen() && e.step().equals(meanwhile.step())).toList();
        List<String> lines = EntryLine.of(meanwhile.survey(), others, words).stream()
                .map(l -> words.say("page.kept-theirs", l.author(), l.time(), l.sequence(), l.says())).toList();
        return ResponseEntity.status(HttpStatus.CONFLICT).contentType(MediaType.APPLICATION_JSON)
                .body(CanonicalJson.write(Map.of("theirs", lines, "head", meanwhile.survey().head())));
    }

    private String page(ConcurrentEditException meanwhile, HttpServletRequest request, Model model) {
        int head = meanwhile.moved().head();
        int seen = meanwhile.moved().seen();
        List<Entry> newer = meanwhile.survey().entries().stream().filter(e -> e.sequence() > Math.max(seen, head - SHOWN)).toList();
        model.addAttribute("survey", meanwhile.survey());
        model.addAttribute("because", Reason.of(WebReason.SURVEY_MOVED_ON, seen + 1, head, head - seen));
        model.addAttribute("lines", EntryLine.of(meanwhile.survey(), newer, words));
        model.addAttribute("fields", fields(meanwhile));
        model.addAttribute("submission", meanwhile.typed().get("submission"));
        model.addAttribute("seen", meanwhile.typed().get("seen"));
        model.addAttribute("head", meanwhile.survey().head());
        model.addAttribute("to", request.getRequestURI());
        return "entries/meanwhile";
    }

    private List<EditedField> fields(ConcurrentEditException meanwhile) {
        List<EditedField> fields = new ArrayList<>();
        meanwhile.typed().names().stream().filter(name -> !CARRIED.contains(name))
                .forEach(name -> meanwhile.typed().all(name)
                        .forEach(value -> fields.add(new EditedField(name, value, value.isBlank() ? "" : words.field(name)))));
        return fields;
    }
}
