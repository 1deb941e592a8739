package tallledger.core.survey;

import java.util.List;
import java.util.Optional;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.GradedLimit;

/** What a step asks to be written down, and how that is judged. Each kind names its fields, so that one form serves all. */
public interface Recording {

    /** How a field is typed. */
    enum Entry { LENGTH, NUMBER, SERIES, TEXT, LONG_TEXT, CHOICE, LOG }

    /**
     * One field.
     *
     * @param name    its key
     * @param entry   how it is typed
     * @param unit    shown beside it, may be empty
     * @param start   what stands in it at first
     * @param choices where one of several is chosen
     * @param must    whether it cannot be left empty
     */
    record Field(String name, Entry entry, String unit, String start, List<String> choices, boolean must) {

        static Field must(String name, Entry entry, String unit) {
            return new Field(name, entry, unit, "", List.of(), true);
        }

        static Field may(String name, Entry entry, String unit) {
            return new Field(name, entry, unit, "", List.of(), false);
        }
    }

    /** Key of its words and of how it is drawn. */
    String code();

    List<Field> fields();

    /**
     * Judges what was typed.
     *
     * @throws tallledger.core.reason.Refused naming the field that cannot be read
     */
    StepJudgement judge(Values values);

    /** The limit in grades, where there is one to show before anything is typed. */
    default Optional<GradedLimit> limit() {
        return Optional.empty();
    }

    /** What it is usually read with; empty where nothing is measured with a gauge. */
    default Optional<Gauge> usualGauge() {
        return Optional.empty();
    }

    /** Whether a stopwatch helps. */
    default boolean isTimed() {
        return fields().stream().anyMatch(f -> f.name().equals("seconds"));
    }

    /** Whether the numbers decide; else the surveyor says "as it should" or "not". */
    default boolean decides() {
        return !fields().isEmpty();
    }
}
