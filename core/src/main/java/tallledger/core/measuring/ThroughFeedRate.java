package tallledger.core.measuring;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Verdict;
import tallledger.core.motion.FeedReading;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * Centreless through-feed: v_f = π·D_r·n_r·sin α, mm/min; slip makes it up to a few per cent less. Right between 93 % and 102 % of
 * that (house rule).
 *
 * <p>Worked: D_r 300 mm, n_r 30 min⁻¹, α 3°: 1 480 mm/min.
 */
public record ThroughFeedRate() implements Recording<ThroughFeedRate.ThroughReading> {

    private static final MathContext SHOWN = new MathContext(3, RoundingMode.HALF_UP);

    /** Through-feed as reckoned from the wheel, mm/min, and as measured. */
    public record ThroughReading(double reckoned, FeedReading measured) {
    }

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.throughFeedRate(this);
    }

    @Override
    public <T> T accept(ThroughReading value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.throughFeedRate(this, value);
    }

    @Override
    public String code() {
        return "through-feed";
    }

    @Override
    public List<RecordField> fields() {
        return List.of(RecordField.must("diameter", InputKind.LENGTH, FieldUnit.LENGTH),
                RecordField.must("speed", InputKind.NUMBER, FieldUnit.SPEED),
                RecordField.must("angle", InputKind.NUMBER, FieldUnit.DEGREES),
                RecordField.must("distance", InputKind.LENGTH, FieldUnit.LENGTH),
                RecordField.must("seconds", InputKind.NUMBER, FieldUnit.SECONDS));
    }

    @Override
    public ThroughReading read(Values values) {
        double angle = values.positive("angle").doubleValue();
        if (angle > 10) {
            throw Refused.because(MeasuringReason.THROUGH_ANGLE, values.text("angle")).at("angle");
        }
        double reckoned = Math.PI * values.length("diameter").mm().doubleValue() * values.positive("speed")
                .doubleValue() * Math.sin(Math.toRadians(angle));
        FeedReading measured = FeedReading.perMinute(values.length("distance"), values.number("seconds"));
        if (reckoned <= 0) {
            throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, values.text("diameter")).at("diameter");
        }
        return new ThroughReading(reckoned, measured);
    }

    @Override
    public StepJudgement judge(ThroughReading read, Rules rules) {
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
            case WITHIN -> MeasuringReason.THROUGH_RIGHT;
            case OUTSIDE -> MeasuringReason.THROUGH_WRONG;
            case TOO_CLOSE_TO_CALL -> MeasuringReason.THROUGH_CLOSE;
        }, measured, Quantity.of(new BigDecimal(read.reckoned).round(SHOWN), Unit.MILLIMETRES_PER_MINUTE), (share - 1) * 100,
                rules.figures(Rule.THROUGH_FEED).get(0), rules.figures(Rule.THROUGH_FEED).get(1))));
    }

    private static Figure heldAgainst(Limit limit, Quantity measured, Verdict verdict) {
        return new Figure(Figure.Name.RESULT, measured, Optional.empty(), Optional.empty(),
                Optional.of(new Figure.Against(limit, verdict, Optional.empty())));
    }
}
