package tallledger.web.house;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
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
import tallledger.core.blame.Check;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.StageKind;
import tallledger.core.house.HouseChange;
import tallledger.core.house.HouseReason;
import tallledger.core.reason.Refused;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.housebook.ChecksTable;
import tallledger.web.housebook.Houses;
import tallledger.web.store.Submission;
import tallledger.web.words.Words;

/** The table of checks behind symptoms and systems: changed by the row, or whole as CSV. */
@Controller
@RequestMapping("/house/checks")
class ChecksController {

    private static final String NEW = "new";

    /**
     * A row with its place in the table.
     *
     * @param about the symptom or system, in words
     * @param csv   the row itself: what is changed is this row, wherever it stands by then
     */
    public record CheckLine(int at, String about, Check check, String csv) {
    }

    /** What a row can be about. */
    public record CheckSubject(String name, String words) {
    }

    private final Houses houses;
    private final HouseWriter house;
    private final AuthorCookie writer;
    private final Words words;

    ChecksController(Houses houses, HouseWriter house, AuthorCookie writer, Words words) {
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
        headers.setContentDisposition(ContentDisposition.attachment().filename("checks.csv").build());
        return ResponseEntity.ok().headers(headers).body(ChecksTable.write(houses.newest().checks()).getBytes(StandardCharsets.UTF_8));
    }

    /** One row as typed; taken out where that is asked. */
    @PostMapping("/row")
    String row(@RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        FormInput typed = FormInput.of(fields);
        boolean out = typed.get("act").equals("out");
        return house.write(typed, response, "", false, () -> {
            Optional<Check> was = typed.get("row").equals(NEW) ? Optional.empty() : Optional.of(was(typed));
            return new HouseChange.CheckRow(was, out ? Optional.empty()
                    : Optional.of(ChecksTable.row(typed.get("about"), typed.get("element"), typed.get("what"), typed.get("low"),
                            typed.get("likely"), typed.get("high"))),
                    typed.get("reason"));
        }, (said, submission, found) -> page(model, said, submission), "/house/checks#table");
    }

    /** The whole table. */
    @PostMapping
    String table(@RequestParam MultiValueMap<String, String> fields, Model model, HttpServletResponse response) {
        FormInput typed = FormInput.of(fields);
        return house.write(typed, response, "", false, () -> {
            try {
                return new HouseChange.ChecksListed(ChecksTable.parse(typed.get("csv")), typed.get("reason"));
            } catch (Refused refused) {
                throw refused.field().filter("reason"::equals).isPresent() ? refused : refused.at("csv");
            }
        }, (said, submission, found) -> page(model, said, submission), "/house/checks#table");
    }

    /** The row the form was opened with. */
    private static Check was(FormInput typed) {
        return ChecksTable.parse(ChecksTable.write(List.of()) + typed.get("was")).stream().findFirst()
                .orElseThrow(() -> Refused.because(HouseReason.CHECK_ROW_GONE));
    }

    private Optional<Check> check(FormInput typed) {
        List<Check> checks = houses.newest().checks();
        int at = typed.wholeOr("row", -1);
        return at >= 0 && at < checks.size() ? Optional.of(checks.get(at)) : Optional.empty();
    }

    private static String line(Check check) {
        return ChecksTable.write(List.of(check)).split("\n", 2)[1].strip();
    }

    private String words(String about) {
        return Stream.of(Symptom.values()).filter(s -> s.name().equals(about)).findFirst().map(words::of)
                .orElseGet(() -> words.say("system." + about.replace(' ', '-')));
    }

    private static void fill(FormInput typed, Check check) {
        typed.set("was", line(check));
        typed.set("about", check.about());
        typed.set("element", check.kind().map(Enum::name).orElse(""));
        typed.set("what", check.what());
        typed.set("low", check.low().toPlainString());
        typed.set("likely", check.likely().toPlainString());
        typed.set("high", check.high().toPlainString());
    }

    private String page(Model model, FormInput typed, Submission submission) {
        List<Check> checks = houses.newest().checks();
        if (!typed.isSent("csv")) {
            typed.set("csv", ChecksTable.write(checks));
        }
        model.addAttribute("rows", IntStream.range(0, checks.size())
                .mapToObj(i -> new CheckLine(i, words(checks.get(i).about()), checks.get(i), line(checks.get(i)))).toList());
        model.addAttribute("subjects", ChecksTable.subjects().stream().map(name -> new CheckSubject(name, words(name))).toList());
        model.addAttribute("elements", StageKind.values());
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        model.addAttribute("book", houses.book());
        return "house/checks";
    }
}
