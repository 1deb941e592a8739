package tallledger.web.offline;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import tallledger.core.house.Device;
import tallledger.core.ledger.CanonicalJson;
import tallledger.core.survey.Photo;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.kit.KitPage;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.runsheet.PocketSheet;
import tallledger.web.sharing.DeviceGate;
import tallledger.web.store.AttachmentRow;
import tallledger.web.store.Attachments;
import tallledger.web.store.Submission;

/**
 * What a device needs to go on without a connection: a survey as one page, with every step as the run sheet would show it, kit and claims
 * and the newest pictures small.
 */
@Controller
class PocketController {

    /** Together no more than this, bytes: what all the rest of the largest machine leaves of 400 kB. */
    private static final int PICTURES = 150_000;
    private static final int MOST_PICTURES = 60;
    private static final int SMALL_ICON = 192;
    private static final int LARGE_ICON = 512;

    /** The device fills in a key of its own each time a form is shown, and what it has seen: so the parts stay the same. */
    private static final Submission BLANK = new Submission(new UUID(0, 0).toString(), 0);

    /** A small picture, as text. */
    public record SmallPicture(int entry, String type, String base64) {
    }

    private final SurveyLibrary library;
    private final PocketSheet sheet;
    private final KitPage kit;
    private final Attachments attachments;
    private final AuthorCookie writer;
    private final Clock clock;

    PocketController(SurveyLibrary library, PocketSheet sheet, KitPage kit, Attachments attachments, AuthorCookie writer, Clock clock) {
        this.library = library;
        this.sheet = sheet;
        this.kit = kit;
        this.attachments = attachments;
        this.writer = writer;
        this.clock = clock;
    }

    @GetMapping("/surveys/{id}/pocket")
    String show(@PathVariable long id, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        kit.show(survey, typed, BLANK, model);
        sheet.show(survey, typed, BLANK, model);
        model.addAttribute("now", clock.instant().toEpochMilli());
        model.addAttribute("claims", survey.core().machine().claims());
        model.addAttribute("pictures", pictures(survey));
        return "offline/pocket";
    }

    /** The newest first, as many as there is room for. */
    private List<SmallPicture> pictures(StoredSurvey survey) {
        List<Photo> newest = new ArrayList<>(survey.core().photos());
        Collections.reverse(newest);
        newest = newest.stream().filter(p -> p.small().isPresent()).limit(MOST_PICTURES).toList();
        Map<String, AttachmentRow> kept = attachments.attachments(newest.stream().map(p -> p.small().orElseThrow()).distinct().toList());
        List<SmallPicture> fit = new ArrayList<>();
        int room = PICTURES;
        for (Photo photo : newest) {
            AttachmentRow small = kept.get(photo.small().orElseThrow());
            if (small != null && small.bytes().length <= room) {
                room -= small.bytes().length;
                fit.add(new SmallPicture(photo.entry(), small.type(), Base64.getEncoder().encodeToString(small.bytes())));
            }
        }
        return fit;
    }

    /** Before a device sends what it kept: where the record stands, and what a form must carry. */
    @GetMapping("/surveys/{id}/pocket/stand")
    ResponseEntity<String> stand(@PathVariable long id, CsrfToken token) {
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON).header("Cache-Control", "no-store")
                .body(CanonicalJson.write(Map.of("head", library.survey(id).head(), "token", token.getToken())));
    }

    /** To be opened from a device's home screen: at its survey, where it has one. */
    @GetMapping("/tall-ledger.webmanifest")
    ResponseEntity<String> manifest(HttpServletRequest request) {
        String start = DeviceGate.asking(request).flatMap(Device::survey).map(s -> "/surveys/" + s + "/run").orElse("/");
        return ResponseEntity.ok().contentType(MediaType.parseMediaType("application/manifest+json")).header("Cache-Control", "no-cache")
                .body(CanonicalJson.write(Map.of("name", "Tall Ledger", "short_name", "Tall Ledger", "start_url", start, "scope", "/",
                        "display", "standalone", "background_color", "#f6f4ec", "theme_color", "#f6f4ec", "icons",
                        List.of(icon(SMALL_ICON), icon(LARGE_ICON)))));
    }

    private static Map<String, Object> icon(int side) {
        return Map.of("src", "/icon-" + side + ".png", "sizes", side + "x" + side, "type", "image/png");
    }
}
