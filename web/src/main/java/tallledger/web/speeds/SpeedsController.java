package tallledger.web.speeds;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.blame.Blame;
import tallledger.core.drive.Transmission;
import tallledger.core.plan.SurveyPlan;
import tallledger.core.reason.Reason;
import tallledger.core.survey.MotorPlate;
import tallledger.core.survey.PlateDoubt;
import tallledger.core.survey.ToldRatio;
import tallledger.web.cache.Memo;
import tallledger.web.faults.SuspectView;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.library.AsItStands;
import tallledger.web.library.Plans;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/** The Speeds screen: lattice and ray chart of a survey. */
@Controller
class SpeedsController {

    /** Suspects at least this likely are lit on chart and lattice. */
    private static final double LIT = 0.2;
    private static final int MOST_KEPT = 16;

    /** What the screen draws of a survey as it stands. */
    private record Drawn(LatticeView lattice, Optional<RayChartView> chart, List<PlateDoubt> doubts, List<Reason> same,
            Optional<MotorPlate> motor) {
    }

    private final SurveyLibrary library;
    private final SurveyBooks surveyBooks;
    private final Plans plans;
    private final AuthorCookie writer;
    private final Memo<AsItStands, Drawn> drawn = new Memo<>(MOST_KEPT, asked -> drawn(asked.survey()));

    SpeedsController(SurveyLibrary library, SurveyBooks surveyBooks, Plans plans, AuthorCookie writer) {
        this.library = library;
        this.surveyBooks = surveyBooks;
        this.plans = plans;
        this.writer = writer;
    }

    @GetMapping("/surveys/{id}/speeds")
    String speeds(@PathVariable long id, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        var folded = survey.folded();
        SurveyPlan plan = plans.of(survey);
        Drawn drawn = this.drawn.of(new AsItStands(survey));
        model.addAttribute("survey", survey);
        model.addAttribute("lattice", drawn.lattice);
        model.addAttribute("chart", drawn.chart.orElse(null));
        model.addAttribute("counts", folded.coverage().counts());
        model.addAttribute("plan", plan);
        model.addAttribute("suspects", SuspectView.of(folded, plan, survey.core().house().checks()));
        model.addAttribute("hunt", plan.ended(folded).orElse(null));
        model.addAttribute("noFault",
                plan.imagined(folded).stream().mapToObj(p -> Math.round(p * 100)).filter(p -> p > 0).findFirst().orElse(null));
        model.addAttribute("tellsMost", plan.blame().flatMap(Blame::tellsMost).map(Blame.Telling::route).orElse(null));
        model.addAttribute("newest", isNewest(survey));
        model.addAttribute("ratios", ratios(survey));
        model.addAttribute("same", drawn.same);
        model.addAttribute("motor", drawn.motor.orElse(null));
        model.addAttribute("doubts", drawn.doubts);
        model.addAttribute("submission", Submission.fresh(survey.head()));
        model.addAttribute("author", writer.known(request).orElse(survey.lastAuthor()));
        return "speeds/speeds";
    }

    private Drawn drawn(StoredSurvey survey) {
        List<Blame.Suspect> lit = plans.of(survey).blame().map(b -> b.suspects().stream().filter(s -> s.probability() >= LIT).toList())
                .orElse(List.of());
        Optional<MotorPlate> motor = MotorPlate.of(survey.steps());
        return new Drawn(LatticeView.of(survey.folded(), lit), RayChartView.of(survey.folded(), lit), PlateDoubt.of(survey.folded()),
                motor.map(m -> m.sameSpeeds(survey.folded().table())).orElse(List.of()), motor);
    }

    /** Whether the survey judges by the drive as it is described now: another one is not renumbered from here. */
    private static boolean isNewest(StoredSurvey survey) {
        return survey.folded().machine().train().equals(survey.machine().description().train())
                && survey.folded().machine().plate().equals(survey.machine().description().plate());
    }

    /** A ratio that readings told, with what to take it for. */
    public record RatioToTake(ToldRatio told, Optional<BigDecimal> taken) {
    }

    private static List<RatioToTake> ratios(StoredSurvey survey) {
        return ToldRatio.of(survey.folded()).stream().map(t -> new RatioToTake(t, isUnknown(survey, t)
                ? t.taken(survey.folded().machine().claims())
                : Optional.empty())).toList();
    }

    private static boolean isUnknown(StoredSurvey survey, ToldRatio told) {
        return survey.folded().machine().train().stages().stream().filter(s -> s.name().equals(told.stage()))
                .flatMap(s -> s.positions().stream()).anyMatch(p -> p.label().equals(told.position())
                        && p.transmission() instanceof Transmission.Unknown);
    }

    /** Takes a ratio for what the readings say it is; where they say so no more, nothing is written. */
    @PostMapping("/surveys/{id}/take-ratio")
    String takeRatio(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, HttpServletResponse response) {
        FormInput typed = FormInput.of(fields);
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        StoredSurvey survey = library.survey(id);
        ratios(survey).stream().filter(r -> isNewest(survey) && r.taken.isPresent() && r.told.stage().equals(typed.get("stage"))
                && r.told.position().equals(typed.get("position"))).findFirst().ifPresent(r -> {
                    surveyBooks.takeRatioIn(survey, r.told, r.taken.get(), typed.get("author"), submission);
                    writer.remember(response, typed.get("author"), submission);
                });
        return "redirect:/surveys/" + id + "/speeds";
    }

    /** Takes the levers for numbered as the readings say; where they say so no more, nothing is written. */
    @PostMapping("/surveys/{id}/renumber")
    String renumber(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, HttpServletResponse response) {
        FormInput typed = FormInput.of(fields);
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        StoredSurvey survey = library.survey(id);
        SurveyPlan.causes(survey.folded()).stream().filter(c -> isNewest(survey)).flatMap(c -> c.numbering().stream()).findFirst()
                .ifPresent(numbering -> {
                    surveyBooks.renumberIn(survey, numbering, typed.get("author"), submission);
                    writer.remember(response, typed.get("author"), submission);
                });
        return "redirect:/surveys/" + id + "/speeds";
    }

    /** Accepts what a plate cell means, from within the survey. */
    @PostMapping("/surveys/{id}/accept")
    String accept(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, HttpServletResponse response) {
        FormInput typed = FormInput.of(fields);
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        surveyBooks.acceptReadingIn(library.survey(id), typed.all("at"), typed.get("means"), typed.get("author"), submission);
        writer.remember(response, typed.get("author"), submission);
        return "redirect:/surveys/" + id + "/speeds";
    }
}
