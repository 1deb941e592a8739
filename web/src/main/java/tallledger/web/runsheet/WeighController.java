package tallledger.web.runsheet;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.drive.Route;
import tallledger.core.evidence.Values;
import tallledger.core.family.Step;
import tallledger.core.gauge.Gauge;
import tallledger.core.house.House;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.measuring.LastDigit;
import tallledger.core.measuring.SpeedRead;
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.survey.Run;
import tallledger.core.survey.Temperatures;
import tallledger.web.forms.FilmForm;
import tallledger.web.forms.FormInput;
import tallledger.web.housebook.Houses;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.words.WebReason;
import tallledger.web.words.Words;

/**
 * What is typed so far would come to, with its uncertainty, before it is recorded: a last digit too few is seen while the spindle
 * still turns. Writes nothing; what is half typed says nothing.
 */
@Controller
class WeighController {

    private final SurveyLibrary library;

    private final Houses houses;
    private final Clock clock;
    private final Words words;

    WeighController(SurveyLibrary library, Houses houses, Clock clock, Words words) {
        this.words = words;
        this.library = library;
        this.houses = houses;
        this.clock = clock;
    }

    @PostMapping("/surveys/{id}/weigh")
    String weigh(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        Optional<Route> route = survey.folded().machine().train().routeByKey(typed.get("step"));
        model.addAttribute("because", route.isPresent() ? speed(survey, route.get(), typed, houses.newest())
                : survey.steps().step(typed.get("step"))
                        .map(step -> step(survey, step, typed, new ReadWith(houses.newest(), clock.instant(), words)))
                        .orElse(List.of()));
        return "runsheet/weigh :: weigh";
    }

    private static List<Reason> speed(StoredSurvey survey, Route route, FormInput typed, House house) {
        SpeedRead recording = Run.recording(survey.folded().table(), route);
        return RunForm.reading(typed, recording, house)
                .map(reading -> Stream.concat(Run.doubt(survey.folded(), route, reading, seen(typed)).stream(),
                        recording.judge(reading, survey.rules()).because().stream()).toList())
                .orElseGet(() -> typed.errors().values().stream().limit(1).map(why -> Reason.of(WebReason.WEIGH_REFUSED, why)).toList());
    }

    /** Where in a film; one that is none says nothing before it is recorded. */
    private static Optional<FilmMoment> seen(FormInput typed) {
        try {
            return FilmForm.moment(typed);
        } catch (Refused none) {
            return Optional.empty();
        }
    }

    /** With what and when. */
    private record ReadWith(House house, Instant now, Words words) {
    }

    private static List<Reason> step(StoredSurvey survey, Step step, FormInput typed, ReadWith with) {
        Map<String, String> values = new HashMap<>();
        step.recording().fields().forEach(f -> values.put(f.name(), typed.get(f.name())));
        if (step.recording().fields().stream().anyMatch(f -> f.must() && !typed.has(f.name()))) {
            return List.of();
        }
        try {
            Optional<Gauge> picture = PictureScale.gauge(typed, survey.core().machine().unit(), with.words);
            Optional<Gauge> by = picture.isPresent() ? picture
                    : with.house.gauge(typed.get("gauge"), step.recording().usualGauge());
            Optional<BigDecimal> apart = survey.steps().temperatures(with.now).map(Temperatures::apart);
            Values read = new Values(values, survey.folded().machine().identity().unit(), by, apart);
            List<Reason> says = new ArrayList<>(step.recording().weigh(read, step.judgedBy(survey.rules())).because());
            LastDigit.hangs(step.recording(), read, step.judgedBy(survey.rules())).ifPresent(says::add);
            return says;
        } catch (Refused refused) {
            return List.of(InUnit.of(Reason.of(WebReason.WEIGH_REFUSED, refused.reason()), survey.core().machine().unit()));
        }
    }
}
