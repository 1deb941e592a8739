package tallledger.core.evidence;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
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
 * <p>Worked: change-over 1 800; 1700 1703, 1790 1794, 1810 1806, 1900 1897, 1700 1702: both ways crossed, every speed within 6 %.
 */
public record TrialSpeeds() implements Recording<TrialSpeeds.Trials> {

    /** More trials than anybody makes. */
    public static final int MOST = 40;

    /** One trial, min⁻¹. @param step worth of the last digit read */
    public record Trial(BigDecimal commanded, BigDecimal read, BigDecimal step) {
    }

    /** Trials in the order made. @param changeOver as the control's settings say, min⁻¹ */
    public record Trials(BigDecimal changeOver, List<Trial> made, Optional<Gauge> by) {

        public Trials {
            made = List.copyOf(made);
        }

        /** Whether a trial below the change-over was followed by one at or above it, or the other way round. */
        boolean crosses(boolean up) {
            for (int i = 1; i < made.size(); i++) {
                boolean before = isAbove(made.get(i - 1));
                if (before != isAbove(made.get(i)) && before != up) {
                    return true;
                }
            }
            return false;
        }

        private boolean isAbove(Trial trial) {
            return trial.commanded.compareTo(changeOver) >= 0;
        }
    }

    @Override
    public <T> T tell(Kinds<T> kinds) {
        return kinds.trialSpeeds(this);
    }

    @Override
    public String code() {
        return "trial-speeds";
    }

    @Override
    public List<Field> fields() {
        return List.of(Field.must("changeOver", Entry.NUMBER, FieldUnit.SPEED), Field.must("trials", Entry.LONG_TEXT, FieldUnit.SPEED));
    }

    @Override
    public Optional<Rule> usualGauge() {
        return Optional.of(Rule.TACHOMETER);
    }

    @Override
    public Trials read(Values values) {
        BigDecimal changeOver = values.positive("changeOver");
        List<Trial> made = new ArrayList<>();
        for (String line : values.text("trials").split("[\\n\\r;]+")) {
            if (!line.isBlank()) {
                made.add(values.at("trials", () -> trial(line.strip())));
            }
        }
        if (made.size() < 2 || made.size() > MOST) {
            throw Refused.because(EvidenceReason.TRIALS_COUNT, made.size(), MOST).at("trials");
        }
        return new Trials(changeOver, made, values.readWith());
    }

    private static Trial trial(String line) {
        String[] two = line.split("\\s*(?:=|→|->|:)\\s*|\\s+");
        if (two.length != 2) {
            throw Refused.because(EvidenceReason.TRIALS_LINE, line);
        }
        TypedNumber read = TypedNumber.parsePositive(two[1]);
        return new Trial(TypedNumber.parsePositive(two[0]).value(), read.value(), read.step());
    }

    @Override
    public StepJudgement judge(Trials trials, Rules rules) {
        List<Reason> because = new ArrayList<>();
        boolean failed = false;
        boolean close = false;
        for (Trial trial : trials.made) {
            Gauge by = trials.by.orElseGet(() -> rules.gauge(Rule.TACHOMETER));
            Judgement judged = Judgement.of(trial.read, by.reading(trial.read, trial.step).expanded(),
                    Limit.aboutSpeed(trial.commanded, rules.share(Rule.SPEED_TOLERANCE)));
            failed |= judged.verdict() == Verdict.OUTSIDE;
            close |= judged.verdict() == Verdict.TOO_CLOSE_TO_CALL;
            if (judged.verdict() != Verdict.WITHIN) {
                because.add(Reason.of(EvidenceReason.TRIAL_OFF, trial.commanded, judged.because()));
            }
        }
        boolean up = trials.crosses(true);
        boolean down = trials.crosses(false);
        because.add(up && down ? Reason.of(EvidenceReason.TRIALS_BOTH, trials.made.size(), trials.changeOver)
                : Reason.of(up ? EvidenceReason.TRIALS_UP_ONLY : down ? EvidenceReason.TRIALS_DOWN_ONLY : EvidenceReason.TRIALS_NEVER,
                        trials.changeOver));
        return new StepJudgement(failed ? Outcome.FAILED : close || !up || !down ? Outcome.UNDECIDED : Outcome.PROVEN, Optional.empty(),
                because, Optional.empty());
    }
}
