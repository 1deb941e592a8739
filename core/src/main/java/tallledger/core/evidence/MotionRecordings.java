package tallledger.core.evidence;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.Recording.Entry;
import tallledger.core.evidence.Recording.Field;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.motion.Axis;
import tallledger.core.motion.Backlash;
import tallledger.core.motion.ChangeWheels;
import tallledger.core.motion.FeedReading;
import tallledger.core.motion.FeedSet;
import tallledger.core.motion.GearChart;
import tallledger.core.motion.ThreadPitch;
import tallledger.core.motion.Trips;
import tallledger.core.motion.WheelSet;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** Records of movement: feeds, travels, trips, backlash, change wheels and threads. */
public final class MotionRecordings {

    private static final String SET = "set";
    private static final MathContext THREE = new MathContext(3);
    private static final BigDecimal HALF_OF_TEN = BigDecimal.valueOf(5);

    private MotionRecordings() {
    }

    /** Where a trip stopped, five times. */
    public record Stops(Trips trips, BigDecimal step, Optional<Gauge> by) {
    }

    /**
     * Lost motion along a screw.
     *
     * @param step worth of the coarsest last digit, mm
     */
    public record Lost(Backlash backlash, BigDecimal step, Optional<Gauge> by) {
    }

    /** A thread over several turns. */
    public record Cut(TypedLength pitch, TypedLength length, ThreadPitch thread, Optional<Gauge> by) {
    }

    /**
     * A feed or rapid measured over a distance.
     *
     * @param per      by the turn or by the minute
     * @param promised what the plate promises, mm/rev or mm/min
     * @param rate     which of the axis' rates it is
     * @param at       what stands set on the feed plate's levers, in their order; empty for an axis' own rate
     */
    public record Feed(Axis.Per per, Optional<BigDecimal> promised, Rate rate, List<String> at) implements Recording<FeedReading> {

        public Feed(Axis.Per per, Optional<BigDecimal> promised, Rate rate) {
            this(per, promised, rate, List.of());
        }

        /** Which rate is to be set: an end of the feeds, rapid, or one feed of the feed plate. */
        public enum Rate {
            SLOWEST, FASTEST, RAPID, OF_PLATE
        }

        public boolean rapid() {
            return rate == Rate.RAPID;
        }

        @Override
        public <T> T tell(Kinds<T> kinds) {
            return kinds.feed(this);
        }

        @Override
        public List<String> leverPositions() {
            return at;
        }

        @Override
        public boolean maybeGoodByEye() {
            return rapid();
        }

        @Override
        public String code() {
            return rapid() ? "rapid" : "feed";
        }

        @Override
        public List<Field> fields() {
            Field distance = Field.must("distance", Entry.LENGTH, FieldUnit.LENGTH);
            Field over = per == Axis.Per.REV ? Field.must("turns", Entry.NUMBER, FieldUnit.NONE)
                    : Field.must("seconds", Entry.NUMBER, FieldUnit.SECONDS);
            return rapid() ? List.of(distance, over) : List.of(distance, over, Field.may(SET, Entry.TEXT, FieldUnit.NONE));
        }

        @Override
        public StepJudgement judge(FeedReading reading, Rules rules) {
            Optional<BigDecimal> wanted = wanted(reading);
            return reading.against(wanted, tolerance(rules), rules).map(j -> {
                StepJudgement judged = StepJudgement.of(j);
                List<Reason> because = new ArrayList<>(judged.because());
                if (judged.outcome() == Outcome.FAILED) {
                    because.addAll(otherWheels(reading, wanted.orElseThrow(), rules));
                }
                return judged.saying(because);
            }).orElseGet(() -> {
                Quantity measured = new Quantity(reading.rate(), reading.expanded(rules), reading.unit());
                return StepJudgement.read(Figure.alone(measured), Reason.of(EvidenceReason.FEED_MEASURED, measured));
            });
        }

        /** What it should be: as it was set, else as its plate or a claim promises. */
        public Optional<BigDecimal> wanted(FeedReading reading) {
            return reading.set().flatMap(FeedSet::rate).or(() -> promised.filter(p -> reading.per() == per));
        }

