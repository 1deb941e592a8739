package tallledger.web.sharing;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Locale;
import java.util.Optional;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.house.Device;
import tallledger.core.house.HouseChange.PairingRefused.Wrong;
import tallledger.core.ledger.Author;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.web.forms.FormInput;
import tallledger.web.store.Submission;
import tallledger.web.store.WriteRefusedException;
import tallledger.web.words.WebReason;

/** What somebody sees who comes from the network: they are asked for a code, or told what their device may do. */
@Controller
@RequestMapping(DeviceGate.PAIR)
class PairController {

    private static final MediaType CERTIFICATE = MediaType.parseMediaType("application/x-x509-ca-cert");
    private static final int TOO_MANY = 429;

    private final Sharing sharing;
    private final Devices devices;
    private final PairingCodes codes;

    PairController(Sharing sharing, Devices devices, PairingCodes codes) {
        this.sharing = sharing;
        this.devices = devices;
        this.codes = codes;
    }

    /** A code that came in the address stands in its field; it is used by the form alone. */
    @GetMapping
    String ask(@RequestParam(defaultValue = "") String code, Model model, HttpServletRequest request) {
        if (isHere(request)) {
            return "redirect:/house/sharing";
        }
        if (DeviceGate.asking(request).isPresent()) {
            return device(model);
        }
        FormInput typed = FormInput.blank();
        typed.set("code", code.length() > Device.LONGEST_NAME ? "" : code);
        Optional<PairingCodes.Offer> offer = codes.open(code).map(PairingCodes.Code::offer);
        String author = offer.map(PairingCodes.Offer::author).orElse("");
        typed.set("author", author);
        typed.set("name", offer.map(PairingCodes.Offer::name).filter(n -> !n.isEmpty()).orElse(called(request, author)));
        return form(model, typed, Submission.fresh(0));
    }

    private static boolean isHere(HttpServletRequest request) {
        return !Sharing.SCHEME.equals(request.getScheme());
    }

    /** What kind of device asks, as its browser says, and whose, as far as that was said. */
    private static String called(HttpServletRequest request, String author) {
        String kind = kind(request);
        String whose = author.isBlank() ? "" : " of " + Author.parse(author).name();
        return kind.length() + whose.length() > Device.LONGEST_NAME ? kind : kind + whose;
    }

    private static String kind(HttpServletRequest request) {
        String browser = String.valueOf(request.getHeader(HttpHeaders.USER_AGENT)).toLowerCase(Locale.ROOT);
        return browser.contains("ipad") || browser.contains("tablet") || browser.contains("android") && !browser.contains("mobile")
                ? "Tablet"
                : browser.contains("mobi") ? "Phone" : "Computer";
    }

    private String device(Model model) {
        model.addAttribute("root", sharing.rootFingerprint().orElse(null));
        return "sharing/device";
    }

    private static String form(Model model, FormInput typed, Submission submission) {
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        return "sharing/pair";
    }

    @PostMapping
    String letIn(@RequestParam MultiValueMap<String, String> fields, Model model, HttpServletRequest request,
            HttpServletResponse response) {
        if (isHere(request)) {
            return "redirect:/house/sharing";
        }
        FormInput typed = FormInput.of(fields);
        Submission submission = new Submission(typed.get("submission"), 0);
        // Its own fields first: a code is not spent on a form that is to be sent once more.
        if (!typed.has("author")) {
            typed.refuse("author", Reason.of(WebReason.SHARING_AUTHOR));
        }
        if (!typed.has("name")) {
            typed.refuse("name", Reason.of(WebReason.SHARING_NAME));
        }
        if (typed.get("code").isBlank()) {
            typed.refuse("code", Reason.of(WebReason.SHARING_CODE_NONE));
        }
        if (!typed.isClean()) {
            response.setStatus(422);
            return form(model, typed, submission);
        }
        PairingCodes.Tried tried = codes.tried(typed.get("code"), submission);
        if (tried instanceof PairingCodes.Tried.Again again) {
            return in(again.secret(), again.offer(), response);
        }
        if (tried instanceof PairingCodes.Tried.Waits waits) {
            response.setStatus(TOO_MANY);
            response.setHeader(HttpHeaders.RETRY_AFTER, String.valueOf(waits.seconds()));
            typed.refuse("code", Reason.of(WebReason.SHARING_WAITS, waits.seconds()));
            return form(model, typed, submission);
        }
        if (tried instanceof PairingCodes.Tried.Bad bad) {
            devices.refused(request.getRemoteAddr(), bad.why());
            response.setStatus(403);
            typed.refuse("code", Reason.each(WebReason.SHARING_CODE, bad.why()));
            return form(model, typed, submission);
        }
        return letIn(((PairingCodes.Tried.Good) tried).code(), typed, submission, model, response);
    }

    private String letIn(PairingCodes.Code code, FormInput typed, Submission submission, Model model, HttpServletResponse response) {
        String secret = Devices.secret();
        try {
            synchronized (code) {
                if (codes.open(code.shown()).isEmpty()) {
                    // Somebody else was quicker with it.
                    typed.refuse("code", Reason.each(WebReason.SHARING_CODE, Wrong.USED));
                    response.setStatus(403);
                    return form(model, typed, submission);
                }
                devices.letIn(code.offer(), typed.get("name"), typed.get("author"), secret);
                codes.use(code, submission, secret);
            }
        } catch (Refused refused) {
            response.setStatus(422);
            typed.refuse(refused.field().orElse("form"), refused.reason());
            return form(model, typed, submission);
        } catch (WriteRefusedException not) {
            response.setStatus(503);
            typed.refuse("form", not.reason());
            return form(model, typed, submission);
        }
        return in(secret, code.offer(), response);
    }

    private static String in(String secret, PairingCodes.Offer offer, HttpServletResponse response) {
        Cookie cookie = new Cookie(DeviceGate.COOKIE, secret);
        cookie.setPath("/");
        cookie.setHttpOnly(true);
        cookie.setSecure(true);
        cookie.setMaxAge((int) Math.min(Integer.MAX_VALUE, offer.lasts().plus(Duration.ofDays(1)).toSeconds()));
        cookie.setAttribute("SameSite", "Strict");
        response.addCookie(cookie);
        return offer.survey().map(s -> "redirect:/surveys/" + s + "/run").orElse("redirect:/");
    }

    /** The look of the page that asks, under an address that says nothing of which build this is. */
    @GetMapping("/look.css")
    ResponseEntity<Resource> look() {
        return ResponseEntity.ok().contentType(MediaType.parseMediaType("text/css")).cacheControl(CacheControl.noStore())
                .body(new ClassPathResource("sharing/look.css"));
    }

    /** The root that vouches for this computer, to be installed on a device. */
    @GetMapping("/root.crt")
    ResponseEntity<byte[]> root() {
        return sharing.root().map(root -> ResponseEntity.ok().contentType(CERTIFICATE)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"tall-ledger-root.crt\"").body(root))
                .orElse(ResponseEntity.notFound().build());
    }
}
