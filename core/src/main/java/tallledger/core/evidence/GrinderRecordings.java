package tallledger.core.evidence;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.evidence.Recording.Entry;
import tallledger.core.evidence.Recording.Field;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Verdict;
import tallledger.core.motion.FeedReading;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.safety.Mounted;
import tallledger.core.safety.SpeedGate;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** Records only grinders have. */
public final class GrinderRecordings {

    private static final MathContext SHOWN = new MathContext(3, RoundingMode.HALF_UP);

    private GrinderRecordings() {
    }

    /**
     * Surface speeds at two radii of a table, m/min.
     *
     * @param open what radii and speeds leave open of one over the other, U as a share
     */
    public record Surfaces(double outer, double inner, double open) {
    }

    /** Through-feed as reckoned from the wheel, mm/min, and as measured. */
    public record Through(double reckoned, FeedReading measured) {
    }

    /** What is marked on the wheel: at least one of its two marks, and its diameter; the gate of the runs uses it. */
    public record WheelMark() implements Recording<Mounted> {
        @Override
        public <T> T tell(Kinds<T> kinds) {
            return kinds.wheelMark(this);
        }

        @Override
        public String code() {
            return "wheel-mark";
        }

        @Override
        public List<Field> fields() {
            return List.of(Field.must("across", Entry.LENGTH, FieldUnit.LENGTH), Field.may("markedMs", Entry.NUMBER, FieldUnit.WHEEL),
                    Field.may("markedRpm", Entry.NUMBER, FieldUnit.SPEED));
        }

        @Override
        public StepJudgement judge(Mounted wheel, Rules rules) {
            List<Reason> marks =
                    Stream.concat(wheel.markedMs().map(v -> Reason.of(EvidenceReason.WHEEL_MS, Quantity.of(v, Unit.METRES_PER_SECOND)))
                            .stream(), wheel.markedRpm().map(v -> Reason.of(EvidenceReason.WHEEL_RPM, v)).stream()).toList();
            Reason marked = Reason.of(EvidenceReason.WHEEL_MARKED, Quantity.of(wheel.diameter().orElseThrow(), Unit.MILLIMETRES), marks);
            // Its surface speed is a speed of the spindle only with its diameter: said, or everybody reckons it anew.
            return SpeedGate.greatest(wheel).filter(n -> wheel.markedMs().isPresent())
                    .map(n -> StepJudgement.read(marked, Reason.of(EvidenceReason.WHEEL_GREATEST, n)))
                    .orElseGet(() -> StepJudgement.read(marked));
        }

        @Override
        public Mounted read(Values values) {
            try {
                return Mounted.parse(Mounted.Kind.WHEEL, values.text("across"), values.text("markedRpm"), values.text("markedMs"), "",
                        values.unit(), values.bare());
            } catch (Refused refused) {
                throw refused.field().filter("diameter"::equals).isPresent() ? refused.at("across") : refused;
            }
        }
    }

    /**
     * A rotary table that turns faster towards its centre, so that the surface keeps its speed: n(r) = 1000·v/(2π·r), hence n·r the same
     * at both radii, within ±10 % (house rule), unless the table is at its top speed.
     *
     * <p>Worked: 40 min⁻¹ at 300 mm and 80 at 150: both 75 m/min.
     */
    public record ToCentre() implements Recording<Surfaces> {
        @Override
        public <T> T tell(Kinds<T> kinds) {
            return kinds.toCentre(this);
        }

        @Override
        public String code() {
            return "to-centre";
        }

        @Override
        public List<Field> fields() {
            return List.of(Field.must("outerRadius", Entry.LENGTH, FieldUnit.LENGTH), Field.must("outerSpeed", Entry.NUMBER,
                    FieldUnit.SPEED),
                    Field.must("innerRadius", Entry.LENGTH, FieldUnit.LENGTH), Field.must("innerSpeed", Entry.NUMBER, FieldUnit.SPEED));
        }

        @Override
        public Surfaces read(Values values) {
            double u = Math.hypot(open(values, "outerRadius", "outerSpeed"), open(values, "innerRadius", "innerSpeed"));
            Surfaces read = new Surfaces(surface(values, "outerRadius", "outerSpeed"), surface(values, "innerRadius", "innerSpeed"),
                    Gauge.COVERAGE_FACTOR * u);
            if (values.length("innerRadius").mm().compareTo(values.length("outerRadius").mm()) >= 0) {
                throw Refused.because(EvidenceReason.CENTRE_RADII, values.text("innerRadius"), values.text("outerRadius"))
                        .at("innerRadius");
            }
            return read;
        }