        /** What the change wheels that are on would give the other way round, and what an equal pair would. */
        private List<Reason> otherWheels(FeedReading reading, BigDecimal wanted, Rules rules) {
            return reading.set().flatMap(FeedSet::wheels).filter(w -> w.driving() != w.driven())
                    .map(w -> List.of(Reason.of(EvidenceReason.FEED_WHEELS_TURNED, w.driving(), w.driven(),
                            new BigDecimal(w.turned()).round(THREE), at(reading, w.turned()), off(reading, w.turned(), wanted)),
                            Reason.of(EvidenceReason.FEED_WHEELS_EQUAL, at(reading, w.equal()), off(reading, w.equal(),
                                    wanted))))
                    .orElse(List.of());
        }

        private static Quantity at(FeedReading reading, double times) {
            return Quantity.of(reading.rate().multiply(BigDecimal.valueOf(times)).round(THREE), reading.unit());
        }

        /** How far that is off, %. */
        private static double off(FeedReading reading, double times, BigDecimal wanted) {
            return 100 * (reading.rate().doubleValue() * times / wanted.doubleValue() - 1);
        }

        @Override
        public FeedReading read(Values values) {
            TypedLength distance = values.length("distance");
            // A record of before its axis was counted so has the other.
            boolean turns = values.has("turns") || per == Axis.Per.REV && !values.has("seconds");
            FeedReading reading = turns ? FeedReading.perTurn(distance, values.positive("turns"))
                    : FeedReading.perMinute(distance, values.number("seconds"));
            return values.has(SET) ? reading.with(FeedSet.parse(values.text(SET), reading.per(), values.unit())) : reading;
        }

        /** ± share of what is promised. */
        public BigDecimal tolerance(Rules rules) {
            return rules.share(rapid() ? Rule.RAPID_TOLERANCE : Rule.FEED_TOLERANCE);
        }
    }

    /** A length as read. @param by the rule or tape, where one's own is named */
    public record Travelled(TypedLength length, Optional<Gauge> by) {
    }

    /**
     * Travel end to end.
     *
     * @param claimed as typed: its last digit leaves half of it open, so 30 in is claimed from 29.5 in, 600 mm from 594; empty where
     * nobody says
     */
    public record Travel(Optional<TypedLength> claimed) implements Recording<Travelled> {
        @Override
        public <T> T tell(Kinds<T> kinds) {
            return kinds.travel(this);
        }

        @Override
        public String code() {
            return "travel";
        }

        @Override
        public List<Field> fields() {
            return List.of(Field.must("value", Entry.LENGTH, FieldUnit.LENGTH));
        }

        @Override
        public Travelled read(Values values) {
            return new Travelled(values.length("value"), values.readWith().filter(g -> g.paper().isPresent()));
        }

        @Override
        public Optional<Rule> usualGauge() {
            return Optional.of(Rule.TAPE);
        }

        @Override
        public StepJudgement judge(Travelled read, Rules rules) {
            TypedLength length = read.length;
            Uncertainty u = read.by.map(g -> g.reading(length.mm(), length.step())).orElseGet(
                    () -> Uncertainty.of(rules.value(Rule.RULE_TRAVEL), 0).withDigit(length.step().doubleValue() / Math.sqrt(12)));
            return claimed.map(c -> Recordings.atLeast(length.mm(), u, c.mm(), c.mm().subtract(allowance(c, rules)), Unit.MILLIMETRES))
                    .orElseGet(() -> {
                        Quantity measured = new Quantity(length.mm(), u.expanded(), Unit.MILLIMETRES);
                        return StepJudgement.read(Figure.alone(measured), Reason.of(EvidenceReason.TRAVEL_MEASURED, measured));
                    });
        }
    }

    /** What a claimed length leaves open below: half its last digit or 1 % of it, whichever is more. */
    public static BigDecimal allowance(TypedLength claimed, Rules rules) {
        return claimed.step().movePointLeft(1).multiply(HALF_OF_TEN).max(claimed.mm().multiply(rules.share(Rule.CLAIM_HOLDS)));
    }

