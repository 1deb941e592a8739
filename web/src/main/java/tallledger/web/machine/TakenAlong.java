package tallledger.web.machine;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
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
            ClaimFields.split(typed, axes);
        }
        Stream.of(FormPlate.values()).forEach(plate -> list(typed, plate));
        pasted(typed);
    }

    private static void list(FormInput typed, FormPlate plate) {
        String list = plate.list();
        if (!typed.has(list)) {
            if (typed.has(plate.counted())) {
                typed.refuse(plate.counted(), Reason.of(WebReason.LEVERS_ALONE));
            }
            return;
        }
        Optional<PlateFinder.FoundLayouts> found = PlateFinder.found(typed, plate);
        if (found.isEmpty()) {
            return;
        }
        List<PlateFinder.OfferedLayout> offers = found.get().offers();
        if (offers.isEmpty()) {
            typed.refuse(list, Reason.of(WebReason.LIST_FITS_NONE));
        } else if (offers.size() + found.get().more() > 1) {
            typed.refuse(list, Reason.of(WebReason.LIST_FITS_SEVERAL, offers.size() + found.get().more()));
        } else if (!plate.isBlank(typed)) {
            typed.refuse(list, Reason.of(WebReason.LIST_NOT_USED));
        } else if (!offers.get(0).leftOut().isEmpty() || !found.get().says().isEmpty()) {
            typed.refuse(list, Reason.of(WebReason.LIST_DOUBTED));
        } else {
            PlateFinder.take(typed, offers.get(0), plate);
        }
    }

    private static void pasted(FormInput typed) {
        if (!typed.has(PlatePaste.FIELD)) {
            return;
        }
        List<Lever> levers = DriveFields.leversSoFar(typed);
        if (levers.isEmpty()) {
            typed.refuse(PlatePaste.FIELD, Reason.of(WebReason.PASTE_NO_LEVERS));
        } else if (!FormPlate.SPEED.isBlank(typed)) {
            typed.refuse(PlatePaste.FIELD, Reason.of(WebReason.PASTE_NOT_USED));
        } else {
            PlatePaste.fill(typed, levers);
        }
    }
}
