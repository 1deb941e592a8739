package tallledger.web.paper;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import tallledger.core.coverage.Symptom;
import tallledger.core.family.Phase;
import tallledger.core.ledger.Draft;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.survey.Paper;
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

    private static final Pattern NUMBER = Pattern.compile("\\d{1,4}");

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
                .forEach(line -> phases.computeIfAbsent(line.task().phase(), p -> new ArrayList<>())
                        .add(PrintedStep.of(survey.core(), line, words)));
        model.addAttribute("survey", survey);
        model.addAttribute("phases", phases);
        model.addAttribute("letter", size.equals("Letter"));
        return "paper/print";
    }

    /**
     * A line as it is typed: what its number stands for, and what would be refused.
     *
     * @param said  its step with what is read there and its limit; empty where nothing is typed yet
     * @param wrong what is wrong with it; empty where nothing is, or only the number is typed
     */
    public record TypedLine(String said, String wrong) {
    }

    /** Writes nothing. */
    @PostMapping("/surveys/{id}/paper/line")
    @ResponseBody
    TypedLine line(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        if (!typed.has("number0")) {
            return new TypedLine("", "");
        }
        Paper paper = Paper.of(survey.core());
        if (NUMBER.matcher(typed.get("number0").strip()).matches() && !isTyped(typed, 0)) {
            return said(survey, paper, typed, 0).map(s -> new TypedLine(s, "")).orElseGet(() -> wrong(survey, paper, typed));
        }
        return wrong(survey, paper, typed);
    }

    private TypedLine wrong(StoredSurvey survey, Paper paper, FormInput typed) {
        draft(survey, paper, typed, 0);
        return new TypedLine(said(survey, paper, typed, 0).orElse(""),
                typed.errors().values().stream().findFirst().map(words::say).orElse(""));
    }

    private static boolean isTyped(FormInput typed, int row) {
        return typed.has("reading" + row) || typed.has("mark" + row) || typed.has("remark" + row);
    }

    /** What the number of a row stands for. */
    private Optional<String> said(StoredSurvey survey, Paper paper, FormInput typed, int row) {
        String number = typed.get("number" + row).strip();
        return Optional.of(number).filter(n -> NUMBER.matcher(n).matches()).map(Integer::parseInt)
                .filter(n -> n >= 1 && n <= paper.lines().size())
                .map(n -> PrintedStep.of(survey.core(), paper.lines().get(n - 1), words).said(words));
    }

    @GetMapping("/surveys/{id}/paper/type")
    String ask(@PathVariable long id, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        return page(survey, typed, Submission.fresh(survey.head()), model);
    }

    private String page(StoredSurvey survey, FormInput typed, Submission submission, Model model) {
        model.addAttribute("survey", survey);
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("rows", IntStream.range(0, ROWS).boxed().toList());
        Paper paper = Paper.of(survey.core());
        Map<Integer, String> said = new HashMap<>();
        for (int row = 0; row < ROWS; row++) {
            int at = row;
            said(survey, paper, typed, row).ifPresent(s -> said.put(at, s));
        }
        model.addAttribute("said", said);
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
                draft(survey, paper, typed, row).ifPresent(drafts::add);
            }
        }
        if (drafts.isEmpty() && typed.isClean()) {
            typed.refuse("number0", Reason.of(WebReason.PAPER_EMPTY));
        }
        return drafts;
    }

    private Optional<Draft> draft(StoredSurvey survey, Paper paper, FormInput typed, int row) {
        if (!NUMBER.matcher(typed.get("number" + row).strip()).matches()) {
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
