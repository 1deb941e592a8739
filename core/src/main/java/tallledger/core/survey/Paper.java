package tallledger.core.survey;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tallledger.core.coverage.EverySpeed;
import tallledger.core.coverage.Symptom;
import tallledger.core.evidence.RecordField;
import tallledger.core.family.Phase;
import tallledger.core.family.Step;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.Refused;

/**
 * The run sheet on paper (W 4.7): every speed and step of the machine with a number of its own, in the order of work. The numbers hang on
 * the description alone, so that a sheet printed in the morning is typed in rightly in the evening, whatever was done meanwhile.
 *
 * @param lines all of them, by number from 1
 */
public record Paper(List<PaperLine> lines) {

    /** One line. */
    public record PaperLine(int number, Task task) {
    }

    /**
     * One line as typed in afterwards.
     *
     * @param bad     it is not as it should be
     * @param symptoms what was heard or seen at a speed
     */
    public record PaperRecord(String reading, boolean bad, Set<Symptom> symptoms, String remark) {

        public PaperRecord {
            symptoms = Set.copyOf(symptoms);
        }
    }

    public static Paper of(Survey survey) {
        List<Task> tasks = new ArrayList<>();
        for (Phase phase : Phase.values()) {
            if (phase == Phase.SPINDLE) {
                EverySpeed.routes(survey.drive().table()).forEach(route -> tasks.add(Task.of(route)));
            }
            survey.steps().inScope().stream().filter(s -> s.phase() == phase).forEach(s -> tasks.add(Task.of(s)));
        }
        List<PaperLine> lines = new ArrayList<>();
        tasks.forEach(task -> lines.add(new PaperLine(lines.size() + 1, task)));
        return new Paper(List.copyOf(lines));
    }

    /** Those still to be done. */
    public List<PaperLine> open(Survey survey) {
        Set<Step> open = Set.copyOf(survey.steps().open());
        return lines.stream().filter(l -> l.task.step().map(open::contains)
                .orElseGet(() -> l.task.route().filter(r -> !survey.drive().latest().containsKey(r) && !survey.drive().passed()
                        .containsKey(r)).isPresent()))
                .toList();
    }

    /**
     * The entry a typed line makes.
     *
     * @param by    who types, and when
     * @param visit when it was written on the paper, as typed
     * @throws Refused naming number, reading, mark or remark
     */
    public Draft draft(Survey survey, int number, PaperRecord typed, Authorship by, Basis basis, String visit) {
        if (number < 1 || number > lines.size()) {
            throw Refused.because(SurveyReason.PAPER_NUMBER, number, lines.size()).at("number");
        }
        return from("paper", Map.of("line", number, "visit", visit), draft(survey, lines.get(number - 1).task, typed, by, basis));
    }

    /**
     * The entry that a row of a table makes, of readings written down elsewhere.
     *
     * @param file of the table, as it was called
     * @param line of it
     * @throws Refused as {@link #draft}
     */
    public static Draft ofTable(Survey survey, Task task, PaperRecord typed, Authorship by, Basis basis, String file, int line) {
        return from("table", Map.of("file", file, "line", line), draft(survey, task, typed, by, basis));
    }

    private static Draft from(String where, Map<String, Object> place, Draft draft) {
        Map<String, Object> payload = new HashMap<>(draft.payload());
        payload.put(where, place);
        return new Draft(draft.by(), draft.kind(), draft.step(), payload, draft.attachments(), draft.strikes());
    }

    private static Draft draft(Survey survey, Task task, PaperRecord typed, Authorship by, Basis basis) {
        if (typed.reading.isBlank() && !typed.bad && typed.symptoms.isEmpty() && typed.remark.isBlank() && task.route().isPresent()) {
            throw Refused.because(SurveyReason.PAPER_NOTHING).at("reading");
        }
        return task.step().map(step -> step(survey, step, typed, by, basis)).orElseGet(() -> run(survey, task, typed, by, basis));
    }

    private static Draft run(Survey survey, Task task, PaperRecord typed, Authorship by, Basis basis) {
        if (typed.bad) {
            throw Refused.because(SurveyReason.PAPER_SYMPTOM).at("mark");
        }
        Optional<SpeedReading> reading = typed.reading.isBlank() ? Optional.empty()
                : Optional.of(at("reading", () -> SpeedReading.byTachometer(typed.reading)));
        return at("reading", () -> SurveyEntries.run(by, basis, survey.drive(),
                new RunRecord(survey.machine().train().settings(task.route().orElseThrow()), reading, typed.symptoms,
                        Optional.empty(), false, false, false, typed.remark)));
    }

    /** Between the readings of a step that has several. */
    private static final String BETWEEN = ";";

    /** What is read at a step, in the order it is typed on its line; empty where nothing is. */
    public static List<RecordField> readings(Step step) {
        List<RecordField> fields = step.recording().fields();
        List<RecordField> must = fields.stream().filter(RecordField::must).toList();
        return must.isEmpty() ? fields.stream().filter(f -> f.name().equals("value")).toList() : must;
    }

    private static Draft step(Survey survey, Step step, PaperRecord typed, Authorship by, Basis basis) {
        if (!typed.symptoms.isEmpty()) {
            throw Refused.because(SurveyReason.PAPER_MARK).at("mark");
        }
        List<RecordField> read = readings(step);
        List<String> figures = List.of(typed.reading.split(BETWEEN, -1));
        if (!typed.reading.isBlank() && read.isEmpty()) {
            throw Refused.because(SurveyReason.PAPER_NO_READING).at("reading");
        }
        if (read.size() > 1 && figures.size() != read.size()) {
            throw Refused.because(SurveyReason.PAPER_SEVERAL, read.size()).at("reading");
        }
        Map<String, String> values = new HashMap<>();
        step.recording().fields().forEach(f -> values.put(f.name(), step.recording().start(f, survey.rules())));
        if (read.size() == 1 && !typed.reading.isBlank()) {
            values.put(read.get(0).name(), typed.reading);
        } else {
            for (int i = 0; i < read.size(); i++) {
                if (!figures.get(i).isBlank()) {
                    values.put(read.get(i).name(), figures.get(i).strip());
                }
            }
        }
        List<String> confirmed = survey.steps().asked(step).stream().map(a -> a.need().written()).toList();
        return at("reading", () -> SurveyEntries.step(by, survey.steps(), step, values, basis, typed.bad, confirmed, typed.remark));
    }

    /** What a form of its own would say at its fields is said at the line's. */
    private static <T> T at(String field, java.util.function.Supplier<T> read) {
        try {
            return read.get();
        } catch (Refused refused) {
            throw refused.at(field);
        }
    }
}
