package tallledger.web.house;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.StageKind;
import tallledger.core.family.Catalogue;
import tallledger.core.house.HouseChange;
import tallledger.core.house.HouseReason;
import tallledger.core.price.Repair;
import tallledger.core.price.Spread;
import tallledger.core.reason.Refused;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.housebook.Houses;
import tallledger.web.housebook.RepairsTable;
import tallledger.web.store.Submission;
import tallledger.web.words.Words;

/** The table of checks behind symptoms and systems: changed by the row, or whole as CSV. */
@Controller
@RequestMapping("/house/repairs")
class RepairsController {

    private static final String NEW = "new";

    /**
     * A row with its place in the table.
     *
     * @param about   the symptom or system, in words
     * @param element what kind of part, in words; empty for any
     * @param hours   low, likely, high
     * @param parts   likewise
     */
    public record RepairLine(int at, String about, String element, String what, String hours, String parts) {
    }

    /** What a row can be about. */
    public record RepairSubject(String name, String words) {
    }

    private final Houses houses;
    private final HouseWriter house;
    private final AuthorCookie writer;
    private final Words words;

    RepairsController(Houses houses, HouseWriter house, AuthorCookie writer, Words words) {
        this.houses = houses;
        this.house = house;
        this.writer = writer;
        this.words = words;
    }

    @GetMapping
    String show(@RequestParam Optional<String> row, Model model, HttpServletRequest request) {
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(""));
        typed.set("row", row.orElse(""));
        if (!typed.get("row").equals(NEW) && check(typed).isEmpty()) {
            typed.set("row", "");
        }
        check(typed).ifPresent(check -> fill(typed, check));
        return page(model, typed, Submission.fresh(houses.head()));
    }

    @GetMapping(value = "/table.csv", produces = "text/csv")
    ResponseEntity<byte[]> csv() {
        HttpHeaders headers = new HttpHeaders();
        headers.setContentType(new MediaType("text", "csv", StandardCharsets.UTF_8));
        headers.setContentDisposition(ContentDisposition.attachment().filename("repairs.csv").build());
        return ResponseEntity.ok().headers(headers).body(RepairsTable.write(houses.newest().repairs()).getBytes(StandardCharsets.UTF_8));
    }

    /** One row as typed; taken out where that is asked. */
    @PostMapping("/row")
    String row(@RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        FormInput typed = FormInput.of(fields);
        boolean out = typed.get("act").equals("out");
        return house.write(typed, response, "", false, () -> {
            Optional<Repair> was = typed.get("row").equals(NEW) ? Optional.empty() : Optional.of(was(typed));
            return new HouseChange.RepairRow(was, out ? Optional.empty()
                    : Optional.of(RepairsTable.row(typed.get("about"), typed.get("element"), typed.get("what"),
                            List.of(typed.get("hoursLow"), typed.get("hoursLikely"), typed.get("hoursHigh")),
                            List.of(typed.get("partsLow"), typed.get("partsLikely"), typed.get("partsHigh")))),
                    typed.get("reason"));
        }, (said, submission, found) -> page(model, said, submission), "/house/repairs#table");
    }

    /** The row the form was opened with. */
    private static Repair was(FormInput typed) {
        return RepairsTable.parse(RepairsTable.write(List.of()) + typed.get("was")).stream().findFirst()
                .orElseThrow(() -> Refused.because(HouseReason.CHECK_ROW_GONE));
    }

    private Optional<Repair> check(FormInput typed) {
        List<Repair> checks = houses.newest().repairs();
        int at = typed.wholeOr("row", -1);
        return at >= 0 && at < checks.size() ? Optional.of(checks.get(at)) : Optional.empty();
    }

    private static String line(Repair check) {
        return RepairsTable.write(List.of(check)).split("\n", 2)[1].strip();
    }

    private String words(String about) {
        return Stream.of(Symptom.values()).filter(s -> s.name().equals(about)).findFirst().map(words::of)
                .orElseGet(() -> Repair.ABOUT.contains(about) ? words.say("repair-about." + about)
                        : Catalogue.systems().contains(about) ? words.say("system." + about.replace(' ', '-'))
                                : words.say("repair-about.step", about));
    }

    private RepairLine row(int at, Repair repair) {
        return new RepairLine(at, words(repair.about()), repair.element().isEmpty() ? "" : words.say("StageKind." + repair.element()),
                repair.what(), spread(repair.hours()), spread(repair.parts()));
    }

    private String spread(Spread spread) {
        return Stream.of(spread.low(), spread.likely(), spread.high()).map(f -> words.say("figure", f)).collect(Collectors.joining(" / "));
    }

    private static void fill(FormInput typed, Repair check) {
        typed.set("was", line(check));
        typed.set("about", check.about());
        typed.set("element", check.element());
        typed.set("what", check.what());
        typed.set("hoursLow", check.hours().low().toPlainString());
        typed.set("hoursLikely", check.hours().likely().toPlainString());
        typed.set("hoursHigh", check.hours().high().toPlainString());
        typed.set("partsLow", check.parts().low().toPlainString());
        typed.set("partsLikely", check.parts().likely().toPlainString());
        typed.set("partsHigh", check.parts().high().toPlainString());
    }

    private String page(Model model, FormInput typed, Submission submission) {
        List<Repair> checks = houses.newest().repairs();
        model.addAttribute("rows", IntStream.range(0, checks.size())
                .mapToObj(i -> row(i, checks.get(i))).toList());
        model.addAttribute("subjects", RepairsTable.subjects().stream().map(name -> new RepairSubject(name, words(name))).toList());
        model.addAttribute("elements", StageKind.values());
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("book", houses.book());
        return "house/repairs";
    }
}
