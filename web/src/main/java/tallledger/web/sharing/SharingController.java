package tallledger.web.sharing;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.house.Device;
import tallledger.core.house.HouseBook.Paired;
import tallledger.core.ledger.Author;
import tallledger.core.ledger.LedgerReason;
import tallledger.core.ledger.PlainText;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.housebook.Houses;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.pictures.QrCode;
import tallledger.web.store.Submission;
import tallledger.web.store.WriteRefusedException;
import tallledger.web.words.WebReason;

/** Who else may look and write: sharing begun and ended, a device let in by a code, and put out again. At this computer alone. */
@Controller
@RequestMapping("/house/sharing")
class SharingController {

    private static final String PAGE = "redirect:/house/sharing";
    private static final int SHOWN = 50;

    /** How long a device is let in for. */
    public enum Lasts {

        HALF_DAY(Duration.ofHours(12)), WEEK(Duration.ofDays(7)), MONTH(Duration.ofDays(31)), YEAR(Duration.ofDays(365));

        private final Duration time;

        Lasts(Duration time) {
            this.time = time;
        }

        Duration time() {
            return time;
        }
    }

    /**
     * A device as it is listed.
     *
     * @param heard when it was last heard of, and what it held; null for never
     * @param isIn whether it is let in now
     */
    public record DeviceRow(Paired paired, LastHeard.Heard heard, boolean isIn) {
    }

    /** A code with where to type it, and both as squares to be photographed. */
    public record CodeView(String code, String address, QrCode squares, boolean writes, String survey) {
    }

    private final Sharing sharing;
    private final Devices devices;
    private final PairingCodes codes;
    private final SurveyLibrary library;
    private final Houses houses;
    private final AuthorCookie writer;
    private final Clock clock;

    SharingController(Sharing sharing, Devices devices, PairingCodes codes, SurveyLibrary library, Houses houses, AuthorCookie writer,
            Clock clock) {
        this.sharing = sharing;
        this.devices = devices;
        this.codes = codes;
        this.library = library;
        this.houses = houses;
        this.writer = writer;
        this.clock = clock;
    }

    @GetMapping
    String show(@RequestParam Optional<Long> survey, @RequestParam(defaultValue = "") String code,
            @RequestParam(defaultValue = "") String at, Model model, HttpServletRequest request) {
        FormInput typed = FormInput.blank();
        typed.set("survey", survey.map(String::valueOf).orElse(""));
        typed.set("writes", "yes");
        typed.set("lasts", Lasts.HALF_DAY.name());
        typed.set("writer", writer.known(request).orElse(""));
        typed.set("author", typed.get("writer"));
        codes.open(code).ifPresent(open -> model.addAttribute("code", view(open, at)));
        model.addAttribute("codeGone", !code.isEmpty() && codes.open(code).isEmpty());
        return page(model, typed, Submission.fresh(houses.head()));
    }

    private CodeView view(PairingCodes.Code code, String at) {
        List<String> addresses = sharing.addresses();
        String address = sharing.address(addresses.contains(at) ? at : addresses.stream().findFirst().orElse("localhost"));
        return new CodeView(code.shown(), address + DeviceGate.PAIR, QrCode.of(address + DeviceGate.PAIR + "?code=" + code.shown()),
                code.offer().writes(), code.offer().survey().map(this::named).orElse(""));
    }

    private String named(long survey) {
        return library.survey(survey).machine().name();
    }

    private String page(Model model, FormInput typed, Submission submission) {
        Optional<Long> survey = survey(typed);
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("on", sharing.isOn());
        model.addAttribute("addresses", sharing.addresses());
        model.addAttribute("port", sharing.port());
        model.addAttribute("shown", sharing.fingerprint().orElse(null));
        model.addAttribute("root", sharing.rootFingerprint().orElse(null));
        model.addAttribute("surveyName", survey.map(this::named).orElse(""));
        model.addAttribute("lasts", Lasts.values());
        Instant now = clock.instant();
        List<DeviceRow> rows = devices.all().stream().map(p -> new DeviceRow(p, devices.lastHeard(p.device().id())
                .orElse(null), p.isIn(now))).toList();
        model.addAttribute("in", rows.stream().filter(DeviceRow::isIn).toList());
        model.addAttribute("out", rows.stream().filter(r -> !r.isIn()).limit(SHOWN).toList());
        model.addAttribute("refusals", houses.book().refusals().stream().limit(SHOWN).toList());
        return "sharing/sharing";
    }

