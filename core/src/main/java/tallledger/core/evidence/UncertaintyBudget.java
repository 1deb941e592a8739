package tallledger.core.evidence;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Reason;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** What U is made of, in words: the digit, the gauge, the repeats, the temperature; those that add nothing are left out. */
final class UncertaintyBudget {

    private UncertaintyBudget() {
    }

    /** @param unit of the parts */
    static Reason says(Uncertainty parts, Unit unit, LengthUnit machine) {
        List<Object> says = new ArrayList<>();
        part(EvidenceReason.BUDGET_DIGIT, Gauge.COVERAGE_FACTOR * parts.digit(), parts, unit, machine, says);
        part(EvidenceReason.BUDGET_GAUGE, Gauge.COVERAGE_FACTOR * parts.calibration(), parts, unit, machine, says);
        part(parts.repeats() < 2 ? EvidenceReason.BUDGET_REPEATABILITY : EvidenceReason.BUDGET_REPEATS,
                Math.sqrt(Math.max(0, Math.pow(parts.expanded(), 2) - Math.pow(Gauge.COVERAGE_FACTOR * parts.rest(), 2))), parts, unit,
                machine, says);
        part(EvidenceReason.BUDGET_TEMPERATURE, Gauge.COVERAGE_FACTOR * parts.thermal(), parts, unit, machine, says);
        return InUnit.of(Reason.of(EvidenceReason.BUDGET, figure(parts.expanded(), unit, machine), says), machine);
    }

    private static void part(EvidenceReason which, double size, Uncertainty whole, Unit unit, LengthUnit machine, List<Object> says) {
        if (size > whole.expanded() / 1000) {
            says.add(Reason.of(which, figure(size, unit, machine)));
        }
    }

    /** To two digits; what is shown in inches is rounded when it is, not in mm first. */
    private static Quantity figure(double size, Unit unit, LengthUnit machine) {
        return Quantity.of(new BigDecimal(size).round(new MathContext(machine == LengthUnit.INCH ? 6 : 2)), unit);
    }
}
