package tallledger.web.machine;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.plate.Lever;
import tallledger.web.forms.FormInput;

/** Keys of the form's plates: levers found for a list, a plate laid out by its levers, filled from a paste, the rest unread. */
@Controller
class PlateController {

    private static final String NEW = "/machines/new/{plate:" + FormPlate.IN_ADDRESS + "}";
    private static final String CHANGED = "/machines/{id}/edit/{plate:" + FormPlate.IN_ADDRESS + "}";

    private final DescriptionPage page;

    PlateController(DescriptionPage page) {
        this.page = page;
    }

    /** What fits is shown with the form as it is. */
    @PostMapping({NEW + "/find", CHANGED + "/find"})
    String find(@PathVariable Optional<Long> id, @PathVariable String plate, @RequestParam MultiValueMap<String, String> fields,
            Model model) {
        return changed(id, plate, fields, model, typed -> {
        });
    }

    /** @param offer of those that fit the list as it was sent; one that is not there changes nothing */
    @PostMapping({NEW + "/offers/{offer:\\d{1,2}}", CHANGED + "/offers/{offer:\\d{1,2}}"})
    String use(@PathVariable Optional<Long> id, @PathVariable String plate, @PathVariable int offer,
            @RequestParam MultiValueMap<String, String> fields, Model model) {
        FormPlate at = FormPlate.at(plate);
        return changed(id, plate, fields, model, typed -> PlateFinder.found(typed, at).filter(found -> offer < found.offers().size())
                .ifPresent(found -> PlateFinder.take(typed, found.offers().get(offer), at)));
    }

    /** The grid follows the levers wherever the form is shown. */
    @PostMapping({NEW + "/layout", CHANGED + "/layout"})
    String layOut(@PathVariable Optional<Long> id, @PathVariable String plate, @RequestParam MultiValueMap<String, String> fields,
            Model model) {
        return changed(id, plate, fields, model, typed -> {
        });
    }

    @PostMapping({NEW + "/unread", CHANGED + "/unread"})
    String unread(@PathVariable Optional<Long> id, @PathVariable String plate, @RequestParam MultiValueMap<String, String> fields,
            Model model) {
        FormPlate at = FormPlate.at(plate);
        return changed(id, plate, fields, model, typed -> PlateFields.restUnread(typed, levers(typed, at), at));
    }

    @PostMapping({"/machines/new/speeds/paste", "/machines/{id}/edit/speeds/paste"})
    String paste(@PathVariable Optional<Long> id, @RequestParam MultiValueMap<String, String> fields, Model model) {
        return changed(id, FormPlate.SPEED.word(), fields, model, typed -> {
            List<Lever> levers = levers(typed, FormPlate.SPEED);
            if (!levers.isEmpty()) {
                PlatePaste.fill(typed, levers);
            }
        });
    }

    @PostMapping({"/machines/new/drive/rows", "/machines/{id}/edit/drive/rows"})
    String moreStages(@PathVariable Optional<Long> id, @RequestParam MultiValueMap<String, String> fields, Model model) {
        return changed(id, FormPlate.SPEED.word(), fields, model, DriveFields::addRows);
    }

    private static List<Lever> levers(FormInput typed, FormPlate plate) {
        return plate == FormPlate.SPEED ? DriveFields.leversSoFar(typed) : PlateFields.levers(typed, plate);
    }

    private String changed(Optional<Long> id, String plate, MultiValueMap<String, String> fields, Model model,
            Consumer<FormInput> change) {
        return page.changed(id, fields, model, FormPlate.at(plate) == FormPlate.SPEED ? FormPart.SPEED : FormPart.MOVES,
                (typed, machine) -> change.accept(typed));
    }
}
