package tallledger.web.tables;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.Stream;
import tallledger.core.coverage.Symptom;
import tallledger.core.kit.KitItem;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.survey.Paper;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.survey.Task;
import tallledger.web.forms.CsvRows;
import tallledger.web.library.StoredSurvey;
import tallledger.web.words.WebReason;
import tallledger.web.words.Words;

/** Readings and kit brought in as tables with a heading row; the columns are those the handed-over file has, in any order. */
final class SurveyTables {

    static final int MOST_ROWS = 500;
    private static final List<String> READINGS = List.of("position", "read rpm", "symptoms", "not as it should", "remark");
    private static final Map<String, String> OTHER_NAMES = Map.of("reading", "read rpm", "speed", "position", "step", "position");
    private static final List<String> KIT = List.of("piece", "state", "promised by", "one of", "to replace", "due", "remark", "how many",
            "warranty");

    private final StoredSurvey survey;
    private final Authorship by;
    private final String file;
    private final Words words;

    SurveyTables(StoredSurvey survey, Authorship by, String file, Words words) {
        this.survey = survey;
        this.by = by;
        this.file = file;
        this.words = words;
    }

    /** A row by its columns' names. */
    private record NamedTable(CsvRows.CsvRow row, Map<String, Integer> columns) {

        /** Without the apostrophe that makes a cell harmless to a spreadsheet. */
        String get(String column) {
            String cell = row.cell(columns.getOrDefault(column, -1)).strip();
            return cell.matches("(?s)'[=+\\-@].*") ? cell.substring(1) : cell;
        }
    }

    Look<Draft> readings(String text) {
        Map<String, Task> tasks = new HashMap<>();
        Paper.of(survey.core()).lines().forEach(line -> {
            tasks.putIfAbsent(words.name(line.task(), survey.folded().machine().train()).toLowerCase(Locale.ROOT), line.task());
            tasks.putIfAbsent(line.task().key().toLowerCase(Locale.ROOT), line.task());
        });
        return each(text, READINGS, 1, (row, seen) -> {
            Task task = tasks.get(row.get("position").toLowerCase(Locale.ROOT));
            if (task == null) {
                throw Refused.because(WebReason.TABLE_UNKNOWN, row.get("position"),
                        survey.folded().machine().train().name(survey.folded().steps().get(0)));
            }
            once(seen, task.key(), row);
            return reading(row, task);
        });
    }

    private Look.TableLine<Draft> reading(NamedTable row, Task task) {
        Set<Symptom> symptoms = EnumSet.noneOf(Symptom.class);
        for (String said : row.get("symptoms").split("[,;]")) {
            if (!said.isBlank()) {
                symptoms.add(one(said, Symptom.values(), WebReason.TABLE_SYMPTOM));
            }
        }
        String wrong = row.get("not as it should").toLowerCase(Locale.ROOT);
        if (!wrong.matches("|yes")) {
            throw Refused.because(WebReason.TABLE_WRONG, wrong);
        }
        Draft draft = Paper.ofTable(survey.core(), task, new Paper.PaperRecord(row.get("read rpm"), wrong.equals("yes"), symptoms,
                row.get("remark")), by, survey.basis(), file, row.row.line());
        List<String> says = new ArrayList<>();
        if (!row.get("read rpm").isEmpty()) {
            says.add(task.route().isPresent() ? row.get("read rpm") + " rpm" : row.get("read rpm"));
        }
        symptoms.forEach(s -> says.add(words.of(s)));
        if (wrong.equals("yes")) {
            says.add(words.say("table.not-as-it-should"));
        }
        if (!row.get("remark").isEmpty()) {
            says.add(row.get("remark"));
        }
        return Look.TableLine.records(row.row.line(),
                Reason.of(WebReason.TABLE_RECORDS, words.name(task, survey.folded().machine().train()),
                        says.isEmpty() ? words.say("table.as-it-should") : String.join(", ", says)),
                draft);
    }

