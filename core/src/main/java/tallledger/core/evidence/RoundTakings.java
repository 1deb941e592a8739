package tallledger.core.evidence;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.Recording.Entry;
import tallledger.core.evidence.Recording.Field;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.geometry.Round;
import tallledger.core.geometry.TwoRounds;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** Measured round a spindle: two planes, an arbor or bar turned half, a sweep over a table. */
public final class RoundTakings {

    private static final BigDecimal THREE_HUNDRED = BigDecimal.valueOf(300);
    /** What no indicator tells apart from nothing, mm (W 3.4). */
    private static final double NOISE = 0.001;

    private RoundTakings() {
    }

    /**
     * Two rounds.
     *
     * @param apart mm from one plane to the other; empty where the arbor was turned
     */
    public record Pair(Round first, Round second, Optional<TypedLength> apart, BigDecimal step, Optional<Gauge> by) {

        public TwoRounds vectors() {
            return TwoRounds.of(first, second);
        }
    }

    /** Four readings of a bar, mm: near and far, and both with the bar turned half; over the length between. */
    public record Turned(List<TypedLength> readings, TypedLength over, Optional<Gauge> by) {

        /** Rise from near to far, the bar's own error taken out, mm. */
        public BigDecimal rise() {
            BigDecimal first = readings.get(1).mm().subtract(readings.get(0).mm());
            return first.add(readings.get(3).mm().subtract(readings.get(2).mm())).divide(BigDecimal.valueOf(2));
        }

        /** What goes round with the bar, mm. */
        public BigDecimal bars() {
            BigDecimal first = readings.get(1).mm().subtract(readings.get(0).mm());
            return first.subtract(readings.get(3).mm().subtract(readings.get(2).mm())).divide(BigDecimal.valueOf(2));
        }
    }

    /**
     * A sweep at a radius: right less left, and back less front where it was read, mm.
     *
     * @param bolts radius of the head's bolt circle, where it is known
     */
    public record Swept(TypedLength radius, TypedLength right, Optional<TypedLength> back, Optional<TypedLength> bolts,
            Optional<Gauge> by) {
    }

    /** A piece read round: its shape, wherever its centre lies. */
    public record Shape(Round round, BigDecimal step, Optional<Gauge> by) {
    }

    private static Round round(Values values, String field) {
        List<TypedLength> readings = Takings.signed(values.text(field), values, field);
        return values.at(field, () -> new Round(readings.stream().map(TypedLength::mm).toList()));
    }

    private static BigDecimal coarsest(Values values, String one, String other) {
        List<TypedLength> all = new java.util.ArrayList<>(Takings.signed(values.text(one), values, one));
        all.addAll(Takings.signed(values.text(other), values, other));
        return Values.coarsest(all);
    }

    private static Optional<Reason> tooFew(Pair pair) {
        int fewest = Math.min(pair.first.count(), pair.second.count());
        return fewest < Round.FEWEST_TO_JUDGE ? Optional.of(Reason.of(EvidenceReason.ROUND_TOO_FEW, fewest, Round.FEWEST_TO_JUDGE))
                : Optional.empty();
    }