        @Override
        public StepJudgement judge(Surfaces read, Rules rules) {
            double off = Math.abs(read.inner / read.outer - 1);
            // Both speeds are read with the same tachometer: what it is off by drops out.
            double u = read.open * read.inner / read.outer;
            double most = rules.share(Rule.SURFACE_SPEED).doubleValue();
            Verdict verdict = off + u <= most ? Verdict.WITHIN : off - u > most ? Verdict.OUTSIDE : Verdict.TOO_CLOSE_TO_CALL;
            BigDecimal percent = rules.number(Rule.SURFACE_SPEED);
            Limit limit = new Limit(percent.negate(), percent, Unit.PERCENT, Reason.named("rule." + Rule.SURFACE_SPEED + ".source"));
            Quantity change = new Quantity(new BigDecimal((read.inner / read.outer - 1) * 100).round(SHOWN), 100 * u, Unit.PERCENT);
            return StepJudgement.of(heldAgainst(limit, change, verdict), List.of(Reason.of(switch (verdict) {
                case WITHIN -> EvidenceReason.CENTRE_RIGHT;
                case OUTSIDE -> EvidenceReason.CENTRE_WRONG;
                case TOO_CLOSE_TO_CALL -> EvidenceReason.CENTRE_CLOSE;
            }, Quantity.of(new BigDecimal(read.outer).round(SHOWN), Unit.METRES_PER_MINUTE),
                    Quantity.of(new BigDecimal(read.inner).round(SHOWN), Unit.METRES_PER_MINUTE), percent)));
        }

        /** u of one surface speed by the last digits of its radius and its speed, as a share. */
        private static double open(Values values, String radius, String speed) {
            TypedLength r = values.length(radius);
            TypedNumber n = values.number(speed);
            return r.mm().signum() <= 0 || n.value().signum() <= 0 ? 0
                    : Math.hypot(r.step().doubleValue() / r.mm().doubleValue(),
                            n.step().doubleValue() / n.value().doubleValue()) / Math.sqrt(12);
        }

        /** v = 2π·r·n/1000, m/min. */
        private static double surface(Values values, String radius, String speed) {
            double r = values.length(radius).mm().doubleValue();
            if (r <= 0) {
                throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, values.text(radius)).at(radius);
            }
            return 2 * Math.PI * r * values.positive(speed).doubleValue() / 1000;
        }
    }

    /**
     * Centreless through-feed: v_f = π·D_r·n_r·sin α, mm/min; slip makes it up to a few per cent less. Right between 93 % and 102 % of
     * that (house rule).
     *
     * <p>Worked: D_r 300 mm, n_r 30 min⁻¹, α 3°: 1 480 mm/min.
     */
    public record ThroughFeed() implements Recording<Through> {
        @Override
        public <T> T tell(Kinds<T> kinds) {
            return kinds.throughFeed(this);
        }

        @Override
        public String code() {
            return "through-feed";
        }

        @Override
        public List<Field> fields() {
            return List.of(Field.must("diameter", Entry.LENGTH, FieldUnit.LENGTH), Field.must("speed", Entry.NUMBER, FieldUnit.SPEED),
                    Field.must("angle", Entry.NUMBER, FieldUnit.DEGREES),
                    Field.must("distance", Entry.LENGTH, FieldUnit.LENGTH), Field.must("seconds", Entry.NUMBER, FieldUnit.SECONDS));
        }

        @Override
        public Through read(Values values) {
            double angle = values.positive("angle").doubleValue();
            if (angle > 10) {
                throw Refused.because(EvidenceReason.THROUGH_ANGLE, values.text("angle")).at("angle");
            }
            double reckoned = Math.PI * values.length("diameter").mm().doubleValue() * values.positive("speed")
                    .doubleValue() * Math.sin(Math.toRadians(angle));
            FeedReading measured = FeedReading.perMinute(values.length("distance"), values.number("seconds"));
            if (reckoned <= 0) {
                throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, values.text("diameter")).at("diameter");
            }
            return new Through(reckoned, measured);
        }

        @Override
        public StepJudgement judge(Through read, Rules rules) {
            double rate = read.measured.rate().doubleValue();
            double share = rate / read.reckoned;
            double u = read.measured.expanded(rules) / read.reckoned;
            double least = rules.share(Rule.THROUGH_FEED).doubleValue();
            double most = rules.share(Rule.THROUGH_FEED, 1).doubleValue();
            Verdict verdict = share - u >= least && share + u <= most ? Verdict.WITHIN
                    : share + u < least || share - u > most ? Verdict.OUTSIDE : Verdict.TOO_CLOSE_TO_CALL;
            Quantity measured = new Quantity(read.measured.rate(), read.measured.expanded(rules), Unit.MILLIMETRES_PER_MINUTE);
            Limit limit = new Limit(new BigDecimal(read.reckoned * least).round(SHOWN), new BigDecimal(read.reckoned * most).round(SHOWN),
                    Unit.MILLIMETRES_PER_MINUTE, Reason.named("rule." + Rule.THROUGH_FEED + ".source"));
            return StepJudgement.of(heldAgainst(limit, measured, verdict), List.of(Reason.of(switch (verdict) {
                case WITHIN -> EvidenceReason.THROUGH_RIGHT;
                case OUTSIDE -> EvidenceReason.THROUGH_WRONG;
                case TOO_CLOSE_TO_CALL -> EvidenceReason.THROUGH_CLOSE;
            }, measured, Quantity.of(new BigDecimal(read.reckoned).round(SHOWN), Unit.MILLIMETRES_PER_MINUTE), (share - 1) * 100,
                    rules.figures(Rule.THROUGH_FEED).get(0), rules.figures(Rule.THROUGH_FEED).get(1))));
        }
    }

    private static Figure heldAgainst(Limit limit, Quantity measured, Verdict verdict) {
        return new Figure(Figure.Name.RESULT, measured, Optional.empty(), Optional.empty(),
                Optional.of(new Figure.Against(limit, verdict, Optional.empty())));
    }
}
