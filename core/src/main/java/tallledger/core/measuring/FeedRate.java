package tallledger.core.measuring;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Figure;
import tallledger.core.motion.Axis;
import tallledger.core.motion.FeedReading;
import tallledger.core.motion.FeedSet;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;

/**
 * A feed or rapid measured over a distance.
 *
 * @param per      by the turn or by the minute
 * @param promised what the plate promises, mm/rev or mm/min
 * @param rate     which of the axis' rates it is
 * @param at       what stands set on the feed plate's levers, in their order; empty for an axis' own rate
 */
public record FeedRate(Axis.Per per, Optional<BigDecimal> promised, Rate rate, List<String> at) implements Recording<FeedReading> {

    private static final String SET = "set";
    private static final MathContext THREE = new MathContext(3);

    public FeedRate(Axis.Per per, Optional<BigDecimal> promised, Rate rate) {
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
    public List<String> leverPositions() {
        return at;
    }

    @Override
    public boolean maybeGoodByEye() {
        return rapid();
    }

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.feedRate(this);
    }

    @Override
    public <T> T accept(FeedReading value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.feedRate(this, value);
    }

    @Override
    public String code() {
        return rapid() ? "rapid" : "feed";
    }

    @Override
    public List<RecordField> fields() {
        RecordField distance = RecordField.must("distance", InputKind.LENGTH, FieldUnit.LENGTH);
        RecordField over = per == Axis.Per.REV ? RecordField.must("turns", InputKind.NUMBER, FieldUnit.NONE)
                : RecordField.must("seconds", InputKind.NUMBER, FieldUnit.SECONDS);
        return rapid() ? List.of(distance, over) : List.of(distance, over, RecordField.may(SET, InputKind.TEXT, FieldUnit.NONE));
    }

    @Override
    public StepJudgement judge(FeedReading reading, Rules rules) {
        Optional<BigDecimal> wanted = wanted(reading);
        return reading.against(wanted, tolerance(rules), rules).map(j -> {
            StepJudgement judged = StepJudgement.of(j);
            List<Reason> because = new ArrayList<>(judged.because());
            if (judged.outcome() == Outcome.FAILED) {
                because.addAll(otherWheels(reading, wanted.orElseThrow()));
            }
            return judged.saying(because);
        }).orElseGet(() -> {
            Quantity measured = new Quantity(reading.rate(), reading.expanded(rules), reading.unit());
            return StepJudgement.read(Figure.alone(measured), Reason.of(MeasuringReason.FEED_MEASURED, measured));
        });
    }

    /** What it should be: as it was set, else as its plate or a claim promises. */
    public Optional<BigDecimal> wanted(FeedReading reading) {
        return reading.set().flatMap(FeedSet::rate).or(() -> promised.filter(p -> reading.per() == per));
    }

    /** What the change wheels that are on would give the other way round, and what an equal pair would. */
    private List<Reason> otherWheels(FeedReading reading, BigDecimal wanted) {
        return reading.set().flatMap(FeedSet::wheels).filter(w -> w.driving() != w.driven())
                .map(w -> List.of(Reason.of(MeasuringReason.FEED_WHEELS_TURNED, w.driving(), w.driven(),
                        new BigDecimal(w.turned()).round(THREE), at(reading, w.turned()), off(reading, w.turned(), wanted)),
                        Reason.of(MeasuringReason.FEED_WHEELS_EQUAL, at(reading, w.equal()), off(reading, w.equal(),
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
