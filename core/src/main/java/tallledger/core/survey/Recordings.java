package tallledger.core.survey;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Shown;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.gauge.Verdict;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.survey.Recording.Entry;
import tallledger.core.survey.Recording.Field;

/** The general kinds of record: looked at, written down, counted, measured. */
public final class Recordings {

    private Recordings() {
    }

    /** Looked at or listened to; the surveyor says how it is. */
    public record Look() implements Recording {
        @Override
        public String code() {
            return "look";
        }

        @Override
        public List<Field> fields() {
            return List.of();
        }

        @Override
        public StepJudgement judge(Values values) {
            return StepJudgement.of(Outcome.PROVEN);
        }
    }

    /** Something to be written down, such as a serial number. */
    public record Note() implements Recording {
        @Override
        public String code() {
            return "note";
        }

        @Override
        public List<Field> fields() {
            return List.of(Field.must("text", Entry.TEXT, ""));
        }

        @Override
        public StepJudgement judge(Values values) {
            if (!values.has("text")) {
                throw Refused.because("note.missing").at("text");
            }
            return StepJudgement.of(Outcome.PROVEN);
        }
    }

    /**
     * Counted against what is claimed.
     *
     * @param claimed how many there should be; empty where nobody says
     */
    public record Count(Optional<Integer> claimed) implements Recording {
        @Override
        public String code() {
            return "count";
        }

        @Override
        public List<Field> fields() {
            return List.of(Field.must("count", Entry.NUMBER, ""));
        }

        @Override
        public StepJudgement judge(Values values) {
            int count = values.whole("count");
            return claimed.map(c -> StepJudgement.of(count >= c ? Outcome.PROVEN : Outcome.FAILED, Reason.of("count.against", count, c)))
                    .orElse(StepJudgement.of(Outcome.PROVEN, Reason.of("count.only", count)));
        }
    }

    /**
     * One measured value against a limit in three grades.
     *
     * @param graded in mm, s, K …
     * @param gauge what it is read with
     * @param difference whether it is the difference of two readings, as TIR, play and backlash are
     */
    public record Measure(GradedLimit graded, Gauge gauge, boolean difference) implements Recording {
        @Override
        public String code() {
            return "measure";
        }

        @Override
        public List<Field> fields() {
            return List.of(Field.must(field(), graded.unit().equals("mm") ? Entry.LENGTH : Entry.NUMBER, graded.unit()));
        }

        private String field() {
            return graded.unit().equals("s") ? "seconds" : "value";
        }

        @Override
        public StepJudgement judge(Values values) {
            BigDecimal value;
            BigDecimal step;
            if (graded.unit().equals("mm")) {
                TypedLength length = values.length(field());
                value = length.mm();
                step = length.step();
            } else {
                TypedNumber number = values.number(field());
                value = values.at(field(), () -> notNegative(number));
                step = number.step();
            }
            Gauge by = values.gauge(gauge);
            return byGrade(graded, value, difference ? by.difference(value, step) : by.reading(value, step));
        }

        @Override
        public Optional<GradedLimit> limit() {
            return Optional.of(graded);
        }

        @Override
        public Optional<Gauge> usualGauge() {
            return Optional.of(gauge);
        }
    }

    /**
     * A difference measured over a length other than the one its limit is stated for; the limit scales linearly.
     *
     * @param per length the limit is stated for, mm
     */
    public record Scaled(GradedLimit graded, BigDecimal per) implements Recording {
        @Override
        public String code() {
            return "scaled";
        }

        @Override
        public List<Field> fields() {
            return List.of(Field.must("value", Entry.LENGTH, "mm"), new Field("over", Entry.LENGTH, "mm", per.toPlainString(), List.of(), true));
        }

        @Override
        public StepJudgement judge(Values values) {
            TypedLength value = values.length("value");
            TypedLength over = values.length("over");
            if (over.mm().signum() <= 0) {
                throw Refused.because("number.not-positive", over.typed()).at("over");
            }
            // The length's own last digit moves the limit; here it is laid to the value, which comes to the same.
            double ofLength = value.mm().doubleValue() / over.mm().doubleValue() * over.step().doubleValue() / Math.sqrt(12);
            Uncertainty u = values.gauge(Gauge.HOUSE_INDICATOR).difference(value.mm(), value.step()).withDigit(ofLength);
            GradedLimit here = graded.over(over.mm(), per);
            StepJudgement judged = byGrade(here, value.mm(), u);
            double share = per.doubleValue() / over.mm().doubleValue();
            Shown scaled = Shown.of(value.mm().multiply(per).divide(over.mm(), MathContext.DECIMAL64), u.scaled(share).expanded());
            List<Reason> because = new ArrayList<>(List.of(Reason.of("scaled.per", value.mm(), over.mm(), scaled, per)));
            because.addAll(judged.because());
            return new StepJudgement(judged.outcome(), judged.grade(), because, Optional.empty());
        }

