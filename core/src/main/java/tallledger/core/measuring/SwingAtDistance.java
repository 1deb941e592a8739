package tallledger.core.measuring;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * A swing read some way out from the nose, without angles. A limit "300 out" belongs to a distance: what is read at another distance d lies
 * at 300 between |k·far − |k − 1|·near| and k·far + |k − 1|·near, k = 300/d (12 in on an inch machine). It is within by the greater,
 * outside
 * by the lesser, else the angles would tell. Where the nose was not read, the reading is held against the limit straight between the nose's
 * (at 0) and the far one's (at 300).
 *
 * <p>Worked: limits 0.040 at the nose and 0.080 at 300: a swing of 0.065 at 100 is outside 0.0533.
 *
 * @param far  swing far out, mm
 * @param near swing at the nose, mm; empty where it was not read
 * @param out  distance of the far one from the nose; empty where it is the one the limit is stated for
 */
public record SwingAtDistance(TypedLength far, Optional<TypedLength> near, Optional<TypedLength> out, Optional<Gauge> by) {

    private static final BigDecimal STATED = BigDecimal.valueOf(300);

    StepJudgement judge(ChartLine<?> line, Rules rules) {
        BigDecimal stated = rules.length(STATED);
        BigDecimal d = out.map(TypedLength::mm).orElse(stated);
        Gauge gauge = by.orElseGet(() -> rules.gauge(line.method().gauge()));
        Uncertainty ofFar = gauge.difference(far.mm(), far.step());
        GradedLimit limit = rules.graded(line.graded());
        if (d.compareTo(stated) == 0) {
            return LimitJudge.byGrade(limit, far.mm(), ofFar);
        }
        if (near.isEmpty()) {
            GradedLimit here = between(rules.graded(line.nose().orElseThrow()), limit, d.divide(stated, MathContext.DECIMAL64));
            StepJudgement judged = LimitJudge.byGrade(here, far.mm(), ofFar);
            return with(judged,
                    Reason.of(MeasuringReason.FAR_ALONE, Quantity.of(far.mm(), Unit.MILLIMETRES), Quantity.of(d, Unit.MILLIMETRES),
                            Quantity.of(stated, Unit.MILLIMETRES)));
        }
        double k = stated.doubleValue() / d.doubleValue();
        double other = Math.abs(k - 1) * near.get().mm().doubleValue();
        double scaled = k * far.mm().doubleValue();
        Uncertainty u = gauge.difference(near.get().mm(), near.get().step()).scaled(1 - k).plus(ofFar.scaled(k));
        BigDecimal least = ReckonedFigures.decimal(Math.abs(scaled - other));
        BigDecimal most = ReckonedFigures.decimal(scaled + other);
        StepJudgement byMost = LimitJudge.byGrade(limit, most, u);
        StepJudgement byLeast = LimitJudge.byGrade(limit, least, u);
        Reason says = Reason.of(MeasuringReason.FAR_BETWEEN, Quantity.of(far.mm(), Unit.MILLIMETRES), Quantity.of(d, Unit.MILLIMETRES),
                new Quantity(least, u.expanded(), Unit.MILLIMETRES), new Quantity(most, u.expanded(), Unit.MILLIMETRES),
                Quantity.of(stated, Unit.MILLIMETRES));
        if (byMost.outcome() == Outcome.PROVEN) {
            return with(byMost, says);
        }
        return byLeast.outcome() == Outcome.FAILED ? with(byLeast, says)
                : new StepJudgement(Outcome.UNDECIDED, byMost.grade(), List.of(says, Reason.of(MeasuringReason.FAR_ANGLES)),
                        byMost.figures().stream().map(f -> f.named(Figure.Name.AT_MOST)).toList());
    }

    private static StepJudgement with(StepJudgement judged, Reason first) {
        List<Reason> says = new ArrayList<>(List.of(first));
        says.addAll(judged.because());
        return judged.saying(says);
    }

    /** The limit a share of the way from one to the other, and as straight on beyond it. */
    static GradedLimit between(GradedLimit nose, GradedLimit far, BigDecimal share) {
        return new GradedLimit(at(nose.rebuilt(), far.rebuilt(), share), at(nose.sound(), far.sound(), share),
                at(nose.workable(), far.workable(), share), far.unit(), far.wanted(), far.source());
    }

    private static BigDecimal at(BigDecimal nose, BigDecimal far, BigDecimal share) {
        return nose.add(far.subtract(nose).multiply(share)).max(BigDecimal.ZERO).round(MathContext.DECIMAL64);
    }
}
