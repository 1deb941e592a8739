package tallledger.core.price;

import java.util.List;
import tallledger.core.reason.Refused;

/**
 * A repair: a row of the house's table (W 4.2).
 *
 * @param about   what it is for: the code of a step, the name of a symptom, or that of a system; {@link #ELEMENT} for a part of the spindle
 *                drive of which nothing was heard yet
 * @param element which kind of element of the drive, by name; empty for any
 * @param what    what is done
 * @param hours   of work on a machine of 1 500 kg
 * @param parts   parts and outside work, in the user's money
 */
public record Repair(String about, String element, String what, Spread hours, Spread parts) {

    /** Rows for an element of the drive of which nothing was heard yet. */
    public static final String ELEMENT = "ELEMENT";
    /** A speed outside its limit of which nothing was heard. */
    public static final String SPEED_OFF = "SPEED_OFF";
    /** What stops when it is told to, and takes too long. */
    public static final String STOPS_LATE = "STOPS_LATE";
    /** A piece of kit, by words its name has in it: what another costs on a machine of 1 500 kg stands as its parts. */
    public static final String KIT = "KIT";
    /** What a row can be about that is no symptom of a run, no system and no step. */
    public static final List<String> ABOUT = List.of(ELEMENT, SPEED_OFF, STOPS_LATE, KIT);
    private static final int LONGEST = 200;

    /** @throws Refused where it names nothing, or at "hours" or "parts" */
    public Repair {
        about = about.strip();
        what = what.strip();
        if (about.isEmpty() || what.isEmpty() || what.length() > LONGEST || about.length() > LONGEST) {
            throw Refused.because(PriceReason.REPAIR_WHAT, LONGEST);
        }
    }

    /** What makes two rows one repair, wherever they stand in the table: what is done, and what it takes. */
    public String key() {
        return what + " " + hours + " " + parts;
    }

    /** size · hours · rate + parts, each of its three figures. */
    public Cost cost(Rates rates) {
        double hour = rates.size() * rates.anHour();
        return new Cost(hour * hours.low().doubleValue() + parts.low().doubleValue(),
                hour * hours.likely().doubleValue() + parts.likely().doubleValue(),
                hour * hours.high().doubleValue() + parts.high().doubleValue()).upTo(rates.most());
    }
}
