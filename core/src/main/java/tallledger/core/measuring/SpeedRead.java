package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.Preset;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Limit;
import tallledger.core.reading.Method;
import tallledger.core.reading.SpeedReading;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Shown;
import tallledger.core.unit.Unit;

/**
 * A speed as read: shown by an instrument, or turns counted against a clock. It is judged within a share of what it ought to be; with
 * nothing to compare with, it stands with its uncertainty and nothing more.
 *
 * @param nominal   what it ought to be, min⁻¹; empty where nobody says
 * @param tolerance ± share of that, where the plate has its own; else the house's
 */
public record SpeedRead(Optional<BigDecimal> nominal, Optional<BigDecimal> tolerance) implements Recording<SpeedReading> {

    /** The fields, which a run's form and a step's share. */
    public static final List<RecordField> FIELDS = List.of(
            RecordField.may("reading", InputKind.NUMBER, FieldUnit.SPEED), new RecordField("method", InputKind.CHOICE, FieldUnit.NONE,
                    Preset.text(Method.CONTACT_TACHOMETER.name()),
                    Stream.of(Method.values()).filter(Method::isShown).toList(), false),
            RecordField.may("marks", InputKind.NUMBER, FieldUnit.NONE), RecordField.may("factor", InputKind.TEXT, FieldUnit.NONE),
            RecordField.may("turns",
                    InputKind.NUMBER, FieldUnit.NONE),
            RecordField.may("seconds", InputKind.NUMBER, FieldUnit.SECONDS),
            RecordField.may("rate", InputKind.NUMBER, FieldUnit.NONE).ofAnotherWay(),
            RecordField.may("playing", InputKind.NUMBER, FieldUnit.NONE).ofAnotherWay());

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.speedRead(this);
    }

    @Override
    public <T> T accept(SpeedReading value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.speedRead(this, value);
    }

    @Override
    public String code() {
        return "speed-read";
    }

    @Override
    public List<RecordField> fields() {
        return FIELDS;
    }

    /** Whether a speed stands there at all; a run may go without. */
    public static boolean isThere(Values values) {
        return values.has("reading") || values.has("turns") || values.has("seconds");
    }

    @Override
    public SpeedReading read(Values values) {
        boolean tapped = values.has("turns") || values.has("seconds");
        if (tapped && values.has("reading")) {
            throw Refused.because(MeasuringReason.SPEED_READ_TWICE).at("reading");
        }
        if (tapped && values.has("rate")) {
            return values.at("turns", () -> SpeedReading.byFilm(values.text("turns"), values.text("seconds"), values.text("rate"),
                    values.text("playing"), values.text("marks")));
        }
        if (tapped) {
            return values.at("turns", () -> SpeedReading.byTaps(values.text("turns"), values.text("seconds")));
        }
        Method method = values.has("method") ? method(values.text("method")) : Method.CONTACT_TACHOMETER;
        if (method == Method.DISPLAY_BEFORE_GEAR) {
            return values.at("reading", () -> SpeedReading.beforeGear(values.readWith(), values.text("reading"), values.text("factor")));
        }
        return values.at("reading", () -> SpeedReading.shown(method, values.readWith(), values.text("reading"), values.text("marks")));
    }

    private static Method method(String name) {
        return Stream.of(Method.values()).filter(m -> m.isShown() && m.name().equals(name)).findFirst()
                .orElseThrow(() -> Refused.because(CommonReason.CHOICE_UNKNOWN).at("method"));
    }

    /** What a reading is held against; empty where nobody says what it ought to be. */
    public Optional<Limit> about(Rules rules) {
        return nominal.map(n -> Limit.aboutSpeed(n, within(rules)));
    }

    /** ± share of the speed: its plate's own, else the house's. */
    public BigDecimal within(Rules rules) {
        return tolerance.orElseGet(() -> rules.share(Rule.SPEED_TOLERANCE));
    }

    /** The verdict on a reading; empty where there is nothing to judge it by. */
    public Optional<Judgement> verdict(SpeedReading reading, Rules rules) {
        return about(rules).map(limit -> Judgement.of(reading.rpm(), reading.expanded(rules), limit));
    }

    @Override
    public StepJudgement judge(SpeedReading reading, Rules rules) {
        return verdict(reading, rules).map(StepJudgement::of).orElseGet(() -> new StepJudgement(Outcome.UNDECIDED, Optional.empty(),
                List.of(Reason.of(MeasuringReason.SPEED_READ_ALONE, Shown.of(reading.rpm(), reading.expanded(rules)))),
                List.of(Figure.alone(new Quantity(reading.rpm(), reading.expanded(rules), Unit.RPM)))));
    }
}
