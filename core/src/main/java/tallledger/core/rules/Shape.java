package tallledger.core.rules;

import java.math.BigDecimal;
import java.util.List;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.Unit;

/** Which figures a rule has. */
public enum Shape {
    /** One figure. */
    ONE("value"),
    /** A limit in three grades, none stricter than the one before. */
    GRADED("rebuilt", "sound", "workable"),
    /** Two ends. */
    BETWEEN("least", "most"),
    /** A gauge: the worth of its last digit in its unit, and U_cal (k = 2) in % of the reading. */
    GAUGE("resolution", "calibration"),
    /** One figure for each severity, worst first. */
    BY_SEVERITY("stop-use", "before-use", "soon", "live-with", "note"),
    /** One figure for each background. */
    BY_BACKGROUND("rebuilt-with-papers", "in-daily-use", "stood-idle", "auction-unseen"),
    /** The chance that a part is bad, and what it then costs. */
    WORTH("chance", "cost");

    private final List<String> figures;

    Shape(String... figures) {
        this.figures = List.of(figures);
    }

    /** Names of its figures, in order. */
    public List<String> figures() {
        return figures;
    }

    Unit unit(Unit of, int figure) {
        return switch (this) {
            case GAUGE -> figure == 0 ? of : Unit.PERCENT;
            case WORTH -> figure == 0 ? Unit.CHANCE : of;
            case ONE, GRADED, BETWEEN, BY_SEVERITY, BY_BACKGROUND -> of;
        };
    }

    /** @throws Refused naming the figure that makes no sense */
    void check(List<BigDecimal> these, Unit of) {
        if (these.size() != figures.size()) {
            throw Refused.because(RulesReason.RULE_FIGURES, these.size(), figures.size());
        }
        for (int i = 0; i < these.size(); i++) {
            Unit unit = unit(of, i);
            BigDecimal figure = these.get(i);
            RuleRange range = RuleRange.of(unit);
            if (!range.holds(figure)) {
                throw Refused.because(CommonReason.RULE_RANGE, figure, range.least(), range.most(), unit.symbol()).at(figures.get(i));
            }
            boolean ascends = this == GRADED || this == BETWEEN;
            if (ascends && i > 0 && figure.compareTo(these.get(i - 1)) < 0) {
                throw Refused.because(RulesReason.RULE_CROSSED, these.get(i - 1), figure).at(figures.get(i));
            }
        }
    }
}
