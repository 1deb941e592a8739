package tallledger.web.house;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.house.HouseChange;
import tallledger.core.house.HouseGauge;
import tallledger.core.house.HouseReason;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Shape;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.housebook.Houses;
import tallledger.web.store.Submission;

/** The gauges the house owns, each with its papers. */
@Controller
@RequestMapping("/house/gauges")
class GaugesController {

    private static final String NEW = "new";
    private static final List<String> FIELDS = List.of("name", "resolution", "calibration", "repeatability", "certificate", "due");

    private final Houses houses;
    private final HouseWriter house;
    private final AuthorCookie writer;
    private final Clock clock;

    GaugesController(Houses houses, HouseWriter house, AuthorCookie writer, Clock clock) {
        this.houses = houses;
        this.house = house;
        this.writer = writer;
        this.clock = clock;
    }

    @GetMapping
    String show(@RequestParam Optional<String> gauge, Model model, HttpServletRequest request) {
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(""));
        typed.set("gauge", gauge.filter(id -> id.equals(NEW) || named(id).isPresent()).orElse(""));
        typed.set("kind", Rule.INDICATOR.name());
        named(typed.get("gauge")).ifPresent(own -> {
            own.asTyped().forEach(typed::set);
            typed.set("kind", own.kind().name());
        });
        return page(model, typed, Submission.fresh(houses.head()));
    }

    @PostMapping
    String save(@RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        FormInput typed = FormInput.of(fields);
        return house.write(typed, response, "", false, () -> change(typed), (said, submission, found) -> page(model, said, submission),
                "/house/gauges");
    }

    private HouseChange change(FormInput typed) {
        String id = typed.get("gauge");
        if (typed.get("act").equals("out")) {
            HouseGauge out = named(id).orElseThrow(() -> Refused.because(HouseReason.GAUGE_GONE).at("form"));
            return new HouseChange.GaugeOut(out.id(), out.gauge().name(), typed.get("reason"));
        }
        if (!id.equals(NEW) && named(id).isEmpty()) {
            throw Refused.because(HouseReason.GAUGE_GONE).at("form");
        }
        Rule kind = Rule.named(typed.get("kind")).filter(k -> k.shape() == Shape.GAUGE)
                .orElseThrow(() -> Refused.because(CommonReason.CHOICE_UNKNOWN).at("kind"));
        Map<String, String> said = new HashMap<>();
        FIELDS.forEach(f -> said.put(f, typed.get(f)));
        return new HouseChange.GaugeListed(HouseGauge.typed(id.equals(NEW) ? houses.book().nextGauge() : id, kind, said),
                typed.get("reason"));
    }

    private Optional<HouseGauge> named(String id) {
        return houses.newest().gauges().stream().filter(g -> g.id().equals(id)).findFirst();
    }

    private String page(Model model, FormInput typed, Submission submission) {
        model.addAttribute("gauges", houses.newest().gauges());
        model.addAttribute("kinds", Stream.of(Rule.values()).filter(r -> r.shape() == Shape.GAUGE).toList());
        model.addAttribute("fields", FIELDS);
        model.addAttribute("today", LocalDate.now(clock));
        model.addAttribute("past", named(typed.get("gauge")).map(g -> houses.book().historyOfGauge(g.id())).orElse(List.of()));
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("book", houses.book());
        return "house/gauges";
    }
}
