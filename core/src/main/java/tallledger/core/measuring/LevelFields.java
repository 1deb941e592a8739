package tallledger.core.measuring;

import java.util.List;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.Preset;
import tallledger.core.evidence.RecordField;

/** What a level that is moved along asks for. */
final class LevelFields {

    /** 0.02 mm/m a division; half a thou in 12 in. */
    static final Preset USUAL_LEVEL = new Preset("0.02", "0.5");

    private LevelFields() {
    }

    static List<RecordField> level(String series) {
        return List.of(new RecordField("sensitivity", InputKind.NUMBER, FieldUnit.SLOPE, USUAL_LEVEL, List.of(), true),
                new RecordField("feet", InputKind.LENGTH, FieldUnit.LENGTH, Preset.NONE, List.of(), true),
                new RecordField(series, InputKind.SERIES, FieldUnit.NONE, Preset.NONE, List.of(), true));
    }
}
