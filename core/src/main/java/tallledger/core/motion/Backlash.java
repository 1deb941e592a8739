package tallledger.core.motion;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.List;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * Backlash along a screw: B(x) = mean of the readings at each station; wear = max B − min B.
 * A worn nut shows everywhere alike, a worn screw where it worked most, in its middle.
 *
 * <p>Worked: 0.10 0.10 0.10 at one end, 0.24 0.26 0.25 in the middle, 0.12 0.11 0.13 at the other: B = 0.10, 0.25, 0.12;
 * greatest 0.25, wear 0.15; the screw is worn.
 *
 * @param stations along the travel, in order
 * @param greatest max B, mm
 * @param wear     max B − min B, mm
 */
public record Backlash(List<Station> stations, BigDecimal greatest, BigDecimal wear) {

    public static final int READINGS = 3;
    private static final MathContext PRECISE = MathContext.DECIMAL64;

    /**
     * One place along the screw.
     *
     * @param name     such as "left end"
     * @param readings mm
     */
    public record Station(String name, List<BigDecimal> readings) {

        public Station {
            readings = List.copyOf(readings);
            if (readings.size() < READINGS) {
                throw Refused.because(MotionReason.BACKLASH_READINGS, name, readings.size(), READINGS);
            }
            if (readings.stream().anyMatch(r -> r.signum() < 0)) {
                throw Refused.because(MotionReason.BACKLASH_NEGATIVE, name);
            }
        }

        public BigDecimal mean() {
            BigDecimal sum = readings.stream().reduce(BigDecimal.ZERO, BigDecimal::add);
            return sum.divide(BigDecimal.valueOf(readings.size()), PRECISE).setScale(4, RoundingMode.HALF_UP).stripTrailingZeros();
        }
    }

    /** The station with the greatest mean: the one that is judged. */
    public Station loosest() {
        return stations.stream().filter(s -> s.mean().compareTo(greatest) == 0).findFirst().orElseThrow();
    }

    /** @throws Refused with fewer than both ends and the middle */
    public static Backlash of(List<Station> stations) {
        if (stations.size() < 3) {
            throw Refused.because(MotionReason.BACKLASH_STATIONS, stations.size());
        }
        BigDecimal most = stations.stream().map(Station::mean).reduce(BigDecimal::max).orElseThrow();
        BigDecimal least = stations.stream().map(Station::mean).reduce(BigDecimal::min).orElseThrow();
        return new Backlash(List.copyOf(stations), most, most.subtract(least));
    }

    /** Of an axis on a rack: where its pinion has most. */
    public Reason saysOfRack() {
        return Reason.of(MotionReason.BACKLASH_RACK, mm(greatest()), mm(wear()));
    }

    /** Whether it differs along the screw by more than readings do. */
    public boolean isWorn(Rules rules) {
        return wear.compareTo(rules.number(Rule.BACKLASH_EVEN)) > 0;
    }

    /** Which of the two is worn, screw or nut. */
    public Reason says(Rules rules) {
        BigDecimal least = greatest.subtract(wear).stripTrailingZeros();
        boolean nut = least.compareTo(rules.number(Rule.NUT_TIGHT)) > 0;
        if (isWorn(rules)) {
            return Reason.of(nut ? MotionReason.BACKLASH_SCREW_AND_NUT : MotionReason.BACKLASH_SCREW, mm(wear), loosest().name(),
                    mm(least));
        }
        return nut ? Reason.of(MotionReason.BACKLASH_NUT, mm(least)) : Reason.of(MotionReason.BACKLASH_EVEN, mm(greatest), mm(wear));
    }

    private static Quantity mm(BigDecimal length) {
        return Quantity.of(length.setScale(3, RoundingMode.HALF_UP), Unit.MILLIMETRES);
    }
}
