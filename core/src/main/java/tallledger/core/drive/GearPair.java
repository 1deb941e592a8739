package tallledger.core.drive;

import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;

/**
 * Two meshing wheels, ratio out/in = driver/driven. Teeth stay whole numbers; a fraction of a tooth is refused, not rounded.
 *
 * @param driver teeth of the driving wheel
 * @param driven teeth of the driven wheel
 */
public record GearPair(int driver, int driven) {

    /** Fewest and most teeth found on such wheels; outside them somebody mistyped (house rule). */
    public static final int FEWEST = 6;
    public static final int MOST = 400;

    public GearPair {
        check(driver);
        check(driven);
    }

    private static void check(int teeth) {
        if (teeth < FEWEST || teeth > MOST) {
            throw Refused.because(CommonReason.TEETH_OUTSIDE, teeth, FEWEST, MOST);
        }
    }

    public double ratio() {
        return (double) driver / driven;
    }
}