    Look<Draft> kit(String text) {
        return each(text, KIT, 2, (row, seen) -> {
            KitItem item = KitItem.parse(row.get("piece"), one(row.get("state"), KitItem.State.values(), WebReason.TABLE_STATE),
                    row.get("promised by"), row.get("one of"), row.get("to replace"), row.get("due"), row.get("remark"),
                    row.get("how many"), row.get("warranty"));
            once(seen, item.name().toLowerCase(Locale.ROOT), row);
            boolean same = survey.steps().kit().named(item.name()).filter(item::equals).isPresent();
            return same ? Look.TableLine.same(row.row.line(), Reason.of(WebReason.TABLE_SAME, item.name()))
                    : Look.TableLine.records(row.row.line(), Reason.of(WebReason.TABLE_RECORDS, item.name(), words.of(item.state())),
                            SurveyEntries.kit(by, item));
        });
    }

    /** A second row of one thing would silently take the first one's place. */
    private static void once(Map<String, Integer> seen, String what, NamedTable row) {
        Integer before = seen.putIfAbsent(what, row.row.line());
        if (before != null) {
            throw Refused.because(WebReason.TABLE_TWICE, row.row.cell(0), before);
        }
    }

    private <E extends Enum<E>> E one(String said, E[] values, WebReason otherwise) {
        String asked = said.strip().toLowerCase(Locale.ROOT);
        return Stream.of(values).filter(v -> words.of(v).toLowerCase(Locale.ROOT).equals(asked)
                || v.name().toLowerCase(Locale.ROOT).replace('_', ' ').equals(asked)).findFirst()
                .orElseThrow(() -> Refused.because(otherwise, said.strip(), Stream.of(values).map(v -> (Object) words.of(v)).toList()));
    }

    /** @param must how many of the columns wanted have to be there */
    private static Look<Draft> each(String text, List<String> wanted, int must,
            BiFunction<NamedTable, Map<String, Integer>, Look.TableLine<Draft>> read) {
        Optional<List<CsvRows.CsvRow>> rows = CsvRows.read(text);
        if (rows.isEmpty()) {
            return Look.wrong(0, Reason.of(WebReason.TABLE_BROKEN));
        }
        if (rows.get().size() < 2) {
            return Look.wrong(0, Reason.of(rows.get().isEmpty() ? WebReason.TABLE_NONE : WebReason.TABLE_EMPTY));
        }
        if (rows.get().size() > MOST_ROWS + 1) {
            return Look.wrong(0, Reason.of(WebReason.TABLE_LONG, rows.get().size() - 1, MOST_ROWS));
        }
        List<String> heading = rows.get().get(0).cells().stream().map(c -> c.strip().toLowerCase(Locale.ROOT))
                .map(c -> OTHER_NAMES.getOrDefault(c, c)).toList();
        Map<String, Integer> columns = new HashMap<>();
        wanted.stream().filter(heading::contains).forEach(w -> columns.put(w, heading.indexOf(w)));
        Optional<String> missing = wanted.stream().limit(must).filter(w -> !columns.containsKey(w)).findFirst();
        if (missing.isPresent()) {
            return Look.wrong(rows.get().get(0).line(), Reason.of(WebReason.TABLE_COLUMNS, missing.get(), heading.stream()
                    .map(h -> (Object) h).toList(), wanted.stream().map(w -> (Object) w).toList()));
        }
        Map<String, Integer> seen = new HashMap<>();
        List<Look.TableLine<Draft>> lines = new ArrayList<>();
        for (CsvRows.CsvRow row : rows.get().subList(1, rows.get().size())) {
            try {
                lines.add(read.apply(new NamedTable(row, columns), seen));
            } catch (Refused refused) {
                lines.add(Look.TableLine.wrong(row.line(), refused.reason()));
            }
        }
        return new Look<>(List.copyOf(lines), heading.stream().filter(h -> !wanted.contains(h) && !h.isEmpty()).toList());
    }
}
