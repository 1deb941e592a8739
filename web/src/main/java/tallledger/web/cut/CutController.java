package tallledger.web.cut;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.math.BigDecimal;
import java.math.MathContext;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.cutting.CutMade;
import tallledger.core.cutting.Job;
import tallledger.core.cutting.StartingCut;
import tallledger.core.cutting.TestCut;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reading.SurfaceSpeed;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.unit.LengthUnit;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.SurveyWriter;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/**
 * A test cut reckoned before it is made: this machine's own speed, power and torque there against what the cut wants; noted once it is
 * made.
 */
@Controller
class CutController {

    private static final List<String> MADE = List.of("kind", "material", "tool", "diameter", "feed", "depth", "width", "rpm");

    private final SurveyLibrary library;
    private final SurveyWriter entries;
    private final AuthorCookie writer;
    private final Clock clock;

    CutController(SurveyLibrary library, SurveyWriter entries, AuthorCookie writer, Clock clock) {
        this.library = library;
        this.entries = entries;
        this.writer = writer;
        this.clock = clock;
    }

    @GetMapping("/surveys/{id}/cut")
    String show(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        MachineDescription machine = survey.folded().machine();
        FormInput typed = FormInput.of(fields);
        if (!typed.isSent("kind")) {
            start(typed, machine, survey);
        }
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        return page(survey, typed, Submission.fresh(survey.head()), model);
    }

    /** The cut as it was made: the steps after it are measured on it. */
    @PostMapping("/surveys/{id}/cut")
    String made(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        Map<String, String> said = new HashMap<>();
        MADE.forEach(field -> said.put(field, typed.get(field)));
        LengthUnit unit = survey.folded().machine().unit();
        return entries.write(survey, typed, response,
                () -> typed.attempt("diameter", () -> SurveyEntries.cut(survey.by(clock, typed.get("author")), CutMade.typed(said, unit),
                        unit)),
                (now, back, submission) -> page(now, back, submission, model), entry -> "redirect:/surveys/" + id + "/run");
    }

    private String page(StoredSurvey survey, FormInput typed, Submission submission, Model model) {
        MachineDescription machine = survey.folded().machine();
        model.addAttribute("submission", submission);
        // A slip in what was made hides nothing of what was reckoned.
        FormInput wanted = typed.withoutErrors();
        Optional<Job> job = typed.has("diameter") ? job(wanted, machine.unit()) : Optional.empty();
        wanted.errors().forEach(typed::refuse);
        model.addAttribute("survey", survey);
        model.addAttribute("typed", typed);
        model.addAttribute("kinds", Job.Kind.values());
        model.addAttribute("materials", Job.Material.values());
        model.addAttribute("unit", machine.unit());
        Optional<TestCut> cut = job.map(j -> TestCut.of(j, machine.speeds(), machine.motor()));
        cut.flatMap(c -> c.ways().stream().findFirst()).filter(way -> !typed.isSent("rpm"))
                .ifPresent(way -> typed.set("rpm", new BigDecimal(way.rpm()).round(new MathContext(4))
                        .stripTrailingZeros().toPlainString()));
        model.addAttribute("cut", cut.orElse(null));
        model.addAttribute("says", cut.map(c -> InUnit.of(c.says(machine.unit()), machine.unit())).orElse(null));
        model.addAttribute("train", machine.train());
        return "cut/cut";
    }

    private static void start(FormInput typed, MachineDescription machine, StoredSurvey survey) {
        typed.set("material", Job.Material.STEEL.name());
        BigDecimal feed = survey.rules().number(Rule.DRILL_CLAIM_FEED);
        BigDecimal own = machine.unit() == LengthUnit.MM ? feed : feed.divide(LengthUnit.INCH.millimetres(), TWO);
        // A grinder is tried with none of these: whoever tries one all the same says which.
        machine.family().traits().testCut().ifPresentOrElse(kind -> {
            typed.set("kind", kind.name());
            StartingCut cut = StartingCut.of(kind, Job.Material.STEEL, own, machine.speeds(), machine.motor(), machine.unit());
            typed.set("diameter", cut.diameter().toPlainString());
            typed.set("feed", cut.feed().toPlainString());
            cut.depth().ifPresent(depth -> typed.set("depth", depth.toPlainString()));
            cut.width().ifPresent(width -> typed.set("width", width.toPlainString()));
        }, () -> typed.set("feed", own.toPlainString()));
    }

    /** What is left empty is taken from the table of typical values. */
    private static Optional<Job> job(FormInput typed, LengthUnit unit) {
        Optional<Job.Kind> kind = typed.choice("kind", Job.Kind.class);
        Optional<Job.Material> material = typed.choice("material", Job.Material.class);
        Optional<Double> diameter = length(typed, "diameter", unit);
        Optional<Double> feed = length(typed, "feed", unit);
        boolean drilling = kind.filter(k -> k == Job.Kind.DRILLING).isPresent();
        Optional<Double> depth = drilling ? Optional.of(0.0) : length(typed, "depth", unit);
        Optional<Double> width = kind.filter(k -> k == Job.Kind.FACE_MILLING).isPresent() ? length(typed, "width", unit) : Optional.of(0.0);
        Optional<Double> speed = typed.attempt("speed", () -> typed.has("speed") ? SurfaceSpeed.parse(typed.get("speed"), unit)
                .doubleValue()
                : kind.flatMap(k -> material.map(m -> (double) m.speed(k))).orElse(1.0));
        Optional<Double> force = typed.attempt("force", () -> typed.has("force") ? figure(typed.get("force")) * (unit == LengthUnit.INCH
                ? HORSEPOWER
                : 1)
                : material.map(m -> (double) m.force()).orElse(1.0));
        if (!typed.isClean() || Stream.of(kind, material, diameter, feed, depth, width, speed, force).anyMatch(Optional::isEmpty)) {
            return Optional.empty();
        }
        return typed.attempt("diameter", () -> new Job(kind.get(), diameter.get(), speed.get(), feed.get(), depth.get(), width.get(),
                force.get()));
    }

    /** A horsepower for a cubic inch a minute, N/mm². */
    private static final double HORSEPOWER = 2730;
    private static final MathContext TWO = new MathContext(2);

    private static double figure(String typed) {
        return TypedNumber.parsePositive(typed).value().doubleValue();
    }

    private static Optional<Double> length(FormInput typed, String field, LengthUnit unit) {
        return typed.attempt(field, () -> {
            BigDecimal mm = TypedLength.parse(typed.get(field), unit).mm();
            if (mm.signum() <= 0) {
                throw Refused.because(tallledger.core.reason.CommonReason.NUMBER_NOT_POSITIVE, typed.get(field));
            }
            return mm.doubleValue();
        });
    }
}
