package tallledger.core.safety;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * Whether a run may be made with what is on the spindle. A wheel's surface speed v = π·D·n/60 000 m/s (D in mm, n in min⁻¹) must
 * not exceed its marked maximum, nor n its marked speed; a chuck or faceplate likewise. One without a mark: ask before
 * running above half of the machine's top speed (house rule).
 *
 * <p>Worked: a 400 mm wheel marked 35 m/s: at 1 600 min⁻¹ it runs 33.5 m/s and may, at 2 000 it would run 41.9 m/s and may not.
 *
 * @param refused why the run is refused; empty where it may be made
 */
public record SpeedGate(Optional<Reason> refused) {

    private static final SpeedGate OPEN = new SpeedGate(Optional.empty());
    private static final MathContext FIGURES = new MathContext(3, RoundingMode.HALF_UP);
    private static final BigDecimal MILLIMETRES_A_MINUTE = BigDecimal.valueOf(60_000);

    /**
     * @param rpm speed to be run, min⁻¹
     * @param top the machine's top speed, min⁻¹, where it is known
     */
    public static SpeedGate of(Mounted mounted, BigDecimal rpm, Optional<BigDecimal> top, Rules rules) {
        if (mounted.kind() == Mounted.Kind.NOTHING) {
            return OPEN;
        }
        if (mounted.markedRpm().filter(m -> rpm.compareTo(m) > 0).isPresent()) {
            return shut(SafetyReason.GATE_RPM, mounted.kind(), plain(rpm), mounted.markedRpm().get());
        }
        if (mounted.markedMs().isPresent() && mounted.diameter().isPresent()) {
            BigDecimal surface = surfaceSpeed(mounted.diameter().get(), rpm);
            if (surface.compareTo(mounted.markedMs().get()) > 0) {
                return shut(SafetyReason.GATE_SURFACE, mounted.kind(), plain(rpm),
                        Quantity.of(surface.round(FIGURES), Unit.METRES_PER_SECOND),
                        Quantity.of(mounted.markedMs().get(), Unit.METRES_PER_SECOND),
                        Quantity.of(mounted.diameter().get().stripTrailingZeros(), Unit.MILLIMETRES));
            }
        }
        boolean unmarked = mounted.kind().isHeld() && mounted.markedRpm().isEmpty() && mounted.askedOf().isEmpty();
        if (unmarked && top.filter(t -> rpm.compareTo(t.multiply(rules.share(Rule.UNMARKED_SPEED))) > 0).isPresent()) {
            return shut(SafetyReason.GATE_UNMARKED, mounted.kind(), plain(rpm), top.get(), rules.number(Rule.UNMARKED_SPEED));
        }
        return OPEN;
    }

    /**
     * The greatest speed of what is mounted by both its marks, min⁻¹, rounded down: 60 000·v/(π·D) or the marked one, whichever is less;
     * empty where no mark says. Worked: 35 m/s on 400 mm: 1 671.
     */
    public static Optional<BigDecimal> greatest(Mounted mounted) {
        Optional<BigDecimal> bySurface = mounted.markedMs().flatMap(v -> mounted.diameter().map(d -> v.multiply(MILLIMETRES_A_MINUTE)
                .divide(BigDecimal.valueOf(Math.PI).multiply(d), 0, RoundingMode.DOWN)));
        return Stream.concat(bySurface.stream(), mounted.markedRpm().stream()).min(Comparator.naturalOrder());
    }

    /** v = π·D·n/60 000, m/s. */
    public static BigDecimal surfaceSpeed(BigDecimal diameter, BigDecimal rpm) {
        return BigDecimal.valueOf(Math.PI).multiply(diameter).multiply(rpm).divide(MILLIMETRES_A_MINUTE, MathContext.DECIMAL64);
    }

    /** 2200.0 is 2200: speeds refused for one reason say the same. */
    private static BigDecimal plain(BigDecimal rpm) {
        return new BigDecimal(rpm.stripTrailingZeros().toPlainString());
    }

    private static SpeedGate shut(SafetyReason code, Object... arguments) {
        return new SpeedGate(Optional.of(Reason.of(code, arguments)));
    }
}
