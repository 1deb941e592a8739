package tallledger.web.house;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.math.BigDecimal;
import java.util.ArrayList;
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
import tallledger.core.family.Catalogue;
import tallledger.core.house.HouseChange;
import tallledger.core.house.HouseReason;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.housebook.Houses;
import tallledger.web.store.Submission;
import tallledger.web.words.Words;

/** The House: the judgement numbers everything is reckoned with, each changed in its place, and what steps take. */
@Controller
@RequestMapping("/house")
class HouseController {

    private final Houses houses;
    private final HouseWriter house;
    private final AuthorCookie writer;
    private final Words words;

    HouseController(Houses houses, HouseWriter house, AuthorCookie writer, Words words) {
        this.words = words;
        this.houses = houses;
        this.house = house;
        this.writer = writer;
    }

    /** Its parts; one part; what a search finds; or a number open to be changed, among its own. */
    @GetMapping
    String show(@RequestParam Optional<String> rule, @RequestParam Optional<String> part, @RequestParam(defaultValue = "") String find,
            Model model, HttpServletRequest request) {
        FormInput typed = blank(request);
        Rules rules = houses.newest().rules();
        Optional<Rule> open = rule.flatMap(Rule::named);
        open.ifPresent(r -> fill(typed, r, rules));
        if (open.isPresent()) {
            return numbers(model, open, typed, Submission.fresh(houses.head()), Optional.empty());
        }
        Optional<Rule.Group> chosen = part.flatMap(p -> Stream.of(Rule.Group.values()).filter(g -> g.name().equals(p)).findFirst());
        List<RuleGroup> all = groups(rules);
        model.addAttribute("find", find);
        if (find.isBlank() && chosen.isEmpty()) {
            model.addAttribute("groups", all);
            return frame(model, typed, Submission.fresh(houses.head()), Optional.empty(), "house/house");
        }
        return numbers(model, all.stream().filter(g -> chosen.isEmpty() || g.group() == chosen.get()).map(g -> g.holding(find, words))
                .filter(g -> !g.rules().isEmpty()).toList(), typed);
    }

    private String numbers(Model model, List<RuleGroup> shown, FormInput typed) {
        model.addAttribute("rules", houses.newest().rules());
        model.addAttribute("groups", shown);
        model.addAttribute("open", null);
        model.addAttribute("past", List.of());
        return frame(model, typed, Submission.fresh(houses.head()), Optional.empty(), "house/numbers");
    }

    /** Numbers that were retired are shown only where this house had changed them. */
    private static List<RuleGroup> groups(Rules newest) {
        List<Rule> all = Stream.of(Rule.values()).filter(r -> !r.isRetired()
                || newest.figures(r).get(0).compareTo(r.shipped().get(0)) != 0).toList();
        return Stream.of(Rule.Group.values()).map(group -> {
            List<Rule> its = all.stream().filter(r -> r.group() == group).toList();
            return new RuleGroup(group, its, its.stream().filter(newest::isChanged).count());
        }).toList();
    }

    @PostMapping("/rules/{name}")
    String change(@PathVariable String name, @RequestParam MultiValueMap<String, String> fields, Model model,
            HttpServletResponse response) {
        FormInput typed = FormInput.of(fields);
        Optional<Rule> rule = Rule.named(name);
        if (rule.isEmpty()) {
            typed.refuse("form", Reason.of(HouseReason.RULE_UNKNOWN, name));
            response.setStatus(404);
            return numbers(model, rule, typed, Submission.fresh(houses.head()), Optional.empty());
        }
        List<String> figures = rule.get().shape().figures();
        String what = String.join(" ", figures.stream().map(f -> typed.get(f).strip()).toList());
        return house.write(typed, response, what, true, () -> new HouseChange.Ruled(rule.get(), figures(typed, rule.get()),
                typed.get("reason")),
                (said, submission, found) -> numbers(model, rule, said, submission, found), "/house?rule=" + name + "#rule-" + name);
    }

