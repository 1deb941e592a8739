package tallledger.web.faults;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.family.MachinePart;
import tallledger.core.family.Step;
import tallledger.core.ledger.Draft;
import tallledger.core.motion.AxisId;
import tallledger.core.plan.SoundTrials;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.SurveyEntries;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.SurveyWriter;
import tallledger.web.library.Plans;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;
import tallledger.web.words.Words;

/** The Faults: suspects, cheapest checks first, repair and what must be repeated. */
@Controller
@RequestMapping("/surveys/{id}/faults")
class FaultsController {

    /** What a choice of the repair form begins with where it is a step's system and no part of the drive. */
    private static final String SYSTEM = "system";
    /** The same for all positions of a stage. */
    private static final String MECHANISM = "mechanism";

    /** One choice of what was put right. */
    public record Choice(String value, String name) {
    }

    /** One repair as the margin lists it. */
    public record RepairShown(int entry, String author, String what, String how) {
    }

    /** A chance under half a per cent would be said as nought. */
    private static final double LEAST_PERCENT = 0.5;

    private final SurveyLibrary library;
    private final Words words;
    private final SurveyWriter entries;
    private final Plans plans;
    private final AuthorCookie writer;
    private final Clock clock;

    FaultsController(SurveyLibrary library, SurveyWriter entries, Plans plans, AuthorCookie writer, Clock clock, Words words) {
        this.words = words;
        this.library = library;
        this.entries = entries;
        this.plans = plans;
        this.writer = writer;
        this.clock = clock;
    }

    @GetMapping
    String show(@PathVariable long id, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        return page(survey, typed, Submission.fresh(survey.head()), model);
    }

    @PostMapping("/repair")
    String repair(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        return entries.write(survey, typed, response, () -> repaired(survey, typed),
                (now, said, submission) -> page(now, said, submission, model), entry -> "redirect:/surveys/" + id + "/faults");
    }

    private Optional<Draft> repaired(StoredSurvey survey, FormInput typed) {
        Optional<MachinePart> part = part(survey, typed.get("part"));
        if (part.isEmpty()) {
            typed.refuse("part", Reason.of(CommonReason.CHOICE_UNKNOWN));
        }
        return part.flatMap(p -> typed.attempt("what", () -> SurveyEntries.repaired(survey.by(clock, typed.get("author")), p,
                typed.get("what"))));
    }

    /** What the form's choice stands for: a system some step names, or an element of the drive; empty for anything else. */
    private static Optional<MachinePart> part(StoredSurvey survey, String chosen) {
        Stream<MachinePart> systems = Stream.concat(survey.steps().steps().stream(),
                survey.steps().latest().values().stream().map(StepResult::step))
                .map(Step::system);
        Stream<MachinePart> positions =
                survey.folded().elements().all().stream().map(e -> new MachinePart.Position(e.stageName(), e.label()));
        Stream<MachinePart> mechanisms = mechanisms(survey).stream().map(MachinePart.Mechanism::new);
        return Stream.concat(systems, Stream.concat(mechanisms, positions)).filter(part -> written(part).equals(chosen)).findFirst();
    }

    /** Stages of which any position may be at fault. */
    private static List<String> mechanisms(StoredSurvey survey) {
        return survey.folded().elements().in(survey.folded().elements().reachable()).stream()
                .filter(e -> survey.folded().elements().isChoice(e)).map(e -> e.stageName()).distinct().toList();
    }

    /** As a choice names it. */
    private static String written(MachinePart part) {
        return part.system().map(s -> SYSTEM + "|" + s.name() + "|" + s.axis().map(AxisId::written).orElse(""))
                .orElseGet(() -> part.mechanism().map(m -> MECHANISM + "|" + m.stage()).orElseGet(() -> part.position()
                        .map(p -> p.stage() + "|" + p.label()).orElseThrow()));
    }

    private String named(MachinePart part, StoredSurvey survey) {
        return part.system().map(s -> words.say(s.words(survey.core().machine().fitOut())))
                .orElseGet(() -> part.mechanism().map(m -> words.say("page.mechanism", m.stage()))
                        .orElseGet(() -> part.ofDrive().orElseThrow()));
    }

    private String page(StoredSurvey survey, FormInput typed, Submission submission, Model model) {
        var plan = plans.of(survey);
        List<SuspectView> suspects = SuspectView.of(survey.folded(), plan, survey.core().house().checks());
        model.addAttribute("survey", survey);
        model.addAttribute("plan", plan);
        model.addAttribute("suspects", suspects);
        List<FaultView> faults = FaultView.of(survey, survey.core().house().checks(), words);
        model.addAttribute("faults", faults);
        model.addAttribute("systems", faults.stream().filter(f -> f.system() != null).map(FaultView::system).distinct()
                .map(part -> new Choice(written(part), named(part, survey))).toList());
        model.addAttribute("recorded", suspects.isEmpty() ? List.of() : SoundTrials.tells(survey.folded()));
        model.addAttribute("hunt", plan.ended(survey.folded()).orElse(null));
        model.addAttribute("noFault", plan.imagined(survey.folded()).stream().mapToObj(p -> p * 100).filter(p -> p >= LEAST_PERCENT)
                .findFirst().orElse(null));
        model.addAttribute("heard", survey.folded().counting().stream().filter(r -> !r.record().symptoms().isEmpty()).count());
        model.addAttribute("mechanisms", mechanisms(survey).stream().map(MachinePart.Mechanism::new)
                .map(part -> new Choice(written(part), named(part, survey))).toList());
        model.addAttribute("repeats", Stream.concat(survey.folded().repeats().stream().map(survey.folded().machine().train()::name),
                survey.steps().repeats().stream().flatMap(key -> survey.steps().step(key).stream()).map(st -> words.say(st.name())))
                .toList());
        model.addAttribute("repairs",
                survey.core().repairs().stream().map(r -> new RepairShown(r.entry(), r.author(), named(r.part(), survey), r.what()))
                        .toList());
        model.addAttribute("parts", survey.folded().elements().in(survey.folded().elements().reachable()).stream()
                .filter(e -> survey.folded().elements().isChoice(e)).toList());
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        return "faults/faults";
    }
}
