package tallledger.core.measuring;

import java.math.BigDecimal;
import java.util.List;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.reason.Reason;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** A figure against its limit, in three grades or from a claim. */
final class LimitJudge {

    private LimitJudge() {
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
            case WITHIN -> Reason.of(MeasuringReason.GRADED_WITHIN, read, reached.grade().orElseThrow(),
                    Quantity.of(limit.at(reached.grade().orElseThrow()), limit.unit()));
            case OUTSIDE -> Reason.of(MeasuringReason.GRADED_OUTSIDE, read, limit.wanted(), wanted);
            case TOO_CLOSE_TO_CALL -> Reason.of(MeasuringReason.GRADED_CLOSE, read, limit.wanted(), wanted,
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
                Reason.of(MeasuringReason.LIMIT_CLAIM, Quantity.of(least, unit)));
        Judgement judgement = Judgement.of(value, uncertainty.expanded(), limit);
        MeasuringReason code = switch (judgement.verdict()) {
            case WITHIN -> MeasuringReason.TRAVEL_ENOUGH;
            case OUTSIDE -> MeasuringReason.TRAVEL_SHORT;
            case TOO_CLOSE_TO_CALL -> MeasuringReason.TRAVEL_CLOSE;
        };
        return StepJudgement.of(judgement.figure(),
                List.of(Reason.of(code, new Quantity(value, uncertainty.expanded(), unit), Quantity.of(claimed, unit))));
    }
}
