package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import tallledger.core.evidence.EvidenceReason;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Unit;

/**
 * One measured value against a limit in three grades.
 *
 * @param graded rule of its limit
 * @param gauge what it is read with
 * @param difference whether it is the difference of two readings, as TIR, play and backlash are
 */
public record SingleMeasurement(Rule graded, Rule gauge, boolean difference) implements Recording<SingleMeasurement.MeasuredValue> {

    /**
     * One figure.
     *
     * @param step worth of its last digit
     * @param by   what it was read with
     */
    public record MeasuredValue(BigDecimal value, BigDecimal step, Optional<Gauge> by) {
    }

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.singleMeasurement(this);
    }

    @Override
    public <T> T accept(MeasuredValue value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.singleMeasurement(this, value);
    }

    @Override
    public String code() {
        return "measure";
    }

    @Override
    public List<RecordField> fields() {
        return List.of(RecordField.must(field(), isLength() ? InputKind.LENGTH : InputKind.NUMBER, FieldUnit.of(graded.unit())));
    }

    private String field() {
        return graded.unit() == Unit.SECONDS ? "seconds" : "value";
    }

    private boolean isLength() {
        return graded.unit() == Unit.MILLIMETRES;
    }

    @Override
    public MeasuredValue read(Values values) {
        if (isLength()) {
            TypedLength length = values.length(field());
            return new MeasuredValue(length.mm(), length.step(), values.readWith());
        }
        TypedNumber number = values.number(field());
        return new MeasuredValue(values.at(field(), () -> notNegative(number)), number.step(), values.readWith());
    }

    @Override
    public StepJudgement judge(MeasuredValue read, Rules rules) {
        Gauge by = read.by.orElseGet(() -> rules.gauge(gauge));
        return LimitJudge.byGrade(rules.graded(graded), read.value, difference ? by.difference(read.value, read.step)
                : by.reading(read.value, read.step));
    }

    @Override
    public Optional<GradedLimit> limit(Rules rules) {
        return Optional.of(rules.graded(graded));
    }

    @Override
    public Optional<Rule> limitRule() {
        return Optional.of(graded);
    }

    @Override
    public Optional<Rule> usualGauge() {
        return Optional.of(gauge);
    }

    private static BigDecimal notNegative(TypedNumber number) {
        if (number.value().signum() < 0) {
            throw Refused.because(EvidenceReason.LENGTH_NEGATIVE, number.typed());
        }
        return number.value();
    }
}
