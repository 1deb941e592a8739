package tallledger.web.film;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.beans.factory.annotation.Value;
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
import org.springframework.web.bind.annotation.ResponseBody;
import tallledger.core.film.FilmFile;
import tallledger.core.film.PictureLength;
import tallledger.core.ledger.Draft;
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Refused;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.unit.LengthUnit;
import tallledger.core.verdict.FilmCoverage;
import tallledger.web.config.ContentPolicy;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FilmForm;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.SurveyWriter;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;
import tallledger.web.words.Words;

/**
 * The film desk: a film plays from the user's own disk, and beside it stands what is recorded from it. Nothing of the film comes here but
 * what is noted of it.
 */
@Controller
class DeskController {

    private final SurveyLibrary library;
    private final SurveyWriter entries;
    private final AuthorCookie writer;
    private final Clock clock;
    private final Words words;
    private final Narrations narrations;
    private final FilmChapters chapters;
    private final boolean demo;

    DeskController(SurveyLibrary library, SurveyWriter entries, AuthorCookie writer, Clock clock, Words words,
            Narrations narrations, FilmChapters chapters, @Value("${tallledger.demo:false}") boolean demo) {
        this.demo = demo;
        this.narrations = narrations;
        this.chapters = chapters;
        this.library = library;
        this.entries = entries;
        this.writer = writer;
        this.clock = clock;
        this.words = words;
    }

    @GetMapping("/surveys/{id}/desk")
    String desk(@PathVariable long id, @RequestParam Optional<String> film, Model model, HttpServletRequest request,
            HttpServletResponse response) {
        response.setHeader("Content-Security-Policy", ContentPolicy.WITH_FILM);
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        model.addAttribute("survey", survey);
        model.addAttribute("typed", typed);
        model.addAttribute("submission", Submission.fresh(survey.head()));
        model.addAttribute("films", survey.core().footage().films());
        model.addAttribute("wanted", film.filter(f -> survey.core().footage().film(f).isPresent()).orElse(""));
        model.addAttribute("example", demo);
        return "film/desk";
    }

    /** What is noted of a film; in the desk's frame. */
    @GetMapping("/surveys/{id}/desk/film")
    String notes(@PathVariable long id, @RequestParam Optional<String> film, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        return notes(survey, film.orElse(""), typed, Submission.fresh(survey.head()), model);
    }

    private String notes(StoredSurvey survey, String film, FormInput typed, Submission submission, Model model) {
        model.addAttribute("survey", survey);
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("film", survey.core().footage().film(film).orElse(null));
        model.addAttribute("lines", FilmLine.of(survey, film, words));
        model.addAttribute("shown", FilmCoverage.of(survey.core(), film).orElse(null));
        model.addAttribute("silent", survey.core().footage().film(film).flatMap(f -> narrations.silences(survey, f)).orElse(null));
        return "film/notes";
    }

    @PostMapping("/surveys/{id}/desk/films")
    String keep(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        FilmForm.own(typed);
        Map<String, String> said = new HashMap<>();
        typed.names().forEach(name -> said.put(name, typed.get(name)));
        return write(survey, typed, model, response, () -> typed.attempt("film", () -> FilmFile.typed(said))
                .map(film -> SurveyEntries.film(survey.by(clock, typed.get("author")), film)));
    }

    @PostMapping("/surveys/{id}/desk/cuts")
    String cut(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        FilmForm.own(typed);
        return write(survey, typed, model, response, () -> typed.attempt("second",
                () -> SurveyEntries.filmCut(survey.by(clock, typed.get("author")), survey.core(), typed.get("film"), typed.get("second"))));
    }

    private String write(StoredSurvey survey, FormInput typed, Model model, HttpServletResponse response,
            Supplier<Optional<Draft>> read) {
        return entries.write(survey, typed, response, read,
                (now, said, submission) -> notes(now, said.get("film"), said, submission, model),
                entry -> "redirect:/surveys/" + survey.id() + "/desk/film?film=" + typed.get("film").replaceAll("[^0-9a-f]", ""));
    }

    /** A length in the picture by a known one; what is wrong is said with 422. */
    @GetMapping("/surveys/{id}/desk/length")
    @ResponseBody
    Map<String, Object> length(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, HttpServletResponse response) {
        FormInput typed = FormInput.of(fields);
        LengthUnit unit = library.survey(id).core().machine().unit();
        try {
            PictureLength length = PictureLength.parse(typed.get("points"), typed.get("known"), typed.get("apart"), typed.get("distance"),
                    unit);
            BigDecimal value = unit == LengthUnit.INCH ? length.measured().value().divide(INCH, MathContext.DECIMAL32)
                    : length.measured().value();
            return Map.of("says", words.say(InUnit.of(length.says(), unit)), "value", value.setScale(unit == LengthUnit.INCH ? 3 : 1,
                    RoundingMode.HALF_UP).toPlainString() + " " + unit.symbol());
        } catch (Refused refused) {
            response.setStatus(HttpServletResponse.SC_UNPROCESSABLE_CONTENT);
            return Map.of("says", words.say(refused.reason()));
        }
    }

    private static final BigDecimal INCH = new BigDecimal("25.4");

    /** Chapters of a film, to lie beside it. */
    @GetMapping("/surveys/{id}/desk/chapters.vtt")
    ResponseEntity<String> chapters(@PathVariable long id, @RequestParam(defaultValue = "") String film) {
        StoredSurvey survey = library.survey(id);
        return survey.core().footage().film(film)
                .map(f -> ResponseEntity.ok().contentType(MediaType.parseMediaType("text/vtt;charset=UTF-8"))
                        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + film + ".vtt\"").body(chapters.of(survey, f)))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }

    /** What stands on the strip of a film: every entry of it with its second, and its cuts. */
    @GetMapping("/surveys/{id}/desk/marks")
    @ResponseBody
    Map<String, Object> marks(@PathVariable long id, @RequestParam(defaultValue = "") String film) {
        StoredSurvey survey = library.survey(id);
        List<Map<String, Object>> lines = FilmLine.of(survey, film, words).stream().map(FilmLine::mark).toList();
        Optional<FilmFile> of = survey.core().footage().film(film);
        return Map.of("known", of.isPresent(), "from", of.map(FilmFile::from).orElse(""), "head", survey.head(), "entries", lines, "cuts",
                survey.core().footage().cutsOf(film), "rate",
                of.flatMap(FilmFile::rate).map(r -> r.perSecond().toPlainString()).orElse(""));
    }
}