    /** As typed, with or without their unit. */
    private static List<BigDecimal> figures(FormInput typed, Rule rule) {
        List<BigDecimal> figures = new ArrayList<>();
        for (int i = 0; i < rule.shape().figures().size(); i++) {
            String name = rule.shape().figures().get(i);
            String unit = rule.unit(i).symbol();
            String text = typed.get(name).strip();
            try {
                figures.add(TypedNumber.parse(!unit.isEmpty() && text.endsWith(unit) ? text.substring(0, text.length() - unit.length())
                        : text).value());
            } catch (Refused refused) {
                throw refused.at(name);
            }
        }
        return figures;
    }

    private static void fill(FormInput typed, Rule rule, Rules rules) {
        for (int i = 0; i < rule.shape().figures().size(); i++) {
            typed.set(rule.shape().figures().get(i), rules.figures(rule).get(i).toPlainString());
        }
    }

    private String numbers(Model model, Optional<Rule> open, FormInput typed, Submission submission,
            Optional<Preview.PreviewResult> found) {
        model.addAttribute("rules", houses.newest().rules());
        List<RuleGroup> all = groups(houses.newest().rules());
        model.addAttribute("groups", all.stream().filter(g -> open.isEmpty() || g.group() == open.get().group()).toList());
        model.addAttribute("find", "");
        model.addAttribute("open", open.orElse(null));
        model.addAttribute("past", open.map(houses.book()::historyOf).orElse(List.of()));
        return frame(model, typed, submission, found, "house/numbers");
    }

    @GetMapping("/steps")
    String steps(@RequestParam Optional<String> step, Model model, HttpServletRequest request) {
        FormInput typed = blank(request);
        Optional<Catalogue.Usual> open = step.flatMap(HouseController::usual);
        open.ifPresent(u -> typed.set("seconds", String.valueOf(houses.newest().rules().seconds(u.code(), u.seconds()))));
        return times(model, open, typed, Submission.fresh(houses.head()));
    }

    @PostMapping("/steps/{code}")
    String time(@PathVariable String code, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        FormInput typed = FormInput.of(fields);
        Optional<Catalogue.Usual> step = usual(code);
        if (step.isEmpty()) {
            typed.refuse("form", Reason.of(HouseReason.RULE_UNKNOWN, code));
            response.setStatus(404);
            return times(model, step, typed, Submission.fresh(houses.head()));
        }
        return house.write(typed, response, typed.get("seconds"), false,
                () -> new HouseChange.Timed(code, seconds(typed), typed.get("reason")),
                (said, submission, found) -> times(model, step, said, submission), "/house/steps?step=" + code + "#step-" + code);
    }

    private static int seconds(FormInput typed) {
        try {
            return TypedNumber.parsePositive(typed.get("seconds")).value().intValueExact();
        } catch (ArithmeticException part) {
            throw Refused.because(CommonReason.VALUE_WHOLE, typed.get("seconds")).at("seconds");
        } catch (Refused refused) {
            throw refused.at("seconds");
        }
    }

    private static Optional<Catalogue.Usual> usual(String code) {
        return Catalogue.usual().stream().filter(u -> u.code().equals(code)).findFirst();
    }

    private String times(Model model, Optional<Catalogue.Usual> open, FormInput typed, Submission submission) {
        model.addAttribute("rules", houses.newest().rules());
        model.addAttribute("steps", Catalogue.usual());
        model.addAttribute("open", open.orElse(null));
        model.addAttribute("past", open.map(u -> houses.book().historyOfStep(u.code())).orElse(List.of()));
        return frame(model, typed, submission, Optional.empty(), "house/steps");
    }

    private FormInput blank(HttpServletRequest request) {
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(""));
        return typed;
    }

    private String frame(Model model, FormInput typed, Submission submission, Optional<Preview.PreviewResult> found, String template) {
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("found", found.orElse(null));
        model.addAttribute("book", houses.book());
        return template;
    }
}
