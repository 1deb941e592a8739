package tallledger.core.measuring;

import java.util.List;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.Preset;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.geometry.Straightness;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;

/** An indicator carried along at equal spacings, against a straightedge, a bar or the machine's travel: slope and straightness apart. */
final class IndicatorRun {

    private IndicatorRun() {
    }

    static List<RecordField> fields() {
        return List.of(new RecordField("spacing", InputKind.LENGTH, FieldUnit.LENGTH, Preset.NONE, List.of(), true),
                new RecordField("along", InputKind.SERIES, FieldUnit.DIAL, Preset.NONE, List.of(), true));
    }

    static HeightsAlong read(Values values) {
        double spacing = TypedRows.positive(values, "spacing").mm().doubleValue();
        List<TypedLength> readings = TypedRows.signed(values.text("along"), values, "along");
        Straightness run = values.at("along", () -> Straightness.equallySpaced(spacing, TypedRows.mm(readings)));
        return new HeightsAlong(run, Values.coarsest(readings).doubleValue() / Gauge.RECTANGULAR, values.readWith());
    }

    /** mm over its length. */
    static double rise(HeightsAlong read) {
        return read.run().slope() * read.run().length();
    }

    /** u of one reading, mm. */
    static double one(HeightsAlong read, Gauge gauge) {
        return Math.max(read.digit(), gauge.alone());
    }

    static Reason says(HeightsAlong read) {
        Straightness run = read.run();
        return Reason.of(MeasuringReason.RUN_APART, ReckonedFigures.shown(rise(read)), ReckonedFigures.shown(run.length()),
                ReckonedFigures.shown(run.rest()), ReckonedFigures.shown(run.leastZone()));
    }
}
