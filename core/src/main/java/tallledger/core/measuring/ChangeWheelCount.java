package tallledger.core.measuring;

import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.motion.ChangeWheels;
import tallledger.core.motion.GearChart;
import tallledger.core.motion.WheelSet;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;

/**
 * Change wheels counted against the chart.
 *
 * @param chart what the chart promises; empty where nobody copied it
 */
public record ChangeWheelCount(Optional<GearChart> chart) implements Recording<WheelSet> {
    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.changeWheelCount(this);
    }

    @Override
    public <T> T accept(WheelSet value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.changeWheelCount(this, value);
    }

    @Override
    public String code() {
        return "wheels";
    }

    @Override
    public List<RecordField> fields() {
        return List.of(RecordField.must("wheels", InputKind.TEXT, FieldUnit.NONE));
    }

    /** Without a chart that promises threads by name there is nothing to hold the wheels against: they were counted. */
    @Override
    public StepJudgement judge(WheelSet wheels, Rules rules) {
        if (chart.isEmpty()) {
            return StepJudgement.read(Reason.of(MeasuringReason.WHEELS_NO_CHART, wheels.teeth().size()));
        }
        ChangeWheels result = ChangeWheels.of(chart.get(), wheels);
        if (result.usual()) {
            return StepJudgement.read(result.says().toArray(Reason[]::new));
        }
        Outcome outcome = result.lost().isEmpty() ? Outcome.PROVEN : Outcome.FAILED;
        return new StepJudgement(outcome, Optional.empty(), result.says(), Optional.empty());
    }

    @Override
    public WheelSet read(Values values) {
        if (!values.has("wheels")) {
            throw Refused.because(CommonReason.NUMBER_MISSING).at("wheels");
        }
        return values.at("wheels", () -> WheelSet.parse(values.text("wheels")));
    }
}
