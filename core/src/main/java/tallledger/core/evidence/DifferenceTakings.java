package tallledger.core.evidence;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.evidence.Recording.Entry;
import tallledger.core.evidence.Recording.Field;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Grade;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** Differences against something known: gauge lengths, a force, a square turned round, what was fed in. */
public final class DifferenceTakings {

    private static final int MOST = 60;
    /** 225 lbf stand for 1 kN on an inch machine, kN. */
    private static final BigDecimal PER_225_LBF = new BigDecimal("1.000849860");
    private static final double RECTANGULAR = Math.sqrt(12);

    private DifferenceTakings() {
    }

    /** One gauge length and what the readout showed for it, mm. */
    public record Pair(TypedLength length, TypedLength shown) {

        public double error() {
            return shown.mm().subtract(length.mm()).doubleValue();
        }
    }

    /**
     * A readout against gauge lengths from one zero.
     *
     * @param apart machine less gauge, K; empty where nobody read it
     */
    public record Lengths(List<Pair> pairs, BigDecimal step, Optional<Gauge> by, Optional<BigDecimal> apart) {

        /** The one that is off most for its length: a limit per length is that much smaller over a shorter one. */
        public Pair worst() {
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

    /** A dip under a thrust. @param thrust kN */
    public record Pressed(TypedLength dip, TypedNumber thrust, Optional<Gauge> by) {
    }

    /** A square read, turned round and read again; mm over its blade. */
    public record Squared(TypedLength one, TypedLength turned, TypedLength blade, Optional<Gauge> by) {

        /** The machine's own: the square's error drops out. */
        BigDecimal machine() {
            return one.mm().add(turned.mm()).divide(BigDecimal.valueOf(2), MathContext.DECIMAL64);
        }

        BigDecimal square() {
            return one.mm().subtract(turned.mm()).divide(BigDecimal.valueOf(2), MathContext.DECIMAL64);
        }
    }

    /** What the dial of an infeed counts. */
    public enum Counts { DIAMETER, RADIUS, HEIGHT }

    /**
     * What was fed in and what came off, mm.
     *
     * @param sparked size after sparking out; empty where it was not sparked out
     */
    public record Fed(List<TypedLength> infeeds, Counts counts, TypedLength before, TypedLength after, Optional<TypedLength> sparked,
            Optional<Gauge> by) {

        BigDecimal wanted() {
            BigDecimal sum = infeeds.stream().map(TypedLength::mm).reduce(BigDecimal.ZERO, BigDecimal::add);
            return counts == Counts.RADIUS ? sum.multiply(BigDecimal.valueOf(2)) : sum;
        }

        BigDecimal removed() {
            return before.mm().subtract(sparked.orElse(after).mm());
        }
    }

    /** A line a length: "50 50.003". Each is judged over its own length; the worst of them decides. */
    static final class GaugeLengths implements Taking<Lengths> {

        @Override
        public List<Field> fields(ChartLine line) {
            return List.of(Field.must("lengths", Entry.LONG_TEXT, FieldUnit.LENGTH));
        }

        @Override
        public Lengths read(Values values, ChartLine line) {
            List<Pair> pairs = new ArrayList<>();
            values.text("lengths").lines().map(String::strip).filter(l -> !l.isEmpty())
                    .forEach(row -> values.at("lengths", () -> pairs.add(pair(row, values))));
            if (pairs.isEmpty() || pairs.size() > MOST) {
                throw Refused.because(EvidenceReason.ROW_COUNT, pairs.size(), 1, MOST).at("lengths");
            }
            return new Lengths(List.copyOf(pairs), Values.coarsest(pairs.stream().map(Pair::shown).toList()), values.readWith(),
                    values.apart());
        }

        private static Pair pair(String row, Values values) {
            List<TypedLength> two = TypedLength.row(row.replace(':', ';'), values.unit().millimetres());
            if (two.size() != 2) {
                throw Refused.because(EvidenceReason.LENGTHS_LINE, row.length() > MOST ? row.substring(0, MOST) : row);
            }
            Pair pair = new Pair(two.get(0), two.get(1));
            if (pair.length.mm().signum() <= 0) {
                throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, two.get(0).typed());
            }
            return pair;
        }

        @Override
        public StepJudgement judge(Lengths read, ChartLine line, Rules rules) {
            // A failure decides before what is too close, that before a pass; of equals the one furthest off for its length.
            Pair worst = read.pairs.stream().max(java.util.Comparator.comparingInt((Pair p) -> weight(alone(p, read, line, rules)))
                    .thenComparingDouble(p -> Math.abs(p.error()) / p.length.mm().doubleValue())).orElseThrow();
            List<Reason> says = new ArrayList<>(List.of(Reason.of(EvidenceReason.LENGTHS_SAY, read.pairs.size(),
                    Quantity.of(worst.length.mm(), Unit.MILLIMETRES), Takings.shown(worst.error()),
                    Takings.slope(read.slope()), Takings.shown(read.rest()))));
            says.addAll(Takings.temperature(worst.length.mm().doubleValue(), read.apart, rules));
            StepJudgement decides = alone(worst, read, line, rules);
            says.addAll(0, decides.because());
            Optional<Grade> grade = read.pairs.stream().map(p -> alone(p, read, line, rules).grade())
                    .reduce((a, b) -> a.flatMap(x -> b.map(y -> x.compareTo(y) > 0 ? x : y))).orElseThrow();
            return new StepJudgement(decides.outcome(), grade, says, decides.figures());
        }

        private static StepJudgement alone(Pair pair, Lengths read, ChartLine line, Rules rules) {
            BigDecimal error = Takings.decimal(pair.error());
            Gauge gauge = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR));
            Uncertainty u = Takings.warm(gauge.difference(error.abs(), read.step), pair.length.mm().doubleValue(), read.apart);
            return line.judged(error, u, Takings.decimal(pair.length.mm().doubleValue()), rules);
        }

