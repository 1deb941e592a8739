package tallledger.core.measuring;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
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
import tallledger.core.geometry.FlatFace;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** Rows of heights over a face. */
public record FlatnessByGrid() implements MeasuringMethod<FlatnessByGrid.GridHeights> {

    /** A face over its longer side. */
    public record GridHeights(FlatFace face, double longer, BigDecimal step, Optional<Gauge> by) {
    }

    @Override
    public Rule gauge() {
        return Rule.INDICATOR;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.flatnessByGrid(this);
    }

    @Override
    public <T> T accept(FlatnessByGrid.GridHeights readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.flatnessByGrid(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return List.of(new RecordField("stepAcross", InputKind.LENGTH, FieldUnit.LENGTH, Preset.NONE, List.of(), true),
                new RecordField("stepDown", InputKind.LENGTH, FieldUnit.LENGTH, Preset.NONE, List.of(), true),
                new RecordField("heights", InputKind.LONG_TEXT, FieldUnit.DIAL, Preset.NONE, List.of(), true));
    }

    @Override
    public GridHeights read(Values values, ChartLine<?> line) {
        double across = TypedRows.positive(values, "stepAcross").mm().doubleValue();
        double down = TypedRows.positive(values, "stepDown").mm().doubleValue();
        List<List<TypedLength>> rows = new ArrayList<>();
        values.text("heights").lines().map(String::strip).filter(row -> !row.isEmpty())
                .forEach(row -> rows.add(TypedRows.signed(row, values, "heights")));
        FlatFace face = values.at("heights", () -> FlatFace.grid(across, down, rows.stream().map(TypedRows::mm).toList()));
        double longer = Math.max(across * (rows.get(0).size() - 1), down * (rows.size() - 1));
        return new GridHeights(face, longer, Values.coarsest(rows.stream().flatMap(List::stream).toList()), values.readWith());
    }

    @Override
    public StepJudgement judge(GridHeights read, ChartLine<?> line, Rules rules) {
        BigDecimal zone = ReckonedFigures.decimal(read.face.zone());
        Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(zone, read.step);
        BigDecimal longer = new BigDecimal(read.longer).setScale(3, RoundingMode.HALF_UP);
        return line.judged(zone, u, longer, rules,
                Reason.of(MeasuringReason.GRID_SAYS, read.face.points().size(),
                        ReckonedFigures.shown(read.face.spread(read.face.leastSquares())),
                        Quantity.of(longer.stripTrailingZeros(), Unit.MILLIMETRES)));
    }
}