    private static double noise(Pair pair, Rules rules) {
        return Math.max(NOISE, pair.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).reading(BigDecimal.ZERO, pair.step)
                .expanded() / Gauge.COVERAGE_FACTOR);
    }

    /**
     * The swing 300 out (12 in) is judged: y = near + (far − near)·300/d by vectors, each the swing 2e of its plane, d between the
     * planes; at
     * 300 itself the dial's own swing where that is more. How the axis stands is said.
     */
    static final class TwoPlanes implements Taking<Pair> {

        @Override
        public List<Field> fields(ChartLine line) {
            return List.of(Field.must("near", Entry.SERIES, FieldUnit.DIAL), Field.must("far", Entry.SERIES, FieldUnit.DIAL),
                    Field.must("apart", Entry.LENGTH, FieldUnit.LENGTH));
        }

        @Override
        public Pair read(Values values, ChartLine line) {
            return new Pair(round(values, "near"), round(values, "far"), Optional.of(Takings.positive(values, "apart")),
                    coarsest(values, "near", "far"), values.readWith());
        }

        @Override
        public StepJudgement judge(Pair pair, ChartLine line, Rules rules) {
            TwoRounds vectors = pair.vectors();
            double apart = pair.apart.orElseThrow().mm().doubleValue();
            double stated = rules.length(THREE_HUNDRED).doubleValue();
            Reason says = Reason.of(EvidenceReason.PLANES_SAY,
                    Reason.each(EvidenceReason.PLANES_STAND, vectors.standing(noise(pair, rules))),
                    Takings.micrometres(vectors.first().size()),
                    Takings.micrometres(vectors.second().size()), Takings.shown(vectors.tilt(apart) * stated),
                    Quantity.of(BigDecimal.valueOf(stated), Unit.MILLIMETRES));
            if (tooFew(pair).isPresent()) {
                return StepJudgement.of(Outcome.UNDECIDED, tooFew(pair).get(), says);
            }
            double k = stated / apart;
            double reckoned = 2 * vectors.along(k).size();
            double swing = k == 1 ? Math.max(reckoned, pair.second.tir().doubleValue()) : reckoned;
            Gauge gauge = pair.by.orElseGet(() -> rules.gauge(Rule.INDICATOR));
            Uncertainty u = gauge.difference(pair.first.tir(), pair.step).scaled(1 - k)
                    .plus(gauge.difference(pair.second.tir(), pair.step).scaled(k));
            return line.judged(Takings.decimal(swing), u, BigDecimal.ZERO, rules, says);
        }
    }

    /** What stays with the arbor is judged as TIR; what stays with the spindle is said, and which of them it is. */
    static final class HalfTurn implements Taking<Pair> {

        @Override
        public List<Field> fields(ChartLine line) {
            return List.of(Field.must("first", Entry.SERIES, FieldUnit.DIAL), Field.must("turned", Entry.SERIES, FieldUnit.DIAL));
        }

        @Override
        public Pair read(Values values, ChartLine line) {
            return new Pair(round(values, "first"), round(values, "turned"), Optional.empty(), coarsest(values, "first", "turned"),
                    values.readWith());
        }

        @Override
        public StepJudgement judge(Pair pair, ChartLine line, Rules rules) {
            TwoRounds vectors = pair.vectors();
            double noise = noise(pair, rules);
            EvidenceReason which = vectors.isSpindles(noise).map(s -> s ? EvidenceReason.TURNED_SPINDLES : EvidenceReason.TURNED_ARBORS)
                    .orElse(EvidenceReason.TURNED_NEITHER);
            Reason says = Reason.of(EvidenceReason.TURNED_SAYS, Reason.of(which), Takings.micrometres(2 * vectors.spindle().size()),
                    Takings.micrometres(2 * vectors.arbor().size()), BigDecimal.valueOf(Math.round(vectors.arbor().degrees()) % 360));
            if (tooFew(pair).isPresent()) {
                return StepJudgement.of(Outcome.UNDECIDED, tooFew(pair).get(), says, Reason.of(EvidenceReason.TURNED_RINGS));
            }
            BigDecimal tir = Takings.decimal(2 * vectors.arbor().size());
            // Each vector is a mean over its readings; half the difference of two of them leaves no more open than one difference does.
            Uncertainty u = pair.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(tir, pair.step);
            return line.judged(tir, u, BigDecimal.ZERO, rules, says, Reason.of(EvidenceReason.TURNED_RINGS));
        }
    }

    /** Out of round once the centre is taken out; its lobes are said. */
    static final class OutOfRound implements Taking<Shape> {

        @Override
        public List<Field> fields(ChartLine line) {
            return List.of(Field.must("round", Entry.SERIES, FieldUnit.DIAL));
        }

        @Override
        public Shape read(Values values, ChartLine line) {
            return new Shape(round(values, "round"), Values.coarsest(Takings.signed(values.text("round"), values, "round")),
                    values.readWith());
        }

        @Override
        public StepJudgement judge(Shape shape, ChartLine line, Rules rules) {
            Round round = shape.round;
            Reason says = Reason.of(EvidenceReason.SHAPE_SAYS, Takings.micrometres(round.lobe(2)), Takings.micrometres(round.lobe(3)),
                    Takings.micrometres(round.residual()), Takings.micrometres(round.eccentricity()));
            if (round.count() < Round.FEWEST_TO_JUDGE) {
                return StepJudgement.of(Outcome.UNDECIDED, Reason.of(EvidenceReason.ROUND_TOO_FEW, round.count(), Round.FEWEST_TO_JUDGE),
                        says);
            }
            BigDecimal out = Takings.decimal(round.outOfRound());
            return line.judged(out, shape.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(out, shape.step), BigDecimal.ZERO,
                    rules, says);
        }
    }

    /** Half the sum of both rises: the bar's own error drops out. */
    static final class TurnedHalf implements Taking<Turned> {

        @Override
        public List<Field> fields(ChartLine line) {
            return List.of(Field.must("nearFar", Entry.SERIES, FieldUnit.DIAL), Field.must("nearFarTurned", Entry.SERIES, FieldUnit.DIAL),
                    Field.must("between", Entry.LENGTH, FieldUnit.LENGTH));
        }

        @Override
        public boolean isSigned() {
            return true;
        }

        @Override
        public Turned read(Values values, ChartLine line) {
            List<TypedLength> all = new java.util.ArrayList<>();
            for (String field : List.of("nearFar", "nearFarTurned")) {
                List<TypedLength> two = Takings.signed(values.text(field), values, field);
                if (two.size() != 2) {
                    throw tallledger.core.reason.Refused.because(EvidenceReason.TURNED_TWO, two.size()).at(field);
                }
                all.addAll(two);
            }
            return new Turned(List.copyOf(all), Takings.positive(values, "between"), values.readWith());
        }

        @Override
        public StepJudgement judge(Turned read, ChartLine line, Rules rules) {
            Uncertainty one = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(read.rise(), Values.coarsest(read.readings));
            // The mean of two differences.
            Uncertainty u = Uncertainty.of(one.digit() / Math.sqrt(2), one.calibration()).scattering(one.scatter() / Math.sqrt(2));
            return line.judged(read.rise(), u, read.over.mm(), rules,
                    Reason.of(EvidenceReason.BAR_SAYS, Quantity.of(read.rise(), Unit.MILLIMETRES),
                            Quantity.of(read.bars(), Unit.MILLIMETRES)));
        }
    }

    /** Per 300 mm = Δ·300/(2R); which way to tip the head, and by how much at its bolts. */
    static final class Sweep implements Taking<Swept> {

        @Override
        public List<Field> fields(ChartLine line) {
            return List.of(Field.must("radius", Entry.LENGTH, FieldUnit.LENGTH), Field.must("right", Entry.LENGTH, FieldUnit.DIAL),
                    Field.may("back", Entry.LENGTH, FieldUnit.DIAL), Field.may("bolts", Entry.LENGTH, FieldUnit.LENGTH));
        }

        @Override
        public Swept read(Values values, ChartLine line) {
            TypedLength radius = Takings.positive(values, "radius");
            Optional<TypedLength> bolts = values.has("bolts") ? Optional.of(Takings.positive(values, "bolts")) : Optional.empty();
            return new Swept(radius, signed(values, "right"), values.has("back") ? Optional.of(signed(values, "back")) : Optional.empty(),
                    bolts, values.readWith());
        }

        private static TypedLength signed(Values values, String field) {
            return values.at(field, () -> TypedLength.parse(values.text(field), values.unit()));
        }

        @Override
        public StepJudgement judge(Swept read, ChartLine line, Rules rules) {
            BigDecimal across = read.radius.mm().multiply(BigDecimal.valueOf(2));
            TypedLength worst = read.back.filter(b -> b.mm().abs().compareTo(read.right.mm().abs()) > 0).orElse(read.right);
            Gauge gauge = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR));
            Uncertainty u = gauge.difference(worst.mm(), worst.step());
            BigDecimal stated = rules.length(THREE_HUNDRED);
            List<Reason> says = new java.util.ArrayList<>(List.of(tip(read.right, EvidenceReason.TIP_RIGHT, EvidenceReason.TIP_LEFT,
                    EvidenceReason.TIP_LEVEL, read, stated)));
            read.back.ifPresent(back -> says.add(tip(back, EvidenceReason.TIP_BACK, EvidenceReason.TIP_FRONT, EvidenceReason.TIP_UPRIGHT,
                    read, stated)));
            return line.judged(worst.mm().abs(), u, across, rules, says.toArray(Reason[]::new));
        }

        /** The dial reads more where the table comes nearer: the nose stands too far from there, and is swung towards it. */
        private static Reason tip(TypedLength difference, EvidenceReason towards, EvidenceReason away, EvidenceReason none, Swept read,
                BigDecimal stated) {
            if (difference.mm().signum() == 0) {
                return Reason.of(none);
            }
            double slope = difference.mm().abs().doubleValue() / (2 * read.radius.mm().doubleValue());
            Object bolts = read.bolts.<Object>map(b -> Reason.of(EvidenceReason.TIP_BOLTS, Takings.shown(slope * 2 * b.mm().doubleValue()),
                    Quantity.of(b.mm(), Unit.MILLIMETRES))).orElse("");
            return Reason.of(difference.mm().signum() > 0 ? towards : away, Takings.shown(slope * stated.doubleValue()),
                    Quantity.of(stated, Unit.MILLIMETRES), bolts);
        }
    }
}
