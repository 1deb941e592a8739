package tallledger.web.machine;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import tallledger.core.drive.DriveTrain;
import tallledger.core.machine.Claim;
import tallledger.core.motion.Axis;
import tallledger.core.plate.Lever;
import tallledger.core.reason.Reason;
import tallledger.web.forms.FormInput;
import tallledger.web.words.WebReason;

/**
 * What stands in a box whose key was not pressed when the machine is saved: words not split, speeds whose levers were not found, a plate
 * not laid out. It is taken along where there is one way to; else it stays as typed, and is asked about.
 */
final class TakenAlong {

    private TakenAlong() {
    }

    /** @param axes what a travel that somebody names can be of */
    static void take(FormInput typed, List<Axis> axes) {
        if (typed.has("said")) {
            typed.choice("saidBy", Claim.Source.class);
            MachineForm.split(typed, axes);
        }
        for (String prefix : List.of(PlateGrid.SPEED, PlateGrid.FEED, PlateGrid.THREAD)) {
            list(typed, prefix);
        }
        pasted(typed);
    }

    private static void list(FormInput typed, String prefix) {
        String list = prefix + PlateFinder.LIST;
        if (!typed.has(list)) {
            if (typed.has(prefix + PlateFinder.COUNTED)) {
                typed.refuse(prefix + PlateFinder.COUNTED, Reason.of(WebReason.LEVERS_ALONE));
            }
            return;
        }
        Optional<PlateFinder.FoundLayouts> found = PlateFinder.found(typed, prefix);
        if (found.isEmpty()) {
            return;
        }
        List<PlateFinder.OfferedLayout> offers = found.get().offers();
        if (offers.isEmpty()) {
            typed.refuse(list, Reason.of(WebReason.LIST_FITS_NONE));
        } else if (offers.size() + found.get().more() > 1) {
            typed.refuse(list, Reason.of(WebReason.LIST_FITS_SEVERAL, offers.size() + found.get().more()));
        } else if (!isBlank(typed, prefix)) {
            typed.refuse(list, Reason.of(WebReason.LIST_NOT_USED));
        } else if (!offers.get(0).leftOut().isEmpty() || !found.get().says().isEmpty()) {
            typed.refuse(list, Reason.of(WebReason.LIST_DOUBTED));
        } else {
            PlateFinder.take(typed, offers.get(0), prefix);
        }
    }

    /** Whether nothing was read off that plate yet. */
    private static boolean isBlank(FormInput typed, String prefix) {
        return IntStream.range(0, DriveTrain.MOST_COMBINATIONS).noneMatch(i -> typed.has(PlateGrid.field(prefix, i)));
    }

    private static void pasted(FormInput typed) {
        if (!typed.has(PlatePaste.FIELD)) {
            return;
        }
        List<Lever> levers = MachineForm.leversSoFar(typed);
        if (levers.isEmpty()) {
            typed.refuse(PlatePaste.FIELD, Reason.of(WebReason.PASTE_NO_LEVERS));
        } else if (!isBlank(typed, PlateGrid.SPEED)) {
            typed.refuse(PlatePaste.FIELD, Reason.of(WebReason.PASTE_NOT_USED));
        } else {
            PlatePaste.fill(typed, levers);
        }
    }
}
