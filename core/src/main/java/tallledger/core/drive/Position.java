package tallledger.core.drive;

import tallledger.core.reason.Refused;

/**
 * One place a lever, belt or switch can stand.
 *
 * @param label        the machine's own letter, number or word for it
 * @param transmission what it does
 */
public record Position(String label, Transmission transmission) {

    public static final int LONGEST_LABEL = 16;

    public Position {
        if (label.isBlank()) {
            throw Refused.because(DriveReason.POSITION_UNNAMED);
        }
        if (label.length() > LONGEST_LABEL) {
            throw Refused.because(DriveReason.POSITION_LONG, label.length(), LONGEST_LABEL);
        }
    }
}
