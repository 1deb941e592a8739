package tallledger.web.machine;

import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.web.fitout.FitOutForm;

/** Keys of the form's part on what moves. */
@Controller
class AxisRowsController {

    private final DescriptionPage page;

    AxisRowsController(DescriptionPage page) {
        this.page = page;
    }

    @PostMapping({"/machines/new/axes/usual", "/machines/{id}/edit/axes/usual"})
    String usual(@PathVariable Optional<Long> id, @RequestParam MultiValueMap<String, String> fields, Model model) {
        return page.changed(id, fields, model, FormPart.MOVES, (typed, machine) -> MachineForm.usual(typed));
    }

    @PostMapping({"/machines/new/axes/rows", "/machines/{id}/edit/axes/rows"})
    String rows(@PathVariable Optional<Long> id, @RequestParam MultiValueMap<String, String> fields, Model model) {
        return page.changed(id, fields, model, FormPart.MOVES, (typed, machine) -> FitOutForm.addRows(typed));
    }
}