    private static Optional<Long> survey(FormInput typed) {
        return Optional.of(typed.get("survey")).filter(s -> s.matches("\\d{1,18}")).map(Long::parseLong);
    }

    @PostMapping("/begin")
    String begin(@RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        FormInput typed = FormInput.of(fields);
        try {
            sharing.begin();
        } catch (WriteRefusedException not) {
            response.setStatus(503);
            typed.refuse("form", not.reason());
            return page(model, typed, Submission.fresh(houses.head()));
        }
        return back(typed);
    }

    private static String back(FormInput typed) {
        return PAGE + survey(typed).map(s -> "?survey=" + s).orElse("");
    }

    /** Codes that are out are good no more; devices stay let in for when it is begun again. */
    @PostMapping("/end")
    String end() {
        sharing.end();
        codes.forget();
        return PAGE;
    }

    /** A code for one device; the same form again shows the same code. */
    @PostMapping("/codes")
    String code(@RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        FormInput typed = FormInput.of(fields);
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        Optional<Lasts> lasts = typed.choice("lasts", Lasts.class);
        plain(typed, "name", Device.LONGEST_NAME);
        plain(typed, "writer", 2 * Author.LONGEST);
        if (typed.has("writer")) {
            typed.attempt("writer", () -> Author.parse(typed.get("writer")));
        }
        Optional<Long> survey = survey(typed).filter(s -> typed.get("scope").equals("survey"));
        survey.ifPresent(library::survey);
        if (!sharing.isOn()) {
            typed.refuse("form", Reason.of(WebReason.SHARING_OFF));
        }
        if (!typed.isClean() || lasts.isEmpty()) {
            response.setStatus(422);
            return page(model, typed, submission);
        }
        PairingCodes.Code code = codes.handedOut(new PairingCodes.Offer(survey, typed.get("writes").equals("yes"), lasts.get().time(),
                typed.get("name").strip(), typed.get("writer").strip()), submission);
        writer.recorded(response, submission);
        return PAGE + "?code=" + code.shown() + survey(typed).map(s -> "&survey=" + s).orElse("");
    }

    private static void plain(FormInput typed, String field, int most) {
        PlainText.fault(typed.get(field)).ifPresent(fault -> typed.refuse(field, fault));
        if (typed.get(field).length() > most) {
            typed.refuse(field, Refused.because(CommonReason.TEXT_LONG, typed.get(field).length(), most).reason());
        }
    }

    /** Put out at once. Out already, it stays so. */
    @PostMapping("/devices/{id}/end")
    String putOut(@PathVariable String id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        FormInput typed = FormInput.of(fields);
        Optional<Paired> device = devices.all().stream().filter(p -> p.device().id().equals(id)).findFirst();
        if (device.isEmpty()) {
            response.setStatus(404);
            typed.refuse("form", Reason.of(WebReason.SHARING_DEVICE));
        } else if (!typed.has("author")) {
            response.setStatus(422);
            typed.refuse("author", Reason.of(LedgerReason.AUTHOR_MISSING));
        }
        if (!typed.isClean()) {
            return page(model, typed, Submission.fresh(houses.head()));
        }
        try {
            devices.end(device.get(), typed.get("author"));
            return PAGE;
        } catch (WriteRefusedException not) {
            response.setStatus(503);
            typed.refuse("form", not.reason());
        } catch (Refused refused) {
            response.setStatus(422);
            typed.refuse("author", refused.reason());
        }
        return page(model, typed, Submission.fresh(houses.head()));
    }
}
