package tallledger.web.photos;

import jakarta.servlet.http.HttpServletResponse;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.survey.Photo;
import tallledger.core.survey.SurveyEntries;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.SurveyWriter;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.runsheet.SheetPage;
import tallledger.web.store.AttachmentRow;
import tallledger.web.store.Attachments;
import tallledger.web.store.Submission;
import tallledger.web.words.WebReason;

/** Photographs: taken in at a step, shown again. What the file is called is never looked at. */
@Controller
class PhotoController {

    private static final int LONGEST_CAPTION = 200;
    private static final int HUNDRED = 100;

    private final SurveyLibrary library;
    private final SurveyWriter entries;
    private final Attachments attachments;
    private final Clock clock;
    private final SheetPage page;
    private final PhotoReencoder darkroom;

    PhotoController(SurveyLibrary library, SurveyWriter entries, Attachments attachments, Clock clock, SheetPage page,
            PhotoReencoder darkroom) {
        this.darkroom = darkroom;
        this.library = library;
        this.entries = entries;
        this.attachments = attachments;
        this.clock = clock;
        this.page = page;
    }

    @PostMapping("/surveys/{id}/photos")
    String take(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, @RequestParam Optional<MultipartFile> photo,
            Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        Optional<PhotoFile> picture = typed.attempt("photo", () -> darkroom.develop(photo, longest(survey)));
        return entries.write(survey, typed, response, () -> picture.flatMap(p -> entry(survey, typed, p)),
                (now, said, submission) -> page.show(now, Optional.of(said.get("step")), Optional.empty(), said, submission, model),
                entry -> back(id, typed),
                (book, draft, submission) -> kept(book, picture.orElseThrow(), draft, submission));
    }

    private static int longest(StoredSurvey survey) {
        return HUNDRED * survey.rules().number(Rule.PICTURE_SIDE).intValue();
    }

    /** A photograph rests on nothing else in the record: what was written meanwhile does not stand in its way. */
    private Entry kept(long survey, PhotoFile picture, Draft draft, Submission submission) {
        List<AttachmentRow> files = List.of(picture.whole(), picture.small());
        return submission.afterOthers(now -> attachments.keep(survey, files, draft, now));
    }

    private Optional<Draft> entry(StoredSurvey survey, FormInput typed, PhotoFile picture) {
        if (typed.get("caption").length() > LONGEST_CAPTION) {
            typed.refuse("caption", Reason.of(CommonReason.TEXT_LONG, typed.get("caption").length(), LONGEST_CAPTION));
        }
        boolean known = typed.get("step").isEmpty() || survey.steps().step(typed.get("step")).isPresent()
                || survey.folded().machine().train().routeByKey(typed.get("step")).isPresent();
        if (!known) {
            typed.refuse("form", Reason.of(WebReason.RUN_NO_SUCH_STEP));
        }
        String caption = typed.has("caption") ? typed.get("caption") : "photograph";
        return typed.isClean() ? typed.attempt("caption",
                () -> SurveyEntries.photo(survey.by(clock, typed.get("author")), typed.get("step"),
                        List.of(picture.whole().as(Photo.PICTURE), picture.small().as(Photo.SMALL)),
                        picture.width(), picture.height(), caption))
                : Optional.empty();
    }

    private static String back(long id, FormInput typed) {
        return "redirect:/surveys/" + id + "/run?step=" + URLEncoder.encode(typed.get("step"), StandardCharsets.UTF_8);
    }

    /** Shown only as long as its bytes are those the ledger names. */
    @GetMapping("/surveys/{id}/photos/{entry}")
    ResponseEntity<byte[]> show(@PathVariable long id, @PathVariable int entry, @RequestParam Optional<String> size) {
        Optional<Photo> photo = library.survey(id).core().photos().stream().filter(p -> p.entry() == entry).findFirst();
        boolean small = size.filter("small"::equals).isPresent();
        return photo.map(p -> small ? p.small().orElse(p.sha256()) : p.sha256()).flatMap(attachments::attachment)
                .map(a -> ResponseEntity.ok().contentType(MediaType.parseMediaType(a.type()))
                        .cacheControl(CacheControl.maxAge(Duration.ofDays(7)).cachePrivate())
                        .body(a.bytes()))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }
}
