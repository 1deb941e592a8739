package tallledger.web.photos;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpRange;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.server.ResponseStatusException;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.survey.Clip;
import tallledger.core.survey.SurveyEntries;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.SurveyWriter;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.runsheet.SheetPage;
import tallledger.web.store.Attachments;
import tallledger.web.store.Submission;
import tallledger.web.store.Unfinished;
import tallledger.web.words.WebReason;

/** Short films: taken in at a step, kept as they came, played again part by part. */
@Controller
class ClipController {

    private static final int LONGEST_CAPTION = 200;
    /** Read at a time, bytes. */
    private static final int A_PART = 1_000_000;

    private final SurveyLibrary library;
    private final SurveyWriter entries;
    private final Attachments attachments;
    private final Unfinished unfinished;
    private final Clock clock;
    private final SheetPage page;

    ClipController(SurveyLibrary library, SurveyWriter entries, Attachments attachments, Unfinished unfinished, Clock clock,
            SheetPage page) {
        this.library = library;
        this.entries = entries;
        this.attachments = attachments;
        this.unfinished = unfinished;
        this.clock = clock;
        this.page = page;
    }

    @PostMapping("/surveys/{id}/films")
    String take(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, @RequestParam Optional<MultipartFile> film,
            Model model, HttpServletResponse response) throws IOException {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        Path file = unfinished.file(".film");
        try {
            Optional<ClipFile> clip = typed.attempt("film", () -> ClipFile.of(film, file));
            return entries.write(survey, typed, response, () -> clip.flatMap(c -> entry(survey, typed, c)),
                    (now, said, submission) -> page.show(now, Optional.of(said.get("step")), Optional.empty(), said, submission, model),
                    entry -> "redirect:/surveys/" + id + "/run?step=" + URLEncoder.encode(typed.get("step"), StandardCharsets.UTF_8),
                    (book, draft, submission) -> kept(book, clip.orElseThrow(), draft, submission));
        } finally {
            Files.deleteIfExists(file);
        }
    }

    /** It rests on nothing else in the record, as a photograph does not. */
    private Entry kept(long survey, ClipFile clip, Draft draft, Submission submission) {
        return submission.afterOthers(now -> attachments.keep(survey, clip.film(), clip.file(), draft, now));
    }

    private Optional<Draft> entry(StoredSurvey survey, FormInput typed, ClipFile clip) {
        if (typed.get("caption").length() > LONGEST_CAPTION) {
            typed.refuse("caption", Reason.of(CommonReason.TEXT_LONG, typed.get("caption").length(), LONGEST_CAPTION));
        }
        if (!typed.get("step").isEmpty() && survey.core().task(typed.get("step")).isEmpty()) {
            typed.refuse("form", Reason.of(WebReason.RUN_NO_SUCH_STEP));
        }
        String caption = typed.has("caption") ? typed.get("caption") : "film";
        return typed.isClean() ? typed.attempt("caption", () -> SurveyEntries.clip(survey.by(clock, typed.get("author")), typed.get("step"),
                clip.film(), clip.bytes(), caption)) : Optional.empty();
    }

    /** As browsers play: from any place on, never all of it in memory; only as long as its bytes are those the ledger names. */
    @GetMapping("/surveys/{id}/films/{entry}")
    void play(@PathVariable long id, @PathVariable int entry, @RequestHeader(defaultValue = "") String range, HttpServletRequest request,
            HttpServletResponse response) throws IOException {
        Clip clip = library.survey(id).core().clips().stream().filter(c -> c.entry() == entry).findFirst()
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        if (!attachments.isWhole(clip.sha256())) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        long size = attachments.size(clip.sha256()).orElseThrow();
        long from = 0;
        long to = size - 1;
        if (!range.isEmpty()) {
            List<HttpRange> asked = ranges(range, size, response);
            from = asked.get(0).getRangeStart(size);
            to = asked.get(0).getRangeEnd(size);
            response.setStatus(HttpStatus.PARTIAL_CONTENT.value());
            response.setHeader("Content-Range", "bytes " + from + "-" + to + "/" + size);
        }
        response.setContentType(clip.type());
        response.setHeader("Accept-Ranges", "bytes");
        response.setHeader("Cache-Control", "private, max-age=604800");
        response.setContentLengthLong(to - from + 1);
        for (long at = from; at <= to;) {
            byte[] part = attachments.part(clip.sha256(), at, (int) Math.min(A_PART, to - at + 1));
            response.getOutputStream().write(part);
            at += part.length;
            if (part.length == 0) {
                return;
            }
        }
    }

    private static List<HttpRange> ranges(String range, long size, HttpServletResponse response) {
        try {
            List<HttpRange> asked = HttpRange.parseRanges(range);
            if (asked.size() == 1 && asked.get(0).getRangeStart(size) < size) {
                return asked;
            }
        } catch (IllegalArgumentException bent) {
            // Said below.
        }
        response.setHeader("Content-Range", "bytes */" + size);
        throw new ResponseStatusException(HttpStatus.REQUESTED_RANGE_NOT_SATISFIABLE);
    }
}
