package tallledger.web.cycle;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.cycle.CycleScripts;
import tallledger.core.family.Catalogue;
import tallledger.core.family.Step;
import tallledger.core.measuring.WatchedCycle;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.StepResult;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.words.Marks;
import tallledger.web.words.Words;

/** The Cycle screen: every script of this machine, those watched with their time lines, the others of the house, and one's own. */
@Controller
class CycleController {

    /**
     * One script on this machine.
     *
     * @param time time line of the record that counts; null while it was not watched
     */
    public record WatchedScript(String key, String name, String mark, StepResult result, CycleView time) {
    }

    private final SurveyLibrary library;
    private final Words words;

    CycleController(SurveyLibrary library, Words words) {
        this.library = library;
        this.words = words;
    }

    @GetMapping("/surveys/{id}/cycles")
    String show(@PathVariable long id, @RequestParam Optional<String> look, Model model) {
        StoredSurvey survey = library.survey(id);
        List<WatchedScript> lines = lines(survey.steps());
        model.addAttribute("survey", survey);
        model.addAttribute("lines", lines);
        model.addAttribute("looked", look.flatMap(key -> lines.stream().filter(l -> l.key().equals(key)).findFirst())
                .or(() -> lines.stream().filter(l -> l.time() != null && l.result().isBad()).findFirst())
                .or(() -> lines.stream().filter(l -> l.time() != null).findFirst()).orElse(null));
        model.addAttribute("others", others(survey.steps()));
        model.addAttribute("own", nextOwn(survey.steps()));
        return "cycle/cycles";
    }

    /** Event keys of an own script as far as it is written. */
    @PostMapping("/surveys/{id}/cycles/keys")
    String keys(@RequestParam(defaultValue = "") String script, Model model) {
        model.addAttribute("soFar",
                CycleView.keysSoFar(script));
        return "cycle/keys";
    }

    private List<WatchedScript> lines(StepLedger ledger) {
        List<Step> steps = new ArrayList<>(ledger.steps().stream().filter(s -> s.recording().cycle().isPresent()).toList());
        ledger.latest().values().stream().map(StepResult::step).filter(s -> s.recording().cycle().isPresent() && !steps.contains(s))
                .forEach(steps::add);
        return steps.stream().map(step -> {
            Optional<StepResult> result = Optional.ofNullable(ledger.latest().get(step.id()));
            String mark = result.map(r -> new Marks().of(r.outcome())).orElse(ledger.passed().containsKey(step.id()) ? "passed" : "open");
            return new WatchedScript(step.id().written(), name(step, result), mark, result.orElse(null),
                    result.flatMap(r -> CycleView.ofResult(r, ledger.rules(), words)).orElse(null));
        }).toList();
    }

    private String name(Step step, Optional<StepResult> result) {
        if (step.code().equals(Catalogue.OWN_CYCLE)) {
            return result.flatMap(r -> r.as(WatchedCycle.Watched.class)).map(WatchedCycle.Watched::title).orElse(words.say(step.name()));
        }
        return step.code().equals("cycle") ? words.say("script." + step.about().get(0)) : words.say(step.name());
    }

    /** Scripts of the house that no step of this machine uses. */
    private static List<String> others(StepLedger ledger) {
        List<String> used = ledger.steps().stream().flatMap(step -> step.recording().cycle().stream()).toList();
        return CycleScripts.codes().stream().filter(code -> !used.contains(code)).toList();
    }

    private static int nextOwn(StepLedger ledger) {
        return 1 + (int) ledger.judged().stream().filter(r -> r.step().code().equals(Catalogue.OWN_CYCLE))
                .map(r -> r.step().id()).distinct().count();
    }
}