    /** Five stops against the same trip. */
    public record FiveTrips() implements Recording<Stops> {
        @Override
        public <T> T tell(Kinds<T> kinds) {
            return kinds.trips(this);
        }

        @Override
        public String code() {
            return "trips";
        }

        @Override
        public List<Field> fields() {
            return List.of(Field.must("stops", Entry.SERIES, FieldUnit.DIAL));
        }

        @Override
        public Stops read(Values values) {
            List<TypedLength> stops = values.lengths("stops");
            Trips trips = values.at("stops", () -> Trips.of(stops.stream().map(TypedLength::mm).toList()));
            return new Stops(trips, Values.coarsest(stops), values.readWith());
        }

        @Override
        public StepJudgement judge(Stops read, Rules rules) {
            return Recordings.byGrade(rules.graded(Rule.TRIP_RANGE), read.trips.range(),
                    read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(read.trips.range(), read.step));
        }

        @Override
        public Optional<GradedLimit> limit(Rules rules) {
            return Optional.of(rules.graded(Rule.TRIP_RANGE));
        }

        @Override
        public Optional<Rule> limitRule() {
            return Optional.of(Rule.TRIP_RANGE);
        }

        @Override
        public Optional<Rule> usualGauge() {
            return Optional.of(Rule.INDICATOR);
        }
    }

    /**
     * Backlash at both ends and the middle of a screw, three readings each; the greatest is judged, the wear is said.
     *
     * @param scaled the axis has a readout
     * @param rack   it is moved along a rack, and nothing is said of a screw
     */
    public record BacklashAlong(String minus, String plus, boolean scaled, boolean rack) implements Recording<Lost> {
        @Override
        public <T> T tell(Kinds<T> kinds) {
            return kinds.backlash(this);
        }

        @Override
        public String code() {
            return "backlash";
        }

        @Override
        public List<Field> fields() {
            return List.of(Field.must("minus", Entry.SERIES, FieldUnit.DIAL), Field.must("middle", Entry.SERIES, FieldUnit.DIAL),
                    Field.must("plus", Entry.SERIES, FieldUnit.DIAL));
        }

        @Override
        public Lost read(Values values) {
            List<TypedLength> left = values.lengths("minus");
            List<TypedLength> middle = values.lengths("middle");
            List<TypedLength> right = values.lengths("plus");
            // The coarsest digit of all three places: where one end is typed to a tenth, nobody knows which place is the greatest.
            BigDecimal step = Values.coarsest(Stream.of(left, middle, right).flatMap(List::stream).toList());
            Backlash backlash = Backlash.of(List.of(values.at("minus", () -> named(minus, left)),
                    values.at("middle", () -> named("the middle", middle)), values.at("plus", () -> named(plus, right))));
            return new Lost(backlash, step, values.readWith());
        }

        private static Backlash.Station named(String name, List<TypedLength> readings) {
            return new Backlash.Station(name, readings.stream().map(TypedLength::mm).toList());
        }

        @Override
        public StepJudgement judge(Lost read, Rules rules) {
            Backlash backlash = read.backlash;
            Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(backlash.greatest(), read.step)
                    .repeated(backlash.loosest().readings().stream().map(BigDecimal::doubleValue).toList());
            StepJudgement judged = Recordings.byGrade(rules.graded(Rule.BACKLASH), backlash.greatest(), u);
            List<Reason> because = new ArrayList<>(judged.because());
            because.add(rack ? backlash.saysOfRack() : backlash.says(rules));
            if (scaled) {
                because.add(Reason.of(EvidenceReason.BACKLASH_SCALE));
            }
            return judged.saying(because);
        }

        @Override
        public Optional<GradedLimit> limit(Rules rules) {
            return Optional.of(rules.graded(Rule.BACKLASH));
        }

        @Override
        public Optional<Rule> limitRule() {
            return Optional.of(Rule.BACKLASH);
        }

