package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Verdict;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * A spindle that takes any number: speeds commanded about the change-over and what was read at each, going up through it and down again.
 * Each is judged as any speed; what was never crossed, in one way or the other, leaves the change-over untested that way.
 *
 * <p>Where nobody knows the change-over it is told from what was seen: it lies between the highest speed that did not shift and the lowest
 * that did. A shift that hunts or gives an alarm is a fault whatever the speeds.
 *
 * <p>Worked: 1000 no shift, 2250 no shift, 2350 shifts, 2250 hunts: between 2 250 and 2 350 going up; going down it hunts.
 *
 * <p>Worked: change-over 1 800; 1700 1703, 1790 1794, 1810 1806, 1900 1897, 1700 1702: both ways crossed, every speed within 6 %.
 */
public record TrialSpeeds() implements Recording<TrialSpeeds.Trials> {

    /** More trials than anybody makes. */
    public static final int MOST = 40;

    /** What a spindle was seen to do at a commanded speed. */
    public enum Seen {
        NO_SHIFT("no shift"), SHIFTS("shifts"), HUNTS("hunts"), ALARM("alarm");

        private final String typed;

        Seen(String typed) {
            this.typed = typed;
        }

        private static Optional<Seen> named(String text) {
            String plain = text.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
            return Stream.of(values()).filter(s -> s.typed.equals(plain)).findFirst();
        }

        private boolean isBad() {
            return this == HUNTS || this == ALARM;
        }
    }

    /** One trial, min⁻¹. @param read empty where only what it did was seen @param step worth of the last digit read */
    public record SpeedTrial(BigDecimal commanded, Optional<BigDecimal> read, BigDecimal step, Optional<Seen> seen) {
    }

    /** Trials in the order made. @param changeOver as the control's settings say, min⁻¹; empty where nobody knows it */
    public record Trials(Optional<BigDecimal> changeOver, List<SpeedTrial> made, Optional<Gauge> by) {

        public Trials {
            made = List.copyOf(made);
        }

        /** Whether a trial below the change-over was followed by one at or above it, or the other way round. */
        boolean crosses(boolean up) {
            for (int i = 1; i < made.size(); i++) {
                if (changeOver.isEmpty()) {
                    if (made.get(i).seen.filter(Seen.SHIFTS::equals).isPresent() && isUp(i) == up) {
                        return true;
                    }
                    continue;
                }
                boolean before = isAbove(made.get(i - 1));
                if (before != isAbove(made.get(i)) && before != up) {
                    return true;
                }
            }
            return false;
        }

        private boolean isAbove(SpeedTrial trial) {
            return trial.commanded.compareTo(changeOver.orElseThrow()) >= 0;
        }

        private boolean isUp(int at) {
            return at > 0 && made.get(at).commanded.compareTo(made.get(at - 1).commanded) > 0;
        }

