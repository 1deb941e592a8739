package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.Preset;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.Severity;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Verdict;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * The electrical panel as whoever may open it finds it: its disconnect, its fuses, its diagram, and the overload's setting against the
 * motor's plate. An overload set above what the plate allows lets the motor burn; one set below it trips under honest work.
 *
 * <p>Worked: 4.0 A on the plate: an overload at 4.2 A is right (105 %), at 6.3 A too high (158 %).
 *
 * @param plate the motor's current by the machine's description, A; what is typed at the panel goes before it
 */
public record PanelCheck(Optional<BigDecimal> plate) implements Recording<PanelCheck.PanelFinding> {

    /** How something of a panel is. */
    public enum State { AS_IT_SHOULD, NOT_AS_IT_SHOULD, NOT_THERE, NOT_SEEN }

    /** Where the diagram is. */
    public enum Diagram { IN_THE_PANEL, ELSEWHERE, NONE, NOT_SEEN }

    /**
     * What was found.
     *
     * @param motor    current on the motor's plate, A
     * @param overload what the overload is set to, A
     */
    public record PanelFinding(State disconnect, State fuses, Diagram diagram, Optional<BigDecimal> motor, Optional<BigDecimal> overload) {
    }

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.panelCheck(this);
    }

    @Override
    public <T> T accept(PanelCheck.PanelFinding value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.panelCheck(this, value);
    }

    @Override
    public String code() {
        return "panel";
    }

    @Override
    public List<RecordField> fields() {
        return List.of(
                new RecordField("disconnect", InputKind.CHOICE, FieldUnit.NONE, Preset.text(State.NOT_SEEN.name()), List.of(State.values()),
                        true),
                new RecordField("fuses", InputKind.CHOICE, FieldUnit.NONE, Preset.text(State.NOT_SEEN.name()), List.of(State.values()),
                        true),
                new RecordField("motorAmps", InputKind.NUMBER, FieldUnit.AMPERES,
                        Preset.text(plate.map(BigDecimal::toPlainString).orElse("")),
                        List.of(), false),
                RecordField.may("overloadAmps", InputKind.NUMBER, FieldUnit.AMPERES),
                new RecordField("diagram", InputKind.CHOICE, FieldUnit.NONE, Preset.text(Diagram.NOT_SEEN.name()),
                        List.of(Diagram.values()), true));
    }

    @Override
    public PanelFinding read(Values values) {
        Optional<BigDecimal> motor = amps(values, "motorAmps");
        Optional<BigDecimal> overload = amps(values, "overloadAmps");
        if (overload.isPresent() && motor.isEmpty()) {
            throw Refused.because(MeasuringReason.PANEL_MOTOR).at("motorAmps");
        }
        return new PanelFinding(choice(values, "disconnect", State.values()), choice(values, "fuses", State.values()),
                choice(values, "diagram", Diagram.values()), motor, overload);
    }

    private static Optional<BigDecimal> amps(Values values, String field) {
        return values.has(field) ? Optional.of(values.at(field,
                () -> TypedNumber.parsePositive(TypedNumber.shortEnough(values.text(field), 40)
                        .replaceAll("(?i)\\s*a(mps?)?$", "")).value()))
                : Optional.empty();
    }

    private static <E extends Enum<E>> E choice(Values values, String field, E[] all) {
        return Stream.of(all).filter(s -> s.name().equals(values.text(field))).findFirst()
                .orElseThrow(() -> Refused.because(CommonReason.CHOICE_UNKNOWN).at(field));
    }

    @Override
    public StepJudgement judge(PanelFinding found, Rules rules) {
        List<Reason> bad = new ArrayList<>();
        List<Reason> open = new ArrayList<>();
        List<Reason> good = new ArrayList<>();
        sort(found.disconnect, Reason.each(MeasuringReason.PANEL_DISCONNECT, found.disconnect), good, bad, open);
        sort(found.fuses, Reason.each(MeasuringReason.PANEL_FUSES, found.fuses), good, bad, open);
        overload(found, rules, good, bad, open);
        (found.diagram == Diagram.NONE || found.diagram == Diagram.NOT_SEEN ? open : good)
                .add(Reason.each(MeasuringReason.PANEL_DIAGRAM, found.diagram));
        // A machine that cannot be cut off from its supply is used by nobody.
        Optional<Severity> worse = found.disconnect == State.NOT_AS_IT_SHOULD || found.disconnect == State.NOT_THERE
                ? Optional.of(Severity.STOP_USE)
                : Optional.empty();
        Outcome outcome = !bad.isEmpty() ? Outcome.FAILED : undecided(found) ? Outcome.UNDECIDED : Outcome.PROVEN;
        return new StepJudgement(outcome, Optional.empty(), Stream.of(bad, open, good).flatMap(List::stream).toList(), worse)
                .with(found.overload.map(set -> setting(set, found.motor.orElseThrow(), rules)).stream().toList());
    }

    /** The overload's setting between its two shares of the motor's current. */
    private static Figure setting(BigDecimal set, BigDecimal motor, Rules rules) {
        Limit limit = new Limit(motor.multiply(rules.share(Rule.OVERLOAD)), motor.multiply(rules.share(Rule.OVERLOAD, 1)), Unit.AMPERES,
                Reason.of(MeasuringReason.LIMIT_OVERLOAD, rules.figures(Rule.OVERLOAD).get(0), rules.figures(Rule.OVERLOAD).get(1)));
        boolean within = set.compareTo(limit.lower()) >= 0 && set.compareTo(limit.upper()) <= 0;
        return Figure.alone(Quantity.of(set, Unit.AMPERES)).named(Figure.Name.SETTING)
                .against(limit, within ? Verdict.WITHIN : Verdict.OUTSIDE);
    }

    /** A diagram that is not there is said and leaves nothing undecided; what nobody saw does. */
    private static boolean undecided(PanelFinding found) {
        return found.disconnect == State.NOT_SEEN || found.fuses == State.NOT_SEEN || found.overload.isEmpty()
                || found.diagram == Diagram.NOT_SEEN;
    }

    private static void sort(State state, Reason reason, List<Reason> good, List<Reason> bad, List<Reason> open) {
        (state == State.AS_IT_SHOULD ? good : state == State.NOT_SEEN ? open : bad).add(reason);
    }

    private static void overload(PanelFinding found, Rules rules, List<Reason> good, List<Reason> bad, List<Reason> open) {
        if (found.overload.isEmpty()) {
            open.add(Reason.of(MeasuringReason.PANEL_OVERLOAD_NOT_SEEN));
            return;
        }
        BigDecimal motor = found.motor.orElseThrow();
        BigDecimal set = found.overload.get();
        boolean high = set.compareTo(motor.multiply(rules.share(Rule.OVERLOAD, 1))) > 0;
        boolean low = set.compareTo(motor.multiply(rules.share(Rule.OVERLOAD))) < 0;
        MeasuringReason reason = high ? MeasuringReason.PANEL_OVERLOAD_HIGH
                : low ? MeasuringReason.PANEL_OVERLOAD_LOW
                        : MeasuringReason.PANEL_OVERLOAD_RIGHT;
        (high || low ? bad : good)
                .add(Reason.of(reason, Quantity.of(set, Unit.AMPERES), Quantity.of(motor, Unit.AMPERES),
                        rules.figures(Rule.OVERLOAD).get(0),
                        rules.figures(Rule.OVERLOAD).get(1)));
    }
}
