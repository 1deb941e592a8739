package tallledger.core.evidence;

import tallledger.core.reason.CommonReason;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.List;
import java.util.stream.Stream;
import tallledger.core.coverage.Outcome;
import tallledger.core.reason.Quantity;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.safety.Mounted;
import tallledger.core.evidence.Recording.Entry;
import tallledger.core.evidence.Recording.Field;

/** Records only grinders have. */
public final class GrinderRecordings {

    private static final MathContext SHOWN = new MathContext(3, RoundingMode.HALF_UP);

    private GrinderRecordings() {
    }

    /** Surface speeds at two radii of a table, m/min. */
    public record Surfaces(double outer, double inner) {
    }

    /** Through-feed as reckoned from the wheel and as measured, mm/min. */
    public record Through(double reckoned, double measured) {
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
            return List.of(Field.must("across", Entry.LENGTH, "mm"), Field.may("markedMs", Entry.NUMBER, "m/s"),
                    Field.may("markedRpm", Entry.NUMBER, "rpm"));
        }

        @Override
        public StepJudgement judge(Mounted wheel, Rules rules) {
            List<Reason> marks = Stream.concat(wheel.markedMs().map(v -> Reason.of(EvidenceReason.WHEEL_MS, Quantity.of(v, "m/s")))
                    .stream(), wheel.markedRpm().map(v -> Reason.of(EvidenceReason.WHEEL_RPM, v)).stream()).toList();
            return StepJudgement.of(Outcome.PROVEN,
                    Reason.of(EvidenceReason.WHEEL_MARKED, Quantity.of(wheel.diameter().orElseThrow(), "mm"), marks));
        }

        @Override
        public Mounted read(Values values) {
            try {
                return Mounted.parse(Mounted.Kind.WHEEL, values.text("across"), values.text("markedRpm"), values.text("markedMs"), "",
                        values.unit());
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
            return List.of(Field.must("outerRadius", Entry.LENGTH, "mm"), Field.must("outerSpeed", Entry.NUMBER, "rpm"),
                    Field.must("innerRadius", Entry.LENGTH, "mm"), Field.must("innerSpeed", Entry.NUMBER, "rpm"));
        }

        @Override
        public Surfaces read(Values values) {
            Surfaces read = new Surfaces(surface(values, "outerRadius", "outerSpeed"), surface(values, "innerRadius", "innerSpeed"));
            if (values.length("innerRadius").mm().compareTo(values.length("outerRadius").mm()) >= 0) {
                throw Refused.because(EvidenceReason.CENTRE_RADII, values.text("innerRadius"), values.text("outerRadius"))
                        .at("innerRadius");
            }
            return read;
        }

        @Override
        public StepJudgement judge(Surfaces read, Rules rules) {
            boolean right = Math.abs(read.inner / read.outer - 1) <= rules.share(Rule.SURFACE_SPEED).doubleValue();
            return StepJudgement.of(right ? Outcome.PROVEN : Outcome.FAILED,
                    Reason.of(right ? EvidenceReason.CENTRE_RIGHT : EvidenceReason.CENTRE_WRONG,
                    Quantity.of(new BigDecimal(read.outer).round(SHOWN), "m/min"),
                    Quantity.of(new BigDecimal(read.inner).round(SHOWN), "m/min"), rules.number(Rule.SURFACE_SPEED)));
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
            return List.of(Field.must("diameter", Entry.LENGTH, "mm"), Field.must("speed", Entry.NUMBER, "rpm"),
                    Field.must("angle", Entry.NUMBER, "°"),
                    Field.must("distance", Entry.LENGTH, "mm"), Field.must("seconds", Entry.NUMBER, "s"));
        }

        @Override
        public Through read(Values values) {
            double angle = values.positive("angle").doubleValue();
            if (angle > 10) {
                throw Refused.because(EvidenceReason.THROUGH_ANGLE, values.text("angle")).at("angle");
            }
            double reckoned = Math.PI * values.length("diameter").mm().doubleValue() * values.positive("speed")
                    .doubleValue() * Math.sin(Math.toRadians(angle));
            double measured = tallledger.core.motion.FeedReading.perMinute(values.length("distance"), values.number("seconds")).rate()
                    .doubleValue();
            if (reckoned <= 0) {
                throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, values.text("diameter")).at("diameter");
            }
            return new Through(reckoned, measured);
        }

        @Override
        public StepJudgement judge(Through read, Rules rules) {
            double share = read.measured / read.reckoned;
            boolean right = share >= rules.share(Rule.THROUGH_FEED).doubleValue() && share <= rules.share(Rule.THROUGH_FEED, 1)
                    .doubleValue();
            return StepJudgement.of(right ? Outcome.PROVEN : Outcome.FAILED,
                    Reason.of(right ? EvidenceReason.THROUGH_RIGHT : EvidenceReason.THROUGH_WRONG,
                    Quantity.of(new BigDecimal(read.measured).round(SHOWN), "mm/min"),
                    Quantity.of(new BigDecimal(read.reckoned).round(SHOWN), "mm/min"), (share - 1) * 100,
                    rules.figures(Rule.THROUGH_FEED).get(0), rules.figures(Rule.THROUGH_FEED).get(1)));
        }
    }
}
