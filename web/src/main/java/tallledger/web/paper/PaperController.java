package tallledger.web.paper;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.coverage.Symptom;
import tallledger.core.family.Phase;
import tallledger.core.family.Step;
import tallledger.core.ledger.Draft;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.survey.Paper;
import tallledger.core.unit.Unit;
import tallledger.web.accuracy.AccuracyView;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.SurveyWriter;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;
import tallledger.web.words.WebReason;
import tallledger.web.words.Words;

/** The run sheet on paper, and what stands on it typed in afterwards. */
@Controller
class PaperController {

    private static final int ROWS = 24;

    /** One line as printed. */
    public record PrintedStep(int number, String name, String what, String limit) {
    }

    private final SurveyLibrary library;
    private final SurveyWriter entries;
    private final AuthorCookie writer;
    private final Words words;
    private final Clock clock;

    PaperController(SurveyLibrary library, SurveyWriter entries, AuthorCookie writer, Words words, Clock clock) {
        this.library = library;
        this.entries = entries;
        this.writer = writer;
        this.words = words;
        this.clock = clock;
    }

    @GetMapping("/surveys/{id}/paper")
    String print(@PathVariable long id, @RequestParam(defaultValue = "A4") String size, Model model) {
        StoredSurvey survey = library.survey(id);
        Map<Phase, List<PrintedStep>> phases = new EnumMap<>(Phase.class);
        Paper.of(survey.core()).open(survey.core())
                .forEach(line -> phases.computeIfAbsent(line.task().phase(), p -> new ArrayList<>()).add(printed(survey, line)));
        model.addAttribute("survey", survey);
        model.addAttribute("phases", phases);
        model.addAttribute("letter", size.equals("Letter"));
        return "paper/print";
    }

    private PrintedStep printed(StoredSurvey survey, Paper.PaperLine line) {
        String name = words.name(line.task(), survey.folded().machine().train());
        Optional<Step> step = line.task().step();
        String what = step.filter(s -> s.recording().driveCheck().isEmpty())
                .map(s -> words.say(s.says("do"))).orElse("");
        String limit = step.map(s -> s.recording().limit(s.judgedBy(survey.rules())).map(l -> words.in(survey.folded().machine().unit(),
                l.workable(), l.unit())
                + AccuracyView.per(s, survey.rules())
                        .map(p -> words.say("page.per", words.in(survey.folded().machine().unit(), p, Unit.MILLIMETRES))).orElse(""))
                .orElse("")).orElseGet(() -> line.task().route().flatMap(r -> survey.folded().table().nominal(r))
                        .map(n -> words.say("figure", n) + " rpm").orElse(""));
        return new PrintedStep(line.number(), name, what, limit);
    }

    @GetMapping("/surveys/{id}/paper/type")
    String ask(@PathVariable long id, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        return page(survey, typed, Submission.fresh(survey.head()), model);
    }

    private static String page(StoredSurvey survey, FormInput typed, Submission submission, Model model) {
        model.addAttribute("survey", survey);
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("rows", IntStream.range(0, ROWS).boxed().toList());
        return "paper/type";
    }

    /** Every line, or none: what is wrong is said at its line, and all that was typed is still there. */
    @PostMapping("/surveys/{id}/paper/type")
    String type(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        return entries.writeAll(survey, typed, response, () -> drafts(survey, typed),
                (now, said, submission) -> page(now, said, submission, model), "redirect:/surveys/" + id + "/entries");
    }

    private List<Draft> drafts(StoredSurvey survey, FormInput typed) {
        if (!typed.has("visit")) {
            typed.refuse("visit", Reason.of(WebReason.PAPER_VISIT_MISSING));
        }
        Paper paper = Paper.of(survey.core());
        List<Draft> drafts = new ArrayList<>();
        for (int row = 0; row < ROWS; row++) {
            if (typed.has("number" + row) || typed.has("reading" + row) || typed.has("remark" + row)) {
                line(survey, paper, typed, row).ifPresent(drafts::add);
            }
        }
        if (drafts.isEmpty() && typed.isClean()) {
            typed.refuse("number0", Reason.of(WebReason.PAPER_EMPTY));
        }
        return drafts;
    }

    private Optional<Draft> line(StoredSurvey survey, Paper paper, FormInput typed, int row) {
        if (!typed.get("number" + row).strip().matches("\\d{1,4}")) {
            typed.refuse("number" + row, Reason.of(WebReason.PAPER_LINE_NUMBER, typed.get("number" + row)));
            return Optional.empty();
        }
        String mark = typed.get("mark" + row).strip().toLowerCase(Locale.ROOT);
        Optional<Symptom> symptom = Stream.of(Symptom.values()).filter(s -> words.of(s).toLowerCase(Locale.ROOT).equals(mark)).findFirst();
        if (!mark.matches("|y|n") && symptom.isEmpty()) {
            typed.refuse("mark" + row, Reason.of(WebReason.PAPER_MARK_UNKNOWN, mark));
            return Optional.empty();
        }
        try {
            return Optional.of(paper.draft(survey.core(), Integer.parseInt(typed.get("number" + row).strip()),
                    new Paper.PaperRecord(typed.get("reading" + row).strip(), mark.equals("n"), symptom.map(Set::of).orElse(Set.of()),
                            typed.get("remark" + row).strip()),
                    survey.by(clock, typed.has("author") ? typed.get("author") : "?"), survey.basis(), typed.get("visit").strip()));
        } catch (Refused refused) {
            typed.refuse(refused.field().orElse("number") + row, refused.reason());
            return Optional.empty();
        }
    }
}
