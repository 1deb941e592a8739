package tallledger.web.film;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
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
import tallledger.core.family.Caution;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.machine.Claim;
import tallledger.core.plan.AskingLetter;
import tallledger.core.plan.FilmRequest;
import tallledger.core.plan.ShotList;
import tallledger.core.plan.TelephoneQuestion;
import tallledger.core.survey.FilmEvent;
import tallledger.core.survey.FilmEvent.Heard;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.survey.Task;
import tallledger.core.survey.TaskResult;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.SurveyWriter;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;
import tallledger.web.verdict.PdfReport;
import tallledger.web.words.Words;

/** What the seller is asked to film, what they are asked on the telephone, and what somebody films of their own machine. */
@Controller
class LetterController {

    /** A seller's patience, min (house). */
    private static final String PATIENCE = "15";
    private static final String A_LONG_FILM = "20";
    private static final int MOST_MINUTES = 600;

    private final SurveyLibrary library;
    private final SurveyWriter entries;
    private final AuthorCookie writer;
    private final Clock clock;
    private final Words words;
    private final PdfReport pdf;

    LetterController(SurveyLibrary library, SurveyWriter entries, AuthorCookie writer, Clock clock, Words words, PdfReport pdf) {
        this.library = library;
        this.entries = entries;
        this.writer = writer;
        this.clock = clock;
        this.words = words;
        this.pdf = pdf;
    }

    /** Of what was asked for, whether it was looked at since. @param entry that says so; nought where none does */
    public record AskedBefore(String key, String name, int entry) {
    }

    @GetMapping("/surveys/{id}/letter")
    String letter(@PathVariable long id, @RequestParam(defaultValue = PATIENCE) String minutes, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.blank();
        typed.set("minutes", minutes);
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        typed.set("said", LocalDate.now(clock).toString());
        return letter(survey, typed, Submission.fresh(survey.head()), model);
    }

    private String letter(StoredSurvey survey, FormInput typed, Submission submission, Model model) {
        view(survey, minutes(typed.get("minutes"))).forEach(model::addAttribute);
        model.addAttribute("survey", survey);
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("questions", TelephoneQuestion.open(survey.core()));
        model.addAttribute("before", before(survey));
        return "film/letter";
    }

    private Map<String, Object> view(StoredSurvey survey, double minutes) {
        AskingLetter letter = AskingLetter.of(survey.core(), minutes);
        Map<String, Object> view = new HashMap<>();
        view.put("survey", survey);
        view.put("letter", letter);
        view.put("shots", AskedShot.of(survey.core(), letter.requests(), words));
        view.put("minutes", Math.round(Math.ceil(letter.minutes())));
        view.put("cautions", cautions(survey));
        return view;
    }

    private static List<Caution> cautions(StoredSurvey survey) {
        return Caution.of(survey.core().machine().family().traits()).stream()
                .filter(c -> c == Caution.TURNING || c == Caution.CHUCK || c == Caution.WHEEL || c == Caution.POWER).toList();
    }

    /** What the last letter asked for, and the first entry since that looked at it. */
    private List<AskedBefore> before(StoredSurvey survey) {
        List<NotedEntry<FilmEvent.LetterSent>> letters = survey.core().footage().letters();
        if (letters.isEmpty()) {
            return List.of();
        }
        NotedEntry<FilmEvent.LetterSent> last = letters.get(letters.size() - 1);
        List<AskedBefore> asked = new ArrayList<>();
        for (String key : last.what().tasks()) {
            Optional<Task> task = survey.core().task(key);
            int entry = task.flatMap(t -> survey.core().made().stream().filter(m -> m.task().equals(t) && m.entry() > last.entry())
                    .findFirst()).map(TaskResult::entry).orElse(0);
            asked.add(new AskedBefore(key, task.map(t -> words.name(t, survey.core().machine().train())).orElse(key), entry));
        }
        return List.copyOf(asked);
    }

    private static double minutes(String typed) {
        return typed.strip().matches("\\d{1,3}") ? Math.min(MOST_MINUTES, Math.max(1, Integer.parseInt(typed.strip())))
                : Integer.parseInt(PATIENCE);
    }

    @PostMapping("/surveys/{id}/letter")
    String sent(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        List<String> asked = AskingLetter.of(survey.core(), minutes(typed.get("minutes"))).requests().stream().map(FilmRequest::task)
                .map(Task::key).toList();
        return write(survey, typed, model, response, () -> typed.attempt("to",
                () -> SurveyEntries.letter(survey.by(clock, typed.get("author")), typed.get("to"), asked)));
    }

