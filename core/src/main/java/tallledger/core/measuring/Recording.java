package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * What a step asks to be written down, and how that is judged. Each kind names its fields, so that one form serves all.
 *
 * @param <V> what the typed text is read to; what a drawing or a claim needs of a record is in it
 */
public interface Recording<V> {

    /** Key of its words and of how it is drawn. */
    String code();

    List<RecordField> fields();

    /**
     * Reads what was typed, once: the value is judged, drawn and held against claims, never the text again.
     *
     * @throws tallledger.core.reason.Refused naming the field that cannot be read
     */
    V read(Values values);

    /** @param rules of the house, at the version the survey judges by */
    StepJudgement judge(V value, Rules rules);

    /** Reads and judges; figures in the unit of the values. */
    default StepJudgement weigh(Values values, Rules rules) {
        return judge(read(values), rules).in(values.unit());
    }

    /** Whoever makes something of each kind of record is found by the compiler when a kind is added. */
    <T> T accept(RecordingVisitor<T> visitor);

    /** The same of a record with what was read from it. */
    <T> T accept(V value, RecordingVisitor.OfRecorded<T> visitor);

    /** The limit in grades, where there is one to show before anything is typed. */
    default Optional<GradedLimit> limit(Rules rules) {
        return Optional.empty();
    }

    /** Length the limit is stated for, mm: a round one of the machine's unit; empty where it is stated as it is. */
    default Optional<BigDecimal> limitPer(Rules rules) {
        return Optional.empty();
    }

    /** The rule of that limit, where there is one: a machine's own chart may stand for it. */
    default Optional<Rule> limitRule() {
        return Optional.empty();
    }

    /** What a field is taken for, or stands in it, before anybody types. */
    default String start(RecordField field, Rules rules) {
        return field.start().in(rules.unit());
    }

    /** What it is usually read with; empty where nothing is measured with a gauge. */
    default Optional<Rule> usualGauge() {
        return Optional.empty();
    }

    /** Which check at the spindle it is, where it is one. */
    default Optional<DriveCheck> driveCheck() {
        return Optional.empty();
    }

    /** Code of the script that is watched, where it is a cycle. */
    default Optional<String> cycle() {
        return Optional.empty();
    }

    /** What stands set on the feed plate's levers, where it proves them. */
    default List<String> leverPositions() {
        return List.of();
    }

    /** Whether a stopwatch helps. */
    default boolean isTimed() {
        return fields().stream().anyMatch(f -> f.name().equals("seconds"));
    }

    /** Whether it may be said to be good without a figure: that it does what it should is seen, how fast is not. */
    default boolean maybeGoodByEye() {
        return false;
    }

    /** Whether nothing stands in any field but what stood there before anybody typed. */
    default boolean isBlank(Values values, Rules rules) {
        return decides() && fields().stream().allMatch(f -> !values.has(f.name())
                || values.text(f.name()).equals(start(f, rules)) || !f.choices().isEmpty());
    }

    /** Whether the numbers decide; else the surveyor says "as it should" or "not". */
    default boolean decides() {
        return !fields().isEmpty();
    }
}
