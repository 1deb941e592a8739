package tallledger.web.kit;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import tallledger.core.kit.KitItem;
import tallledger.core.kit.Lift;
import tallledger.core.plan.LookingWorth;
import tallledger.core.reason.InUnit;
import tallledger.web.forms.FormInput;
import tallledger.web.library.StoredSurvey;
import tallledger.web.store.Submission;
import tallledger.web.words.Words;

/** Lays out kit and papers. */
@Component
public class KitPage {

    private final Words words;
    private final Clock clock;

    KitPage(Words words, Clock clock) {
        this.words = words;
        this.clock = clock;
    }

    /** Its model, and the name of its template. */
    public String show(StoredSurvey survey, FormInput typed, Submission submission, Model model) {
        var kit = survey.steps().kit();
        List<String> usual = survey.folded().machine().family().traits().kit(survey.folded().machine().fitOut().features()).stream()
                .filter(code -> kit.named(words.say("kit." + code)).isEmpty()).toList();
        model.addAttribute("survey", survey);
        model.addAttribute("kit", kit);
        model.addAttribute("sum", kit.sum());
        LookingWorth worths = LookingWorth.of(survey.core());
        Map<String, String> starting = new HashMap<>();
        kit.items().stream().filter(i -> i.cost().isEmpty() && i.state() != KitItem.State.SEEN).forEach(i -> worths.starting(i)
                .ifPresent(cost -> starting.put(i.name(), words.say("figure", cost))));
        model.addAttribute("starting", starting);
        model.addAttribute("toReplace", BigDecimal.valueOf(worths.kit()).setScale(0, RoundingMode.HALF_UP));
        model.addAttribute("unpriced", worths.unpricedKit());
        model.addAttribute("usual", usual);
        model.addAttribute("lift",
                survey.steps().lift().map(l -> InUnit.of(l.what().says(survey.rules()), survey.folded().machine().unit()))
                        .orElse(Lift.unknown()));
        model.addAttribute("today", LocalDate.now(clock.withZone(ZoneId.systemDefault())));
        model.addAttribute("states", KitItem.State.values());
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        return "kit/kit";
    }
}
