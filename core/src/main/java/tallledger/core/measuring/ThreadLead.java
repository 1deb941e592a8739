package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.Preset;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.motion.ThreadPitch;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * A thread cut and measured over several turns, or the carriage's way over as many with the half-nut in.
 *
 * @param marked    its pitch as the plate shows it; empty where a person chooses
 * @param positions of the plate's levers, where it is one of its threads
 */
public record ThreadLead(String marked, List<String> positions) implements Recording<ThreadLead.CutThread> {

    /** A thread over several turns. */
    public record CutThread(TypedLength pitch, TypedLength length, ThreadPitch thread, Optional<Gauge> by) {
    }

    public ThreadLead {
        positions = List.copyOf(positions);
    }

    /** Of a pitch the person chooses. */
    public ThreadLead() {
        this("", List.of());
    }

    @Override
    public List<String> leverPositions() {
        return positions;
    }

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.threadLead(this);
    }

    @Override
    public <T> T accept(CutThread value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.threadLead(this, value);
    }

    @Override
    public String code() {
        return "thread";
    }

    @Override
    public List<RecordField> fields() {
        return List.of(new RecordField("pitch", InputKind.LENGTH, FieldUnit.LENGTH, Preset.text(marked), List.of(), true),
                RecordField.must("length",
                        InputKind.LENGTH, FieldUnit.LENGTH),
                RecordField.must("turns", InputKind.NUMBER, FieldUnit.NONE));
    }

    @Override
    public Optional<Rule> usualGauge() {
        return Optional.of(Rule.CALIPER);
    }

    @Override
    public CutThread read(Values values) {
        TypedLength pitch = values.length("pitch");
        TypedLength length = values.length("length");
        if (pitch.mm().signum() <= 0) {
            throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, pitch.typed()).at("pitch");
        }
        return new CutThread(pitch, length, ThreadPitch.of(pitch.mm(), length.mm(), values.whole("turns")), values.readWith());
    }

    @Override
    public StepJudgement judge(CutThread read, Rules rules) {
        TypedLength pitch = read.pitch;
        TypedLength length = read.length;
        ThreadPitch thread = read.thread;
        Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.CALIPER)).difference(length.mm(), length.step())
                .scaled(300 / Math.max(length.mm().doubleValue(), 1));
        StepJudgement judged = LimitJudge.byGrade(rules.graded(Rule.THREAD_300), thread.over300().abs(), u);
        return judged.saying(List.of(Reason.of(MeasuringReason.THREAD_ERROR, Quantity.of(thread.lead(), Unit.MILLIMETRES),
                Quantity.of(pitch.mm(), Unit.MILLIMETRES),
                thread.error().doubleValue() * 100, Quantity.of(thread.over300(), Unit.MILLIMETRES),
                Quantity.of(BigDecimal.valueOf(300), Unit.MILLIMETRES)),
                judged.because().get(0)));
    }
}
