package tallledger.core.evidence;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.Recording.Entry;
import tallledger.core.evidence.Recording.Field;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.geometry.HotRun;
import tallledger.core.reading.Temperature;
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

/** The general kinds of record: looked at, written down, counted, measured. */
public final class Recordings {

    private static final MathContext FOUR = new MathContext(4);

    private Recordings() {
    }

    /** Nothing is written down: what counts is what the surveyor says of it. */
    public enum Nothing { WRITTEN }

    /**
     * One figure.
     *
     * @param step worth of its last digit
     * @param by   what it was read with
     */
    public record Measured(BigDecimal value, BigDecimal step, Optional<Gauge> by) {
    }

    /** A difference over a length, mm. */
    public record Over(TypedLength value, TypedLength over, Optional<Gauge> by) {
    }

    /** Two temperatures, °C. */
    public record ColdAndHot(TypedNumber cold, TypedNumber hot, Optional<Gauge> by) {
    }

    /** Looked at or listened to; the surveyor says how it is. */
    public record Look() implements Recording<Nothing> {
        @Override
        public <T> T tell(Kinds<T> kinds) {
            return kinds.look(this);
        }

        @Override
        public String code() {
            return "look";
        }

        @Override
        public List<Field> fields() {
            return List.of();
        }

        @Override
        public Nothing read(Values values) {
            return Nothing.WRITTEN;
        }

        @Override
        public StepJudgement judge(Nothing nothing, Rules rules) {
            return StepJudgement.of(Outcome.PROVEN);
        }
    }

    /**
     * Something to be written down as it stands, such as a plate, with one figure of it in a field of its own.
     *
     * @param figure which; may be left empty
     */
    public record Note(PlateFigure figure) implements Recording<PlateText> {
        @Override
        public <T> T tell(Kinds<T> kinds) {
            return kinds.note(this);
        }

        @Override
        public String code() {
            return "note";
        }

        @Override
        public List<Field> fields() {
            return List.of(Field.must("text", Entry.TEXT, FieldUnit.NONE), Field.may(figure.field(), Entry.TEXT, FieldUnit.NONE));
        }

        @Override
        public PlateText read(Values values) {
            Optional<String> stands = values.has(figure.field()) ? Optional.of(figure.read(values)) : Optional.empty();
            if (!values.has("text") && stands.isEmpty()) {
                throw Refused.because(EvidenceReason.NOTE_MISSING).at("text");
            }
            return new PlateText(values.text("text"), stands);
        }

        @Override
        public StepJudgement judge(PlateText text, Rules rules) {
            return StepJudgement.read();
        }
    }

    /**
     * Counted against what is claimed.
     *
     * @param claimed how many there should be; empty where nobody says
     */
    public record Count(Optional<Integer> claimed) implements Recording<Integer> {
        @Override
        public <T> T tell(Kinds<T> kinds) {
            return kinds.count(this);
        }

        @Override
        public String code() {
            return "count";
        }

        @Override
        public List<Field> fields() {
            return List.of(Field.must("count", Entry.NUMBER, FieldUnit.NONE));
        }

        @Override
        public Integer read(Values values) {
            return values.whole("count");
        }

        @Override
        public StepJudgement judge(Integer count, Rules rules) {
            return claimed.map(c -> StepJudgement.of(count >= c ? Outcome.PROVEN : Outcome.FAILED,
                    Reason.of(EvidenceReason.COUNT_AGAINST, count, c)))
                    .orElse(StepJudgement.read(Reason.of(EvidenceReason.COUNT_ONLY, count)));
        }
    }

    /**
     * One measured value against a limit in three grades.
     *
     * @param graded rule of its limit
     * @param gauge what it is read with
     * @param difference whether it is the difference of two readings, as TIR, play and backlash are
     */
    public record Measure(Rule graded, Rule gauge, boolean difference) implements Recording<Measured> {
        @Override
        public <T> T tell(Kinds<T> kinds) {
            return kinds.measure(this);
        }

        @Override
        public String code() {
            return "measure";
        }

        @Override
        public List<Field> fields() {
            return List.of(Field.must(field(), isLength() ? Entry.LENGTH : Entry.NUMBER, FieldUnit.of(graded.unit())));
        }

        private String field() {
            return graded.unit() == Unit.SECONDS ? "seconds" : "value";
        }

        private boolean isLength() {
            return graded.unit() == Unit.MILLIMETRES;
        }

        @Override
        public Measured read(Values values) {
            if (isLength()) {
                TypedLength length = values.length(field());
                return new Measured(length.mm(), length.step(), values.readWith());
            }
            TypedNumber number = values.number(field());
            return new Measured(values.at(field(), () -> notNegative(number)), number.step(), values.readWith());
        }

