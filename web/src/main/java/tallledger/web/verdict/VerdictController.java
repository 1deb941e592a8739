package tallledger.web.verdict;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Optional;
import java.util.stream.Stream;
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

/** The Verdict on screen: in short, and its parts each under an address of its own; prices and judgements typed there. */
@Controller
class VerdictController {

    private final SurveyLibrary library;
    private final Reports reports;
    private final SurveyWriter entries;
    private final AuthorCookie writer;
    private final Clock clock;
    private final Words words;

    VerdictController(SurveyLibrary library, Reports reports, SurveyWriter entries, AuthorCookie writer, Clock clock, Words words) {
        this.entries = entries;
        this.writer = writer;
        this.clock = clock;
        this.words = words;
        this.reports = reports;
        this.library = library;
    }

    @GetMapping({"/surveys/{id}/verdict", "/surveys/{id}/verdict/{part:findings|claims|statement|record}"})
    String part(@PathVariable long id, @PathVariable Optional<String> part, Model model, HttpServletRequest request) {
        return shown(VerdictPart.at(part.map(p -> "/" + p).orElse("")), id, model, request);
    }

    /** What to offer; with what is tried in the address, of which nothing is recorded. */
    @GetMapping("/surveys/{id}/verdict/money")
    String money(@PathVariable long id, @RequestParam MultiValueMap<String, String> tried, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        Money.WhatIf whatIf = MoneyView.whatIf(survey, FormInput.of(tried));
        String page = shown(VerdictPart.MONEY, id, model, request);
        if (!whatIf.isNothing()) {
            model.addAttribute("money", MoneyView.of(survey, whatIf, words));
        }
        return page;
    }

    /** A form refused there and asked for again. */
    @GetMapping("/surveys/{id}/verdict/finding")
    String findingAgain(@PathVariable long id) {
        return "redirect:/surveys/" + id + "/verdict/findings";
    }

    @GetMapping("/surveys/{id}/verdict/prices")
    String pricesAgain(@PathVariable long id) {
        return "redirect:/surveys/" + id + "/verdict/money";
    }

    private String shown(VerdictPart part, long id, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        return page(part, survey, typed, Submission.fresh(survey.head()), model);
    }

    /** From here on the machine is judged as of another grade; everything measured is judged by it. */
    @PostMapping("/surveys/{id}/verdict")
    String judgeAs(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        return entries.write(survey, typed, response, () -> typed.choice("judgedAs", Grade.class)
                .map(grade -> SurveyEntries.judgedAs(survey.by(clock, typed.get("author")), grade)),
                (now, said, submission) -> page(VerdictPart.FINDINGS, now, said, submission, model),
                entry -> "redirect:/surveys/" + id + "/verdict/findings");
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
                (now, said, submission) -> page(VerdictPart.MONEY, now, said, submission, model),
                entry -> "redirect:/surveys/" + id + "/verdict/money");
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
                (now, said, submission) -> page(VerdictPart.FINDINGS, now, said, submission, model),
                entry -> "redirect:/surveys/" + id + "/verdict/findings");
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

    private String page(VerdictPart part, StoredSurvey survey, FormInput typed, Submission submission, Model model) {
        model.addAllAttributes(reports.view(survey));
        model.addAttribute("parts", VerdictPart.values());
        model.addAttribute("part", part);
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
        return part.template();
    }

    private static Regrade.Whose whose(FormInput typed) {
        if (typed.get("whose").isEmpty()) {
            return Regrade.Whose.FAULT;
        }
        return Stream.of(Regrade.Whose.values()).filter(w -> w.name().equals(typed.get("whose"))).findFirst()
                .orElseThrow(() -> Refused.because(CommonReason.CHOICE_UNKNOWN).at("whose"));
    }
}
