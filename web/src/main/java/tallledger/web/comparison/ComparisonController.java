package tallledger.web.comparison;

import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;
import tallledger.core.verdict.Money;
import tallledger.core.verdict.SideBySide;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.UnknownBookException;
import tallledger.web.words.Marks;
import tallledger.web.words.WebReason;
import tallledger.web.words.Words;

/** Two to four machines side by side; which, stands in the address. */
@Controller
class ComparisonController {

    /** One row in words, a cell a machine. */
    public record ComparedLine(String name, List<ToldCell> cells) {
    }

    /**
     * One cell.
     *
     * @param mark stroke of what was tested; empty where nothing was judged
     * @param word the same as a word
     */
    public record ToldCell(String says, String mark, String word) {
    }

    private final SurveyLibrary library;
    private final Words words;
    private final Marks marks;

    ComparisonController(SurveyLibrary library, Words words, Marks marks) {
        this.library = library;
        this.words = words;
        this.marks = marks;
    }

    @GetMapping("/beside")
    String show(@RequestParam(name = "s", required = false) List<String> chosen, Model model, HttpServletResponse response) {
        laid(chosen, model, response);
        return "comparison/comparison";
    }

    @GetMapping("/beside/print")
    String print(@RequestParam(name = "s", required = false) List<String> chosen, Model model, HttpServletResponse response) {
        return laid(chosen, model, response) ? "comparison/print" : "comparison/comparison";
    }

    /** Whether they could be laid beside each other. */
    private boolean laid(List<String> chosen, Model model, HttpServletResponse response) {
        List<String> typed = chosen == null ? List.of() : chosen;
        try {
            List<StoredSurvey> surveys = surveys(typed);
            List<tallledger.core.survey.Survey> cores = surveys.stream().map(StoredSurvey::core).toList();
            SideBySide beside = SideBySide.of(cores, cores.stream().map(s -> Money.of(s, Money.WhatIf.NOTHING)).toList());
            model.addAttribute("surveys", surveys);
            model.addAttribute("sisters", beside.sisters());
            Map<SideBySide.Part, List<ComparedLine>> parts = new EnumMap<>(SideBySide.Part.class);
            beside.rows().forEach(row -> parts.computeIfAbsent(row.part(), p -> new ArrayList<>()).add(line(row, cores)));
            model.addAttribute("parts", parts);
            model.addAttribute("alike", SideBySide.Part.ALIKE);
            Map<String, Integer> untested = new LinkedHashMap<>();
            for (int i = 0; i < surveys.size(); i++) {
                if (beside.untested().get(i) > 0) {
                    untested.put(surveys.get(i).machine().name(), beside.untested().get(i));
                }
            }
            model.addAttribute("untested", untested);
            return true;
        } catch (Refused refused) {
            response.setStatus(422);
            model.addAttribute("wrong", refused.reason());
            return false;
        }
    }

    private List<StoredSurvey> surveys(List<String> typed) {
        if (typed.stream().distinct().count() < typed.size()) {
            throw Refused.because(WebReason.BESIDE_TWICE);
        }
        List<StoredSurvey> surveys = new ArrayList<>();
        for (String id : typed.stream().limit(SideBySide.MOST + 1L).toList()) {
            try {
                surveys.add(library.survey(Long.parseLong(id)));
            } catch (UnknownBookException | NumberFormatException none) {
                throw Refused.because(WebReason.BESIDE_UNSURVEYED, id.length() > 20 ? id.substring(0, 20) : id);
            }
        }
        return surveys;
    }

    private ComparedLine line(SideBySide.ComparedRow row, List<tallledger.core.survey.Survey> surveys) {
        LengthUnit first = surveys.get(0).machine().unit();
        String name =
                words.say(row.name()) + row.per().map(p -> " " + words.say("page.per", words.in(first, p, Unit.MILLIMETRES))).orElse("");
        List<ToldCell> cells = new ArrayList<>();
        for (int i = 0; i < row.cells().size(); i++) {
            cells.add(told(row.cells().get(i), surveys.get(i).machine().unit()));
        }
        return new ComparedLine(name, cells);
    }

    /** Each in its own machine's unit. */
    private ToldCell told(SideBySide.ComparedCell cell, LengthUnit unit) {
        if (!cell.there()) {
            return new ToldCell("\u2013", "", "");
        }
        String mark = cell.outcome().map(marks::of).orElse("");
        Optional<String> figure = cell.figure().map(q -> words.say(InUnit.of(q, unit)));
        return new ToldCell(figure.or(() -> cell.said().map(s -> said(s, unit)))
                .orElseGet(() -> cell.outcome().map(words::of).orElse("not tested")), mark,
                figure.isPresent() ? cell.outcome()
                        .map(words::of).orElse("") : "");
    }

    private String said(Object said, LengthUnit unit) {
        return said instanceof SideBySide.Amount a ? words.money(a.amount(), a.currency())
                : said instanceof Reason r
                        ? words.say(InUnit.of(r, unit))
                        : said instanceof Quantity q ? words.say(InUnit.of(q, unit))
                                : said instanceof java.math.BigDecimal n ? words.say("figure", n) : String.valueOf(said);
    }
}
