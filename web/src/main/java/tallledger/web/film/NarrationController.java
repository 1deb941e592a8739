package tallledger.web.film;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
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
import tallledger.core.ledger.FilmMoment;
import tallledger.core.machine.Claim;
import tallledger.core.motion.AxisId;
import tallledger.core.spoken.Spoken;
import tallledger.core.spoken.TimedText;
import tallledger.core.survey.FilmEvent.Heard;
import tallledger.core.survey.FilmEvent.NarrationKept;
import tallledger.core.survey.SurveyEntries;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FilmForm;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.SurveyWriter;
import tallledger.web.forms.Uploaded;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.AttachmentRow;
import tallledger.web.store.Attachments;
import tallledger.web.store.Submission;

/** What is said in a film: its text is taken in, what was found in it is offered one after the other, and a person says what each is. */
@Controller
class NarrationController {

    private static final String TEXT = "text";

    private final SurveyLibrary library;
    private final SurveyWriter entries;
    private final Attachments attachments;
    private final Narrations narrations;
    private final AuthorCookie writer;
    private final Clock clock;

    NarrationController(SurveyLibrary library, SurveyWriter entries, Attachments attachments, Narrations narrations, AuthorCookie writer,
            Clock clock) {
        this.library = library;
        this.entries = entries;
        this.attachments = attachments;
        this.narrations = narrations;
        this.writer = writer;
        this.clock = clock;
    }

    @GetMapping("/surveys/{id}/desk/said")
    String said(@PathVariable long id, @RequestParam Optional<String> film, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.blank();
        typed.set("film", film.orElse(""));
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        return page(survey, typed, Submission.fresh(survey.head()), model);
    }

    private String page(StoredSurvey survey, FormInput typed, Submission submission, Model model) {
        String film = typed.get("film");
        Narrations.Offers offers = narrations.of(survey, film);
        model.addAttribute("survey", survey);
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("film", survey.core().footage().film(film).orElse(null));
        model.addAttribute("offers", offers);
        model.addAttribute("next", offers.open().stream().findFirst().orElse(null));
        model.addAttribute("narrations", survey.core().footage().narrations().stream().filter(n -> n.what().film().equals(film)).toList());
        model.addAttribute("attributes", List.of(Claim.Attribute.values()));
        return "film/said";
    }

    @PostMapping("/surveys/{id}/desk/narrations")
    String narration(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, @RequestParam Optional<MultipartFile> file,
            Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        FilmForm.own(typed);
        Optional<String> text = typed.attempt(TEXT, () -> Uploaded.text(file, typed.get(TEXT), TimedText.MOST_CHARACTERS));
        text.ifPresent(t -> typed.set(TEXT, t));
        Optional<TimedText> timed = text.flatMap(t -> typed.attempt(TEXT, () -> {
            TimedText read = TimedText.parse(t);
            return survey.core().footage().film(typed.get("film")).map(read::checkedFor).orElse(read);
        }));
        Optional<AttachmentRow> row = text.map(t -> AttachmentRow.of("text/plain", t.getBytes(StandardCharsets.UTF_8)));
        return entries.write(survey, typed, response, () -> timed.flatMap(t -> typed.attempt("speaker",
                () -> SurveyEntries.narration(survey.by(clock, typed.get("author")), survey.core(), typed.get("film"), typed.get("speaker"),
                        t.cues().size(), row.orElseThrow().as(NarrationKept.TEXT)))),
                (now, said, submission) -> page(now, said, submission, model), entry -> back(id, typed),
                (book, draft, submission) -> attachments.keep(book, List.of(row.orElseThrow()), draft, submission));
    }

    /** What a thing said is: of the narration, or typed while listening. */
    @PostMapping("/surveys/{id}/desk/heard")
    String heard(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        FilmForm.own(typed);
        typed.set("answer", typed.get("do"));
        return entries.write(survey, typed, response,
                () -> typed.choice("answer", Heard.Answer.class).flatMap(a -> draft(survey, typed, a)),
                (now, said, submission) -> page(now, said, submission, model), entry -> next(id, typed, entry));
    }

    private Optional<Draft> draft(StoredSurvey survey, FormInput typed, Heard.Answer answer) {
        boolean claims = answer == Heard.Answer.CLAIM || answer == Heard.Answer.BOTH;
        Optional<Claim> claim = claims
                ? typed.choice("attribute", Claim.Attribute.class).flatMap(attribute -> typed.attempt("value",
                        () -> Claim.checked(attribute, typed.get("value"), typed.has("source") ? typed.choice("source", Claim.Source.class)
                                .orElse(Claim.Source.SELLER) : Claim.Source.SELLER,
                                shortened(typed.has("wording") ? typed.get("wording") : typed.get("words")),
                                AxisId.read(typed.get("axis")), survey.core().machine().unit())))
                : Optional.empty();
        if (claims && claim.isEmpty()) {
            return Optional.empty();
        }
        return typed.attempt("second", () -> {
            FilmMoment moment = FilmMoment.typed(typed.get("film"), Spoken.second(typed.get("second")).toPlainString(),
                    typed.get("until"), "");
            return SurveyEntries.inFilm(survey.core(), moment, SurveyEntries.heard(survey.by(clock, typed.get("author")),
                    new Heard(answer, typed.get("speaker"), shortened(typed.get("words")), typed.get("key"), "", claim)));
        });
    }

    private static String shortened(String words) {
        return words.length() > Claim.LONGEST_WORDING ? words.substring(0, Claim.LONGEST_WORDING) : words;
    }

    /** What is shown is looked for in the run sheet; then on with what was said. */
    private static String next(long id, FormInput typed, Entry entry) {
        boolean shown = typed.get("answer").equals("SHOWN") || typed.get("answer").equals("BOTH");
        return shown && typed.has("task") ? "redirect:/surveys/" + id + "/run?step=" + java.net.URLEncoder.encode(typed.get("task"),
                StandardCharsets.UTF_8) + "&said=" + entry.sequence() : back(id, typed);
    }

    private static String back(long id, FormInput typed) {
        return "redirect:/surveys/" + id + "/desk/said?film=" + typed.get("film").replaceAll("[^0-9a-f]", "");
    }
}
