package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.Preset;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** What came off less what was fed in is judged; what sparking out took is said. */
public record InfeedByWork() implements MeasuringMethod<InfeedByWork.InfeedReadings> {

    /** What the dial of an infeed counts. */
    public enum Counts { DIAMETER, RADIUS, HEIGHT }

    /**
     * What was fed in and what came off, mm.
     *
     * @param sparked size after sparking out; empty where it was not sparked out
     */
    public record InfeedReadings(List<TypedLength> infeeds, Counts counts, TypedLength before, TypedLength after,
            Optional<TypedLength> sparked,
            Optional<Gauge> by) {

        BigDecimal wanted() {
            BigDecimal sum = infeeds.stream().map(TypedLength::mm).reduce(BigDecimal.ZERO, BigDecimal::add);
            return counts == Counts.RADIUS ? sum.multiply(BigDecimal.valueOf(2)) : sum;
        }

        BigDecimal removed() {
            return before.mm().subtract(sparked.orElse(after).mm());
        }
    }

    @Override
    public Rule gauge() {
        return Rule.MICROMETER;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.infeedByWork(this);
    }

    @Override
    public <T> T accept(InfeedByWork.InfeedReadings readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.infeedByWork(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return List.of(RecordField.must("infeeds", InputKind.SERIES, FieldUnit.LENGTH),
                new RecordField("counts", InputKind.CHOICE, FieldUnit.NONE, Preset.text(Counts.DIAMETER.name()), List.of(Counts.values()),
                        false),
                RecordField.must("before", InputKind.LENGTH, FieldUnit.LENGTH),
                RecordField.must("after", InputKind.LENGTH, FieldUnit.LENGTH),
                RecordField.may("sparked", InputKind.LENGTH, FieldUnit.LENGTH));
    }

    @Override
    public InfeedReadings read(Values values, ChartLine<?> line) {
        List<TypedLength> infeeds = values.lengths("infeeds");
        Counts counts = Stream.of(Counts.values()).filter(c -> c.name().equals(values.text("counts"))).findFirst()
                .orElse(Counts.DIAMETER);
        InfeedReadings fed = new InfeedReadings(infeeds, counts, TypedRows.positive(values, "before"), TypedRows.positive(values, "after"),
                values.has("sparked") ? Optional.of(TypedRows.positive(values, "sparked")) : Optional.empty(), values.readWith());
        if (fed.after.mm().compareTo(fed.before.mm()) >= 0) {
            throw Refused.because(MeasuringReason.INFEED_SIZES, fed.after.typed(), fed.before.typed()).at("after");
        }
        fed.sparked.filter(s -> s.mm().compareTo(fed.after.mm()) > 0).ifPresent(s -> {
            throw Refused.because(MeasuringReason.INFEED_SIZES, s.typed(), fed.after.typed()).at("sparked");
        });
        return fed;
    }

    @Override
    public StepJudgement judge(InfeedReadings read, ChartLine<?> line, Rules rules) {
        BigDecimal off = read.removed().subtract(read.wanted());
        double dial = Values.coarsest(read.infeeds).doubleValue() / Gauge.RECTANGULAR * Math.sqrt(read.infeeds.size())
                * (read.counts == Counts.RADIUS ? 2 : 1);
        Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.MICROMETER))
                .difference(read.removed(), read.before.step().max(read.after.step())).withDigit(dial);
        List<Reason> says = new ArrayList<>(List.of(Reason.of(MeasuringReason.INFEED_SAYS, read.infeeds.size(),
                Quantity.of(read.wanted(), Unit.MILLIMETRES), Quantity.of(read.removed(), Unit.MILLIMETRES),
                Quantity.of(off, Unit.MILLIMETRES))));
        read.sparked.ifPresent(
                s -> says.add(
                        Reason.of(MeasuringReason.INFEED_SPARKED, Quantity.of(read.after.mm().subtract(s.mm()), Unit.MILLIMETRES))));
        return line.judged(off.abs(), u, BigDecimal.ZERO, rules, says.toArray(Reason[]::new));
    }
}
