package tallledger.core.gauge;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Optional;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * One figure that a record comes to, with all that was made of it. Pages, claims, certificate, charts and tables read it; the sentences of
 * a judgement are for people only.
 *
 * @param name     what it is of the record
 * @param measured with its sign and U (k = 2), in the canonical unit
 * @param parts    U part by part, where it was put together of parts
 * @param per      the length or force it is of, where its limit is stated for one
 * @param against  what it was held against; empty where there was nothing
 */
public record Figure(Name name, Quantity measured, Optional<Uncertainty> parts, Optional<StatedOver> per, Optional<Against> against) {

    /** Which of a record's figures it is. */
    public enum Name {
        /** The one that the record is for. */
        RESULT,
        /** A bidirectional, R and B of an axis (ISO 230-2). */
        ACCURACY, REPEATABILITY, REVERSAL,
        /** The greatest swing there may be where its angles were not read. */
        AT_MOST,
        /** Of a supply: the mean voltage, how far the three lie apart, the frequency. */
        VOLTAGE, UNBALANCE, FREQUENCY,
        /** When an event of a cycle came after the one its window begins at. */
        EVENT,
        /** What something is set to, as found. */
        SETTING;

        /** Whether it is what the record is for, and not one of the things seen on the way. */
        public boolean isTheResult() {
            return switch (this) {
                case RESULT, ACCURACY, REPEATABILITY, REVERSAL -> true;
                case AT_MOST, VOLTAGE, UNBALANCE, FREQUENCY, EVENT, SETTING -> false;
            };
        }
    }

    /**
     * A length or a force.
     *
     * @param over   what it was measured over
     * @param stated what its limit is stated for
     */
    public record StatedOver(Quantity over, Quantity stated) {

        /** A length of so many mm, its limit stated for so many. */
        public static StatedOver mm(BigDecimal over, BigDecimal stated) {
            return new StatedOver(Quantity.mm(over), Quantity.mm(stated));
        }
    }

    /**
     * What came of holding it against its limits.
     *
     * @param verdict against the limit of the grade that is wanted, or the only one
     * @param grade   best grade proven within
     */
    public record Against(Limits limits, Verdict verdict, Optional<Grade> grade) {
    }

    /** A result with nothing to hold it against. */
    public static Figure alone(Quantity measured) {
        return new Figure(Name.RESULT, measured, Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** A result of composed uncertainty, held against its limits. */
    public static Figure of(BigDecimal value, Uncertainty u, Against against) {
        return new Figure(Name.RESULT, new Quantity(value, u.expanded(), against.limits.unit()), Optional.of(u), Optional.empty(),
                Optional.of(against));
    }

    /** The same, held against a limit that has no grades. */
    public Figure against(Limit limit, Verdict verdict) {
        return new Figure(name, measured, parts, per, Optional.of(new Against(limit, verdict, Optional.empty())));
    }

    /** The same as another of the record's figures. */
    public Figure named(Name other) {
        return new Figure(other, measured, parts, per, against);
    }

    /** The same, of a length or a force. */
    public Figure per(StatedOver of) {
        return new Figure(name, measured, parts, Optional.of(of), against);
    }

    public Unit unit() {
        return measured.unit();
    }

    /** What it comes to over the length its limit is stated for: value and U scale linearly. */
    public Quantity overStated() {
        return per.filter(p -> p.over.value().compareTo(p.stated.value()) != 0).map(p -> {
            BigDecimal stated = p.stated.value();
            BigDecimal over = p.over.value();
            double share = stated.doubleValue() / over.doubleValue();
            return new Quantity(measured.value().multiply(stated).divide(over, MathContext.DECIMAL64), measured.expanded() * share, unit());
        }).orElse(measured);
    }

    /** How many times its last upper limit it is; nought where there is none, or the limit is nought. */
    public double timesItsLimit() {
        return against.map(Against::limits).filter(l -> l.isOneSided() && l.most().signum() > 0)
                .map(l -> Math.abs(measured.value().doubleValue()) / l.most().doubleValue()).orElse(0.0);
    }
}
