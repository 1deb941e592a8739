package tallledger.web.machine;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import tallledger.core.ledger.CanonicalJson;
import tallledger.core.ledger.LedgerReason;
import tallledger.core.ledger.Payload;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.MachineWriter;
import tallledger.web.forms.Uploaded;
import tallledger.web.housebook.Houses;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;
import tallledger.web.words.WebReason;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** A machine's description taken away as text or JSON, and one brought in: looked at first, then put on the shelf, or nothing. */
@Controller
@RequestMapping("/machines")
class BringController {

    private static final TypeReference<Map<String, Object>> TREE = new TypeReference<>() {
    };
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final SurveyLibrary library;
    private final Houses houses;
    private final AuthorCookie writer;
    private final MachineWriter machines;

    BringController(SurveyLibrary library, Houses houses, AuthorCookie writer, MachineWriter machines) {
        this.machines = machines;
        this.library = library;
        this.houses = houses;
        this.writer = writer;
    }

    @GetMapping("/{id}/description.txt")
    ResponseEntity<byte[]> text(@PathVariable long id) {
        return file(id, "txt", MediaType.parseMediaType("text/plain;charset=UTF-8"),
                DescriptionText.write(library.machine(id).description()));
    }

    @GetMapping("/{id}/description.json")
    ResponseEntity<byte[]> json(@PathVariable long id) {
        return file(id, "json", MediaType.APPLICATION_JSON, CanonicalJson.write(library.machine(id).description().toPayload()));
    }

    private static ResponseEntity<byte[]> file(long id, String kind, MediaType type, String content) {
        return ResponseEntity.ok().contentType(type).header(HttpHeaders.CONTENT_DISPOSITION,
                "attachment; filename=\"machine-" + id + "." + kind + "\"").body(content.getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping("/bring")
    String ask(Model model, HttpServletRequest request) {
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(""));
        return page(typed, Submission.fresh(0), model);
    }

    /** Looks at what was brought and says what it is; it is put on the shelf only when that is asked for, from the same text. */
    @PostMapping("/bring")
    String bring(@RequestParam MultiValueMap<String, String> fields, @RequestParam Optional<MultipartFile> file, Model model,
            HttpServletResponse response) {
        FormInput typed = FormInput.of(fields);
        Submission submission = new Submission(typed.get("submission"), 0);
        Optional<String> text = typed.attempt("text", () -> Uploaded.text(file, typed.get("text"), DescriptionText.LONGEST));
        text.ifPresent(t -> typed.set("text", t));
        if (typed.isClean() && !typed.has("text")) {
            typed.refuse("text", Reason.of(WebReason.TEXT_NONE));
        }
        DescriptionText.DescriptionRead read = typed.isClean() ? read(typed.get("text"), houses.newest().rules())
                : new DescriptionText.DescriptionRead(Optional.empty(), List.of());
        model.addAttribute("read", read);
        boolean records = typed.get("do").equals("record");
        if (records && !typed.has("author")) {
            typed.refuse("author", Reason.of(LedgerReason.AUTHOR_MISSING));
        }
        if (read.description().isEmpty() || !typed.isClean()) {
            response.setStatus(422);
            return page(typed, submission, model);
        }
        if (!records) {
            return page(typed, submission, model);
        }
        return machines.write(Optional.empty(), read.description().get(), typed, submission, response, next -> page(typed, next, model));
    }

    private static DescriptionText.DescriptionRead read(String text, Rules rules) {
        return text.stripLeading().startsWith("{") ? json(text, rules) : DescriptionText.read(text, rules);
    }

    /** What JSON says is held to all that a form is held to: it goes through the form. */
    private static DescriptionText.DescriptionRead json(String text, Rules rules) {
        MachineDescription said;
        try {
            said = MachineDescription.from(new Payload(JSON.readValue(text, TREE)));
        } catch (JacksonException bent) {
            return wrong(bent.getLocation() == null ? 0 : bent.getLocation().getLineNr(),
                    Reason.of(WebReason.TEXT_JSON, bent.getOriginalMessage()));
        } catch (Refused refused) {
            return wrong(0, refused.reason());
        } catch (IllegalArgumentException | ClassCastException | NullPointerException bent) {
            return wrong(0, Reason.of(WebReason.TEXT_JSON, String.valueOf(bent.getMessage())));
        }
        FormInput typed = MachineForm.write(said);
        Optional<MachineDescription> checked = MachineForm.description(typed, Optional.of(said), rules);
        return new DescriptionText.DescriptionRead(typed.isClean() ? checked : Optional.empty(), typed.errors().values().stream()
                .map(because -> new DescriptionText.Wrong(0, because)).toList());
    }

    private static DescriptionText.DescriptionRead wrong(int line, Reason because) {
        return new DescriptionText.DescriptionRead(Optional.empty(), List.of(new DescriptionText.Wrong(line, because)));
    }

    private static String page(FormInput typed, Submission submission, Model model) {
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        return "machine/bring";
    }
}
