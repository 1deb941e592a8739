package tallledger.core.measuring;

import java.util.List;
import java.util.Optional;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;

/**
 * Something to be written down as it stands, such as a plate, with one figure of it in a field of its own.
 *
 * @param figure which; may be left empty
 */
public record PlateNote(PlateFigure figure) implements Recording<PlateText> {
    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.plateNote(this);
    }

    @Override
    public <T> T accept(PlateText value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.plateNote(this, value);
    }

    @Override
    public String code() {
        return "note";
    }

    @Override
    public List<RecordField> fields() {
        return List.of(RecordField.must("text", InputKind.TEXT, FieldUnit.NONE),
                RecordField.may(figure.field(), InputKind.TEXT, FieldUnit.NONE));
    }

    @Override
    public PlateText read(Values values) {
        Optional<String> stands = values.has(figure.field()) ? Optional.of(figure.read(values)) : Optional.empty();
        if (!values.has("text") && stands.isEmpty()) {
            throw Refused.because(MeasuringReason.NOTE_MISSING).at("text");
        }
        return new PlateText(values.text("text"), stands);
    }

    @Override
    public StepJudgement judge(PlateText text, Rules rules) {
        return StepJudgement.read();
    }
}