        private static int weight(StepJudgement judged) {
            return switch (judged.outcome()) {
                case FAILED -> 2;
                case UNDECIDED -> 1;
                case PROVEN -> 0;
            };
        }
    }

    /** The dip per kN of the thrust it was pressed with. */
    static final class Thrust implements Taking<Pressed> {

        @Override
        public List<Field> fields(ChartLine line) {
            return List.of(Field.must("dip", Entry.LENGTH, FieldUnit.DIAL), Field.must("thrust", Entry.NUMBER, FieldUnit.FORCE));
        }

        @Override
        public Pressed read(Values values, ChartLine line) {
            return new Pressed(values.length("dip"), values.force("thrust"),
                    values.readWith());
        }

        @Override
        public StepJudgement judge(Pressed read, ChartLine line, Rules rules) {
            BigDecimal stated = rules.unit() == LengthUnit.INCH ? PER_225_LBF : BigDecimal.ONE;
            double thrust = read.thrust.value().doubleValue() / stated.doubleValue();
            BigDecimal per = Takings.decimal(read.dip.mm().doubleValue() / thrust);
            Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(read.dip.mm(), read.dip.step())
                    .scaled(1 / thrust)
                    .withDigit(per.doubleValue() / read.thrust.value().doubleValue() * read.thrust.step().doubleValue() / RECTANGULAR);
            return line.judged(per, u, BigDecimal.ZERO, rules,
                    Reason.of(EvidenceReason.THRUST_SAYS, Quantity.of(read.dip.mm(), Unit.MILLIMETRES),
                            Quantity.of(read.thrust.value(), Unit.KILONEWTONS), Quantity.of(per, Unit.MILLIMETRES),
                            Quantity.of(stated, Unit.KILONEWTONS)));
        }
    }

    /** Mean of the two; half their difference is the square's own. */
    static final class Square implements Taking<Squared> {

        @Override
        public List<Field> fields(ChartLine line) {
            return List.of(Field.must("square", Entry.LENGTH, FieldUnit.DIAL), Field.must("squareTurned", Entry.LENGTH, FieldUnit.DIAL),
                    Field.must("blade", Entry.LENGTH, FieldUnit.LENGTH));
        }

        @Override
        public Squared read(Values values, ChartLine line) {
            return new Squared(signed(values, "square"), signed(values, "squareTurned"), Takings.positive(values, "blade"),
                    values.readWith());
        }

        private static TypedLength signed(Values values, String field) {
            return values.at(field, () -> TypedLength.parse(values.text(field), values.unit()));
        }

        @Override
        public StepJudgement judge(Squared read, ChartLine line, Rules rules) {
            BigDecimal machine = read.machine();
            Uncertainty one = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR))
                    .difference(machine, read.one.step().max(read.turned.step()));
            double ofBlade = machine.abs().doubleValue() / read.blade.mm().doubleValue() * read.blade.step().doubleValue() / RECTANGULAR;
            // The mean of two differences.
            Uncertainty u = Uncertainty.of(one.digit() / Math.sqrt(2), one.calibration()).scattering(one.scatter() / Math.sqrt(2))
                    .withDigit(ofBlade);
            return line.judged(machine.abs(), u, read.blade.mm(), rules,
                    Reason.of(EvidenceReason.SQUARE_SAYS, Quantity.of(machine, Unit.MILLIMETRES),
                            Quantity.of(read.square(), Unit.MILLIMETRES)));
        }
    }

    /** What came off less what was fed in is judged; what sparking out took is said. */
    static final class InfeedSum implements Taking<Fed> {

        @Override
        public List<Field> fields(ChartLine line) {
            return List.of(Field.must("infeeds", Entry.SERIES, FieldUnit.LENGTH),
                    new Field("counts", Entry.CHOICE, FieldUnit.NONE, Preset.text(Counts.DIAMETER.name()), List.of(Counts.values()), false),
                    Field.must("before", Entry.LENGTH, FieldUnit.LENGTH), Field.must("after", Entry.LENGTH, FieldUnit.LENGTH),
                    Field.may("sparked", Entry.LENGTH, FieldUnit.LENGTH));
        }

        @Override
        public Fed read(Values values, ChartLine line) {
            List<TypedLength> infeeds = values.lengths("infeeds");
            Counts counts = Stream.of(Counts.values()).filter(c -> c.name().equals(values.text("counts"))).findFirst()
                    .orElse(Counts.DIAMETER);
            Fed fed = new Fed(infeeds, counts, Takings.positive(values, "before"), Takings.positive(values, "after"),
                    values.has("sparked") ? Optional.of(Takings.positive(values, "sparked")) : Optional.empty(), values.readWith());
            if (fed.after.mm().compareTo(fed.before.mm()) >= 0) {
                throw Refused.because(EvidenceReason.INFEED_SIZES, fed.after.typed(), fed.before.typed()).at("after");
            }
            fed.sparked.filter(s -> s.mm().compareTo(fed.after.mm()) > 0).ifPresent(s -> {
                throw Refused.because(EvidenceReason.INFEED_SIZES, s.typed(), fed.after.typed()).at("sparked");
            });
            return fed;
        }

        @Override
        public StepJudgement judge(Fed read, ChartLine line, Rules rules) {
            BigDecimal off = read.removed().subtract(read.wanted());
            double dial = Values.coarsest(read.infeeds).doubleValue() / RECTANGULAR * Math.sqrt(read.infeeds.size())
                    * (read.counts == Counts.RADIUS ? 2 : 1);
            Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.MICROMETER))
                    .difference(read.removed(), read.before.step().max(read.after.step())).withDigit(dial);
            List<Reason> says = new ArrayList<>(List.of(Reason.of(EvidenceReason.INFEED_SAYS, read.infeeds.size(),
                    Quantity.of(read.wanted(), Unit.MILLIMETRES), Quantity.of(read.removed(), Unit.MILLIMETRES),
                    Quantity.of(off, Unit.MILLIMETRES))));
            read.sparked.ifPresent(
                    s -> says.add(
                            Reason.of(EvidenceReason.INFEED_SPARKED, Quantity.of(read.after.mm().subtract(s.mm()), Unit.MILLIMETRES))));
            return line.judged(off.abs(), u, BigDecimal.ZERO, rules, says.toArray(Reason[]::new));
        }
    }
}
