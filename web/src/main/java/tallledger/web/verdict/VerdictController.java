package tallledger.web.verdict;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.evidence.Severity;
import tallledger.core.gauge.Grade;
import tallledger.core.price.Background;
import tallledger.core.price.Repair;
import tallledger.core.price.Stakes;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.survey.Photo;
import tallledger.core.survey.Regrade;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.verdict.Finding;
import tallledger.core.verdict.Money;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.SurveyWriter;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;
import tallledger.web.words.WebReason;
import tallledger.web.words.Words;
import tallledger.web.works.BackgroundJobs;
import tallledger.web.works.Progress;

/** The Verdict: on screen, to print, and as PDF, all from the same view. */
@Controller
class VerdictController {

    private static final MediaType HTML = MediaType.parseMediaType("text/html;charset=UTF-8");

    private final SurveyLibrary library;
    private final Reports reports;
    private final SurveyWriter entries;
    private final AuthorCookie writer;
    private final Clock clock;
    private final Words words;
    private final BackgroundJobs works;

    VerdictController(SurveyLibrary library, Reports reports, SurveyWriter entries, AuthorCookie writer, Clock clock, Words words,
            BackgroundJobs works) {
        this.works = works;
        this.entries = entries;
        this.writer = writer;
        this.clock = clock;
        this.words = words;
        this.reports = reports;
        this.library = library;
    }

    @GetMapping("/surveys/{id}/verdict")
    String verdict(@PathVariable long id, @RequestParam MultiValueMap<String, String> supposed, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.blank();
        model.addAttribute("whatIf", MoneyView.whatIf(survey, FormInput.of(supposed)));
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        return page(survey, typed, Submission.fresh(survey.head()), model);
    }

    /** From here on the machine is judged as of another grade; everything measured is judged by it. */
    @PostMapping("/surveys/{id}/verdict")
    String judgeAs(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        return entries.write(survey, typed, response, () -> typed.choice("judgedAs", Grade.class)
                .map(grade -> SurveyEntries.judgedAs(survey.by(clock, typed.get("author")), grade)),
                (now, said, submission) -> page(now, said, submission, model), entry -> "redirect:/surveys/" + id + "/verdict");
    }

    /** What is asked, what a sound one is worth, where the machine comes from. */
    @PostMapping("/surveys/{id}/verdict/prices")
    String prices(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        return entries.write(survey, typed, response,
                () -> typed.attempt("asking", () -> SurveyEntries.priced(survey.by(clock, typed.get("author")),
                        Stakes.typed(typed.get("asking"), typed.get("sound"), typed.get("currency"), typed.get("background"),
                                typed.get("mass"), typed.get("scrap"), typed.get("anHour"), survey.folded().machine().unit()))),
                (now, said, submission) -> page(now, said, submission, model), entry -> "redirect:/surveys/" + id + "/verdict#money");
    }

    /** A person judges a finding otherwise than the rules. */
    @PostMapping("/surveys/{id}/verdict/finding")
    String regrade(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        int target = typed.wholeOr("target", 0);
        Optional<Finding> finding = Finding.of(survey.core()).stream().filter(f -> f.entries().contains(target)).findFirst();
        if (finding.isEmpty()) {
            typed.refuse("form", Reason.of(WebReason.FINDING_GONE, target));
        }
        return entries.write(survey, typed, response,
                () -> finding.flatMap(f -> typed.choice("severity", Severity.class).flatMap(severity -> typed.attempt("why",
                        () -> SurveyEntries.regraded(survey.by(clock, typed.get("author")),
                                Regrade.parse(target, severity, typed.get("why"), whose(typed),
                                        typed.get("cost"), typed.get("minutesEach"), typed.get("timesADay"), repair(survey, typed)),
                                f.severity())))),
                (now, said, submission) -> page(now, said, submission, model), entry -> "redirect:/surveys/" + id + "/verdict");
    }

    /** One of the house's repairs, or none. @throws Refused at "repair" */
    private static String repair(StoredSurvey survey, FormInput typed) {
        String said = typed.get("repair").strip();
        return said.isEmpty() ? said
                : repairs(survey).filter(said::equalsIgnoreCase).findFirst()
                        .orElseThrow(() -> Refused.because(WebReason.REPAIR_UNKNOWN, said).at("repair"));
    }

    /** What a fault can lead to; a price of kit is no repair. */
    private static Stream<String> repairs(StoredSurvey survey) {
        return survey.core().house().repairs().stream().filter(r -> !r.about().equals(Repair.KIT)).map(Repair::what).distinct();
    }

    private String page(StoredSurvey survey, FormInput typed, Submission submission, Model model) {
        model.addAllAttributes(reports.view(survey));
        if (model.getAttribute("whatIf") instanceof Money.WhatIf supposed && !supposed.isNothing()) {
            model.addAttribute("money", MoneyView.of(survey, supposed, words));
        }
        model.addAttribute("backgrounds", Background.values());
        model.addAttribute("repairs", repairs(survey).sorted().toList());
        survey.core().stakes().filter(s -> !typed.isSent("background"))
                .ifPresent(s -> s.toPayload().forEach((field, value) -> typed.set(field, (String) value)));
        if (!typed.isSent("background")) {
            typed.set("background", Background.IN_DAILY_USE.name());
        }
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("grades", Grade.values());
        model.addAttribute("severities", Severity.values());
        model.addAttribute("whose", Regrade.Whose.values());
        return "verdict/verdict";
    }

    @GetMapping("/surveys/{id}/verdict/print")
    String print(@PathVariable long id, @RequestParam(defaultValue = "") String money, Model model) {
        StoredSurvey survey = library.survey(id);
        model.addAllAttributes(reports.report(survey));
        model.addAttribute("withMoney", money.equals("yes"));
        model.addAttribute("images",
                survey.core().photos().stream().collect(Collectors.toMap(Photo::entry, p -> "/surveys/" + id + "/photos/" + p.entry())));
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
                Reason.of(WebReason.WORK_REPORT, survey.machine().name()), "/surveys/" + id + "/verdict", doing));
    }

    private static Regrade.Whose whose(FormInput typed) {
        if (typed.get("whose").isEmpty()) {
            return Regrade.Whose.FAULT;
        }
        return Stream.of(Regrade.Whose.values()).filter(w -> w.name().equals(typed.get("whose"))).findFirst()
                .orElseThrow(() -> Refused.because(CommonReason.CHOICE_UNKNOWN).at("whose"));
    }
}