        /** The highest speed without a shift and the lowest with one, going up; empty where one of them was not tried. */
        Optional<List<BigDecimal>> between() {
            Optional<BigDecimal> without = made.stream().filter(t -> t.seen.filter(Seen.NO_SHIFT::equals).isPresent())
                    .map(SpeedTrial::commanded).max(Comparator.naturalOrder());
            Optional<BigDecimal> with = made.stream().filter(t -> t.seen.filter(Seen.SHIFTS::equals).isPresent())
                    .map(SpeedTrial::commanded).min(Comparator.naturalOrder());
            return without.isPresent() && with.isPresent() && without.get().compareTo(with.get()) < 0
                    ? Optional.of(List.of(without.get(), with.get()))
                    : Optional.empty();
        }
    }

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.trialSpeeds(this);
    }

    @Override
    public <T> T accept(TrialSpeeds.Trials value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.trialSpeeds(this, value);
    }

    @Override
    public String code() {
        return "trial-speeds";
    }

    @Override
    public List<RecordField> fields() {
        return List.of(RecordField.may("changeOver", InputKind.NUMBER, FieldUnit.SPEED),
                RecordField.must("trials", InputKind.LONG_TEXT, FieldUnit.SPEED));
    }

    @Override
    public Optional<Rule> usualGauge() {
        return Optional.of(Rule.TACHOMETER);
    }

    @Override
    public Trials read(Values values) {
        Optional<BigDecimal> changeOver = values.has("changeOver") ? Optional.of(values.positive("changeOver")) : Optional.empty();
        List<SpeedTrial> made = new ArrayList<>();
        for (String line : values.text("trials").split("[\\n\\r;]+")) {
            if (!line.isBlank()) {
                made.add(values.at("trials", () -> trial(line.strip())));
            }
        }
        if (made.size() < 2 || made.size() > MOST) {
            throw Refused.because(MeasuringReason.TRIALS_COUNT, made.size(), MOST).at("trials");
        }
        if (changeOver.isEmpty() && made.stream().allMatch(t -> t.seen.isEmpty())) {
            throw Refused.because(MeasuringReason.TRIALS_CHANGE_OVER).at("changeOver");
        }
        return new Trials(changeOver, made, values.readWith());
    }

    private static SpeedTrial trial(String line) {
        String[] two = line.split("\\s*(?:=|→|->|:)\\s*|\\s+", 2);
        Optional<Seen> seen = two.length == 2 ? Seen.named(two[1]) : Optional.empty();
        if (seen.isPresent()) {
            return new SpeedTrial(TypedNumber.parsePositive(two[0]).value(), Optional.empty(), BigDecimal.ONE, seen);
        }
        if (two.length != 2 || two[1].contains(" ")) {
            throw Refused.because(MeasuringReason.TRIALS_LINE, line);
        }
        TypedNumber read = TypedNumber.parsePositive(two[1]);
        return new SpeedTrial(TypedNumber.parsePositive(two[0]).value(), Optional.of(read.value()), read.step(), Optional.empty());
    }

    @Override
    public StepJudgement judge(Trials trials, Rules rules) {
        List<Reason> because = new ArrayList<>();
        List<Figure> figures = new ArrayList<>();
        boolean failed = false;
        boolean close = false;
        for (int i = 0; i < trials.made.size(); i++) {
            SpeedTrial trial = trials.made.get(i);
            if (trial.seen.filter(Seen::isBad).isPresent()) {
                failed = true;
                because.add(Reason.of(trials.isUp(i) ? MeasuringReason.TRIAL_BAD_UP : MeasuringReason.TRIAL_BAD_DOWN, trial.commanded,
                        Reason.each(MeasuringReason.TRIAL_SEEN, trial.seen.get())));
            }
            if (trial.read.isEmpty()) {
                continue;
            }
            Gauge by = trials.by.orElseGet(() -> rules.gauge(Rule.TACHOMETER));
            Judgement judged = Judgement.of(trial.read.get(), by.reading(trial.read.get(), trial.step).expanded(),
                    Limit.aboutSpeed(trial.commanded, rules.share(Rule.SPEED_TOLERANCE)));
            figures.add(judged.figure());
            failed |= judged.verdict() == Verdict.OUTSIDE;
            close |= judged.verdict() == Verdict.TOO_CLOSE_TO_CALL;
            if (judged.verdict() != Verdict.WITHIN) {
                because.add(Reason.of(MeasuringReason.TRIAL_OFF, trial.commanded, judged.because()));
            }
        }
        boolean up = trials.crosses(true);
        boolean down = trials.crosses(false);
        trials.between().ifPresent(b -> because.add(0, Reason.of(MeasuringReason.TRIALS_BETWEEN, b.get(0), b.get(1))));
        trials.changeOver.ifPresent(over -> because.add(up && down ? Reason.of(MeasuringReason.TRIALS_BOTH, trials.made.size(), over)
                : Reason.of(up ? MeasuringReason.TRIALS_UP_ONLY : down ? MeasuringReason.TRIALS_DOWN_ONLY : MeasuringReason.TRIALS_NEVER,
                        over)));
        if (because.isEmpty()) {
            because.add(Reason.of(up ? MeasuringReason.TRIALS_SEEN_UP_ONLY : MeasuringReason.TRIALS_SEEN_NONE));
        }
        return new StepJudgement(failed ? Outcome.FAILED : close || !up || !down ? Outcome.UNDECIDED : Outcome.PROVEN, Optional.empty(),
                because, figures);
    }
}
