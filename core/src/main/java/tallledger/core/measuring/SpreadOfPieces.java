package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.List;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/** SpreadOfPieces in the order made: the spread of their sizes is judged, a trend is said. */
public record SpreadOfPieces() implements MeasuringMethod<ReadingSeries> {

    @Override
    public Rule gauge() {
        return Rule.MICROMETER;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.spreadOfPieces(this);
    }

    @Override
    public <T> T accept(ReadingSeries readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.spreadOfPieces(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return List.of(RecordField.must("pieces", InputKind.SERIES, FieldUnit.LENGTH));
    }

    @Override
    public ReadingSeries read(Values values, ChartLine<?> line) {
        return ReadingSeries.row(values, "pieces");
    }

    @Override
    public StepJudgement judge(ReadingSeries read, ChartLine<?> line, Rules rules) {
        Uncertainty u = read.by().orElseGet(() -> rules.gauge(Rule.MICROMETER)).difference(read.range(), read.step());
        Reason trend = read.hasTrend() ? Reason.of(MeasuringReason.PIECES_TREND, ReckonedFigures.micrometres(read.trend()))
                : Reason.of(MeasuringReason.PIECES_EVEN);
        return line.judged(read.range(), u, BigDecimal.ZERO, rules,
                Reason.of(MeasuringReason.PIECES_SAY, read.readings().size(), ReckonedFigures.shown(read.mean()),
                        ReckonedFigures.shown(read.deviation()),
                        trend));
    }
}