        @Override
        public StepJudgement judge(Measured read, Rules rules) {
            Gauge by = read.by.orElseGet(() -> rules.gauge(gauge));
            return byGrade(rules.graded(graded), read.value, difference ? by.difference(read.value, read.step)
                    : by.reading(read.value, read.step));
        }

        @Override
        public Optional<GradedLimit> limit(Rules rules) {
            return Optional.of(rules.graded(graded));
        }

        @Override
        public Optional<Rule> limitRule() {
            return Optional.of(graded);
        }

        @Override
        public Optional<Rule> usualGauge() {
            return Optional.of(gauge);
        }
    }

    /**
     * A difference measured over a length other than the one its limit is stated for; the limit scales linearly.
     *
     * @param per length the limit is stated for, mm
     */
    public record Scaled(Rule graded, BigDecimal per) implements Recording<Over> {
        @Override
        public <T> T tell(Kinds<T> kinds) {
            return kinds.scaled(this);
        }

        @Override
        public String code() {
            return "scaled";
        }

        @Override
        public List<Field> fields() {
            return List.of(Field.must("value", Entry.LENGTH, FieldUnit.DIAL),
                    new Field("over", Entry.LENGTH, FieldUnit.LENGTH, Preset.length(per), List.of(),
                            true));
        }

        @Override
        public Over read(Values values) {
            TypedLength value = values.length("value");
            TypedLength over = values.length("over");
            if (over.mm().signum() <= 0) {
                throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, over.typed()).at("over");
            }
            return new Over(value, over, values.readWith());
        }

