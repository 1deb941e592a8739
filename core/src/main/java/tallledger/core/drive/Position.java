package tallledger.core.drive;

import java.util.Optional;
import tallledger.core.reason.Refused;

/**
 * One place a lever, belt or switch can stand.
 *
 * @param label        the machine's own letter, number or word for it
 * @param transmission what it does
 * @param lever        where several levers make one stage, the one that is engaged here while the others stand in neutral
 */
public record Position(String label, Transmission transmission, Optional<String> lever) {

    public static final int LONGEST_LABEL = 16;

    /** Of a stage with one lever. */
    public Position(String label, Transmission transmission) {
        this(label, transmission, Optional.empty());
    }

    public Position {
        if (lever.filter(l -> l.isBlank() || l.length() > Stage.LONGEST_NAME).isPresent()) {
            throw Refused.because(DriveReason.STAGE_NAME, Stage.LONGEST_NAME);
        }
        if (label.isBlank()) {
            throw Refused.because(DriveReason.POSITION_UNNAMED);
        }
        if (label.length() > LONGEST_LABEL) {
            throw Refused.because(DriveReason.POSITION_LONG, label.length(), LONGEST_LABEL);
        }
    }
}
