package tallledger.web.accuracy;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
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
import tallledger.core.family.OwnChart;
import tallledger.core.family.Step;
import tallledger.core.family.StepId;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.ledger.LedgerReason;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Unit;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.MachineWriter;
import tallledger.web.housebook.Houses;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;
import tallledger.web.words.WebReason;
import tallledger.web.words.Words;

/**
 * The machine's own test chart, typed beside the drawing of each line or pasted: what is permitted, and what its maker or rebuilder
 * measured.
 */
@Controller
@RequestMapping("/machines/{id}/chart")
class OwnChartController {

    private static final String PASTED = "pasted";
    private static final int LONGEST_ROW = 400;
    private static final int MOST_CELLS = 3;
    private static final int LONGEST = 20_000;

    private final SurveyLibrary library;
    private final Houses houses;
    private final AuthorCookie writer;
    private final MachineWriter machines;
    private final Words words;

    OwnChartController(SurveyLibrary library, Houses houses, AuthorCookie writer, Words words, MachineWriter machines) {
        this.machines = machines;
        this.library = library;
        this.houses = houses;
        this.writer = writer;
        this.words = words;
    }

    /** A line as it can be typed. @param field its fields' beginning */
    public record PrintedLine(String field, String name, Drawing way, String limit) {
    }

    @GetMapping
    String show(@PathVariable long id, Model model, HttpServletRequest request) {
        StoredMachine machine = library.machine(id);
        FormInput typed = FormInput.blank();
        machine.description().fitOut().ownChart().lines().forEach((step, printed) -> {
            typed.set(field(step) + ".permissible", printed.permissible());
            typed.set(field(step) + ".measured", printed.measured());
        });
        typed.set("author", writer.known(request).orElse(machine.lastAuthor()));
        return page(machine, typed, Submission.fresh(machine.head()), model);
    }

    @PostMapping
    String save(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        StoredMachine machine = library.machine(id);
        FormInput typed = FormInput.of(fields);
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        if (typed.get("do").equals("paste")) {
            typed.attempt(PASTED, () -> paste(typed, machine));
            response.setStatus(typed.isClean() ? 200 : 422);
            return page(machine, typed, submission, model);
        }
        if (typed.has(PASTED)) {
            // Its key was not pressed; what is pasted is saved all the same.
            typed.attempt(PASTED, () -> paste(typed, machine));
        }
        if (!typed.has("author")) {
            typed.refuse("author", Reason.of(LedgerReason.AUTHOR_MISSING));
        }
        OwnChart own = read(typed, machine);
        if (!typed.isClean()) {
            response.setStatus(422);
            return page(machine, typed, submission, model);
        }
        return machines.write(Optional.of(machine), machine.description().with(machine.description().fitOut().with(own)), typed, submission,
                response, next -> page(machine, typed, next, model));
    }

    private OwnChart read(FormInput typed, StoredMachine machine) {
        Map<StepId, OwnChart.PrintedFigure> lines = new HashMap<>();
        for (Step step : lines(machine)) {
            String field = field(step.id());
            if (!typed.has(field + ".permissible") && !typed.has(field + ".measured")) {
                continue;
            }
            try {
                lines.put(step.id(),
                        new OwnChart.PrintedFigure(typed.get(field + ".permissible").strip(), typed.get(field + ".measured").strip())
                                .checked(machine.description().unit()));
            } catch (Refused refused) {
                typed.refuse(field + "." + refused.field().orElse("permissible"), refused.reason());
            }
        }
        return new OwnChart(lines);
    }

    /**
     * Lines "characteristic; permitted; measured" into their rows; a name nobody knows is said with its line and stays where it was
     * pasted.
     */
    private boolean paste(FormInput typed, StoredMachine machine) {
        String text = typed.get(PASTED);
        if (text.length() > LONGEST) {
            throw Refused.because(CommonReason.TEXT_LONG, text.length(), LONGEST);
        }
        Map<String, Step> byName = new HashMap<>();
        lines(machine).forEach(step -> {
            byName.put(words.say(step.name()).toLowerCase(Locale.ROOT), step);
            byName.put(step.id().written().toLowerCase(Locale.ROOT), step);
        });
        List<String> rows = text.lines().map(String::strip).filter(row -> !row.isEmpty()).toList();
        for (int i = 0; i < rows.size(); i++) {
            String row = rows.get(i);
            List<String> cells = row.length() > LONGEST_ROW ? List.of() : cells(row);
            Step step = cells.isEmpty() ? null : byName.get(cells.get(0).toLowerCase(Locale.ROOT));
            if (step == null || cells.size() < 2 || cells.size() > 3) {
                throw Refused.because(WebReason.OWN_CHART_LINE, i + 1, row.length() > 60 ? row.substring(0, 60) : row);
            }
            typed.set(field(step.id()) + ".permissible", cells.get(1));
            typed.set(field(step.id()) + ".measured", cells.size() > 2 ? cells.get(2) : "");
        }
        typed.set(PASTED, "");
        return true;
    }

    /** Parted by a semicolon or a tab; else by the last two commas, as a name may have some of its own. */
    private static List<String> cells(String row) {
        String sign = row.contains(";") ? ";" : row.contains("\t") ? "\t" : ",";
        List<String> cells = new ArrayList<>(Stream.of(row.split(sign, -1)).map(String::strip).toList());
        while (sign.equals(",") && cells.size() > MOST_CELLS) {
            cells.set(0, cells.get(0) + ", " + cells.remove(1));
        }
        return cells;
    }

    private List<Step> lines(StoredMachine machine) {
        return Catalogue.of(machine.description(), houses.newest().rules()).stream()
                .filter(step -> step.recording().limitRule().isPresent()).toList();
    }

    private static String field(StepId step) {
        return "own." + step.written();
    }

    private String page(StoredMachine machine, FormInput typed, Submission submission, Model model) {
        Rules rules = houses.newest().rules();
        model.addAttribute("machine", machine);
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("lines",
                lines(machine).stream().map(step -> new PrintedLine(field(step.id()), words.say(step.name()), Drawing.of(step),
                        limit(machine, step, rules))).toList());
        return "accuracy/chart";
    }

    private String limit(StoredMachine machine, Step step, Rules rules) {
        GradedLimit limit = step.recording().limit(rules).orElseThrow();
        return Stream.of(limit.rebuilt(), limit.sound(), limit.workable()).map(l -> words.in(machine.description().unit(), l, limit.unit()))
                .collect(Collectors.joining(" · "))
                + AccuracyView.per(step, rules).map(p -> words.say("page.per", words.in(machine.description().unit(), p, Unit.MILLIMETRES)))
                        .orElse("");
    }
}
