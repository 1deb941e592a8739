package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Grade;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** A line a length: "50 50.003". Each is judged over its own length; the worst of them decides. */
public record ScaleByGaugeLengths() implements MeasuringMethod<ScaleByGaugeLengths.LengthReadings> {

    private static final int MOST = 60;

    /** One gauge length and what the readout showed for it, mm. */
    public record LengthPair(TypedLength length, TypedLength shown) {

        public double error() {
            return shown.mm().subtract(length.mm()).doubleValue();
        }
    }

    /**
     * A readout against gauge lengths from one zero.
     *
     * @param apart machine less gauge, K; empty where nobody read it
     */
    public record LengthReadings(List<LengthPair> pairs, BigDecimal step, Optional<Gauge> by, Optional<BigDecimal> apart) {

        /** The one that is off most for its length: a limit per length is that much smaller over a shorter one. */
        public LengthPair worst() {
            return pairs.stream().max(java.util.Comparator.comparingDouble(p -> Math.abs(p.error()) / p.length.mm().doubleValue()))
                    .orElseThrow();
        }

        /** By least squares through nought: what grows with the length, a share. */
        public double slope() {
            double squares = pairs.stream().mapToDouble(p -> Math.pow(p.length.mm().doubleValue(), 2)).sum();
            return pairs.stream().mapToDouble(p -> p.length.mm().doubleValue() * p.error()).sum() / squares;
        }

        /** What does not grow with it: the greatest distance from that line, mm. */
        double rest() {
            return pairs.stream().mapToDouble(p -> Math.abs(p.error() - slope() * p.length.mm().doubleValue())).max().orElse(0);
        }
    }

    @Override
    public Rule gauge() {
        return Rule.INDICATOR;
    }

    @Override
    public <T> T accept(MethodVisitor<T> visitor) {
        return visitor.scaleByGaugeLengths(this);
    }

    @Override
    public <T> T accept(ScaleByGaugeLengths.LengthReadings readings, MethodVisitor.OfReadings<T> visitor) {
        return visitor.scaleByGaugeLengths(this, readings);
    }

    @Override
    public List<RecordField> fields(ChartLine<?> line) {
        return List.of(RecordField.must("lengths", InputKind.LONG_TEXT, FieldUnit.LENGTH));
    }

    @Override
    public LengthReadings read(Values values, ChartLine<?> line) {
        List<LengthPair> pairs = new ArrayList<>();
        values.text("lengths").lines().map(String::strip).filter(l -> !l.isEmpty())
                .forEach(row -> values.at("lengths", () -> pairs.add(pair(row, values))));
        if (pairs.isEmpty() || pairs.size() > MOST) {
            throw Refused.because(MeasuringReason.ROW_COUNT, pairs.size(), 1, MOST).at("lengths");
        }
        return new LengthReadings(List.copyOf(pairs), Values.coarsest(pairs.stream().map(LengthPair::shown).toList()), values.readWith(),
                values.apart());
    }

    private static LengthPair pair(String row, Values values) {
        List<TypedLength> two = TypedLength.row(row.replace(':', ';'), values.unit().millimetres());
        if (two.size() != 2) {
            throw Refused.because(MeasuringReason.LENGTHS_LINE, row.length() > MOST ? row.substring(0, MOST) : row);
        }
        LengthPair pair = new LengthPair(two.get(0), two.get(1));
        if (pair.length.mm().signum() <= 0) {
            throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, two.get(0).typed());
        }
        return pair;
    }

    @Override
    public StepJudgement judge(LengthReadings read, ChartLine<?> line, Rules rules) {
        // A failure decides before what is too close, that before a pass; of equals the one furthest off for its length.
        LengthPair worst = read.pairs.stream().max(java.util.Comparator.comparingInt((LengthPair p) -> weight(alone(p, read, line, rules)))
                .thenComparingDouble(p -> Math.abs(p.error()) / p.length.mm().doubleValue())).orElseThrow();
        List<Reason> says = new ArrayList<>(List.of(Reason.of(MeasuringReason.LENGTHS_SAY, read.pairs.size(),
                Quantity.of(worst.length.mm(), Unit.MILLIMETRES), ReckonedFigures.shown(worst.error()),
                ReckonedFigures.slope(read.slope()), ReckonedFigures.shown(read.rest()))));
        says.addAll(GaugeWarmth.temperature(worst.length.mm().doubleValue(), read.apart, rules));
        StepJudgement decides = alone(worst, read, line, rules);
        says.addAll(0, decides.because());
        Optional<Grade> grade = read.pairs.stream().map(p -> alone(p, read, line, rules).grade())
                .reduce(Grade::worse).orElseThrow();
        return new StepJudgement(decides.outcome(), grade, says, decides.figures());
    }

    private static StepJudgement alone(LengthPair pair, LengthReadings read, ChartLine<?> line, Rules rules) {
        BigDecimal error = ReckonedFigures.decimal(pair.error());
        Gauge gauge = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR));
        Uncertainty u = GaugeWarmth.warm(gauge.difference(error.abs(), read.step), pair.length.mm().doubleValue(), read.apart);
        return line.judged(error, u, ReckonedFigures.decimal(pair.length.mm().doubleValue()), rules);
    }

    private static int weight(StepJudgement judged) {
        return switch (judged.outcome()) {
            case FAILED -> 2;
            case UNDECIDED -> 1;
            case PROVEN -> 0;
        };
    }
}