        @Override
        public StepJudgement judge(Over read, Rules rules) {
            TypedLength value = read.value;
            TypedLength over = read.over;
            Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.INDICATOR)).difference(value.mm(), value.step());
            BigDecimal length = rules.length(per);
            GradedLimit here = rules.graded(graded).over(over.mm(), length);
            StepJudgement judged = byGrade(here, value.mm(), u);
            double share = length.doubleValue() / over.mm().doubleValue();
            Quantity scaled = new Quantity(value.mm().multiply(length).divide(over.mm(), MathContext.DECIMAL64), u.scaled(share).expanded(),
                    Unit.MILLIMETRES);
            List<Reason> because = new ArrayList<>(List.of(Reason.of(EvidenceReason.SCALED_PER, Quantity.of(value.mm(), Unit.MILLIMETRES),
                    Quantity.of(over.mm(), Unit.MILLIMETRES), scaled, Quantity.of(length, Unit.MILLIMETRES))));
            because.addAll(judged.because());
            return judged.saying(because).per(Figure.Per.mm(over.mm(), length));
        }

        @Override
        public Optional<GradedLimit> limit(Rules rules) {
            return Optional.of(rules.graded(graded));
        }

        @Override
        public Optional<BigDecimal> limitPer(Rules rules) {
            return Optional.of(rules.length(per));
        }

        @Override
        public Optional<Rule> limitRule() {
            return Optional.of(graded);
        }

        @Override
        public Optional<Rule> usualGauge() {
            return Optional.of(Rule.INDICATOR);
        }
    }

    /**
     * How it warmed.
     *
     * @param ends    cold and hot, where only those were read
     * @param run     readings over minutes, where they were
     * @param ambient °C, where it was read; else the first reading stands for it
     * @param step    worth of the coarsest last digit, K
     */
    public record Warmed(Optional<ColdAndHot> ends, Optional<HotRun> run, Optional<TypedNumber> ambient, BigDecimal step,
            Optional<Gauge> by) {
    }

    /** Temperature cold and after running hot, or over the minutes at top speed; the rise, or that at 30 min as read, is judged. */
    public record Rise(Rule graded) implements Recording<Warmed> {
        @Override
        public <T> T tell(Kinds<T> kinds) {
            return kinds.rise(this);
        }

        @Override
        public String code() {
            return "rise";
        }

        @Override
        public List<Field> fields() {
            return List.of(Field.may("cold", Entry.NUMBER, FieldUnit.TEMPERATURE), Field.may("hot", Entry.NUMBER, FieldUnit.TEMPERATURE),
                    Field.may("minutes", Entry.LONG_TEXT, FieldUnit.MINUTES_AND_TEMPERATURE), Field.may("ambient", Entry.NUMBER,
                            FieldUnit.TEMPERATURE));
        }

        @Override
        public Warmed read(Values values) {
            Optional<TypedNumber> ambient = values.has("ambient") ? Optional.of(values.temperature("ambient")) : Optional.empty();
            if (!values.has("minutes")) {
                ColdAndHot ends = new ColdAndHot(values.temperature("cold"), values.temperature("hot"), values.readWith());
                return new Warmed(Optional.of(ends), Optional.empty(), ambient, ends.hot.step().max(ends.cold.step()), values.readWith());
            }
            if (values.has("cold") || values.has("hot")) {
                throw Refused.because(EvidenceReason.HOT_BOTH).at("minutes");
            }
            List<HotRun.Reading> readings = new ArrayList<>();
            List<BigDecimal> steps = new ArrayList<>(List.of(BigDecimal.ZERO));
            for (String line : values.text("minutes").split("[\\r\\n;]+")) {
                if (!line.isBlank()) {
                    values.at("minutes", () -> readings.add(reading(line.strip(), steps, values.bare())));
                }
            }
            HotRun run = values.at("minutes", () -> new HotRun(readings));
            return new Warmed(Optional.empty(), Optional.of(run), ambient, steps.stream().reduce(BigDecimal.ZERO, BigDecimal::max),
                    values.readWith());
        }

        private static HotRun.Reading reading(String line, List<BigDecimal> steps, LengthUnit machine) {
            String[] two = line.split("\\s*:\\s*|\\s+", 2);
            if (two.length != 2) {
                throw Refused.because(EvidenceReason.HOT_LINE, line, FieldUnit.TEMPERATURE.in(machine));
            }
            TypedNumber celsius = Temperature.parse(two[1], machine);
            steps.add(celsius.step());
            return new HotRun.Reading(TypedNumber.parse(two[0]).value().doubleValue(), celsius.value().doubleValue());
        }

        @Override
        public StepJudgement judge(Warmed read, Rules rules) {
            return read.run.map(run -> overMinutes(run, read, rules)).orElseGet(() -> {
                ColdAndHot ends = read.ends.orElseThrow();
                return risen(ends.hot.value().subtract(ends.cold.value()), read, rules);
            });
        }

        private StepJudgement risen(BigDecimal rise, Warmed read, Rules rules) {
            Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.THERMOMETER)).difference(rise, read.step);
            if (rise.doubleValue() < -2 * HotRun.U_OF_READING) {
                // Nothing cools while it runs: the two are swapped, or it ran before. Neither says how warm it gets.
                return new StepJudgement(Outcome.UNDECIDED, Optional.empty(), List.of(Reason.of(EvidenceReason.HOT_COOLED,
                        new Quantity(rise.negate(), u.expanded(), Unit.KELVIN))), Optional.empty());
            }
            return byGrade(rules.graded(graded), rise, u);
        }

        private StepJudgement overMinutes(HotRun run, Warmed read, Rules rules) {
            double start = read.ambient.map(a -> a.value().doubleValue()).orElse(run.readings().get(0).celsius());
            List<Reason> says = new ArrayList<>();
            says.add(levels(run, start, rules));
            if (run.cooler().isPresent()) {
                says.add(0, Reason.of(EvidenceReason.HOT_COOLER, decimal(run.cooler().get().minutes())));
                return new StepJudgement(Outcome.UNDECIDED, Optional.empty(), says, Optional.empty());
            }
            if (run.atThirty().isEmpty()) {
                says.add(0, Reason.of(EvidenceReason.HOT_EARLY));
                return new StepJudgement(run.bendsUpwards() ? Outcome.FAILED : Outcome.UNDECIDED, Optional.empty(), says,
                        Optional.empty());
            }
            StepJudgement judged = risen(new BigDecimal(run.atThirty().get() - start).setScale(2, java.math.RoundingMode.HALF_UP)
                    .stripTrailingZeros(), read, rules);
            says.addAll(0, judged.because());
            // What does not settle is no good however little it has risen yet.
            return run.bendsUpwards() ? new StepJudgement(Outcome.FAILED, Optional.empty(), says, judged.figures()) : judged.saying(says);
        }

        /** Where it levels, or that it is not to be told yet. */
        private static Reason levels(HotRun run, double start, Rules rules) {
            if (run.bendsUpwards()) {
                return Reason.of(EvidenceReason.HOT_BENDS);
            }
            Optional<HotRun.Level> level = run.level();
            double rise = level.map(l -> l.levels() - start).orElse(0.0);
            boolean flat = level.filter(l -> l.tau().isEmpty()).isPresent();
            if (level.isEmpty() || !flat && level.get().expanded() >= Math.abs(rise) / 2) {
                return Reason.of(EvidenceReason.HOT_UNTOLD);
            }
            HotRun.Level at = level.get();
            Quantity levelled = new Quantity(new BigDecimal(rise).round(FOUR), at.expanded(), Unit.KELVIN);
            if (flat) {
                return Reason.of(EvidenceReason.HOT_FLAT, levelled);
            }
            boolean settled = Math.abs(at.toCome()) + at.open() < rules.value(Rule.SETTLED);
            return Reason.of(settled ? EvidenceReason.HOT_SETTLED : EvidenceReason.HOT_RISING, levelled,
                    new BigDecimal(at.tau().orElseThrow()).round(FOUR),
                    new Quantity(new BigDecimal(at.toCome()).round(FOUR), at.open(), Unit.KELVIN));
        }

        private static BigDecimal decimal(double minutes) {
            return BigDecimal.valueOf(minutes).stripTrailingZeros();
        }

        @Override
        public Optional<GradedLimit> limit(Rules rules) {
            return Optional.of(rules.graded(graded));
        }

        @Override
        public Optional<Rule> limitRule() {
            return Optional.of(graded);
        }

        @Override
        public Optional<Rule> usualGauge() {
            return Optional.of(Rule.THERMOMETER);
        }
    }

    /** Done on a screen of its own; the step only says that it was gone through. */
    public record Elsewhere(String page) implements Recording<Nothing> {
        @Override
        public <T> T tell(Kinds<T> kinds) {
            return kinds.elsewhere(this);
        }

        @Override
        public String code() {
            return "elsewhere";
        }

        @Override
        public List<Field> fields() {
            return List.of();
        }

        @Override
        public Nothing read(Values values) {
            return Nothing.WRITTEN;
        }

        @Override
        public StepJudgement judge(Nothing nothing, Rules rules) {
            return StepJudgement.of(Outcome.PROVEN);
        }
    }

    private static BigDecimal notNegative(TypedNumber number) {
        if (number.value().signum() < 0) {
            throw Refused.because(EvidenceReason.LENGTH_NEGATIVE, number.typed());
        }
        return number.value();
    }

    /** The grade proven within, or what it fails; what is too close says what would settle it. */
    static StepJudgement byGrade(GradedLimit limit, BigDecimal value, Uncertainty uncertainty) {
        return byGrade(limit, value, uncertainty, value);
    }

    /** @param shown the value with its sign, where the readings have one */
    static StepJudgement byGrade(GradedLimit limit, BigDecimal value, Uncertainty uncertainty, BigDecimal shown) {
        Figure.Against reached = limit.reached(value, uncertainty.expanded());
        Quantity read = new Quantity(shown, uncertainty.expanded(), limit.unit());
        Quantity wanted = Quantity.of(limit.limit(), limit.unit());
        Reason because = switch (reached.verdict()) {
            case WITHIN -> Reason.of(EvidenceReason.GRADED_WITHIN, read, reached.grade().orElseThrow(),
                    Quantity.of(limit.at(reached.grade().orElseThrow()), limit.unit()));
            case OUTSIDE -> Reason.of(EvidenceReason.GRADED_OUTSIDE, read, limit.wanted(), wanted);
            case TOO_CLOSE_TO_CALL -> Reason.of(EvidenceReason.GRADED_CLOSE, read, limit.wanted(), wanted,
                    uncertainty.settles(value.subtract(limit.limit()).abs().doubleValue(), limit.unit()));
        };
        return StepJudgement.of(Figure.of(shown, uncertainty, reached), List.of(because));
    }

    /**
     * At least this much, with what the reading leaves open.
     *
     * @param claimed as it is said
     * @param least   what that leaves open below
     */
    static StepJudgement atLeast(BigDecimal value, Uncertainty uncertainty, BigDecimal claimed, BigDecimal least, Unit unit) {
        Limit limit = Limit.atLeast(least, unit,
                Reason.of(EvidenceReason.LIMIT_CLAIM, Quantity.of(least, unit)));
        Judgement judgement = Judgement.of(value, uncertainty.expanded(), limit);
        EvidenceReason code = switch (judgement.verdict()) {
            case WITHIN -> EvidenceReason.TRAVEL_ENOUGH;
            case OUTSIDE -> EvidenceReason.TRAVEL_SHORT;
            case TOO_CLOSE_TO_CALL -> EvidenceReason.TRAVEL_CLOSE;
        };
        return StepJudgement.of(judgement.figure(),
                List.of(Reason.of(code, new Quantity(value, uncertainty.expanded(), unit), Quantity.of(claimed, unit))));
    }
}
