package tallledger.web.machine;

import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Keys of the form's part on what is said of the machine. */
@Controller
class ClaimRowsController {

    private final DescriptionPage page;

    ClaimRowsController(DescriptionPage page) {
        this.page = page;
    }

    @PostMapping({"/machines/new/claims/split", "/machines/{id}/edit/claims/split"})
    String split(@PathVariable Optional<Long> id, @RequestParam MultiValueMap<String, String> fields, Model model) {
        return page.changed(id, fields, model, FormPart.SAID,
                (typed, machine) -> ClaimFields.split(typed, DescriptionPage.axes(machine, typed)));
    }

    @PostMapping({"/machines/new/claims/rows", "/machines/{id}/edit/claims/rows"})
    String rows(@PathVariable Optional<Long> id, @RequestParam MultiValueMap<String, String> fields, Model model) {
        return page.changed(id, fields, model, FormPart.SAID, (typed, machine) -> ClaimFields.addRows(typed));
    }
}