        @Override
        public Optional<Rule> usualGauge() {
            return Optional.of(Rule.INDICATOR);
        }
    }

    /**
     * Change wheels counted against the chart.
     *
     * @param chart what the chart promises; empty where nobody copied it
     */
    public record Wheels(Optional<GearChart> chart) implements Recording<WheelSet> {
        @Override
        public <T> T tell(Kinds<T> kinds) {
            return kinds.wheels(this);
        }

        @Override
        public String code() {
            return "wheels";
        }

        @Override
        public List<Field> fields() {
            return List.of(Field.must("wheels", Entry.TEXT, FieldUnit.NONE));
        }

        @Override
        public StepJudgement judge(WheelSet wheels, Rules rules) {
            if (chart.isEmpty()) {
                return StepJudgement.of(Outcome.UNDECIDED, Reason.of(EvidenceReason.WHEELS_NO_CHART, wheels.teeth().size()));
            }
            ChangeWheels result = ChangeWheels.of(chart.get(), wheels);
            Outcome outcome = result.usual() ? Outcome.UNDECIDED : result.lost().isEmpty() ? Outcome.PROVEN : Outcome.FAILED;
            return new StepJudgement(outcome, Optional.empty(), result.says(), Optional.empty());
        }

        @Override
        public WheelSet read(Values values) {
            if (!values.has("wheels")) {
                throw Refused.because(CommonReason.NUMBER_MISSING).at("wheels");
            }
            return values.at("wheels", () -> WheelSet.parse(values.text("wheels")));
        }
    }

    /**
     * A thread cut and measured over several turns, or the carriage's way over as many with the half-nut in.
     *
     * @param marked    its pitch as the plate shows it; empty where a person chooses
     * @param positions of the plate's levers, where it is one of its threads
     */
    public record ThreadCut(String marked, List<String> positions) implements Recording<Cut> {

        public ThreadCut {
            positions = List.copyOf(positions);
        }

        /** Of a pitch the person chooses. */
        public ThreadCut() {
            this("", List.of());
        }

        @Override
        public List<String> leverPositions() {
            return positions;
        }

        @Override
        public <T> T tell(Kinds<T> kinds) {
            return kinds.thread(this);
        }

        @Override
        public String code() {
            return "thread";
        }

        @Override
        public List<Field> fields() {
            return List.of(new Field("pitch", Entry.LENGTH, FieldUnit.LENGTH, Preset.text(marked), List.of(), true), Field.must("length",
                    Entry.LENGTH, FieldUnit.LENGTH),
                    Field.must("turns", Entry.NUMBER, FieldUnit.NONE));
        }

        @Override
        public Optional<Rule> usualGauge() {
            return Optional.of(Rule.CALIPER);
        }

        @Override
        public Cut read(Values values) {
            TypedLength pitch = values.length("pitch");
            TypedLength length = values.length("length");
            if (pitch.mm().signum() <= 0) {
                throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, pitch.typed()).at("pitch");
            }
            return new Cut(pitch, length, ThreadPitch.of(pitch.mm(), length.mm(), values.whole("turns")), values.readWith());
        }

        @Override
        public StepJudgement judge(Cut read, Rules rules) {
            TypedLength pitch = read.pitch;
            TypedLength length = read.length;
            ThreadPitch thread = read.thread;
            Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.CALIPER)).difference(length.mm(), length.step())
                    .scaled(300 / Math.max(length.mm().doubleValue(), 1));
            StepJudgement judged = Recordings.byGrade(rules.graded(Rule.THREAD_300), thread.over300().abs(), u);
            return judged.saying(List.of(Reason.of(EvidenceReason.THREAD_ERROR, Quantity.of(thread.lead(), Unit.MILLIMETRES),
                    Quantity.of(pitch.mm(), Unit.MILLIMETRES),
                    thread.error().doubleValue() * 100, Quantity.of(thread.over300(), Unit.MILLIMETRES),
                    Quantity.of(BigDecimal.valueOf(300), Unit.MILLIMETRES)),
                    judged.because().get(0)));
        }
    }
}