        @Override
        public Optional<GradedLimit> limit() {
            return Optional.of(graded);
        }

        @Override
        public Optional<Gauge> usualGauge() {
            return Optional.of(Gauge.HOUSE_INDICATOR);
        }
    }

    /** Temperature cold and after running hot; the rise is judged. */
    public record Rise(GradedLimit graded) implements Recording {

        /** A contact thermometer, °C. */
        private static final Gauge THERMOMETER = new Gauge("contact thermometer", new BigDecimal("0.5"), new BigDecimal("0.02"));

        @Override
        public String code() {
            return "rise";
        }

        @Override
        public List<Field> fields() {
            return List.of(Field.must("cold", Entry.NUMBER, "°C"), Field.must("hot", Entry.NUMBER, "°C"));
        }

        @Override
        public StepJudgement judge(Values values) {
            TypedNumber cold = values.number("cold");
            TypedNumber hot = values.number("hot");
            BigDecimal rise = hot.value().subtract(cold.value());
            return byGrade(graded, rise.max(BigDecimal.ZERO), values.gauge(THERMOMETER).difference(rise, hot.step().max(cold.step())));
        }

        @Override
        public Optional<GradedLimit> limit() {
            return Optional.of(graded);
        }

        @Override
        public Optional<Gauge> usualGauge() {
            return Optional.of(THERMOMETER);
        }
    }

    /** Done on a screen of its own; the step only says that it was gone through. */
    public record Elsewhere(String page) implements Recording {
        @Override
        public String code() {
            return "elsewhere";
        }

        @Override
        public List<Field> fields() {
            return List.of();
        }

        @Override
        public StepJudgement judge(Values values) {
            return StepJudgement.of(Outcome.PROVEN);
        }
    }

    private static BigDecimal notNegative(TypedNumber number) {
        if (number.value().signum() < 0) {
            throw Refused.because("length.negative", number.typed());
        }
        return number.value();
    }

    /** The grade proven within, or what it fails; what is too close says what would settle it. */
    static StepJudgement byGrade(GradedLimit limit, BigDecimal value, Uncertainty uncertainty) {
        GradedLimit.Reached reached = limit.reached(value, uncertainty.expanded());
        Shown shown = Shown.of(value, uncertainty.expanded());
        BigDecimal widest = limit.workable().stripTrailingZeros();
        Reason because = reached.grade().map(g -> Reason.of("graded.within", shown, limit.unit(), g, limit.at(g).stripTrailingZeros()))
                .orElseGet(() -> reached.verdict() == Verdict.OUTSIDE
                        ? Reason.of("graded.outside", shown, limit.unit(), widest)
                        : Reason.of("graded.close", shown, limit.unit(), widest,
                        uncertainty.settles(value.subtract(limit.workable()).abs().doubleValue(), limit.unit())));
        Outcome outcome = reached.grade().isPresent() ? Outcome.PROVEN : reached.verdict() == Verdict.OUTSIDE ? Outcome.FAILED : Outcome.UNDECIDED;
        return new StepJudgement(outcome, reached.grade(), List.of(because), Optional.empty());
    }

    /** At least this much, with what the reading leaves open. */
    static StepJudgement atLeast(BigDecimal value, Uncertainty uncertainty, BigDecimal least, String unit) {
        Limit limit = new Limit(least, value.max(least).multiply(BigDecimal.TEN), unit, Reason.of("limit.claim", least));
        Judgement judgement = Judgement.of(value, uncertainty, limit);
        String code = switch (judgement.verdict()) {
            case WITHIN -> "travel.enough";
            case OUTSIDE -> "travel.short";
            case TOO_CLOSE_TO_CALL -> "travel.close";
        };
        StepJudgement judged = StepJudgement.of(judgement);
        return new StepJudgement(judged.outcome(), Optional.empty(), List.of(Reason.of(code, judgement.shown(), least.stripTrailingZeros(), unit)), Optional.empty());
    }
}
