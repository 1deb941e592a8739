package tallledger.web.tables;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.LedgerReason;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plate.PlateCell;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.MachineWriter;
import tallledger.web.forms.SurveyWriter;
import tallledger.web.forms.Uploaded;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.machine.PlatePaste;
import tallledger.web.store.Submission;
import tallledger.web.words.WebReason;
import tallledger.web.words.Words;

/**
 * Tables brought in: readings and kit into a survey, a speed plate into a machine's description. What will be recorded is said line by
 * line first.
 */
@Controller
class TableController {

    private static final int LONGEST = 60_000;
    private static final String TEXT = "text";

    private final SurveyLibrary library;
    private final SurveyWriter entries;
    private final AuthorCookie writer;
    private final MachineWriter machines;
    private final Words words;
    private final Clock clock;

    TableController(SurveyLibrary library, SurveyWriter entries, AuthorCookie writer, Words words, Clock clock, MachineWriter machines) {
        this.machines = machines;
        this.library = library;
        this.entries = entries;
        this.writer = writer;
        this.words = words;
        this.clock = clock;
    }

    @GetMapping("/surveys/{id}/table")
    String ask(@PathVariable long id, @RequestParam(defaultValue = "readings") String kind, Model model, HttpServletRequest request) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.blank();
        typed.set("kind", kind.equals("kit") ? "kit" : "readings");
        typed.set("author", writer.known(request).orElse(survey.lastAuthor()));
        return page(survey, typed, Submission.fresh(survey.head()), model);
    }

    @PostMapping("/surveys/{id}/table")
    String bring(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, @RequestParam Optional<MultipartFile> file,
            Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = taken(fields, file);
        Look<Draft> look = typed.isClean() ? look(survey, typed) : new Look<>(List.of(), List.of());
        model.addAttribute("look", look);
        if (!typed.get("do").equals("record")) {
            response.setStatus(typed.isClean() && !look.isWrong() ? HttpServletResponse.SC_OK : 422);
            return page(survey, typed, new Submission(typed.get("submission"), typed.wholeOr("seen", 0)), model);
        }
        return entries.writeAll(survey, typed, response, () -> {
            if (look.isWrong() || look.makes().isEmpty()) {
                typed.refuse(TEXT, look.isWrong() ? Reason.of(WebReason.TABLE_MEND) : Reason.of(WebReason.TABLE_NOTHING));
            }
            return look.makes();
        }, (now, said, submission) -> page(now, said, submission, model),
                "redirect:/surveys/" + id + (typed.get("kind").equals("kit") ? "/kit" : "/entries"));
    }

    private Look<Draft> look(StoredSurvey survey, FormInput typed) {
        SurveyTables tables = new SurveyTables(survey, survey.by(clock, typed.has("author") ? typed.get("author") : "?"),
                typed.has("called") ? typed.get("called") : words.say("table.pasted"), words);
        return typed.get("kind").equals("kit") ? tables.kit(typed.get(TEXT)) : tables.readings(typed.get(TEXT));
    }

    /** The text of the file stands in the field from then on, so that what is recorded is what was looked at, and can be mended there. */
    private static FormInput taken(MultiValueMap<String, String> fields, Optional<MultipartFile> file) {
        FormInput typed = FormInput.of(fields);
        typed.attempt(TEXT, () -> Uploaded.text(file, typed.get(TEXT), LONGEST)).ifPresent(text -> typed.set(TEXT, text));
        file.filter(f -> !f.isEmpty()).map(MultipartFile::getOriginalFilename)
                .map(name -> name.replaceAll(".*[/\\\\]", "").replaceAll("\\p{Cntrl}", "")).filter(name -> !name.isBlank())
                .ifPresent(name -> typed.set("called", name.length() > 60 ? name.substring(0, 60) : name));
        if (typed.isClean() && !typed.has(TEXT)) {
            typed.refuse(TEXT, Reason.of(WebReason.TABLE_NONE));
        }
        return typed;
    }

    private String page(StoredSurvey survey, FormInput typed, Submission submission, Model model) {
        model.addAttribute("whose", survey.machine().name());
        model.addAttribute("action", "/surveys/" + survey.id() + "/table");
        model.addAttribute("survey", survey);
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        return "tables/table";
    }

    @GetMapping("/machines/{id}/table")
    String askPlate(@PathVariable long id, Model model, HttpServletRequest request) {
        StoredMachine machine = library.machine(id);
        FormInput typed = FormInput.blank();
        typed.set("author", writer.known(request).orElse(machine.lastAuthor()));
        return page(machine, typed, Submission.fresh(machine.head()), model);
    }

    /** The plate's cells, as a grid or as a list; one new version of the description, or nothing. */
    @PostMapping("/machines/{id}/table")
    String bringPlate(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields,
            @RequestParam Optional<MultipartFile> file, Model model, HttpServletResponse response) {
        StoredMachine machine = library.machine(id);
        FormInput typed = taken(fields, file);
        Submission submission = new Submission(typed.get("submission"), typed.wholeOr("seen", 0));
        Look<Map.Entry<List<String>, PlateCell>> look = typed.isClean() ? plate(machine, typed.get(TEXT))
                : new Look<>(List.of(), List.of());
        model.addAttribute("look", look);
        boolean records = typed.get("do").equals("record");
        if (records && !typed.has("author")) {
            typed.refuse("author", Reason.of(LedgerReason.AUTHOR_MISSING));
        }
        if (records && typed.isClean() && (look.isWrong() || look.makes().isEmpty())) {
            typed.refuse(TEXT, look.isWrong() ? Reason.of(WebReason.TABLE_MEND) : Reason.of(WebReason.TABLE_NOTHING));
        }
        if (!typed.isClean() || look.isWrong() || !records) {
            response.setStatus(typed.isClean() && !look.isWrong() ? HttpServletResponse.SC_OK : 422);
            return page(machine, typed, submission, model);
        }
        MachineDescription described = machine.description();
        for (Map.Entry<List<String>, PlateCell> cell : look.makes()) {
            described = described.withCell(cell.getKey(), cell.getValue());
        }
        return machines.write(Optional.of(machine), described, typed, submission, response, next -> page(machine, typed, next, model));
    }

    private static Look<Map.Entry<List<String>, PlateCell>> plate(StoredMachine machine, String text) {
        Map<List<String>, PlateCell> now = machine.description().plate().cells();
        try {
            Map<List<String>, String> read = PlatePaste.read(text, machine.description().plate().levers());
            List<Look.TableLine<Map.Entry<List<String>, PlateCell>>> lines = new ArrayList<>();
            SpeedPlate.keysOf(machine.description().plate().levers()).stream().filter(read::containsKey)
                    .forEach(key -> lines.add(cell(key, now.get(key), read.get(key))));
            return new Look<>(List.copyOf(lines), List.of());
        } catch (Refused refused) {
            return Look.wrong(0, refused.reason());
        }
    }

    private static Look.TableLine<Map.Entry<List<String>, PlateCell>> cell(List<String> key, PlateCell before, String said) {
        String at = String.join(" ", key);
        try {
            PlateCell cell = PlateCell.parse(said);
            return cell.equals(before) ? Look.TableLine.same(0, Reason.of(WebReason.TABLE_PLATE_SAME, at, cell.typed()))
                    : Look.TableLine.records(0, Reason.of(WebReason.TABLE_CELL, at, cell.typed(), before.typed()), Map.entry(key, cell));
        } catch (Refused refused) {
            return Look.TableLine.wrong(0, Reason.of(WebReason.TABLE_RECORDS, at, refused.reason()));
        }
    }

    private static String page(StoredMachine machine, FormInput typed, Submission submission, Model model) {
        model.addAttribute("whose", machine.name());
        model.addAttribute("action", "/machines/" + machine.id() + "/table");
        model.addAttribute("machine", machine);
        model.addAttribute("typed", typed);
        model.addAttribute("submission", submission);
        return "tables/table";
    }
}
