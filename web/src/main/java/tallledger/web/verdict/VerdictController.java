package tallledger.web.verdict;

import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import tallledger.web.record.Shelves;
import tallledger.web.record.Survey;

/** The Verdict: on screen, to print, and as PDF, all from the same view. */
@Controller
class VerdictController {

    private final Shelves shelves;
    private final PdfReport pdf;

    VerdictController(Shelves shelves, PdfReport pdf) {
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
        model.addAllAttributes(view(shelves.survey(id)));
        return PdfReport.TEMPLATE;
    }

    @GetMapping("/surveys/{id}/verdict.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable long id) {
        Survey survey = shelves.survey(id);
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"survey-" + id + ".pdf\"")
                .body(pdf.render(view(survey)));
    }

    private static Map<String, Object> view(Survey survey) {
        return Map.of("survey", survey, "verdict", VerdictView.of(survey));
    }
}
