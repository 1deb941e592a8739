package tallledger.core.measuring;

import java.util.List;
import java.util.stream.Stream;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.safety.Mounted;
import tallledger.core.safety.SpeedGate;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** What is marked on the wheel: at least one of its two marks, and its diameter; the gate of the runs uses it. */
public record GrindingWheelMark() implements Recording<Mounted> {
    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.grindingWheelMark(this);
    }

    @Override
    public <T> T accept(Mounted value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.grindingWheelMark(this, value);
    }

    @Override
    public String code() {
        return "wheel-mark";
    }

    @Override
    public List<RecordField> fields() {
        return List.of(RecordField.must("across", InputKind.LENGTH, FieldUnit.LENGTH),
                RecordField.may("markedMs", InputKind.NUMBER, FieldUnit.WHEEL),
                RecordField.may("markedRpm", InputKind.NUMBER, FieldUnit.SPEED));
    }

    @Override
    public StepJudgement judge(Mounted wheel, Rules rules) {
        List<Reason> marks =
                Stream.concat(wheel.markedMs().map(v -> Reason.of(MeasuringReason.WHEEL_MS, Quantity.of(v, Unit.METRES_PER_SECOND)))
                        .stream(), wheel.markedRpm().map(v -> Reason.of(MeasuringReason.WHEEL_RPM, v)).stream()).toList();
        Reason marked = Reason.of(MeasuringReason.WHEEL_MARKED, Quantity.of(wheel.diameter().orElseThrow(), Unit.MILLIMETRES), marks);
        // Its surface speed is a speed of the spindle only with its diameter: said, or everybody reckons it anew.
        return SpeedGate.greatest(wheel).filter(n -> wheel.markedMs().isPresent())
                .map(n -> StepJudgement.read(marked, Reason.of(MeasuringReason.WHEEL_GREATEST, n)))
                .orElseGet(() -> StepJudgement.read(marked));
    }

    @Override
    public Mounted read(Values values) {
        try {
            return Mounted.parse(Mounted.Kind.WHEEL, values.text("across"), values.text("markedRpm"), values.text("markedMs"), "",
                    values.unit(), values.bare());
        } catch (Refused refused) {
            throw refused.field().filter("diameter"::equals).isPresent() ? refused.at("across") : refused;
        }
    }
}
