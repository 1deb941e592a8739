package tallledger.core.motion;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.List;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * What a change wheel with one thick and one thin tooth, as a hand-cut one ends up with, does to a thread and to a feed. The working flank
 * of a tooth thick by d stands d/2 before its place, that of one thin by d as far behind it. At the pitch circle π·m·z (m the module,
 * mm) that is a share of a turn, so the carriage swings by
 *
 * <p>e = (thick + thin)/2 / (π·m·z) · way, mm, once every way, mm, where way = lead screw pitch · turns of the screw a turn of the wheel.
 * Over whole turns nothing adds up: the pitch is right, the thread is drunken; a feed writes a band every way.
 *
 * <p>Worked: 40 teeth of module 2, 0.2 mm thick and 0.2 mm thin, on a screw of 6 mm: e = 0.2/251.3 · 6 = 0.0048 mm, every 6 mm.
 *
 * @param swing mm, from the most before to the most behind
 * @param every mm of the carriage's way from one to the next
 */
public record UnevenWheel(BigDecimal swing, BigDecimal every) {

    private static final BigDecimal MOST_TOOTH = new BigDecimal("10");

    /**
     * @param teeth of the wheel
     * @param module of its teeth, mm
     * @param tooth how much too thick its thick tooth is and how much too thin its thin one, mm; nought where none is
     * @param screw pitch of the lead screw, mm
     * @param turns of the lead screw a turn of the wheel
     * @throws Refused where no tooth is wrong, or one by more than a tooth is thick
     */
    public static UnevenWheel of(int teeth, BigDecimal module, Tooth tooth, BigDecimal screw, BigDecimal turns) {
        BigDecimal wrong = tooth.thick.add(tooth.thin);
        if (wrong.signum() <= 0 || tooth.thick.signum() < 0 || tooth.thin.signum() < 0 || wrong.compareTo(MOST_TOOTH) > 0) {
            throw Refused.because(MotionReason.UNEVEN_TOOTH, Quantity.of(tooth.thick, Unit.MILLIMETRES),
                    Quantity.of(tooth.thin, Unit.MILLIMETRES),
                    Quantity.of(MOST_TOOTH, Unit.MILLIMETRES));
        }
        BigDecimal way = screw.multiply(turns);
        double swing = wrong.doubleValue() / 2 / (Math.PI * module.doubleValue() * teeth) * way.doubleValue();
        return new UnevenWheel(new BigDecimal(swing).round(new MathContext(3, RoundingMode.HALF_UP)), way.stripTrailingZeros());
    }

    /** How far its worst teeth are off, mm each. */
    public record Tooth(BigDecimal thick, BigDecimal thin) {
    }

    public List<Reason> says() {
        return List.of(Reason.of(MotionReason.UNEVEN_SWING, Quantity.of(swing, Unit.MILLIMETRES), Quantity.of(every, Unit.MILLIMETRES)));
    }
}
