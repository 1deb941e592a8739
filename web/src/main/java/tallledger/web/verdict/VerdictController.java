package tallledger.web.verdict;

import java.util.Base64;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import tallledger.core.survey.Photo;
import tallledger.web.record.AsItStands;
import tallledger.web.record.LastAsked;
import tallledger.web.record.Attachments;
import tallledger.web.record.Shelves;
import tallledger.web.record.Survey;
import tallledger.web.words.Words;

/** The Verdict: on screen, to print, and as PDF, all from the same view. */
@Controller
class VerdictController {

    private static final int MOST_KEPT = 16;

    private final LastAsked<AsItStands, VerdictView> verdicts;
    private final Shelves shelves;
    private final PdfReport pdf;
    private final Attachments attachments;

    VerdictController(Shelves shelves, PdfReport pdf, Attachments attachments, Words words) {
        this.verdicts = new LastAsked<>(MOST_KEPT, asked -> VerdictView.of(asked.survey(), words));
        this.attachments = attachments;
        this.shelves = shelves;
        this.pdf = pdf;
    }

    @GetMapping("/surveys/{id}/verdict")
    String verdict(@PathVariable long id, Model model) {
        model.addAllAttributes(view(shelves.survey(id)));
        return "verdict/verdict";
    }

    @GetMapping("/surveys/{id}/verdict/print")
    String print(@PathVariable long id, Model model) {
        Survey survey = shelves.survey(id);
        model.addAllAttributes(view(survey));
        model.addAttribute("images", survey.core().photos().stream().collect(Collectors.toMap(Photo::entry, p -> "/surveys/" + id + "/photos/" + p.entry())));
        return PdfReport.TEMPLATE;
    }

    @GetMapping("/surveys/{id}/verdict.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable long id) {
        Survey survey = shelves.survey(id);
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"survey-" + id + ".pdf\"")
                .body(pdf.render(withImages(survey)));
    }

    /** Into the PDF go the pictures themselves. */
    private Map<String, Object> withImages(Survey survey) {
        Map<Integer, String> images = new HashMap<>();
        survey.core().photos().forEach(p -> attachments.attachment(p.sha256()).ifPresent(row -> images.put(p.entry(),
                "data:" + row.type() + ";base64," + Base64.getEncoder().encodeToString(row.bytes()))));
        Map<String, Object> all = new HashMap<>(view(survey));
        all.put("images", images);
        return all;
    }

    private Map<String, Object> view(Survey survey) {
        return Map.of("survey", survey, "verdict", verdicts.of(new AsItStands(survey)));
    }
}
