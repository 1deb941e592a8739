package tallledger.core.evidence;

import java.util.ArrayList;
import java.util.List;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.StageKind;
import tallledger.core.drive.Transmission;

/** What is tried at the spindle besides its speeds. */
public enum DriveCheck {
    /** Range lever in neutral: the spindle turns free by hand, nothing drives. */
    NEUTRAL,
    /** The jog key turns the spindle a little and lets it stop. */
    JOG,
    /** Time from pressing the brake to standing still, and it stays stopped. */
    BRAKE,
    /** A commanded speed above the change-over: stop, shift, run, once. */
    SHIFT_UP,
    /** And down again. */
    SHIFT_DOWN;

    /** The checks a drive calls for. */
    public static List<DriveCheck> of(DriveTrain train) {
        List<DriveCheck> checks = new ArrayList<>();
        boolean neutral = train.stages().stream().flatMap(s -> s.positions().stream())
                .anyMatch(p -> p.transmission() instanceof Transmission.Neutral);
        if (neutral) {
            checks.add(NEUTRAL);
        }
        checks.addAll(List.of(JOG, BRAKE));
        if (train.stages().stream().anyMatch(s -> s.kind() == StageKind.COMMANDED)) {
            checks.addAll(List.of(SHIFT_UP, SHIFT_DOWN));
        }
        return checks;
    }
}
