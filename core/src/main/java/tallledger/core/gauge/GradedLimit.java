package tallledger.core.gauge;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.Unit;

/**
 * An upper limit in three grades; the grade reached is the best one proven within.
 *
 * @param unit   unit of all three
 * @param source where they come from: the house, or the machine's own chart
 * @param wanted grade the machine is judged as: what is outside it is a finding
 */
public record GradedLimit(BigDecimal rebuilt, BigDecimal sound, BigDecimal workable, Unit unit, Grade wanted, Reason source)
        implements
            Limits {

    public GradedLimit {
        if (rebuilt.compareTo(sound) > 0 || sound.compareTo(workable) > 0) {
            throw Refused.because(GaugeReason.LIMIT_CROSSED, rebuilt, workable);
        }
    }

    /** The three limits for a measured length other than the one they are stated for: they scale linearly. */
    public GradedLimit over(BigDecimal length, BigDecimal stated) {
        BigDecimal share = length.divide(stated, MathContext.DECIMAL64);
        return new GradedLimit(rebuilt.multiply(share), sound.multiply(share), workable.multiply(share), unit, wanted, source);
    }

    @Override
    public BigDecimal most() {
        return workable;
    }

    @Override
    public boolean isOneSided() {
        return true;
    }

    /** The limit of the grade that is wanted. */
    public BigDecimal limit() {
        return at(wanted);
    }

    public BigDecimal at(Grade grade) {
        return switch (grade) {
            case REBUILT -> rebuilt;
            case SOUND -> sound;
            case WORKABLE -> workable;
        };
    }

    /** What a reading reaches. @param expanded its U, in the unit of the limits */
    public Figure.Against reached(BigDecimal reading, double expanded) {
        BigDecimal u = new BigDecimal(expanded).round(MathContext.DECIMAL32);
        Optional<Grade> best = Stream.of(Grade.values()).filter(grade -> reading.add(u).compareTo(at(grade)) <= 0).findFirst();
        if (best.filter(grade -> grade.compareTo(wanted) <= 0).isPresent()) {
            return new Figure.Against(this, Verdict.WITHIN, best);
        }
        boolean outside = reading.subtract(u).compareTo(at(wanted)) > 0;
        return new Figure.Against(this, outside ? Verdict.OUTSIDE : Verdict.TOO_CLOSE_TO_CALL, best);
    }
}
