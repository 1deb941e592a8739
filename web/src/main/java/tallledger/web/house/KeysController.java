package tallledger.web.house;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import tallledger.web.housebook.Houses;

/** The keys surveys are sealed with, by what they are known by. */
@Controller
class KeysController {

    private final Houses houses;

    KeysController(Houses houses) {
        this.houses = houses;
    }

    @GetMapping("/house/keys")
    String show(Model model) {
        model.addAttribute("keys", houses.book().keys());
        return "house/keys";
    }
}