    /** An answer given on the telephone. */
    @PostMapping("/surveys/{id}/letter/answer")
    String answer(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        return write(survey, typed, model, response, () -> typed.choice("question", TelephoneQuestion.class)
                .flatMap(question -> typed.attempt("value-" + question.name(), () -> {
                    String said = typed.get("value-" + question.name());
                    Claim claim = Claim.checked(question.attribute(), said, Claim.Source.SELLER, said, Optional.empty(),
                            survey.core().machine().unit());
                    return SurveyEntries.heard(survey.by(clock, typed.get("author")), new Heard(Heard.Answer.CLAIM, typed.get("speaker"),
                            said, "", typed.get("said"), Optional.of(claim)));
                })));
    }

    private String write(StoredSurvey survey, FormInput typed, Model model, HttpServletResponse response, Supplier<Optional<Draft>> read) {
        return entries.write(survey, typed, response, read, (now, said, submission) -> letter(now, said, submission, model),
                entry -> "redirect:/surveys/" + survey.id() + "/letter?minutes=" + Math.round(minutes(typed.get("minutes"))));
    }

    @GetMapping("/surveys/{id}/letter.txt")
    ResponseEntity<byte[]> text(@PathVariable long id, @RequestParam(defaultValue = PATIENCE) String minutes) {
        StoredSurvey survey = library.survey(id);
        Map<String, Object> view = view(survey, minutes(minutes));
        StringBuilder text = new StringBuilder(words.say("letter.greeting", survey.machine().name())).append("\n\n");
        for (Object asked : (List<?>) view.get("shots")) {
            AskedShot shot = (AskedShot) asked;
            text.append(shot.number()).append(". ").append(shot.name()).append('\n');
            if (!shot.set().isEmpty()) {
                text.append("   ").append(words.say("letter.set", shot.set())).append('\n');
            }
            text.append("   ").append(shot.does()).append(' ').append(shot.picture()).append(' ')
                    .append(words.say("letter.seconds", shot.seconds())).append('\n');
            if (!shot.before().isEmpty()) {
                text.append("   ").append(words.say("letter.before", String.join(", ", shot.before()))).append('\n');
            }
        }
        text.append('\n');
        cautions(survey).forEach(c -> text.append(words.of(c)).append('\n'));
        text.append('\n').append(words.say("letter.close", view.get("minutes"))).append('\n');
        return ResponseEntity.ok().contentType(new MediaType("text", "plain", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"letter-" + id + ".txt\"")
                .body(text.toString().getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping("/surveys/{id}/letter.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable long id, @RequestParam(defaultValue = PATIENCE) String minutes,
            @RequestParam(defaultValue = "A4") String size) {
        StoredSurvey survey = library.survey(id);
        return pdf(survey, "film/letter-print", view(survey, minutes(minutes)), size, "letter-" + id + ".pdf");
    }

    private ResponseEntity<byte[]> pdf(StoredSurvey survey, String template, Map<String, Object> view, String size, String name) {
        byte[] bytes = pdf.render(template, view, survey.entries().get(survey.entries().size() - 1).at(), size.equals("Letter"));
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + name + "\"").body(bytes);
    }

    @GetMapping("/surveys/{id}/shots")
    String shots(@PathVariable long id, @RequestParam(defaultValue = A_LONG_FILM) String minutes, Model model) {
        StoredSurvey survey = library.survey(id);
        shotView(survey, minutes(minutes)).forEach(model::addAttribute);
        model.addAttribute("asked", minutes);
        return "film/shots";
    }

    private Map<String, Object> shotView(StoredSurvey survey, double minutes) {
        ShotList list = ShotList.of(survey.core(), minutes);
        Map<String, Object> view = new HashMap<>();
        view.put("survey", survey);
        view.put("list", list);
        view.put("shots", AskedShot.of(survey.core(), list.shots(), words));
        view.put("minutes", Math.round(Math.ceil(list.minutes())));
        view.put("cautions", cautions(survey));
        return view;
    }

    @GetMapping("/surveys/{id}/shots.pdf")
    ResponseEntity<byte[]> shotsPdf(@PathVariable long id, @RequestParam(defaultValue = A_LONG_FILM) String minutes,
            @RequestParam(defaultValue = "A4") String size) {
        StoredSurvey survey = library.survey(id);
        return pdf(survey, "film/shots-print", shotView(survey, minutes(minutes)), size, "shots-" + id + ".pdf");
    }

    /** Held into the camera: number, what it is, levers, clock. */
    @GetMapping("/surveys/{id}/slate/{number}")
    String slate(@PathVariable long id, @PathVariable int number, @RequestParam(defaultValue = A_LONG_FILM) String minutes, Model model) {
        StoredSurvey survey = library.survey(id);
        List<AskedShot> shots = AskedShot.of(survey.core(), ShotList.of(survey.core(), minutes(minutes)).shots(), words);
        model.addAttribute("survey", survey);
        model.addAttribute("asked", minutes);
        model.addAttribute("all", shots.size());
        model.addAttribute("shot", number >= 1 && number <= shots.size() ? shots.get(number - 1) : null);
        return "film/slate";
    }
}
