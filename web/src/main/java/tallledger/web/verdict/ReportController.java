package tallledger.web.verdict;

import java.nio.charset.StandardCharsets;
import java.util.stream.Collectors;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.reason.Reason;
import tallledger.core.survey.Photo;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.words.WebReason;
import tallledger.web.works.BackgroundJobs;
import tallledger.web.works.Progress;

/** The verdict to print, as one page and as PDF, all from the view that stands on the screen. */
@Controller
class ReportController {

    private static final MediaType HTML = MediaType.parseMediaType("text/html;charset=UTF-8");

    private final SurveyLibrary library;
    private final Reports reports;
    private final BackgroundJobs works;

    ReportController(SurveyLibrary library, Reports reports, BackgroundJobs works) {
        this.library = library;
        this.reports = reports;
        this.works = works;
    }

    @GetMapping("/surveys/{id}/verdict/print")
    String print(@PathVariable long id, @RequestParam(defaultValue = "") String money, Model model) {
        StoredSurvey survey = library.survey(id);
        model.addAllAttributes(reports.report(survey));
        model.addAttribute("withMoney", money.equals("yes"));
        model.addAttribute("images",
                survey.core().photos().stream().collect(Collectors.toMap(Photo::entry, p -> "/surveys/" + id + "/photos/" + p.entry())));
        model.addAttribute("sounds", "/surveys/" + id + "/sounds/");
        return Reports.Form.WHOLE.template();
    }

    /** The report as one page to hand on: it needs nothing else. */
    @GetMapping("/surveys/{id}/report.html")
    ResponseEntity<String> page(@PathVariable long id, @RequestParam(defaultValue = "") String money) {
        return ResponseEntity.ok().contentType(HTML)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"survey-" + id + ".html\"")
                .body(reports.page(library.survey(id), money.equals("yes"), Progress.unwatched()));
    }

    @GetMapping("/surveys/{id}/verdict.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable long id, @RequestParam(defaultValue = "") String money,
            @RequestParam(defaultValue = "") String size, @RequestParam(defaultValue = "") String form) {
        StoredSurvey survey = library.survey(id);
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"survey-" + id + ".pdf\"")
                .body(reports.pdf(survey, Reports.Form.named(form), money.equals("yes"), size.equals("Letter"), Progress.unwatched()));
    }

    /** The same as work: there at once where it is quick; with many entries or photographs it says how far it is. */
    @PostMapping("/surveys/{id}/report")
    String report(@PathVariable long id, @RequestParam(defaultValue = "") String money, @RequestParam(defaultValue = "") String size,
            @RequestParam(defaultValue = "") String form) {
        StoredSurvey survey = library.survey(id);
        boolean withMoney = money.equals("yes");
        BackgroundJobs.Action doing = form.equals("page")
                ? progress -> works.file("survey-" + id + ".html", HTML,
                        out -> out.write(reports.page(survey, withMoney, progress).getBytes(StandardCharsets.UTF_8)))
                : progress -> works.file("survey-" + id + ".pdf", MediaType.APPLICATION_PDF,
                        out -> out.write(reports.pdf(survey, Reports.Form.named(form), withMoney, size.equals("Letter"), progress)));
        return works.answer(works.begin(String.join(" ", "report", "" + id, "" + survey.head(), money, size, form),
                Reason.of(WebReason.WORK_REPORT, survey.machine().name()), "/surveys/" + id + "/handover", doing));
    }
}
