package tallledger.web.runsheet;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.family.Step;
import tallledger.core.gauge.Gauge;
import tallledger.core.ledger.Authorship;
import tallledger.core.measuring.AskBack;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.survey.Basis;
import tallledger.core.survey.RunGate;
import tallledger.core.survey.SurveyEntries;
import tallledger.web.forms.FilmForm;
import tallledger.web.forms.FormInput;
import tallledger.web.housebook.Houses;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.words.WebReason;
import tallledger.web.words.Words;

/** Steps of the catalogue: done, passed over, put off. */
@Controller
class StepController {

    private final SurveyLibrary library;
    private final SheetWriter sheet;
    private final Houses houses;
    private final Clock clock;
    private final Words words;

    StepController(SurveyLibrary library, SheetWriter sheet, Houses houses, Clock clock, Words words) {
        this.words = words;
        this.library = library;
        this.houses = houses;
        this.sheet = sheet;
        this.clock = clock;
    }

    @PostMapping("/surveys/{id}/step")
    String done(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        Optional<String> meant = meant(typed);
        return sheet.write(survey, typed, model, response, () -> step(survey, typed).filter(step -> ByEye.decided(typed))
                .flatMap(step -> typed.attempt("form", () -> {
                    boolean inFilm = FilmForm.moment(typed).isPresent();
                    if (!inFilm) {
                        RunGate.check(survey.core(), step);
                    }
                    Map<String, String> values = new HashMap<>();
                    step.recording().fields().forEach(f -> values.put(f.name(), typed.get(f.name())));
                    Basis by = survey.basis().with(houses.newest().gauge(typed.get("gauge"), step.recording().usualGauge()));
                    Authorship who = survey.by(clock, typed.get("author"));
                    Optional<AskBack> asked = meant.filter(AS_TYPED::equals).isPresent() ? Optional.empty()
                            : SurveyEntries.askBack(who, survey.steps(), step, values, by, typed.get("do").equals("bad"));
                    asked.ifPresent(ask -> values.putAll(meant.flatMap(m -> meaning(ask, m)).orElseThrow(() -> {
                        model.addAttribute("askBack", ask);
                        return new Refused(ask.asks()).at("meant");
                    })));
                    if (inFilm) {
                        Optional<Gauge> picture = PictureScale.gauge(typed, by.unit(), words);
                        return SurveyEntries.stepInFilm(who, survey.steps(), step, values, picture.isPresent() ? by.with(picture) : by,
                                typed.get("do").equals("bad"), typed.get("remark"));
                    }
                    return SurveyEntries.step(who, survey.steps(), step, values, by, typed.get("do").equals("bad"), typed.all("confirmed"),
                            typed.get("remark"));
                })));
    }

    private static final String AS_TYPED = "as-typed";

    /**
     * Answer to what was asked back, "good:as-typed" or "bad:0": the key pressed before, and whether it is so or which meaning it has. The
     * key stands then as if it had been pressed again.
     */
    private static Optional<String> meant(FormInput typed) {
        String[] answer = typed.get("do").split(":", 2);
        typed.set("do", answer[0]);
        return answer.length < 2 ? Optional.empty() : Optional.of(answer[1]);
    }

    private static Optional<Map<String, String>> meaning(AskBack ask, String answer) {
        return IntStream.range(0, ask.meanings().size()).filter(i -> answer.equals(String.valueOf(i))).boxed().findFirst()
                .map(i -> ask.meanings().get(i).values());
    }

    /** Come back later: a step or a speed. */
    @PostMapping("/surveys/{id}/later")
    String later(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        boolean known = survey.folded().machine().train().routeByKey(typed.get("step")).isPresent() || step(survey, typed).isPresent();
        return sheet.write(survey, typed, model, response, () -> known
                ? Optional.of(SurveyEntries.later(survey.by(clock, typed.get("author")), typed.get("step")))
                : Optional.empty());
    }

    private static Optional<Step> step(StoredSurvey survey, FormInput typed) {
        Optional<Step> step = survey.steps().step(typed.get("step"));
        if (step.isEmpty()) {
            typed.refuse("form", Reason.of(WebReason.RUN_NO_SUCH_STEP));
        }
        return step;
    }
}
